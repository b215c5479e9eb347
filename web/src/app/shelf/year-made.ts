import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { yearBill } from '#core/package/year';
import { yearMade as texts } from '#words/en/places/shelf/year-made';
import { BatchesService } from '../data/batches';
import { Money } from '../data/money';
import { Resource } from '../data/resource';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { Segments } from '../ui/fields/segments';
import { stockAmount } from '../ui/words/stock-amount';

/** Of the newest years. */
const YEARS = 5;

/** What the batches of a year took and cost, by recipe, against the same bought in bags. */
@Component({
  selector: 'app-year-made',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="year-made">
      <h2 id="year-made">{{ texts.title }}</h2>
      @if (years().length > 1) {
        <app-segments
          [label]="texts.which"
          [choices]="years()"
          [value]="year()"
          (valueChange)="choose($event)"
        />
      }
      <app-fetch-state [of]="made" [what]="texts.theYear" />
      @if (made.value()) {
        @if (rows().length === 0) {
          <p>{{ texts.nothingYet(year()) }}</p>
        } @else {
          <p class="said" role="status">
            @if (verdict(); as words) {
              <b>{{ words }}</b>
            } @else {
              {{ texts.askTheBag }}
            }
          </p>
          @if (outlay(); as words) {
            <p>{{ words }}</p>
          }
          <div class="wide" role="group" [attr.aria-label]="texts.byRecipe" tabindex="0">
            <table>
              <caption class="visually-hidden">
                {{
                  texts.byRecipe
                }}
              </caption>
              <thead>
                <tr>
                  <th scope="col">{{ texts.recipe }}</th>
                  <th scope="col">{{ texts.made }}</th>
                  <th scope="col">{{ texts.bought }}</th>
                  <th scope="col">{{ texts.saved }}</th>
                </tr>
              </thead>
              <tbody>
                @for (row of rows(); track row.id) {
                  <tr>
                    <th scope="row">
                      {{ row.name }}
                      <span class="term">{{ row.much }}</span>
                    </th>
                    <td>{{ row.made }}</td>
                    <td>
                      {{ row.bought }}<span class="term">{{ row.bags }}</span>
                    </td>
                    <td>
                      {{ row.saved }}<span class="term">{{ row.perBatch }}</span>
                    </td>
                  </tr>
                }
                @if (whole(); as sum) {
                  <tr class="sum">
                    <th scope="row">{{ texts.inAll }}</th>
                    <td>{{ sum.made }}</td>
                    <td>{{ sum.bought }}</td>
                    <td>{{ sum.saved }}</td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
          @for (words of remarks(); track words) {
            <p class="term">{{ words }}</p>
          }
        }
      }
    </section>
  `,
  styles: `
    .said {
      font-size: var(--lead);
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
      text-align: right;
      vertical-align: top;
      white-space: nowrap;
    }
    th:first-child {
      min-width: 130px;
      text-align: left;
      white-space: normal;
    }
    .term {
      display: block;
      margin: 0;
    }
    th .term {
      font-weight: 400;
    }
    thead th {
      color: var(--muted);
      font-size: var(--note);
      font-weight: 400;
    }
    .sum > * {
      font-weight: 650;
    }
    @media (max-width: 600px) {
      th,
      td {
        padding-right: 14px;
      }
    }
  `,
  imports: [FetchState, Segments],
})
export class YearMade {
  protected readonly texts = texts;
  private readonly batches = inject(BatchesService);
  private readonly money = inject(Money);
  private readonly system = inject(Units).system;

  /** A bag of what could be bought; null while it is not typed. */
  readonly bag = input.required<{ litres: number; price: number } | null>();
  readonly labour = input.required<{ minutes: number; perHour: number }>();
  /** Bought first: mixer, screens. */
  readonly paidFirst = input<number>();

  private readonly chosen = signal<string | undefined>(undefined);
  protected readonly made = new Resource(() => this.batches.madeIn(this.chosen()));
  protected readonly year = computed(() => this.made.value()?.year ?? '');
  protected readonly years = computed(() => {
    const { years, year } = this.made.value() ?? {};
    if (!years || !year) return [];
    const [from, to] = [Number(years.from), Math.max(Number(years.to), Number(year))];
    const first = Math.max(from, to - YEARS + 1);
    return Array.from({ length: to - first + 1 }, (_, i) => String(first + i)).map((id) => ({
      id,
      name: id,
    }));
  });

  private readonly mixes = computed(() => this.made.value()?.mixes ?? []);
  private readonly bill = computed(() => {
    const bought = this.bag();
    const outlay = this.paidFirst();
    return bought === null
      ? null
      : yearBill(this.mixes(), {
          labour: this.labour(),
          ...(outlay !== undefined && { outlay }),
          bought,
        });
  });
  protected readonly rows = computed(() => {
    const bill = this.bill();
    const say = (amount: number | undefined): string => (amount === undefined ? '–' : this.money.say(amount));
    return this.mixes().map(({ mixId, mixName, batches, litres }, i) => {
      const row = bill?.rows[i];
      return {
        id: mixId,
        name: mixName ?? texts.ofNoRecipe,
        much: texts.batches(batches, this.litres(litres)),
        made: say(row?.costMade),
        bought: say(row?.costBought),
        bags: row ? texts.bags(row.bags) : '',
        saved: say(row?.saved),
        perBatch: row && batches > 1 ? texts.aBatch(say(row.savedPerBatch)) : '',
      };
    });
  });
  /** Nothing to sum where no recipe has a price. */
  private readonly summed = computed(() => {
    const bill = this.bill();
    return bill?.rows.some((row) => row !== null) ? bill : null;
  });
  protected readonly whole = computed(() => {
    const bill = this.summed();
    const say = (amount: number): string => this.money.say(amount);
    return bill && { made: say(bill.costMade), bought: say(bill.costBought), saved: say(bill.saved) };
  });
  protected readonly verdict = computed(() => {
    const bill = this.summed();
    if (!bill) return '';
    const litres = this.mixes().reduce((sum, each) => sum + each.litres, 0);
    const say = bill.saved >= 0 ? texts.making : texts.buying;
    return say(this.year(), this.litres(litres), this.money.say(Math.abs(bill.saved)));
  });
  protected readonly outlay = computed(() => {
    const bill = this.summed();
    if (!bill || !this.paidFirst()) return '';
    const left = bill.savedAfterOutlay;
    return left >= 0 ? texts.outlayBack(this.money.say(left)) : texts.outlayNotYet(this.money.say(-left));
  });
  protected readonly remarks = computed(() => {
    const count = (of: 'unpriced' | 'priceOfToday'): number =>
      this.mixes().reduce((sum, each) => sum + each[of], 0);
    const [today, unpriced] = [count('priceOfToday'), count('unpriced')];
    return [
      ...(today > 0 ? [texts.todaysPrices(today)] : []),
      ...(unpriced > 0 ? [texts.unpriced(unpriced)] : []),
    ];
  });

  private litres(amount: number): string {
    return stockAmount('material', amount, this.system());
  }

  protected choose(year: string): void {
    this.chosen.set(year);
    this.made.refresh();
  }
}
