import { ThingPipe } from '../ui/words/thing';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type Amendment, type AmendmentKind, limingPct } from '#core/material/amendment';
import { feedLine } from '#core/material/feed-line';
import { type BlendPart, dryBlend } from '#core/material/dry-blend';
import {
  type LabelFigure,
  NO_PRODUCT,
  printedPct,
  productByLabel,
  type ProductLabel,
} from '#core/material/product-by-label';
import { litresIn } from '#core/units/factors';
import { showQuantity } from '#core/units/said';
import { concatMap, from, map } from 'rxjs';
import { LibraryService } from '../data/library';
import { Units } from '../data/units';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { TableFiles } from '../ui/table-files';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { calledSo } from '../ui/called-so';
import { cautionWords } from '../ui/words/cautions';
import { shortName } from '../ui/words/words';
import { productList as texts } from '#words/en/places/shelf/product-list';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

type Way = 'label' | 'lines' | 'blend';
const pct = (name: LabelFigure, label: string): Asked<LabelFigure> => ({ name, label, within: 'pctOfParts' });
const analysis: Asked<LabelFigure>[] = [
  ...[pct('nPct', 'N, %'), pct('pPct', 'P, %'), pct('kPct', 'K, %')],
  ...[pct('caPct', 'Ca, %'), pct('mgPct', 'Mg, %'), pct('sPct', 'S, %')],
];
const limed: Asked<LabelFigure>[] = [
  { name: 'ccePct', label: texts.neutralisingValueOfCalciumCarbonate, within: [0, 200] },
  pct('passing2360UmPct', texts.throughA24Mm),
  pct('passing250UmPct', texts.throughA025Mm),
];
const rest: Asked<LabelFigure>[] = [
  { name: 'cupG', label: texts.aLevelCupWeighs, unit: 'g', within: 'sampleG' },
  { name: 'mostYoungGPerL', label: texts.mostForYoungPlantsBy, unit: 'g/L', within: 'doseGPerL' },
  { name: 'mostPottingGPerL', label: texts.mostForPottingByIts, unit: 'g/L', within: 'doseGPerL' },
];
const lasts: Asked<LabelFigure> = {
  name: 'longevityWeeks21C',
  label: texts.lastsWeeksAt21C,
  within: [0, 120],
};
const kinds: { id: AmendmentKind; name: string }[] = [
  { id: 'lime', name: texts.limeOrAshOrShell },
  { id: 'salt', name: texts.dissolvesAtOnce },
  { id: 'coated', name: texts.coatedFeedsSlowly },
  { id: 'organic', name: texts.organicFeedsAsItRots },
  { id: 'mineral', name: texts.slowRockOrMineral },
  { id: 'trace', name: texts.traces },
  { id: 'wetting', name: texts.wettingAgent },
];

