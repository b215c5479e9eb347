import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type NewMove } from '#contract/lots';
import { type Lot, LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { resourceOf } from '../data/resource';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { limits } from '#core/units/limits';
import { stockAmount } from '../ui/words/stock-amount';
import { lotPage as texts } from '#words/en/places/shelf/lot-page';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';

type Move = NewMove['kind'];
const moves: { id: Move; name: string; only?: Lot['kind'] }[] = [
  { id: 'counted', name: texts.counted },
  { id: 'lost', name: texts.lost },
  { id: 'came', name: texts.moreCame },
  { id: 'back', name: texts.back, only: 'vessel' },
];
const moved: Record<Move, string> = {
  counted: texts.setRightByCounting,
  lost: 'lost',
  came: texts.moreCame2,
  back: texts.cameBack,
};
const units = { material: 'L', product: 'kg', vessel: '', seed: '' } as const;

/** One lot: what is left and what happened to it, where it went, and what those batches were used for. */
@Component({
  selector: 'app-lot-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="trace" [what]="texts.theLot" />
    @if (trace.value(); as it) {
      <h2>{{ it.lot.name }}</h2>
      <p class="term">
        {{ texts.cameOn(it.lot.receivedOn | day) }}
        @if (it.lot.readyOn) {
          {{ texts.doNotUseBefore(it.lot.readyOn | day) }}
        }
        @if (it.lot.seed?.germination; as share) {
          {{ texts.cameUpInItsTest((100 * share).toFixed(0)) }}
        }
        @if (it.lot.note) {
          · {{ it.lot.note }}
        }
      </p>
      <dl class="sums">
        @for (sum of sums(); track sum.name) {
          <div>
            <dt>{{ sum.name }}</dt>
            <dd>{{ sum.amount }}</dd>
          </div>
        }
      </dl>
      @if (rests(it.lot)) {
        <div class="fields">
          <app-text-field [label]="texts.useItNowBecause" [(value)]="why" />
          <button type="button" class="press" [disabled]="why().trim() === ''" (click)="lift(it.lot)">
            {{ texts.itMayBeUsed }}
          </button>
        </div>
      }
      <section [attr.aria-label]="texts.countIt">
        <app-segments [label]="common.whatHappened" [choices]="moves()" [(value)]="kind" />
        <div class="fields">
          <app-number-field
            [label]="kind() === 'counted' ? texts.thereIsSoMuch : texts.soMuch"
            [unit]="unitOf(it.lot)"
            within="stock"
            [(value)]="amount"
          />
          <button type="button" class="press" [disabled]="amount() === undefined" (click)="move()">
            {{ texts.enter }}
          </button>
        </div>
        @if (problem()) {
          <p class="wrong" role="alert">{{ problem() }}</p>
        }
        @if (it.lot.kind === 'seed') {
          <div class="fields priced">
            <app-number-field
              [label]="texts.seedsTested"
              within="usedCount"
              [whole]="true"
              [(value)]="tested"
            />
            <app-number-field [label]="common.cameUp" within="usedCount" [whole]="true" [(value)]="cameUp" />
            <button type="button" class="press" [disabled]="germination() === null" (click)="test(it.lot)">
              {{ texts.enterTheTest }}
            </button>
          </div>
        }
        <div class="fields priced">
          <app-number-field
            [label]="common.priceOfAllOfIt"
            within="price"
            [value]="it.lot.price ?? undefined"
            (valueChange)="price($event)"
          />
        </div>
      </section>
      <section>
        <h3>{{ texts.wentInto }}</h3>
        <ul class="rows">
          @for (batch of rows(); track batch.id) {
            <li>
              <a [routerLink]="['/batches', batch.id]">{{ batch.name }}</a>
              <b>{{ batch.amount }}</b>
              <span class="term">{{ texts.made(batch.madeOn | day) }}</span>
              @for (use of batch.uses; track $index) {
                <p>{{ texts.on(use.what, use.count, use.on | day) }}</p>
              } @empty {
                <p class="term">{{ texts.whereItWasUsedIs }}</p>
              }
            </li>
          }
          @for (planting of it.plantings; track planting.id) {
            <li>
              <a [routerLink]="['/plants', planting.id]">{{ planting.name }}</a>
              <b>{{ amountOf(it.lot, planting.amount) }}</b>
              <span class="term">{{ planting.on | day }}</span>
            </li>
          }
          @if (rows().length + it.plantings.length === 0) {
            <li>{{ texts.noBatchYet }}</li>
          }
        </ul>
      </section>
      @if (it.moves.length > 0) {
        <section>
          <h3>{{ texts.whatElseHappened }}</h3>
          <ul class="rows">
            @for (move of it.moves; track move.id) {
              <li>
                {{ move.on | day: 'first' }}: {{ amountOf(it.lot, move.amount) }} {{ moved[move.kind] }}
              </li>
            }
          </ul>
        </section>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 860px;
    }
    h3 {
      margin-top: 10px;
      font-size: var(--text);
    }
    p {
      margin: 4px 0;
    }
    .sums {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 32px;
      margin: 10px 0;
    }
    dt {
      color: var(--muted);
      font-size: var(--note);
      font-weight: 400;
    }
    dd {
      margin: 0;
      font-size: var(--head);
      font-weight: 650;
    }
    .priced {
      margin-top: 10px;
    }
    .rows b {
      float: right;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 32px;
      color: var(--ink);
    }
  `,
  imports: [DayPipe, FetchState, NumberField, RouterLink, Segments, TextField],
})
export class LotPage {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly id = input.required<string>();
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  protected readonly trace = resourceOf(this.id, (id) => this.lots.trace(id));
  /** Vessels come back empty; nothing else does. */
  protected readonly moves = computed(() =>
    moves.filter(({ only }) => only === undefined || only === this.trace.value()?.lot.kind),
  );
  protected readonly moved = moved;
  protected readonly kind = signal<Move>('counted');
  protected readonly amount = signal<number | undefined>(undefined);
  protected readonly problem = signal('');

  protected readonly sums = computed(() => {
    const lot = this.trace.value()?.lot;
    if (!lot) return [];
    const of = (name: string, amount: number): { name: string; amount: string }[] =>
      amount === 0 ? [] : [{ name, amount: this.amountOf(lot, amount) }];
    return [
      { name: texts.left, amount: this.leftOf(lot) },
      ...of(texts.came, (lot.quantity ?? 0) + lot.came),
      ...of(
        lot.kind === 'material' || lot.kind === 'product'
          ? texts.intoBatches
          : lot.kind === 'seed'
            ? texts.sown
            : texts.withPlants,
        lot.took,
      ),
      ...of(texts.back, lot.back),
      ...of(texts.lost, lot.lost),
      ...of(texts.byCounting, lot.counted),
    ];
  });
  protected readonly rows = computed(() => {
    const it = this.trace.value();
    return (it?.batches ?? []).map(({ amount, ...b }) => ({
      ...b,
      amount: amount > 0 ? this.amountOf(it!.lot, amount) : '',
      uses: it!.uses.flatMap(({ batchId, data }) => (batchId === b.id && data.kind === 'use' ? [data] : [])),
    }));
  });

  /** More went than there was by the book: it is to be counted. */
  private leftOf(lot: Lot): string {
    if (lot.left === null) return common.notCounted;
    return lot.left < 0 ? texts.noneCountIt : this.amountOf(lot, lot.left);
  }

  protected readonly tested = signal<number | undefined>(undefined);
  protected readonly cameUp = signal<number | undefined>(undefined);
  /** Share of the seeds tested that came up; null while that is not told, or more came up than were tested. */
  protected readonly germination = computed(() => {
    const [of, up] = [this.tested() ?? 0, this.cameUp()];
    return of > 0 && up !== undefined && up <= of && up / of >= limits.germination[0] ? up / of : null;
  });

  protected test({ id, seed }: Lot): void {
    const germination = this.germination();
    this.problem.set('');
    this.lots.change(id, { seed: { year: null, ...seed, germination } }).subscribe({
      next: () => {
        this.tested.set(undefined);
        this.cameUp.set(undefined);
        this.trace.refresh();
      },
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }

  protected readonly why = signal('');

  protected rests({ readyOn }: Lot): boolean {
    return readyOn !== null && readyOn > this.nursery.today();
  }

  /** A rest is lifted with its reason, which stays with the lot. */
  protected lift({ id, note }: Lot): void {
    const reason = texts.usedBefore(this.why().trim());
    this.lots.change(id, { readyOn: null, note: [note, reason].filter(Boolean).join(' ') }).subscribe({
      next: () => {
        this.why.set('');
        this.trace.refresh();
      },
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }

  protected unitOf({ kind }: Lot): string {
    return units[kind];
  }

  protected amountOf({ kind }: Lot, amount: number): string {
    return `${amount < 0 ? '−' : ''}${stockAmount(kind, Math.abs(amount), this.units.system())}`;
  }

  protected move(): void {
    const amount = this.amount();
    if (amount === undefined) return;
    this.problem.set('');
    const move = { kind: this.kind(), amount, on: this.nursery.today(), note: '' };
    this.lots.move(Number(this.id()), move).subscribe({
      next: () => {
        this.amount.set(undefined);
        this.trace.refresh();
      },
      error: (error: Error) => this.problem.set(texts.notEntered(error.message)),
    });
  }

  protected price(price: number | undefined): void {
    this.lots.change(Number(this.id()), { price: price ?? null }).subscribe({
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }
}
