export const instrumentKinds = ['scale', 'pen-ph', 'pen-ec', 'thermometer'] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];

export const faults = ['flat-battery', 'out-of-range', 'disconnected'] as const;
export type Fault = (typeof faults)[number];

export interface InstrumentReading {
  instrument: string;
  at: string;
  /** null while there is a fault. */
  value: number | null;
  fault: Fault | null;
}

export interface Calibration {
  at: string;
  references: number[];
  /** What it read in each reference before. */
  readBefore: number[];
  gain: number;
  offset: number;
}

/** What Welcome asks of a device. A real one is put behind this; the simulated ones below stand in for it. */
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
