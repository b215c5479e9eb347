import { type InstrumentReading } from '#contract/instruments';
import { type Instrument } from '#server/base/instruments/instrument';

const EVERY_MS = 500;

/** Reads every instrument on a beat while somebody listens, and rests when nobody does. */
export class InstrumentHub {
  private readonly hearers = new Set<(readings: readonly InstrumentReading[]) => void>();
  private timer: ReturnType<typeof setInterval> | null = null;

  constructor(
    readonly instruments: readonly Instrument[],
    private readonly everyMs = EVERY_MS,
    private readonly now: () => Date = () => new Date(),
  ) {}

  find(id: string): Instrument | undefined {
    return this.instruments.find((instrument) => instrument.id === id);
  }

  readAll(at: Date): InstrumentReading[] {
    return this.instruments.map((instrument) => instrument.read(at));
  }

  /** @returns how to stop listening */
  listen(hear: (readings: readonly InstrumentReading[]) => void): () => void {
    this.hearers.add(hear);
    this.timer ??= setInterval(() => this.beat(), this.everyMs);
    return () => {
      this.hearers.delete(hear);
      if (this.hearers.size > 0 || !this.timer) return;
      clearInterval(this.timer);
      this.timer = null;
    };
  }

  get listening(): { clients: number; beating: boolean } {
    return { clients: this.hearers.size, beating: this.timer !== null };
  }

  private beat(): void {
    const readings = this.readAll(this.now());
    for (const hear of this.hearers) hear(readings);
  }
}
