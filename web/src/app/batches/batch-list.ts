import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { SaidPipe } from '../ui/words/said';
import { RouterLink } from '@angular/router';
import { BatchesService } from '../data/batches';
import { FetchState } from '../ui/fetch-state';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';

/** What was made, newest first. */
@Component({
  selector: 'app-batch-list',
  host: { class: 'page' },
  imports: [Amount, DatePipe, FetchState, RouterLink, SaidPipe],
  template: `
    <h1>Batches</h1>
    <app-fetch-state [of]="batches" what="the batches" />
    <ul class="plain">
      @for (line of batches.value() ?? []; track line.id) {
        <li>
          <a [routerLink]="['/batches', line.id]">
            <span class="day">{{ line.madeOn | date: 'd MMM' }}</span>
            <span class="name"
              ><b>{{ line.name }}</b
              ><span class="term">{{ stageNames[line.stage].name }} · {{ line.vessel | said }}</span></span
            >
            <span class="litres"><app-amount [of]="{ volumeL: line.litres }" /></span>
          </a>
        </li>
      } @empty {
        @if (batches.value()) {
          <li class="empty">
            <p>No batch is kept yet. Set a recipe on the mix, then press “Make this batch”.</p>
            <a class="press next" routerLink="/mix">To the mix</a>
          </li>
        }
      }
    </ul>
  `,
  styleUrl: './batch-list.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BatchList {
  protected readonly stageNames = stageNames;
  protected readonly batches = inject(BatchesService).list();
}
