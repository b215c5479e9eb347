import { ThingPipe } from '../ui/words/thing';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type Bag, bagAsMaterial } from '#core/mix/bag';
import { type MaterialRow } from '#core/material/material';
import { LibraryService } from '../data/library';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { shortName } from '../ui/words/words';
import { JudgedAlone } from './judged-alone';
import { ownKeeper } from './own-keeper';
import { bagForm as texts } from '#words/en/places/shelf/bag-form';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

type Printed = 'ph' | 'nMgPerL' | 'pMgPerL' | 'kMgPerL';
const asked: Asked<Printed>[] = [
  { name: 'ph', label: texts.phOnTheBag, within: 'measuredPh' },
  { name: 'nMgPerL', label: texts.nitrogenInIt, unit: 'mg/L', within: 'printedMgPerL' },
  { name: 'pMgPerL', label: texts.phosphorusInIt, unit: 'mg/L', within: 'printedMgPerL' },
  { name: 'kMgPerL', label: texts.potassiumInIt, unit: 'mg/L', within: 'printedMgPerL' },
];

/** A bought mix by what stands on its bag: ingredients in order, pH, feed. What is not printed stays wide. */
@Component({
  selector: 'app-bag-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">
      {{ texts.enterTheIngredientsInThe }}
    </p>
    <div class="fields">
      <app-text-field [label]="texts.nameOnTheBag" [(value)]="name" />
      <app-choice-field
        [label]="texts.nextIngredient"
        none="choose"
        [choices]="choices()"
        [value]="null"
        (valueChange)="take($event)"
      />
    </div>
    @if (ingredients().length > 0) {
      <ol [attr.aria-label]="texts.ingredients">
        @for (ingredient of ingredients(); track ingredient.id; let i = $index) {
          <li>
            <span>{{ shortName(ingredient.name) }}</span>
            <app-number-field
              [label]="texts.partsOf + (ingredient | thing) + texts.ifGiven"
              within="typedParts"
              [value]="parts()[ingredient.id]"
              (valueChange)="tell(ingredient.id, $event)"
            />
            <button type="button" class="press square" (click)="drop(ingredient.id)">
              <i class="bi bi-x-lg" aria-hidden="true"></i
              ><span class="visually-hidden">{{ texts.remove(ingredient.name) }}</span>
            </button>
          </li>
        }
      </ol>
    }
    <div class="fields">
      <app-number-list [asked]="asked" [values]="figures()" (typed)="type($event)" />
    </div>
    @if (made(); as it) {
      @if ('why' in it) {
        <p class="wrong" role="alert">{{ texts.notPossible(it.why) }}</p>
      } @else {
        <app-judged-alone [row]="it.row" />
      }
    }
    @if (keeper.problem()) {
      <p class="wrong" role="alert">{{ keeper.problem() }}</p>
    }
    <button type="button" class="press" [disabled]="!ready()" (click)="keep()">{{ common.save }}</button>
  `,
  styles: `
    ol {
      margin: 8px 0;
      padding-left: 24px;
    }
    li {
      max-width: 620px;
      padding: 4px 0;
    }
    li,
    li::marker {
      font-weight: 650;
    }
    li > * {
      display: inline-block;
      margin-right: 16px;
      vertical-align: middle;
    }
    li > span {
      min-width: 170px;
    }
  `,
  imports: [ThingPipe, ChoiceField, JudgedAlone, NumberField, NumberList, TextField],
})
export class BagForm {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  private readonly library = inject(LibraryService);
  protected readonly keeper = ownKeeper();
  protected readonly asked = asked;
  protected readonly shortName = shortName;
  protected readonly name = signal('');
  protected readonly taken = signal<readonly string[]>([]);
  protected readonly parts = signal<Readonly<Record<string, number | undefined>>>({});
  protected readonly figures = signal<Partial<Record<Printed, number | undefined>>>({});

  protected readonly ingredients = computed(() =>
    this.taken().flatMap((id) => this.library.library()?.materials.get(id) ?? []),
  );
  protected readonly choices = computed(() =>
    [...(this.library.library()?.materials.values() ?? [])]
      .filter(({ id }) => !this.taken().includes(id))
      .map(({ id, name }) => ({ id, name: shortName(name) })),
  );
  protected readonly made = computed((): { row: MaterialRow } | { why: string } | null => {
    const ingredients = this.ingredients();
    if (ingredients.length === 0) return null;
    const result = ingredients.map(({ id }) => this.parts()[id]);
    const whole = result.every((n) => n !== undefined);
    const bag: Bag = {
      ...{ id: 'own-bag', name: this.name().trim() || texts.theBag, ingredients, ...this.figures() },
      ...(whole && { parts: result }),
    };
    return this.reader.attempt(() => ({ row: bagAsMaterial(bag) }));
  });
  protected readonly ready = computed(() => {
    const made = this.made();
    return this.name().trim() !== '' && made !== null && 'row' in made;
  });

  protected take(id: string | null): void {
    if (id) this.taken.update((all) => [...all, id]);
  }

  protected drop(id: string): void {
    this.taken.update((all) => all.filter((each) => each !== id));
  }

  protected tell(id: string, parts: number | undefined): void {
    this.parts.update((all) => ({ ...all, [id]: parts }));
  }

  protected type([name, value]: [Printed, number | undefined]): void {
    this.figures.update((figures) => ({ ...figures, [name]: value }));
  }

  protected keep(): void {
    const made = this.made();
    if (!made || !('row' in made)) return;
    this.keeper.keep(null, texts.yoursByItsBag, made.row, () => {
      this.name.set('');
      this.taken.set([]);
      this.parts.set({});
      this.figures.set({});
    });
  }
}
