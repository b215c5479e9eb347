import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { likeLimits, likeThis, type LikeAnswers } from '#core/material/like';
import { type Material, type MaterialRow, materialToRow } from '#core/material/material';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { calledSo } from '../ui/called-so';
import { ownKeeper } from './own-keeper';
import { shortName } from '../ui/words/words';
import { ownMaterial as texts } from '#words/en/places/shelf/own-material';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

type Figure = 'holds' | 'weighs' | Exclude<keyof LikeAnswers, 'living' | 'struckKgPerL'>;
type Figures = Partial<Record<Figure, number | undefined>>;

const asked: Asked<Figure>[] = [
  { name: 'holds', label: texts.aMeasureThatHolds, unit: 'measureL', within: 'measureLitres' },
  { name: 'weighs', label: texts.weighsFullAndStruck, unit: 'kg', within: 'packageKg' },
  { name: 'moisturePct', label: texts.waterInItOfIts, within: likeLimits.moisturePct },
  { name: 'largestMm', label: texts.largestPieceOrItsScreen, unit: 'mm', within: likeLimits.largestMm },
  { name: 'ph', label: 'pH', within: likeLimits.ph },
  { name: 'ec1to5MSPerCm', label: texts.ecOf1PartIn, within: likeLimits.ec1to5MSPerCm },
];

/** "Like this one, but…": a material of the nursery's own from its nearest kin and a few answers. */
@Component({
  selector: 'app-own-material',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="own-head">
      <h2 id="own-head">{{ changing() ? texts.change + name() : common.oneOfYourOwn }}</h2>
      <p class="lead">
        {{ texts.yourHeapABagFrom }}
      </p>
      <div class="fields">
        <app-text-field [label]="common.called" [(value)]="name" />
        <app-choice-field
          [label]="texts.like"
          [none]="texts.chooseTheNearest"
          [choices]="kin()"
          [(value)]="like"
        />
        <app-number-list [asked]="asked" [values]="figures()" (typed)="type($event)" />
      </div>
      <app-tick-field [(checked)]="living">{{ texts.aliveFromAHeapNot }}</app-tick-field>
      @if (living()) {
        <p class="term">
          {{ texts.whatLivesInItMay }}
        </p>
      }
      @if (preview(); as seen) {
        <p class="term" role="status">{{ seen }}</p>
      }
      @if (keeper.problem()) {
        <p class="wrong" role="alert">{{ keeper.problem() }}</p>
      }
      <div class="presses">
        <button type="button" class="press" [disabled]="!ready()" (click)="keep()">{{ common.save }}</button>
        @if (changing()) {
          <button type="button" class="press quiet" (click)="clear()">{{ common.cancel }}</button>
        }
      </div>
      @if (mine().length > 0) {
        <h3>{{ texts.yours }}</h3>
        <ul class="rows">
          @for (each of mine(); track each.id) {
            <li>
              <b>{{ each.name }}</b>
              <button type="button" class="press" (click)="change(each.id)">
                {{ common.change }}<span class="visually-hidden"> {{ each.name }}</span>
              </button>
            </li>
          }
        </ul>
      }
    </section>
  `,
  styles: `
    section {
      margin-top: 24px;
    }
    .presses {
      display: flex;
      gap: 12px;
      margin-top: 8px;
    }
    li {
      display: flex;
      gap: 16px;
      align-items: center;
    }
    li .press {
      margin-left: auto;
    }
  `,
  imports: [ChoiceField, NumberList, TextField, TickField],
})
export class OwnMaterial {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  private readonly library = inject(LibraryService);
  private readonly notices = inject(Notices);
  protected readonly keeper = ownKeeper();
  protected readonly asked = asked;
  protected readonly changing = signal<string | null>(null);
  /** As it was sought where it was not found. */
  protected readonly name = signal(calledSo());
  protected readonly like = signal<string | null>(null);
  protected readonly figures = signal<Figures>({});
  protected readonly living = signal(false);
  /** The one that is changed, as it is without its tests: they would count twice. */
  private readonly book = signal<MaterialRow | null>(null);

  private readonly materials = computed(() => [...(this.library.library()?.materials.values() ?? [])]);
  protected readonly kin = computed(() =>
    this.materials().map(({ id, name }) => ({ id, name: shortName(name) })),
  );
  protected readonly mine = computed(() =>
    this.materials().filter(({ id }) => this.library.library()?.own?.has(id)),
  );
  private readonly answers = computed((): LikeAnswers => {
    const { holds, weighs, ...said } = this.figures();
    return {
      ...said,
      struckKgPerL: holds !== undefined && weighs !== undefined ? weighs / holds : undefined,
      living: this.living(),
    };
  });
  /** The row that it comes to, or why it comes to none. */
  private readonly made = computed((): { row: MaterialRow; kin: Material } | { why: string } | null => {
    const kin = this.library.library()?.materials.get(this.like() ?? '');
    const changing = this.changing();
    const book = this.book();
    if (!kin || (changing !== null && book?.id !== changing)) return null;
    const from = changing === null ? materialToRow(kin) : book!;
    return this.reader.attempt(() => ({
      row: likeThis(from, { id: changing ?? 'own-new', name: this.name().trim() }, this.answers()),
      kin,
    }));
  });
  protected readonly ready = computed(() => {
    const made = this.made();
    return this.name().trim() !== '' && made !== null && 'row' in made;
  });
  protected readonly preview = computed(() => {
    const made = this.made();
    if (!made) return '';
    if ('why' in made) return texts.notPossible(made.why);
    const { row } = made;
    const { density, length } = this.reader.formats();
    return texts.resultPhTimesAsHeavy(
      row.ph,
      density(row.dryBulkDensityGPerL),
      row.waterAt10CmPct.toFixed(0),
      length(row.maxParticleMm),
    );
  });

  protected type([name, value]: [Figure, number | undefined]): void {
    this.figures.update((figures) => ({ ...figures, [name]: value }));
  }

  protected change(id: string): void {
    const material = this.library.library()?.materials.get(id);
    if (!material) return;
    this.clear();
    this.changing.set(id);
    this.like.set(id);
    this.name.set(material.name);
    this.living.set(material.living);
    this.library.bookOf(id).subscribe({
      next: (book) => this.book.set(book),
      error: (error: Error) => this.notices.say(error.message),
    });
  }

  protected clear(): void {
    this.changing.set(null);
    this.name.set('');
    this.like.set(null);
    this.figures.set({});
    this.living.set(false);
    this.keeper.forget();
  }

  protected keep(): void {
    const made = this.made();
    if (!made || !('row' in made)) return;
    const changing = this.changing();
    const says =
      changing === null ? texts.yoursLike(this.reader.formats().name(made.kin)) : texts.yoursAsYouChangedIt;
    this.keeper.keep(changing, says, made.row, () => this.clear());
  }
}
