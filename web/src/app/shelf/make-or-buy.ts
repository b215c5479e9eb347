import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReaderHere } from '../data/reader-here';
import { vesselCost } from '#core/package/bill';
import { makeOrBuy } from '#core/package/make-or-buy';
import { type PackageUnit, packageUnits } from '#core/package/package';
import { yearLitres } from '#core/package/stock';
import { litresIn } from '#core/units/factors';
import { InTheShed } from '../bench/in-the-shed';
import { RecipeStore } from '../bench/recipe-store';
import { kept } from '../data/kept';
import { LibraryService } from '../data/library';
import { Money } from '../data/money';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { stockAmount } from '../ui/words/stock-amount';
import { packageUnitOf, packageUnitsOf } from '../ui/words/package-units';
import { shortName } from '../ui/words/words';
import { makeOrBuy as texts } from '#words/en/places/shelf/make-or-buy';
import { common } from '#words/en/places/common';
import { YearMade } from './year-made';
import { TitlePipe } from '../ui/words/title';

type Figure = 'minutes' | 'perHour' | 'outlay' | 'volume' | 'price' | 'batches' | 'weeks' | 'litres';
type Figures = Partial<Record<Figure, number | undefined>>;
const asked: Asked<Figure>[] = [
  { name: 'volume', label: texts.aBagOfTheBought, within: 'packageVolume' },
  { name: 'price', label: texts.itCosts, within: 'price' },
  { name: 'minutes', label: texts.minutesToMakeABatch, within: 'labourMinutes' },
  { name: 'perHour', label: texts.anHourCosts, within: 'money' },
  { name: 'outlay', label: texts.toBuyFirstMixerScreen, within: 'money' },
];
const year: Asked<Figure>[] = [
  { name: 'litres', label: texts.aBatch, unit: 'L', within: 'batchLitres' },
  { name: 'batches', label: texts.batchesAWeek, within: [0.1, 1000] },
  { name: 'weeks', label: texts.weeksAYear, within: [1, 53] },
];

