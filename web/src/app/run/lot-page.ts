import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { catchError, map, of, startWith, switchMap } from 'rxjs';
import { LotsService, type LotTrace } from '../data/lots';

type Loading = { state: 'loading' } | { state: 'there'; trace: LotTrace } | { state: 'failed'; why: string };

/** Where a lot went: its batches, and what those were used for. */
@Component({
  selector: 'app-lot-page',
  imports: [RouterLink],
  template: `
    @let l = loading();
    @if (l.state === 'there') {
      <h1>{{ l.trace.lot.name }}</h1>
      <p class="term">Came on {{ l.trace.lot.receivedOn }}</p>
      <h2>Went into</h2>
      <ul>
        @for (batch of rows(); track batch.id) {
          <li>
            <a [routerLink]="['/batches', batch.id]">{{ batch.name }}, made {{ batch.madeOn }}</a>
            @for (use of batch.uses; track $index) {
              <p>{{ use.data.what }}: {{ use.data.count }} on {{ use.data.on }}</p>
            } @empty {
              <p class="term">Not told where it was used.</p>
            }
          </li>
        } @empty {
          <li>No batch yet.</li>
        }
      </ul>
    } @else if (l.state === 'failed') {
      <h1>This lot cannot be shown</h1>
      <p>{{ l.why }}</p>
    } @else {
      <p>Fetching the lot…</p>
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 760px;
      padding: 20px;
    }
    ul {
      padding: 0;
      list-style: none;
    }
    li {
      padding: 10px 0;
      border-bottom: 1px solid var(--hairline);
    }
    p {
      margin: 4px 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LotPage {
  readonly id = input.required<string>();
  private readonly lots = inject(LotsService);
  protected readonly loading = toSignal(
    toObservable(this.id).pipe(
      switchMap((id) =>
        this.lots.trace(Number(id)).pipe(
          map((trace): Loading => ({ state: 'there', trace })),
          catchError((error: Error) => of<Loading>({ state: 'failed', why: error.message })),
          startWith<Loading>({ state: 'loading' }),
        ),
      ),
    ),
    { initialValue: { state: 'loading' } },
  );
  protected readonly rows = computed(() => {
    const l = this.loading();
    if (l.state !== 'there') return [];
    return l.trace.batches.map((b) => ({ ...b, uses: l.trace.uses.filter((u) => u.batchId === b.id) }));
  });
}
