import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type StockKind } from '#core/package/stock';
import { LibraryService } from '../data/library';
import { type Lot, LotsService, type StockLine } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { TableFiles } from '../ui/table-files';
import { BinFill } from '../ui/pictures/bin-fill';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { NewLotForm } from './new-lot';
import { lotList as texts } from '#words/en/places/shelf/lot-list';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';

/** Days under which what is left is said to run short. */
const SHORT_DAYS = 14;
const headings: Record<StockKind, string> = {
  material: common.materials,
  product: common.fertilisersAndLime,
  vessel: texts.emptyVessels,
  seed: common.seed,
};

/** What is in the shed: every lot with how full its bin is, what runs short, what is not ready. */
@Component({
  selector: 'app-lot-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="lots.all" [what]="texts.theLots" />
    <p class="lead">
      {{ texts.whatCameLessWhatBatches }}
    </p>
    @for (group of groups(); track group.kind) {
      <section [attr.aria-label]="headings[group.kind]">
        <h2>{{ headings[group.kind] }}</h2>
        <ul class="plain bins">
          @for (row of group.rows; track row.lot.id) {
            <li>
              <app-bin-fill [share]="row.share" />
              <div>
                <a [routerLink]="['/shelf/lots', row.lot.id]">{{ row.lot.name }}</a>
                <span class="term">{{ texts.cameOn(row.of, row.lot.receivedOn | day) }}</span>
                @if (row.waits) {
                  <span class="mark">{{ texts.notBefore(row.lot.readyOn! | day) }}</span>
                }
                @if (row.short) {
                  <span class="mark">{{ row.short }}</span>
                }
              </div>
              <b>{{ row.left }}</b>
            </li>
          }
        </ul>
      </section>
    } @empty {
      @if (lots.all.value()) {
        <p class="term">{{ texts.nothingYetEnterWhatStands }}</p>
      }
    }
    <app-new-lot />
    <app-table-files table="lots" />
  `,
  styles: `
    .bins {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
      gap: 0 32px;
    }
    li {
      display: grid;
      grid-template-columns: auto minmax(0, 1fr) auto;
      gap: 12px;
      align-items: center;
      padding: 8px 0;
      border-bottom: 1px solid var(--hairline);
    }
    b {
      font-size: var(--lead);
      text-align: right;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 32px;
      color: var(--ink);
    }
    .mark {
      display: inline-block;
      margin: 2px 6px 0 0;
      padding: 0 6px;
      border-left: 4px solid var(--warn);
      background: var(--warn-ground);
      font-size: var(--note);
    }
    @media (max-width: 600px) {
      .bins {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  imports: [DayPipe, BinFill, FetchState, NewLotForm, RouterLink, TableFiles],
})
export class LotList {
  protected readonly texts = texts;
  protected readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  protected readonly headings = headings;

  protected readonly groups = computed(() => {
    const lines = new Map((this.lots.stock.value() ?? []).map((each) => [`${each.kind}/${each.item}`, each]));
    const all = [...(this.lots.all.value() ?? [])].sort(
      (a, b) => b.receivedOn.localeCompare(a.receivedOn) || b.id - a.id,
    );
    return (Object.keys(headings) as StockKind[]).flatMap((kind) => {
      const rows = all.filter((lot) => lot.kind === kind);
      return rows.length === 0
        ? []
        : [{ kind, rows: rows.map((lot) => this.row(lot, lines.get(`${kind}/${lot.item}`))) }];
    });
  });

  private row(lot: Lot, line: StockLine | undefined) {
    const days = line?.daysLeft ?? null;
    const came = (lot.quantity ?? 0) + lot.came + Math.max(0, lot.counted);
    return {
      lot,
      of: this.nameOf(lot),
      left:
        lot.left === null
          ? common.notCounted
          : stockAmount(lot.kind, Math.max(0, lot.left), this.units.system()),
      share: lot.left === null || came <= 0 ? null : lot.left / came,
      waits: lot.readyOn !== null && lot.readyOn > this.nursery.today(),
      short:
        lot.left !== null && lot.left <= 0
          ? 'empty'
          : days !== null && days < SHORT_DAYS
            ? texts.lastsAboutAtThisPace(Math.round(days))
            : '',
    };
  }

  private nameOf({ kind, item }: Lot): string {
    const library = this.library();
    const found =
      kind === 'vessel'
        ? library?.vessels.get(item)
        : (library?.materials.get(item) ?? library?.amendments.get(item));
    return found ? shortName(found.name) : item;
  }
}