/** Making the mix at hand against buying it; a year of it; cells against blocks. */
@Component({
  selector: 'app-make-or-buy',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">
      {{ texts.forTheOpenRecipeWith }}
    </p>
    <div class="fields">
      <app-number-list [asked]="asked" [values]="figures()" (typed)="type($event)" />
      <app-choice-field
        [label]="texts.bagSizeIn"
        [choices]="bagUnits()"
        [value]="unit()"
        (valueChange)="chosen.set($event)"
      />
    </div>
    @if (shed.bill().unpriced.length > 0) {
      <p class="remark warn">
        {{ texts.noPriceYetForIt(unpriced()) }}
      </p>
    }
    @if (verdict(); as it) {
      <p class="verdict" role="status">
        <b>{{ it.headline }}</b>
      </p>
      <dl>
        @for (row of it.rows; track row.name) {
          <div>
            <dt>{{ row.name }}</dt>
            <dd>{{ row.value }}</dd>
          </div>
        }
      </dl>
      @if (it.quarts) {
        <p class="term">{{ it.quarts }}</p>
      }
    }
    <app-year-made [bag]="bag()" [labour]="labour()" [paidFirst]="figures().outlay" />
    <section aria-labelledby="year">
      <h2 id="year">{{ texts.aYearOfIt }}</h2>
      <div class="fields">
        <app-number-list [asked]="year" [values]="figures()" (typed)="type($event)" />
      </div>
      @if (ofYear(); as words) {
        <p role="status">{{ words }}</p>
        @if (yearRows(); as rows) {
          <dl>
            @for (row of rows; track row.name) {
              <div>
                <dt>{{ row.name }}</dt>
                <dd>{{ row.value }}</dd>
              </div>
            }
          </dl>
        }
        <div class="wide" role="group" [attr.aria-label]="texts.whatAYearTakes" tabindex="0">
          <table>
            <caption class="visually-hidden">
              {{
                texts.whatAYearTakes
              }}
            </caption>
            <thead>
              <tr>
                <th scope="col">{{ texts.ofIt }}</th>
                <th scope="col">{{ texts.aYear }}</th>
                <th scope="col">{{ texts.money }}</th>
              </tr>
            </thead>
            <tbody>
              @for (row of bulk(); track row.item) {
                <tr>
                  <th scope="row">{{ row.name }}</th>
                  <td>{{ row.amount }}</td>
                  <td>{{ row.money }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="term">{{ texts.theMostCostlyFirstWhat }}</p>
      }
    </section>
    <section aria-labelledby="cells">
      <h2 id="cells">{{ texts.aHundredPlantsByWhat }}</h2>
      <div class="wide" role="group" [attr.aria-label]="texts.byVessel" tabindex="0">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ common.vessel }}</th>
              <th scope="col">{{ common.mix }}</th>
              <th scope="col">{{ texts.mixMoney }}</th>
              <th scope="col">{{ texts.vesselMoney }}</th>
              <th scope="col">{{ texts.minutes }}</th>
              <th scope="col">{{ texts.timeMoney }}</th>
              <th scope="col">{{ texts.bench(metric() ? 'm²' : texts.ft) }}</th>
            </tr>
          </thead>
          <tbody>
            @for (row of vessels(); track row.id) {
              <tr>
                <th scope="row">{{ row.name | title }}</th>
                <td>{{ row.mix }}</td>
                <td>{{ row.mixMoney }}</td>
                <td>{{ row.vesselMoney }}</td>
                <td>{{ row.minutes }}</td>
                <td>{{ row.labour }}</td>
                <td>{{ row.bench }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="term">
        {{ texts.priceUsesMinutesAndPlace }}
      </p>
    </section>
  `,
  styles: `
    .fields {
      margin: 8px 0;
    }
    .verdict {
      margin: 12px 0 4px;
      font-size: var(--head);
    }
    dl {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 32px;
      margin: 6px 0;
    }
    dt {
      color: var(--muted);
      font-size: var(--note);
      font-weight: 400;
    }
    dd {
      margin: 0;
      font-size: var(--lead);
      font-weight: 650;
    }
    .wide {
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
    }
    th,
    td {
      padding: 8px 24px 8px 0;
      border-bottom: 1px solid var(--hairline);
      text-align: left;
      white-space: nowrap;
    }
    @media (max-width: 600px) {
      th,
      td {
        padding-right: 14px;
      }
      th[scope='row'] {
        min-width: 110px;
        white-space: normal;
      }
    }
    td {
      text-align: right;
    }
    thead th {
      color: var(--muted);
      font-size: var(--note);
      font-weight: 400;
    }
  `,
  imports: [TitlePipe, ChoiceField, NumberList, YearMade],
})
export class MakeOrBuyPage {
  protected readonly reader = inject(ReaderHere);
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly shed = inject(InTheShed);
  private readonly store = inject(RecipeStore);
  private readonly library = inject(LibraryService).library;
  private readonly money = inject(Money);
  private readonly system = inject(Units).system;
  protected readonly asked = asked;
  protected readonly year = year;
  private readonly typed = kept<Figures>('make-or-buy', {}, (stored) =>
    stored && typeof stored === 'object' ? stored : undefined,
  );
  protected readonly figures = computed((): Figures => ({
    ...{ volume: 40, batches: 1, weeks: 20, litres: Number(this.store.litres().toFixed(1)) },
    ...this.typed.value(),
  }));
  protected readonly chosen = signal<string | null>(null);
  protected readonly bagUnits = computed(() => packageUnitsOf(this.system()));
  protected readonly unit = computed(() => packageUnitOf(this.system(), this.chosen()));
  protected readonly metric = computed(() => this.system() === 'metric');
  protected readonly unpriced = computed(() =>
    this.shed
      .bill()
      .unpriced.map((item) => this.reader.formats().name({ id: item, name: this.shed.nameOf(item) }))
      .join(', '),
  );

  protected readonly labour = computed(() => {
    const { minutes = 0, perHour = 0 } = this.figures();
    return { minutes, perHour };
  });
  protected readonly bag = computed(() => this.bagOf(this.unit()));
  private bagOf(unit: PackageUnit): { litres: number; price: number } | null {
    const { volume, price } = this.figures();
    return volume === undefined || price === undefined
      ? null
      : { litres: volume * packageUnits[unit], price };
  }

  protected readonly verdict = computed(() => {
    const { outlay } = this.figures();
    const bill = this.shed.bill();
    if (this.bag() === null || bill.lines.length === 0) return null;
    const unit = this.unit();
    const litres = this.store.litres();
    const of = (which: PackageUnit) =>
      makeOrBuy({
        litres,
        ingredients: [{ litres, pricePerL: bill.perLitre }],
        doses: [],
        labour: this.labour(),
        ...(outlay !== undefined && { outlay }),
        bought: this.bagOf(which)!,
      });
    const it = of(unit);
    const say = (amount: number): string => this.money.say(amount);
    const other = unit === 'dryQuart' ? 'liquidQuart' : unit === 'liquidQuart' ? 'dryQuart' : null;
    return {
      headline:
        it.saved > 0 ? texts.makingItSavesOnThis(say(it.saved)) : texts.buyingItSavesOnThis(say(-it.saved)),
      rows: [
        { name: texts.made, value: say(it.costMade) },
        { name: texts.bought, value: texts.boughtFor(say(it.costBought), it.bags) },
        { name: texts.madeA(this.metric() ? 'litre' : 'gallon'), value: say(it.costPerL * this.per()) },
        ...(it.breakEvenLitres === null
          ? []
          : [
              {
                name: texts.whatIsBoughtFirstIs,
                value: stockAmount('material', it.breakEvenLitres, this.system()),
              },
            ]),
      ],
      quarts: other ? texts.ifTheBagMeansQuarts(other === 'dryQuart' ? 'dry' : 'liquid', of(other).bags) : '',
    };
  });
  protected readonly ofYear = computed(() => {
    const { litres, batches, weeks } = this.figures();
    if (litres === undefined || batches === undefined || weeks === undefined) return '';
    const whole = yearLitres(litres, batches, weeks);
    const yards = whole / litresIn.cubicYard;
    const amount = this.metric() ? `${(whole / 1000).toFixed(1)} m³` : texts.yd(yards.toFixed(1));
    return texts.ofMixAYearOf(amount, this.money.say(whole * this.shed.bill().perLitre));
  });
  /** A year of it made, labour and all, against bags; null without a bag. */
  protected readonly yearRows = computed(() => {
    const { litres = 0, batches = 0, weeks = 0, outlay } = this.figures();
    const { minutes, perHour } = this.labour();
    const [whole, bag, bill] = [yearLitres(litres, batches, weeks), this.bag(), this.shed.bill()];
    if (bag === null || !(whole > 0)) return null;
    const it = makeOrBuy({
      litres: whole,
      ingredients: [{ litres: whole, pricePerL: bill.perLitre }],
      doses: [],
      labour: { minutes: minutes * batches * weeks, perHour },
      ...(outlay !== undefined && { outlay }),
      bought: bag,
    });
    const say = (amount: number): string => this.money.say(amount);
    const labour = (minutes * batches * weeks * perHour) / 60;
    const gain = it.saved - (outlay ?? 0);
    return [
      { name: texts.bought, value: texts.boughtFor(say(it.costBought), it.bags) },
      { name: texts.made, value: say(it.costMade) },
      { name: texts.labourInIt, value: say(labour) },
      gain >= 0
        ? { name: texts.savedAYear, value: say(gain) }
        : { name: texts.dearerAYear, value: say(-gain) },
      ...(it.breakEvenLitres === null
        ? []
        : [
            {
              name: texts.whatIsBoughtFirstIs,
              value: texts.paidAfter(
                stockAmount('material', it.breakEvenLitres, this.system()),
                Math.ceil(it.breakEvenLitres / litres),
              ),
            },
          ]),
    ];
  });
  protected readonly bulk = computed(() => {
    const { litres = 0, batches = 0, weeks = 0 } = this.figures();
    const whole = yearLitres(litres, batches, weeks);
    const money = new Map(this.shed.bill().lines.map((line) => [line.item, line.perLitre * whole]));
    return this.shed
      .takes()
      .map(({ item, perLitre }) => ({
        item,
        worth: money.get(item) ?? -1,
        name: shortName(this.shed.nameOf(item)),
        amount: stockAmount(this.shed.kindOf(item), perLitre * whole, this.system()),
        money: money.has(item) ? this.money.say(money.get(item)!) : '–',
      }))
      .sort((a, b) => b.worth - a.worth);
  });
  protected readonly vessels = computed(() => {
    const bill = this.shed.bill();
    const price = bill.lines.length > 0 ? bill.perLitre : null;
    const own = this.library()?.own;
    const or = (value: number | null, say: (n: number) => string): string =>
      value === null ? '–' : say(value);
    return [...(this.library()?.vessels.values() ?? [])]
      .sort((a, b) => Number(own?.has(b.id)) - Number(own?.has(a.id)))
      .map((kind) => {
        const cost = vesselCost(kind, price, this.figures().perHour);
        return {
          ...{ id: kind.id, name: kind.name },
          mix: stockAmount('material', cost.mixL, this.system()),
          mixMoney: or(cost.mixMoney, (n) => this.money.say(n)),
          vesselMoney: or(cost.vesselMoney, (n) => this.money.say(n)),
          minutes: or(cost.minutes, (n) => n.toFixed(0)),
          labour: or(cost.labourMoney, (n) => this.money.say(n)),
          bench: or(cost.benchM2, (n) => (this.metric() ? n : n * 10.7639).toFixed(2)),
        };
      });
  });
  private per(): number {
    return this.metric() ? 1 : litresIn.gallon;
  }

  protected type([name, value]: [Figure, number | undefined]): void {
    this.typed.set({ ...this.typed.value(), [name]: value });
  }
}
