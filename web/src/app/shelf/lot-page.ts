import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LotsService } from '../data/lots';
import { loadingOf } from '../ui/loading';

/** Where a lot went: its batches, and what those were used for. */
@Component({
  selector: 'app-lot-page',
  imports: [RouterLink],
  template: `
    @let l = loading();
    @if (l.state === 'there') {
      <h1>{{ l.it.lot.name }}</h1>
      <p class="term">Came on {{ l.it.lot.receivedOn }}</p>
      <h2>Went into</h2>
      <ul>
        @for (batch of rows(); track batch.id) {
          <li>
            <a [routerLink]="['/batches', batch.id]">{{ batch.name }}, made {{ batch.madeOn }}</a>
            @for (use of batch.uses; track $index) {
              <p>{{ use.what }}: {{ use.count }} on {{ use.on }}</p>
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
    h1 {
      font-size: 26px;
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
  protected readonly loading = loadingOf(this.id, (id) => this.lots.trace(id));
  protected readonly rows = computed(() => {
    const l = this.loading();
    if (l.state !== 'there') return [];
    return l.it.batches.map((b) => ({
      ...b,
      uses: l.it.uses.flatMap(({ batchId, data }) => (batchId === b.id && data.kind === 'use' ? [data] : [])),
    }));
  });
}
