import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { normalAt, streamOf } from '#core/stats/normal';
import { checkRange, OutOfRange } from '#core/units/check';
import {
  type Calibration,
  type Fault,
  type InstrumentKind,
  type InstrumentReading,
} from '#contract/instruments';
import { type Simulated } from '#server/base/instruments/instrument';

/** How a stand-in behaves. Made up, in the range of cheap bench devices. */
export interface Behaviour {
  id: string;
  kind: InstrumentKind;
  name: string;
  unit: string;
  low: number;
  high: number;
  references: readonly number[];
  /** What it shows to begin with. */
  truth: number;
  /** Raw = truth × gain + offset + drift × hours + noise. */
  gain: number;
  offset: number;
  driftPerH: number;
  noise: number;
  /** Smallest step of its display. */
  step: number;
}

const LARGEST_GAIN_ERROR = 0.2;

/** A device that is not there: it drifts, it is noisy, it can be calibrated and it can fail. */
export class SimulatedInstrument implements Simulated {
  readonly id;
  readonly kind;
  readonly name;
  readonly unit;
  readonly low;
  readonly high;
  readonly references;
  private truth: number;
  private fault: Fault | null = null;
  private done: Calibration | null = null;
  private readonly startedAt: number;
  private reads = 0;

  constructor(
    private readonly behaviour: Behaviour,
    startedAt: Date,
    private readonly seed = 1,
  ) {
    ({
      id: this.id,
      kind: this.kind,
      name: this.name,
      unit: this.unit,
      low: this.low,
      high: this.high,
      references: this.references,
      truth: this.truth,
    } = behaviour);
    this.startedAt = startedAt.getTime();
  }

  get calibrated(): Calibration | null {
    return this.done;
  }

  put(truth: number): void {
    this.truth = checkRange('truth', truth, -1e6, 1e6);
  }

  fail(fault: Fault | null): void {
    this.fault = fault;
  }

  read(at: Date): InstrumentReading {
    const reading = { instrument: this.id, at: at.toISOString() };
    if (this.fault) return { ...reading, value: null, fault: this.fault };
    const value = this.corrected(this.raw(this.truth, at));
    if (value < this.low || value > this.high) return { ...reading, value: null, fault: 'out-of-range' };
    const { step } = this.behaviour;
    return { ...reading, value: Number((Math.round(value / step) * step).toFixed(6)), fault: null };
  }

  calibrate(references: readonly number[], at: Date): Calibration {
    if (this.fault) throw new OutOfRange('instrument', this.fault, allow('allowed.no-fault', none));
    if (references.length < 1 || references.length > 3)
      throw new OutOfRange(
        'references',
        references.length,
        allow('allowed.things', { low: 1, high: 3, what: 'values' }),
      );
    references.forEach((r, i) => checkRange(`references.${i}`, r, this.low, this.high));
    const raw = references.map((r) => this.raw(r, at));
    const readBefore = raw.map((value) => this.corrected(value));
    const [first, last] = [0, references.length - 1];
    const spread = raw[last]! - raw[first]!;
    if (references.length > 1 && Math.abs(references[last]! - references[first]!) < 1e-9)
      throw new OutOfRange('references', references.join(', '), allow('allowed.values-differ', none));
    const gain = references.length > 1 ? (references[last]! - references[first]!) / spread : 1;
    if (!(Math.abs(gain - 1) <= LARGEST_GAIN_ERROR))
      throw new OutOfRange('gain', gain, allow('allowed.gain-within', { pct: LARGEST_GAIN_ERROR * 100 }));
    this.done = {
      at: at.toISOString(),
      references: [...references],
      readBefore,
      gain,
      offset: references[first]! - gain * raw[first]!,
    };
    return this.done;
  }

  private raw(truth: number, at: Date): number {
    const { gain, offset, driftPerH, noise } = this.behaviour;
    const hours = (at.getTime() - this.startedAt) / 3_600_000;
    const scatter = normalAt(this.seed, streamOf(this.id), this.reads++);
    return truth * gain + offset + driftPerH * hours + noise * scatter;
  }

  private corrected(raw: number): number {
    return this.done ? this.done.gain * raw + this.done.offset : raw;
  }
}

const bench: readonly Behaviour[] = [
  {
    id: 'scale',
    kind: 'scale',
    name: 'Bench scale',
    unit: 'g',
    low: -50,
    high: 15_000,
    references: [0, 1000],
    truth: 0,
    gain: 1.004,
    offset: 0.6,
    driftPerH: 0.3,
    noise: 0.15,
    step: 0.1,
  },
  {
    id: 'pen-ph',
    kind: 'pen-ph',
    name: 'pH pen',
    unit: 'pH',
    low: 0,
    high: 14,
    references: [4.01, 7],
    truth: 7,
    gain: 0.97,
    offset: 0.25,
    driftPerH: 0.01,
    noise: 0.015,
    step: 0.01,
  },
  {
    id: 'pen-ec',
    kind: 'pen-ec',
    name: 'EC pen',
    unit: 'mS/cm',
    low: 0,
    high: 20,
    references: [1.413],
    truth: 0.3,
    gain: 1,
    offset: 0.04,
    driftPerH: 0.002,
    noise: 0.008,
    step: 0.01,
  },
  {
    id: 'probe',
    kind: 'thermometer',
    name: 'Probe thermometer',
    unit: '°C',
    low: -20,
    high: 130,
    references: [0],
    truth: 16,
    gain: 1,
    offset: 0.7,
    driftPerH: 0.01,
    noise: 0.1,
    step: 0.1,
  },
];

/** The stand-ins of a bench. */
export function simulatedBench(startedAt = new Date(), seed = 1): SimulatedInstrument[] {
  return bench.map((behaviour) => new SimulatedInstrument(behaviour, startedAt, seed));
}
