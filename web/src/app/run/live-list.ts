import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { faultWords, InstrumentsService, type InstrumentReading } from '../data/instruments';
import { FetchState } from '../ui/fetch-state';
import { liveList as texts } from '#words/en/places/run/live-list';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** What the instruments read now. */
@Component({
  selector: 'app-live-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="instruments.all" [what]="texts.theInstruments" />
    <ul class="plain" [attr.aria-label]="common.instruments">
      @for (instrument of instruments.instruments(); track instrument.id) {
        <li>
          <span>{{ instrument.name }}</span>
          <b
            >{{ live(instruments.readings().get(instrument.id) ?? null, instrument.unit) }}
            @if (instrument.simulated) {
              <span class="term">{{ common.simulated }}</span>
            }
          </b>
        </li>
      }
    </ul>
    @if (!instruments.connected()) {
      <p class="term">{{ texts.noInstrumentsHeardFromThey }}</p>
    }
    <p>
      <a routerLink="/shelf/instruments">{{ texts.calibrateOrLookAfterThem }}</a>
    </p>
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
  imports: [FetchState, RouterLink],
})
export class LiveList {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly instruments = inject(InstrumentsService);

  protected live(reading: InstrumentReading | null, unit: string): string {
    if (reading?.fault) return faultWords[reading.fault];
    const value = reading?.value ?? null;
    return value === null ? texts.noReading : this.reader.formats().reading(value, unit);
  }
}
