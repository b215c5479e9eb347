import { dayFrom } from '#words/days';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { dayNumber, isoWeekOf, weekNumber } from '#core/season/days';
import { type ToBuy } from '#core/season/demand';
import { LibraryService } from '../data/library';
import { SeasonService } from '../data/season';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { SeasonView } from './season-view';
import { buyPage as texts } from '#words/en/places/season/buy-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { ReaderHere } from '../data/reader-here';
import { NurseryService } from '../data/nursery';

/** What the season takes against what is in the shed: what must be there by when, soonest first. */
@Component({
  selector: 'app-buy-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.plan" [what]="common.theSeason" />
    <p class="lead">
      {{ texts.allThatSowingsPotUps }}
    </p>
    @for (week of weeks(); track week.name) {
      <section [attr.aria-label]="week.name">
        <h2>{{ week.name }}</h2>
        <ul class="plain">
          @for (row of week.rows; track row.kind + row.item) {
            <li>
              <b>{{ row.name | title }}</b>
              <span>
                {{ texts.toBuy(row.short) }}
                <span class="term">{{ texts.byNeeded(row.by, row.needed, row.left) }}</span>
              </span>
            </li>
          }
        </ul>
      </section>
    } @empty {
      @if (view.toBuy()) {
        <p>{{ texts.nothingIsMissingForWhat }}</p>
      }
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
      grid-template-columns: minmax(0, 320px) minmax(0, 1fr);
      gap: 4px 16px;
      padding: 6px 0;
      border-bottom: 1px solid var(--hairline);
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
  imports: [TitlePipe, FetchState, RouterLink],
})
export class BuyPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  protected readonly service = inject(SeasonService);
  protected readonly view = inject(SeasonView);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);

  protected readonly weeks = computed(() => {
    const weeks = new Map<string, ReturnType<BuyPage['row']>[]>();
    for (const toBuy of this.view.toBuy() ?? []) {
      if (toBuy.by === null) continue;
      const [year, week] = isoWeekOf(weekNumber(dayNumber(toBuy.by))).split('-W');
      const name = texts.week(week, year);
      weeks.set(name, [...(weeks.get(name) ?? []), this.row(toBuy)]);
    }
    return [...weeks].map(([name, rows]) => ({ name, rows }));
  });
  protected readonly enough = computed(() =>
    (this.view.toBuy() ?? []).filter((toBuy) => toBuy.by === null).map((toBuy) => this.row(toBuy)),
  );

  private row({ kind, item, needed, left, short, by }: ToBuy) {
    const library = this.library();
    const perTray = kind === 'vessel' ? (library?.vessels.get(item)?.perTray ?? 1) : 1;
    const amount = (of: number): string =>
      perTray > 1
        ? texts.cells(Math.ceil(of / perTray), Math.ceil(of))
        : stockAmount(kind, Math.ceil(of * 100) / 100, this.units.system());
    const found =
      kind === 'vessel'
        ? library?.vessels.get(item)
        : (library?.materials.get(item) ?? library?.amendments.get(item));
    return {
      ...{ kind, item, needed: amount(needed), short: amount(short) },
      name: kind === 'seed' ? texts.seedOf(item) : found ? shortName(found.name) : item,
      left: left === null ? common.notCounted : texts.there(amount(Math.max(0, left))),
      by: by === null ? '' : dayFrom(by, this.nursery.today(), this.reader.now().language, 'short'),
    };
  }
}
