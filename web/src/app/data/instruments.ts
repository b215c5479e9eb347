import { computed, inject, Injectable, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { type DayForecast } from '#core/season/weather-risks';
import { type Fault, type InstrumentInfo, type InstrumentReading } from '#contract/instruments';
import { Api } from './api';

export const faultWords: Record<Fault, string> = {
  'flat-battery': 'battery is flat',
  'out-of-range': 'out of its range',
  disconnected: 'not connected',
};

/** Live readings, shared by all who look; the stream opens with the first and closes with the last. */
@Injectable({ providedIn: 'root' })
export class InstrumentsService {
  private readonly api = inject(Api);
  private readonly known = signal<readonly InstrumentInfo[]>([]);
  private readonly live = signal<ReadonlyMap<string, InstrumentReading>>(new Map());
  private readonly open = signal(false);
  private source: EventSource | null = null;
  private watchers = 0;

  readonly instruments = this.known.asReadonly();
  readonly readings = this.live.asReadonly();
  /** Whether the stream is there; it comes back by itself. */
  readonly connected = this.open.asReadonly();
  readonly byKind = computed(
    () =>
      new Map(this.known().map((one) => [one.kind, { info: one, reading: this.live().get(one.id) ?? null }])),
  );

  /** @returns how to stop watching */
  watch(): () => void {
    this.watchers++;
    if (this.watchers === 1) this.start();
    return () => {
      this.watchers--;
      if (this.watchers > 0) return;
      this.source?.close();
      this.source = null;
      this.open.set(false);
    };
  }

  refresh(): void {
    this.api.get<InstrumentInfo[]>('instruments').subscribe({
      next: (all) => this.known.set(all),
      error: () => undefined,
    });
  }

  put(id: string, truth: number): Observable<void> {
    return this.api.post<void>(`instruments/${id}/put`, { truth });
  }

  fail(id: string, fault: Fault | null): Observable<void> {
    return this.api.post<void>(`instruments/${id}/fault`, { fault });
  }

  calibrate(id: string): Observable<{ references: number[]; readBefore: number[] }> {
    return this.api.post(`instruments/${id}/calibrate`, {});
  }

  weather(): Observable<DayForecast[]> {
    return this.api.get<DayForecast[]>('instruments/weather');
  }

  /** Stand-in: whether the weather service answers. */
  letWeatherAnswer(answers: boolean): Observable<void> {
    return this.api.post<void>('instruments/weather/answers', { answers });
  }

  private start(): void {
    this.refresh();
    const source = new EventSource('/api/instruments/stream');
    source.addEventListener('open', () => this.open.set(true));
    source.addEventListener('error', () => {
      this.open.set(false);
      // A value that no longer comes in must not look like one that does.
      this.live.set(new Map());
    });
    source.addEventListener('readings', ({ data }: MessageEvent<string>) => {
      const all = JSON.parse(data) as InstrumentReading[];
      this.live.set(new Map(all.map((r) => [r.instrument, r])));
    });
    this.source = source;
  }
}

export type { Fault, InstrumentInfo, InstrumentReading };
