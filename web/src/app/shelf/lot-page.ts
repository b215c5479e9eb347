import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LotsService } from '../data/lots';
import { resourceOf } from '../data/resource';
import { FetchState } from '../ui/fetch-state';

/** Where a lot went: its batches, and what those were used for. */
@Component({
  selector: 'app-lot-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="trace" what="the lot" />
    @if (trace.value(); as it) {
      <h2>{{ it.lot.name }}</h2>
      <p class="term">Came on {{ it.lot.receivedOn }}</p>
      <h3>Went into</h3>
      <ul class="rows">
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
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 760px;
    }
    h3 {
      margin-top: 10px;
      font-size: var(--text);
    }
    p {
      margin: 4px 0;
    }
  `,
  imports: [FetchState, RouterLink],
})
export class LotPage {
  readonly id = input.required<string>();
  private readonly lots = inject(LotsService);
  protected readonly trace = resourceOf(this.id, (id) => this.lots.trace(id));
  protected readonly rows = computed(() => {
    const it = this.trace.value();
    return (it?.batches ?? []).map((b) => ({
      ...b,
      uses: it!.uses.flatMap(({ batchId, data }) => (batchId === b.id && data.kind === 'use' ? [data] : [])),
    }));
  });
}
