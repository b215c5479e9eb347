import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import { verdictOf } from '#core/advise/findings';
import { type Recipe } from '#core/recipe/recipe';
import { changeOver } from '#core/season/change-over';
import { fixed } from '#core/units/show';
import { dayFrom } from '#words/days';
import { changeOver as texts } from '#words/en/places/season/change-over';
import { RecipeStore } from '../bench/recipe-store';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { ReaderHere } from '../data/reader-here';
import { ChoiceField } from '../ui/fields/choice-field';
import { verdictSays } from '../ui/words/verdict';
import { readingWords } from '../ui/words/words';
import { SeasonView } from './season-view';

/** What peat goes over to, and coir. */
const OTHER = 'peat-fine';
const COIR = 'coir-pith';
const MOST_CHANGES = 4;

/** A material runs down over the season: which mix goes over to another one, on which day, and what changes. */
@Component({
  selector: 'app-change-over',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-choice-field
      [label]="texts.goOverTo"
      [choices]="others()"
      [value]="to()"
      (valueChange)="chosen.set($event)"
    />
    <ul class="plain">
      @for (row of rows(); track row.key) {
        <li>
          <b>{{ row.name }}</b>
          <span class="term">{{ row.when }} {{ row.changes }}</span>
          @if (row.fault) {
            <span>{{ row.fault }}</span>
          }
          <button type="button" class="press" (click)="open(row.recipe)">
            {{ texts.openIt }}<span class="visually-hidden">: {{ row.name }}</span>
          </button>
        </li>
      } @empty {
        <li class="term">{{ texts.noMixTakesIt }}</li>
      }
    </ul>
  `,
  styles: `
    app-choice-field {
      max-width: 340px;
    }
    li {
      display: grid;
      gap: 2px 12px;
      justify-items: start;
      padding: 8px 0;
    }
  `,
  imports: [ChoiceField],
})
export class ChangeOverPiece {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  private readonly library = inject(LibraryService).library;
  private readonly view = inject(SeasonView);
  private readonly nursery = inject(NurseryService);
  private readonly store = inject(RecipeStore);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  /** Id of the material that runs down. */
  readonly material = input.required<string>();
  /** L */
  readonly left = input.required<number>();
  protected readonly chosen = signal<string | null>(null);
  /** Those that do the same in a mix. */
  protected readonly others = computed(() => {
    const materials = [...(this.library()?.materials.values() ?? [])];
    const role = materials.find(({ id }) => id === this.material())?.role;
    return materials.filter((each) => each.role === role && each.id !== this.material());
  });
  protected readonly to = computed(() => {
    const usual = this.material() === COIR ? OTHER : COIR;
    const others = this.others();
    return this.chosen() ?? (others.find(({ id }) => id === usual) ?? others[0])?.id ?? null;
  });
  protected readonly rows = computed(() => {
    const [needs, library, to] = [this.view.needs(), this.library(), this.to()];
    if (!needs || !library || to === null) return [];
    const { volume } = this.reader.formats();
    const on = (day: string): string =>
      dayFrom(day, this.nursery.today(), this.reader.now().language, 'short');
    return changeOver(needs.days, needs.mixes, [this.material(), to], this.left(), library).map(
      ({ mix, from, beforeL, afterL, changes, recipe, judgement }) => ({
        ...{ key: mix.key, name: mix.name, recipe },
        when: texts.from(on(from), beforeL > 0 ? volume(beforeL) : '', volume(afterL)),
        changes: changes
          .slice(0, MOST_CHANGES)
          .map(({ id, from: was, to: is }) => {
            const { name, places } = readingWords(id, library.vessels.get(recipe.vessel)?.noun ?? '');
            return `${name} ${fixed(was.value, places)} → ${fixed(is.value, places)}`;
          })
          .join(' · '),
        fault: verdictOf(judgement) === 'ready' ? '' : verdictSays(judgement, this.reader),
      }),
    );
  });

  protected open(recipe: Recipe): void {
    this.store.set(recipe, `change over ${this.material()}`, null);
    this.notices.say(texts.isOpen, () => this.store.undo());
    void this.router.navigateByUrl('/mix');
  }
}