/** Feeds, limes and blends: what the library has, and your own by their labels or by cups of others. */
@Component({
  selector: 'app-product-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="library.fetched" [what]="texts.theProducts" />
    <details class="own" [open]="changing() !== null || isNew" aria-labelledby="own-product">
      <summary id="own-product">{{ changing() ? texts.change + name() : common.oneOfYourOwn }}</summary>
      <app-segments [label]="texts.howYouEnterIt" [choices]="ways" [(value)]="way" />
      @if (way() === 'label') {
        <div class="fields">
          <app-text-field [label]="texts.nameOnTheBag" [(value)]="name" />
          <app-choice-field [label]="texts.whatItIs" [choices]="kinds" [(value)]="kind" />
          <app-choice-field [label]="texts.pAndKAreGiven" [choices]="asWhat" [(value)]="oxides" />
          <app-number-list [asked]="fields()" [values]="figures()" (typed)="type($event)" />
        </div>
        <app-tick-field [(checked)]="traces">
          {{ texts.itsLabelNamesTraceElements }}
        </app-tick-field>
        <p class="term">
          {{ texts.whatYouLeaveOutIs(kin() | thing) }}
        </p>
      } @else if (way() === 'lines') {
        <div class="fields">
          <app-choice-field [label]="texts.whatItIs" [choices]="kinds" [(value)]="kind" />
          <app-choice-field [label]="texts.pAndKAreGiven" [choices]="asWhat" [(value)]="oxides" />
        </div>
        <label for="feed-lines">{{ texts.oneALine }}</label>
        <textarea
          #box
          id="feed-lines"
          class="field lines"
          rows="4"
          [value]="lines()"
          (input)="lines.set(box.value)"
        ></textarea>
        <p class="term">{{ texts.lineExample }}</p>
      } @else {
        <div class="fields">
          <app-text-field [label]="common.called" [(value)]="name" />
          <app-choice-field [label]="texts.partsAre" [choices]="measures" [(value)]="by" />
          <app-choice-field
            [label]="texts.nextProduct"
            none="choose"
            [choices]="choices()"
            [value]="null"
            (valueChange)="take($event)"
          />
        </div>
        <ul class="plain parts" [attr.aria-label]="texts.partsOfTheBlend">
          @for (part of parts(); track part.product.id) {
            <li>
              <app-number-field
                [label]="
                  shortName(part.product.name) + ', ' + (by() === 'volume' ? texts.cups : texts.partsByWeight)
                "
                within="typedParts"
                [value]="part.parts"
                (valueChange)="tell(part.product.id, $event)"
              />
              <button type="button" class="press square" (click)="tell(part.product.id, undefined)">
                <i class="bi bi-x-lg" aria-hidden="true"></i
                ><span class="visually-hidden">{{ texts.remove(part.product.name) }}</span>
              </button>
            </li>
          }
        </ul>
      }
      @if (fromLines(); as it) {
        @if ('why' in it) {
          <p class="wrong" role="alert">{{ it.why }}</p>
        } @else {
          <ul class="plain" role="status">
            @for (row of it.rows; track row.name) {
              <li>
                <b>{{ row.name }}</b> <span class="term">{{ analysisOf(row) }}</span>
              </li>
            }
          </ul>
        }
      }
      @if (made(); as it) {
        @if ('why' in it) {
          <p class="wrong" role="alert">{{ texts.notPossible(it.why) }}</p>
        } @else {
          <p role="status">{{ analysisOf(it.row) }}</p>
          @if (it.row.caution) {
            <p class="term">{{ cautions[it.row.caution] }}</p>
          }
        }
      }
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <button type="button" class="press" [disabled]="!ready()" (click)="keep()">{{ common.save }}</button>
      @if (changing()) {
        <button type="button" class="press quiet" (click)="clear()">{{ common.cancel }}</button>
      }
    </details>
    <app-table-files table="products" />
    <ul class="rows listed" [attr.aria-label]="common.fertilisersAndLime">
      @for (product of products(); track product.id) {
        <li>
          <span>
            <b>{{ shortName(product.name) }}</b>
            <span class="term">{{ analysisOf(product) }}</span>
          </span>
          @if (isOwn(product.id)) {
            <button type="button" class="press" (click)="change(product)">
              {{ common.change }}<span class="visually-hidden"> {{ product.name }}</span>
            </button>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    .parts li {
      display: grid;
      grid-template-columns: minmax(0, 320px) auto;
      gap: 12px;
      align-items: end;
      padding: 4px 0;
    }
    label[for='feed-lines'] {
      display: block;
      margin-top: 8px;
    }
    .lines {
      width: 100%;
      max-width: 560px;
    }
    .fields {
      margin: 8px 0;
    }
    .listed {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 320px), 1fr));
      gap: 0 32px;
      margin-top: 20px;
    }
    .listed li {
      display: flex;
      justify-content: space-between;
      gap: 12px;
    }
  `,
  imports: [
    ThingPipe,
    ChoiceField,
    FetchState,
    NumberField,
    NumberList,
    Segments,
    TextField,
    TickField,
    TableFiles,
  ],
})
export class ProductList {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly library = inject(LibraryService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly kinds = kinds;
  protected readonly shortName = shortName;
  protected readonly ways: { id: Way; name: string }[] = [
    { id: 'label', name: texts.byItsLabel },
    { id: 'lines', name: texts.severalInLines },
    { id: 'blend', name: texts.aDryBlend },
  ];
  protected readonly asWhat = [
    { id: 'oxides', name: texts.pOKOMost },
    { id: 'elements', name: texts.pAndKTheElements },
  ];
  protected readonly measures = [
    { id: 'volume', name: texts.cupsAllAlike },
    { id: 'weight', name: 'weighed' },
  ];
  protected readonly cautions = cautionWords;
  protected readonly way = signal<Way>('label');
  protected readonly changing = signal<string | null>(null);
  /** As it was sought where it was not found. */
  protected readonly name = signal(calledSo());
  protected readonly isNew = this.name() !== '';
  protected readonly kind = signal<string | null>('salt');
  protected readonly traces = signal(false);
  protected readonly oxides = signal<string | null>('oxides');
  protected readonly by = signal<string | null>('volume');
  protected readonly figures = signal<Partial<Record<LabelFigure, number | undefined>>>({});
  private readonly entered = signal<ReadonlyMap<string, number>>(new Map());
  protected readonly problem = signal('');

  /** Own ones first. */
  protected readonly products = computed(() =>
    [...(this.library.library()?.amendments.values() ?? [])].sort(
      (a, b) => Number(this.isOwn(b.id)) - Number(this.isOwn(a.id)),
    ),
  );
  protected readonly choices = computed(() =>
    this.products()
      .filter(({ id }) => !this.entered().has(id))
      .map(({ id, name }) => ({ id, name: shortName(name) })),
  );
  protected readonly parts = computed((): BlendPart[] =>
    [...this.entered()].flatMap(([id, parts]) => {
      const product = this.library.library()?.amendments.get(id);
      return product ? [{ product, parts }] : [];
    }),
  );
  /** The nearest of the library: what is not on the label is taken from it. */
  protected readonly kin = computed((): Amendment => {
    const changing = this.products().find(({ id }) => id === this.changing());
    const alike = this.products().filter(({ kind, id }) => kind === this.kind() && !this.isOwn(id));
    return changing ?? alike.find(({ solubilityGPerL }) => solubilityGPerL === 0) ?? alike[0] ?? NO_PRODUCT;
  });
  protected readonly fields = computed(() => [
    ...analysis,
    ...(this.kind() === 'lime' ? limed : []),
    ...(this.kind() === 'coated' ? [lasts] : []),
    ...rest,
  ]);

  protected readonly lines = signal('');
  /** Feeds as they are typed, one a line. */
  protected readonly fromLines = computed((): { rows: Amendment[] } | { why: string } | null => {
    const lines = this.lines()
      .split('\n')
      .filter((text) => text.trim() !== '');
    if (this.way() !== 'lines' || lines.length === 0) return null;
    return this.reader.attempt(() => ({
      rows: lines.map((text) => {
        const { name, ...figures } = feedLine(text);
        const label: ProductLabel = {
          ...{ kind: (this.kind() ?? 'salt') as AmendmentKind, traces: false, figures },
          oxides: this.oxides() === 'oxides',
        };
        return productByLabel({ id: 'own-product', name }, label, this.kin());
      }),
    }));
  });
  protected readonly made = computed((): { row: Amendment } | { why: string } | null => {
    const named = { id: 'own-product', name: this.name().trim() || texts.it };
    if (this.way() === 'lines') return null;
    if (this.way() === 'blend') {
      if (this.parts().length < 2) return null;
      return this.reader.attempt(() => ({
        row: dryBlend(named, this.parts(), this.by() === 'weight' ? 'weight' : 'volume'),
      }));
    }
    const given = this.figures();
    if (Object.values(given).every((value) => value === undefined)) return null;
    const sum = printedPct(given);
    if (sum > 100) return { why: texts.nPKAndCa(sum) };
    const label: ProductLabel = {
      ...{ kind: (this.kind() ?? 'salt') as AmendmentKind, traces: this.traces(), figures: given },
      oxides: this.oxides() === 'oxides',
    };
    return { row: productByLabel(named, label, this.kin(), this.changing() !== null) };
  });
  protected readonly ready = computed(() => {
    const lines = this.fromLines();
    if (this.way() === 'lines') return lines !== null && 'rows' in lines;
    const made = this.made();
    return this.name().trim() !== '' && made !== null && 'row' in made;
  });

  protected isOwn(id: string): boolean {
    return this.library.library()?.own?.has(id) ?? false;
  }

  protected analysisOf(amendment: Amendment): string {
    const n = (value: number): string => String(Number(value.toFixed(1)));
    const more = [
      amendment.caPct > 0 ? `Ca ${n(amendment.caPct)} %` : '',
      amendment.mgPct > 0 ? `Mg ${n(amendment.mgPct)} %` : '',
      amendment.ccePct > 0 ? texts.limesLikeCalciumCarbonate(n(limingPct(amendment))) : '',
      amendment.traces ? texts.withTraces : '',
      amendment.kind === 'coated' ? texts.lastsWeeks(n(amendment.longevityWeeks21C)) : '',
      texts.aLevelCupWeighs2(this.cupOf(amendment)),
    ].filter(Boolean);
    return `${n(amendment.nPct)}-${n(amendment.p2O5Pct)}-${n(amendment.k2OPct)}; ${more.join(', ')}`;
  }

  private cupOf({ bulkDensityGPerMl }: Amendment): string {
    const { text, unit } = showQuantity(
      { massG: bulkDensityGPerMl * 1000 * litresIn.cup },
      this.units.system(),
    );
    return `${text}\u00a0${unit}`;
  }

  protected type([name, value]: [LabelFigure, number | undefined]): void {
    this.figures.update((figures) => ({ ...figures, [name]: value }));
  }

  protected take(id: string | null): void {
    if (id) this.entered.update((all) => new Map(all).set(id, 1));
  }

  protected tell(id: string, parts: number | undefined): void {
    this.entered.update((all) => {
      const next = new Map(all);
      if (parts === undefined) next.delete(id);
      else next.set(id, parts);
      return next;
    });
  }

  protected change(amendment: Amendment): void {
    this.clear();
    this.changing.set(amendment.id);
    this.name.set(amendment.name);
    this.kind.set(amendment.kind);
    this.traces.set(amendment.traces ?? false);
    const { nPct, caPct, mgPct, sPct } = amendment;
    this.figures.set({ nPct, pPct: amendment.p2O5Pct, kPct: amendment.k2OPct, caPct, mgPct, sPct });
  }

  protected clear(): void {
    this.way.set('label');
    this.changing.set(null);
    this.name.set('');
    this.traces.set(false);
    this.figures.set({});
    this.entered.set(new Map());
    this.problem.set('');
  }

  /** One after the other: what was not saved stays in its line. */
  private keepLines(rows: readonly Amendment[]): void {
    this.problem.set('');
    from(rows)
      .pipe(
        concatMap(({ id: _, ...row }) =>
          this.library.keepProduct(null, texts.yoursByItsLabel, row).pipe(map(() => row.name)),
        ),
      )
      .subscribe({
        next: (name) => {
          this.notices.say(texts.isKept(name));
          this.lines.update((text) =>
            text
              .split('\n')
              .filter((each) => each.trim() !== '')
              .slice(1)
              .join('\n'),
          );
        },
        error: (error: Error) => this.problem.set(texts.notKept(error.message)),
      });
  }

  protected keep(): void {
    const lines = this.fromLines();
    if (lines && 'rows' in lines) return this.keepLines(lines.rows);
    const made = this.made();
    if (!made || !('row' in made)) return;
    const { id: _, ...row } = made.row;
    const says = this.way() === 'blend' ? texts.yoursADryBlend : texts.yoursByItsLabel;
    this.problem.set('');
    this.library.keepProduct(this.changing(), says, row).subscribe({
      next: () => {
        this.notices.say(texts.isKept(row.name));
        this.clear();
      },
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }
}
