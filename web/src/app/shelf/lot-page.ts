import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Lot, LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { resourceOf } from '../data/resource';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { stockAmount } from '../ui/words/stock-amount';

type Move = 'counted' | 'lost' | 'came';
const moves: { id: Move; name: string }[] = [
  { id: 'counted', name: 'Counted' },
  { id: 'lost', name: 'Lost' },
  { id: 'came', name: 'More came' },
];
const moved: Record<Move, string> = { counted: 'put right by counting', lost: 'lost', came: 'more came' };
const units = { material: 'L', product: 'kg', vessel: '', seed: '' } as const;

/** One lot: what is left and what happened to it, where it went, and what those batches were used for. */
@Component({
  selector: 'app-lot-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="trace" what="the lot" />
    @if (trace.value(); as it) {
      <h2>{{ it.lot.name }}</h2>
      <p class="term">
        Came on {{ it.lot.receivedOn | date: 'd MMM y' }}
        @if (it.lot.readyOn) {
          · not to be used before {{ it.lot.readyOn | date: 'd MMM y' }}
        }
        @if (it.lot.seed?.germination; as share) {
          · {{ (100 * share).toFixed(0) }} % came up in its test
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
      <section aria-label="Count it">
        <app-segments label="What happened" [choices]="moves" [(value)]="kind" />
        <div class="fields">
          <app-number-field
            [label]="kind() === 'counted' ? 'There is so much' : 'So much'"
            [unit]="unitOf(it.lot)"
            within="stock"
            [(value)]="amount"
          />
          <button type="button" class="press" [disabled]="amount() === undefined" (click)="move()">
            Enter
          </button>
        </div>
        @if (problem()) {
          <p class="wrong" role="alert">{{ problem() }}</p>
        }
        <div class="fields priced">
          <app-number-field
            label="Price of all of it"
            within="price"
            [value]="it.lot.price ?? undefined"
            (valueChange)="price($event)"
          />
        </div>
      </section>
      <section>
        <h3>Went into</h3>
        <ul class="rows">
          @for (batch of rows(); track batch.id) {
            <li>
              <a [routerLink]="['/batches', batch.id]">{{ batch.name }}</a>
              <b>{{ batch.amount }}</b>
              <span class="term">made {{ batch.madeOn | date: 'd MMM y' }}</span>
              @for (use of batch.uses; track $index) {
                <p>{{ use.what }}: {{ use.count }} on {{ use.on | date: 'd MMM' }}</p>
              } @empty {
                <p class="term">Not told where it was used.</p>
              }
            </li>
          } @empty {
            <li>No batch yet.</li>
          }
        </ul>
      </section>
      @if (it.moves.length > 0) {
        <section>
          <h3>What else happened</h3>
          <ul class="rows">
            @for (one of it.moves; track one.id) {
              <li>
                {{ one.on | date: 'd MMM y' }}: {{ amountOf(it.lot, one.amount) }} {{ moved[one.kind] }}
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
  imports: [DatePipe, FetchState, NumberField, RouterLink, Segments],
})
export class LotPage {
  readonly id = input.required<string>();
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  protected readonly trace = resourceOf(this.id, (id) => this.lots.trace(id));
  protected readonly moves = moves;
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
      { name: 'Left', amount: lot.left === null ? 'not counted' : this.amountOf(lot, lot.left) },
      ...of('Came', (lot.quantity ?? 0) + lot.came),
      ...of('Into batches', lot.took),
      ...of('Lost', lot.lost),
      ...of('By counting', lot.counted),
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
      error: (error: Error) => this.problem.set(`Not entered: ${error.message}`),
    });
  }

  protected price(price: number | undefined): void {
    this.lots.change(Number(this.id()), { price: price ?? null }).subscribe({
      error: (error: Error) => this.problem.set(`Not kept: ${error.message}`),
    });
  }
}
