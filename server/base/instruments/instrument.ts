import {
  type Calibration,
  type Fault,
  type InstrumentKind,
  type InstrumentReading,
} from '#contract/instruments';

/** What Welcome asks of a device. A real one is put behind this; the simulated ones stand in for it. */
export interface Instrument {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  /** Values to calibrate in: buffers, standard solution, a known weight, ice. */
  readonly references: readonly number[];
  readonly calibrated: Calibration | null;
  read(at: Date): InstrumentReading;
  /** @throws RangeError when what it reads in the references cannot be put right */
  calibrate(references: readonly number[], at: Date): Calibration;
}

/** A stand-in can be told what lies on it, and to fail. */
export interface Simulated extends Instrument {
  put(truth: number): void;
  fail(fault: Fault | null): void;
}

export const isSimulated = (instrument: Instrument): instrument is Simulated => 'put' in instrument;
