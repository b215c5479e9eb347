import { dateIn, dayFrom } from '#words/days';
import { lastBought, packsFor } from '#core/package/packs';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type ToBuy } from '#core/season/demand';
import { sendFor } from '#core/package/rest';
import { LibraryService } from '../data/library';
import { type Lot, LotsService } from '../data/lots';
import { Money } from '../data/money';
import { Notices } from '../data/notices';
import { OrdersService } from '../data/orders';
import { SeasonService } from '../data/season';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { Fold } from '../ui/fold';
import { ChangeOverPiece } from './change-over';
import { SeasonView } from './season-view';
import { buyPage as texts } from '#words/en/places/season/buy-page';
import { changeOver as overTexts } from '#words/en/places/season/change-over';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';
import { TitlePipe } from '../ui/words/title';
import { ReaderHere } from '../data/reader-here';
import { NurseryService } from '../data/nursery';

/** Rounding of amounts. */
const NOTHING = 1e-6;

/** What the season takes against what is in the shed: what must be there by when, in the packages in which it came, by month. */
@Component({
  selector: 'app-buy-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.plan" [what]="common.theSeason" />
    <p class="lead">
      {{ texts.allThatSowingsPotUps }}
    </p>
    @if (ordered().length > 0) {
      <section [attr.aria-label]="texts.ordered">
        <h2>{{ texts.ordered }}</h2>
        <ul class="plain">
          @for (row of ordered(); track row.id) {
            <li>
              <b>{{ row.name | title }}</b>
              <span
                >{{ row.amount }} <span class="term">{{ texts.orderedOn(row.on | day) }}</span></span
              >
              <span class="acts">
                <button type="button" class="press next" (click)="came(row)">
                  {{ texts.came }}<span class="visually-hidden">: {{ row.name }}</span>
                </button>
                <button type="button" class="press quiet" (click)="takeBack(row)">
                  {{ texts.notOrdered }}<span class="visually-hidden">: {{ row.name }}</span>
                </button>
              </span>
            </li>
          }
        </ul>
      </section>
    }
    @for (month of months(); track month.name) {
      <section [attr.aria-label]="month.name">
        <h2>{{ month.name }}</h2>
        <ul class="plain">
          @for (row of month.rows; track row.kind + row.item) {
            <li>
              <b>{{ row.name | title }}</b>
              <span>
                {{ row.packs }}
                <span class="term">{{ texts.byNeeded(row.by, row.needed, row.left) }}</span>
                @if (row.send) {
                  <span class="term">{{ row.send }}</span>
                }
              </span>
              @if (row.kind === 'material') {
                <details appFold #over="appFold">
                  <summary>{{ overTexts.changeOver }}</summary>
                  @if (over.opened()) {
                    <app-change-over [material]="row.item" [left]="row.leftL" />
                  }
                </details>
              }
              <span class="acts">
                <button type="button" class="press" (click)="order(row)">
                  {{ texts.ordered }}<span class="visually-hidden">: {{ row.name }}</span>
                </button>
              </span>
            </li>
          }
        </ul>
        @if (month.price) {
          <p class="term">{{ texts.about(month.price) }}</p>
        }
      </section>
    } @empty {
      @if (view.toBuy()) {
        <p>{{ texts.nothingIsMissingForWhat }}</p>
      }
    }
    @if (uncounted().length > 0) {
      <section [attr.aria-label]="texts.countFirst">
        <h2>{{ texts.countFirst }}</h2>
        <p class="term">{{ texts.nobodyCounted }}</p>
        <ul class="plain">
          @for (row of uncounted(); track row.kind + row.item) {
            <li>
              <b>{{ row.name | title }}</b>
              <span class="term">{{ texts.neededBy(row.needed, row.by) }}</span>
            </li>
          }
        </ul>
      </section>
    }
    @if (enough(); as rows) {
      @if (rows.length > 0) {
        <details>
          <summary>{{ texts.whatLasts(rows.length) }}</summary>
          <ul class="plain">
            @for (row of rows; track row.kind + row.item) {
              <li>
                <b>{{ row.name | title }}</b>
                <span>{{ texts.needed(row.needed, row.left) }}</span>
              </li>
            }
          </ul>
        </details>
      }
    }
    <p>
      <a routerLink="/shelf/lots">{{ texts.deliveriesAndStockEnterWhat }}</a>
    </p>
  `,
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 280px) minmax(0, 1fr) auto;
      align-items: center;
      gap: 4px 16px;
      padding: 6px 0;
      border-bottom: 1px solid var(--hairline);
    }
    li details {
      grid-column: 1 / -1;
      order: 1;
    }
    .acts {
      display: flex;
      gap: 8px;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink);
    }
    @media (max-width: 600px) {
      li {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  imports: [ChangeOverPiece, Fold, DayPipe, FetchState, RouterLink, TitlePipe],
})
export class BuyPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly overTexts = overTexts;
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  protected readonly service = inject(SeasonService);
  protected readonly view = inject(SeasonView);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  private readonly lots = inject(LotsService);
  private readonly orders = inject(OrdersService);
  private readonly money = inject(Money);
  private readonly notices = inject(Notices);

  private readonly toBuy = computed(() => this.view.toBuy() ?? []);
  private readonly onTheWay = computed(() => {
    const sums = new Map<string, number>();
    for (const { kind, item, amount } of this.orders.all.value() ?? []) {
      const key = `${kind} ${item}`;
      sums.set(key, (sums.get(key) ?? 0) + amount);
    }
    return sums;
  });
  /** By the month in which it must be there; what is on its way is counted. */
  protected readonly months = computed(() => {
    const months = new Map<string, ReturnType<BuyPage['row']>[]>();
    for (const each of this.toBuy()) {
      if (each.by === null || each.left === null) continue;
      const short = each.short - (this.onTheWay().get(`${each.kind} ${each.item}`) ?? 0);
      if (short <= NOTHING) continue;
      const name = dateIn(each.by, 'monthYear', this.reader.now().language);
      months.set(name, [...(months.get(name) ?? []), this.row({ ...each, short })]);
    }
    return [...months].map(([name, rows]) => {
      const price = rows.reduce((sum, row) => sum + (row.price ?? 0), 0);
      return { name, rows, price: price > 0 ? this.money.say(price) : '' };
    });
  });
  /** What nobody counted is counted before it is bought. */
  protected readonly uncounted = computed(() =>
    this.toBuy()
      .filter(({ by, left }) => by !== null && left === null)
      .map((each) => this.row(each)),
  );
  protected readonly ordered = computed(() =>
    (this.orders.all.value() ?? []).map((order) => ({
      ...order,
      name: this.nameOf(order.kind, order.item),
      amount: this.packed(order.kind, order.item, order.amount),
      litres: order.amount,
    })),
  );
  protected readonly enough = computed(() =>
    (this.view.toBuy() ?? []).filter((toBuy) => toBuy.by === null).map((toBuy) => this.row(toBuy)),
  );

  protected order({ kind, item, buys, name }: ReturnType<BuyPage['row']>): void {
    this.orders.add({ kind, item, amount: buys, on: this.nursery.today() }).subscribe({
      next: ({ id }) => this.notices.undoable(texts.isOrdered(name), () => this.orders.putAway(id)),
      error: (error: Error) => this.notices.say(error.message),
    });
  }

  protected takeBack({ id, name }: { id: number; name: string }): void {
    this.orders.putAway(id).subscribe({
      next: () => this.notices.undoable(texts.isNotOrdered(name), () => this.orders.bringBack(id)),
      error: (error: Error) => this.notices.say(error.message),
    });
  }

  /** It came: that is the delivery, with its package and its last price. */
  protected came({ id, kind, item, litres, name }: ReturnType<BuyPage['ordered']>[number]): void {
    const last = lastBought(this.lotsOf(kind, item));
    const today = this.nursery.today();
    const packs = last && packsFor(litres, last.pack.amount);
    this.lots
      .add({
        ...{ kind, item, name: texts.delivery(dateIn(today, 'dated', this.reader.now().language)) },
        ...{ receivedOn: today, quantity: litres, order: id },
        ...(last && { pack: last.pack }),
        ...(last?.price != null && packs !== null && { price: Math.round(100 * last.price * packs) / 100 }),
      })
      .subscribe({
        next: () => {
          this.orders.all.refresh();
          this.notices.say(texts.isThere(name));
        },
        error: (error: Error) => this.notices.say(error.message),
      });
  }

  private lotsOf(kind: ToBuy['kind'], item: string): readonly Lot[] {
    const called = item.toLowerCase();
    return (this.lots.all.value() ?? []).filter(
      (lot) =>
        lot.kind === kind &&
        (kind === 'seed' ? lot.item.toLowerCase().startsWith(called) : lot.item === item),
    );
  }

  private nameOf(kind: ToBuy['kind'], item: string): string {
    const library = this.library();
    if (kind === 'seed') return texts.seedOf(item);
    const found =
      kind === 'vessel'
        ? library?.vessels.get(item)
        : (library?.materials.get(item) ?? library?.amendments.get(item));
    return found ? shortName(found.name) : item;
  }

  /** "4 bales of 120 L"; the amount alone where it never came. */
  private packed(kind: ToBuy['kind'], item: string, amount: number): string {
    const last = lastBought(this.lotsOf(kind, item));
    if (!last) return this.amountOf(kind, item, amount);
    const count = packsFor(amount, last.pack.amount);
    return texts.packs(count, last.pack.kind, this.amountOf(kind, item, last.pack.amount));
  }

  private amountOf(kind: ToBuy['kind'], item: string, of: number): string {
    const perTray = kind === 'vessel' ? (this.library()?.vessels.get(item)?.perTray ?? 1) : 1;
    return perTray > 1
      ? texts.cells(Math.ceil(of / perTray), Math.ceil(of))
      : stockAmount(kind, Math.ceil(of * 100) / 100, this.units.system());
  }

  private row({ kind, item, needed, left, short, by }: ToBuy) {
    const last = lastBought(this.lotsOf(kind, item));
    const packs = last && short > 0 ? packsFor(short, last.pack.amount) : 0;
    const price = last?.price != null ? last.price * packs : null;
    const bought = this.packed(kind, item, short);
    const send =
      by === null || kind !== 'material'
        ? null
        : sendFor(by, this.library()?.materials.get(item), this.lotsOf(kind, item));
    const day = (on: string): string =>
      dayFrom(on, this.nursery.today(), this.reader.now().language, 'short');
    return {
      ...{ kind, item, needed: this.amountOf(kind, item, needed), price },
      packs: price === null ? bought : texts.forPrice(bought, this.money.say(price)),
      /** What is ordered: whole packages. */
      buys: last ? packs * last.pack.amount : short,
      name: this.nameOf(kind, item),
      leftL: Math.max(0, left ?? 0),
      left: left === null ? common.notCounted : texts.there(this.amountOf(kind, item, Math.max(0, left))),
      by: by === null ? '' : day(by),
      send: send ? texts.sendFor(day(send.on), send.days) : '',
    };
  }
}
