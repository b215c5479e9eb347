import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { catchError, map, of } from 'rxjs';
import { BatchesService, type BatchLine } from '../data/batches';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';

interface Listing {
  lines: BatchLine[] | null;
  why: string;
}

/** What was made, newest first. */
@Component({
  selector: 'app-batch-list',
  imports: [DatePipe, RouterLink, Amount],
  template: `
    <h1>Batches</h1>
    @if (listing(); as l) {
      @if (l.why) {
        <p class="wrong" role="alert">{{ l.why }}</p>
      }
      <ul>
        @for (line of l.lines ?? []; track line.id) {
          <li>
            <a [routerLink]="['/batches', line.id]">
              <span class="day">{{ line.madeOn | date: 'd MMM' }}</span>
              <span class="name"
                ><b>{{ line.name }}</b
                ><span class="term">{{ stageNames[line.stage].name }} · {{ line.vessel }}</span></span
              >
              <span class="litres"><app-amount [of]="{ volumeL: line.litres }" /></span>
            </a>
          </li>
        } @empty {
          @if (!l.why) {
            <li class="empty">
              <p>No batch is kept yet. Set a recipe on the mix, then press “Make this batch”.</p>
              <a class="press next" routerLink="/mix">To the mix</a>
            </li>
          }
        }
      </ul>
    } @else {
      <p>Fetching the batches…</p>
    }
  `,
  styleUrl: './batch-list.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BatchList {
  protected readonly stageNames = stageNames;
  protected readonly listing = toSignal(
    inject(BatchesService).all$.pipe(
      map((lines): Listing => ({ lines, why: '' })),
      catchError((error: Error) => of<Listing>({ lines: null, why: error.message })),
    ),
  );
}
