import { computed, inject, Injectable, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { type DayForecast } from '#core/season/weather-risks';
import { type Answer } from '#contract/endpoints';
import { addressOf } from '#contract/routes';
import { type Fault, type InstrumentInfo, type InstrumentReading } from '#contract/instruments';
import { ApiClient } from './api';
import { Resource } from './resource';
import { followStream } from './shared-stream';
import { instruments as texts } from '#words/en/places/data/instruments';

export const faultWords: Record<Fault, string> = {
  'flat-battery': texts.batteryIsFlat,
  'out-of-range': texts.outOfItsRange,
  disconnected: texts.notConnected,
};

/** Live readings, shared by all who look; the stream opens with the first and closes with the last. */
@Injectable({ providedIn: 'root' })
export class InstrumentsService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<readonly InstrumentInfo[]>(() => this.api.call('instruments'));
  private readonly live = signal<ReadonlyMap<string, InstrumentReading>>(new Map());
  private readonly open = signal(false);
  private leave: (() => void) | null = null;
  private watchers = 0;

  readonly instruments = computed(() => this.all.value() ?? []);
  readonly readings = this.live.asReadonly();
  /** Whether the stream is there; it comes back by itself. */
  readonly connected = this.open.asReadonly();
  readonly byKind = computed(
    () =>
      new Map(
        this.instruments().map((instrument) => [
          instrument.kind,
          { info: instrument, reading: this.live().get(instrument.id) ?? null },
        ]),
      ),
  );

  /** @returns how to stop watching */
  watch(): () => void {
    this.watchers++;
    if (this.watchers === 1) this.start();
    return () => {
      this.watchers--;
      if (this.watchers > 0) return;
      this.leave?.();
      this.leave = null;
      this.open.set(false);
    };
  }

  put(id: string, truth: number): Observable<void> {
    return this.api.call('putOnInstrument', { params: { instrument: id }, body: { truth } });
  }

  fail(id: string, fault: Fault | null): Observable<void> {
    return this.api.call('failInstrument', { params: { instrument: id }, body: { fault } });
  }

  calibrate(id: string): Observable<Answer<'calibrate'>> {
    return this.api.call('calibrate', { params: { instrument: id }, body: {} });
  }

  /** The forecast, for a page that looks at it. */
  weather(): Resource<DayForecast[]> {
    return new Resource(() => this.api.call('weather'));
  }

  /** Stand-in: whether the weather service answers. */
  letWeatherAnswer(answers: boolean): Observable<void> {
    return this.api.call('letWeatherAnswer', { body: { answers } });
  }

  private start(): void {
    if (this.all.state().state !== 'loading') this.all.refresh();
    this.leave = followStream(addressOf('instrumentStream', {}), 'last', {
      open: (is) => {
        this.open.set(is);
        // A value that no longer comes in must not look like one that does.
        if (!is) this.live.set(new Map());
      },
      events: {
        readings: (data) => {
          const all = JSON.parse(data) as InstrumentReading[];
          this.live.set(new Map(all.map((r) => [r.instrument, r])));
        },
      },
    });
  }
}

export type { Fault, InstrumentInfo, InstrumentReading };
