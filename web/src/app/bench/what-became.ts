import { ReaderHere } from '../data/reader-here';
import { inSentence } from '#words/formats';
import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { besideTheMix, nextTime, type NextTime, type Suspect, unexplained } from '#core/plants/next-time';
import { judgeRecipe } from '#core/judge/judge';
import { type Reading } from '#core/judge/readings';
import { type Library } from '#core/recipe/library';
import { applyFix, type SingleFix } from '#core/recipe/fix';
import { type Recipe } from '#core/recipe/recipe';
import { fixed } from '#core/units/show';
import { PlantsService } from '../data/plants';
import { resourceOf } from '../data/resource';
import { ApproachChoice } from '../data/approach-choice';
import { readingWords } from '../ui/words/words';
import { cropSays } from './grown-in-it';
import { RecipeStore } from './recipe-store';
import { whatBecame as texts } from '#words/en/places/bench/what-became';
import { DayPipe } from '../ui/words/day';

/** Readings of a recipe; none where a material that it names is gone. */
function readingsIn(recipe: Recipe, library: Library): readonly Reading[] {
  try {
    return judgeRecipe(recipe, library).readings;
  } catch (error) {
    if (error instanceof OutOfRange) return [];
    throw error;
  }
}

/** What became of the plants in a batch, or in every batch of a mix, and what that would change next time. */
@Component({
  selector: 'app-what-became',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (results().length > 0) {
      <h2>{{ texts.whatBecameOfIt }}</h2>
      <ul class="rows">
        @for (result of results(); track result.batch) {
          <li>
            <b>{{ result.name }}</b>&ngsp;
            <span class="term"
              >{{ result.madeOn | day
              }}{{ result.version === null ? '' : texts.version + result.version }}</span
            >&ngsp;
            <span class="says">{{ result.says }}</span>
            @if (result.crops.length > 1) {
              @for (crop of result.crops; track crop.crop + crop.struck) {
                <span class="says term">{{ cropSays(crop) }}</span>
              }
            }
          </li>
        }
      </ul>
      @if (suspects().length > 0) {
        <details>
          <summary>{{ texts.whatWouldYouChange }}</summary>
          @for (each of odd(); track each) {
            <p>{{ each }}</p>
          }
          <ol class="changes">
            @for (change of changes(); track change.cause) {
              <li>
                <p>
                  <b>{{ change.what }}</b>&ngsp; <span class="term">{{ texts.against(change.name) }}</span>
                </p>
                <p class="term">{{ texts.itWouldDo(change.does) }}</p>
                <button type="button" class="press" (click)="take(change)">
                  {{ texts.openIt }}<span class="visually-hidden">: {{ change.what }}</span>
                </button>
              </li>
            }
          </ol>
          @if (changes().length === 0) {
            <p>{{ texts.noChangeOfTheMix }}</p>
          }
          @for (item of beside(); track item) {
            <p class="term">{{ name(item) }}: {{ next(item) }}.</p>
          }
        </details>
      }
    }
  `,
  styles: `
    .says {
      display: block;
    }
    .changes p {
      margin: 4px 0;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
  imports: [DayPipe],
})
export class WhatBecame {
  protected readonly texts = texts;
  protected readonly cropSays = cropSays;
  readonly of = input.required<'batch' | 'mix'>();
  readonly id = input.required<number>();
  /** What was mixed, or is to be changed. */
  readonly recipe = input.required<Recipe>();
  /** A changed recipe is wanted on the bench, with why. */
  readonly taken = output<{ recipe: Recipe; why: string }>();
  private readonly plants = inject(PlantsService);
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  private readonly approach = inject(ApproachChoice).approach;
  private readonly fetched = resourceOf(
    computed(() => `${this.of()} ${this.id()}`),
    () => this.plants.results(this.of(), this.id()),
  );
  protected readonly results = computed(() =>
    (this.fetched.value() ?? []).map((each) => ({
      ...each,
      says: this.reader.read({ say: 'result.batch', with: each }),
    })),
  );
  /** Of all batches together. */
  protected readonly suspects = computed((): Suspect[] => {
    const sums = new Map<string, Suspect>();
    for (const { suspects } of this.results())
      for (const suspect of suspects) {
        const existing = sums.get(suspect.cause) ?? { cause: suspect.cause, weight: 0, plantings: 0 };
        sums.set(suspect.cause, {
          ...existing,
          weight: existing.weight + suspect.weight,
          plantings: existing.plantings + suspect.plantings,
        });
      }
    return [...sums.values()].sort((a, b) => b.weight - a.weight);
  });
  protected readonly beside = computed(() => besideTheMix(this.suspects()));
  /** Readings that the mix does not explain. */
  protected readonly odd = computed(() => {
    const library = this.store.library();
    if (!library) return [];
    const readings = readingsIn(this.recipe(), library);
    const reckoned = (id: string): number | undefined => readings.find((reading) => reading.id === id)?.value;
    const [ph, ec] = [reckoned('ph'), reckoned('ecSaturated')];
    if (ph === undefined || ec === undefined) return [];
    return this.results().flatMap(({ name, read }) =>
      unexplained({ ph, ec }, read).map((which) => {
        const [was, now] = which === 'ph' ? [ph, read.ph!] : [ec, read.ec!];
        const what = which === 'ph' ? 'pH' : 'EC';
        return texts.wasExpectedAndReadTest(name, what, fixed(was, 1), fixed(now, 1));
      }),
    );
  });
  protected readonly changes = computed(() => {
    const library = this.store.library();
    if (!library) return [];
    try {
      return nextTime(this.recipe(), this.suspects(), library, this.approach().never).map((each) => ({
        ...each,
        name: this.name(each.cause),
        what: this.what(each.fix),
        does: this.does(each),
      }));
    } catch (error) {
      // A material that the recipe names may be gone from the library.
      if (error instanceof OutOfRange) return [];
      throw error;
    }
  });

  protected name(cause: Suspect['cause']): string {
    return this.reader.word(`cause.${cause}.name`);
  }

  protected next(cause: Suspect['cause']): string {
    return this.reader.word(`cause.${cause}.next`);
  }

  protected take({ fix, cause }: NextTime): void {
    const library = this.store.library();
    if (!library) return;
    const result = this.results()[0];
    const why = texts.against2(
      this.what(fix),
      this.name(cause),
      result ? `: ${result.name}, ${result.says}` : '',
    );
    this.taken.emit({ recipe: applyFix(this.recipe(), fix, library), why: why.slice(0, 300) });
  }

  /** A change in words. */
  private what(fix: NextTime['fix']): string {
    if (fix.kind === 'all') return fix.fixes.map((singleFix) => this.whatOne(singleFix)).join(', ');
    return this.whatOne(fix);
  }

  private whatOne(fix: SingleFix): string {
    const library = this.store.library();
    const named = (id: string): string =>
      this.reader.formats().name({
        id,
        name: library?.materials.get(id)?.name ?? library?.amendments.get(id)?.name ?? id,
      });
    switch (fix.kind) {
      case 'limeToPh':
        return texts.limeToPh(fixed(fix.ph, 1));
      case 'dose':
        return `${named(fix.amendment)} ${this.reader.formats().dose(fix.gPerL)}`;
      case 'addPart':
        return texts.moreOf(fix.parts ?? 1, named(fix.material));
      default:
        return texts.anotherRecipe;
    }
  }

  private does({ changes }: NextTime): string {
    const { noun } = this.store.kind();
    return changes
      .map(({ id, from, to }) => {
        const { name, places } = readingWords(id, noun);
        return { name: inSentence(name), from: fixed(from, places), to: fixed(to, places) };
      })
      .filter(({ from, to }) => from !== to)
      .map(({ name, from, to }) => `${name} ${from} → ${to}`)
      .join(', ');
  }
}
