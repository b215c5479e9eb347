import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { SaidPipe } from '../ui/words/said';
import { RouterLink } from '@angular/router';
import { faultWords, InstrumentsService, type InstrumentReading } from '../data/instruments';
import { FetchState } from '../ui/fetch-state';

/** What the instruments read now. */
@Component({
  selector: 'app-live-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="instruments.all" what="the instruments" />
    <ul class="plain" aria-label="Instruments">
      @for (one of instruments.instruments(); track one.id) {
        <li>
          <span>{{ one.name }}</span>
          <b>{{ live(instruments.readings().get(one.id) ?? null, one.unit) | said }}</b>
        </li>
      }
    </ul>
    @if (!instruments.connected()) {
      <p class="term">No instruments heard from. They come back by themselves; numbers can be typed.</p>
    }
    <p><a routerLink="/shelf/instruments">Calibrate or look after them</a></p>
  `,
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 8px;
      align-items: baseline;
      padding: 4px 0;
      border-bottom: 1px solid var(--hairline);
    }
    b {
      font-size: var(--head);
      text-align: right;
    }
  `,
  imports: [FetchState, RouterLink, SaidPipe],
})
export class LiveList {
  protected readonly instruments = inject(InstrumentsService);

  protected live(reading: InstrumentReading | null, unit: string): string {
    if (!reading) return 'no reading';
    return reading.fault ? faultWords[reading.fault] : `${reading.value} ${unit}`;
  }
}
