import { OutOfRange } from '#core/units/check';
import {
  type KeptReadingId,
  readingIds,
  readingsOf,
  type Reading,
  type ReadingId,
} from '#core/judge/readings';
import { evaluateMix, type MixInput } from '#core/mix/evaluate';

/**
 * Number of the model. Raise it with every change of a formula or of the starter table that moves a reading: kept
 * recipes then say so. A batch never moves: it is shown as it was computed.
 */
export const MODEL = 6;

/** What a recipe came to on the day it was kept. */
export interface Figures {
  model: number;
  /** Percent, pH, mS/cm, mg/L and mm, as readings have them. Empty where the recipe could not be computed. */
  values: Partial<Record<KeptReadingId, number>>;
}

export interface MovedFigure {
  id: ReadingId;
  from: number;
  to: number;
}

/** The figures of a recipe by the model of today. */
export function figuresOf(input: MixInput): Figures {
  try {
    const readings = readingsOf(input, evaluateMix(input));
    return { model: MODEL, values: Object.fromEntries(readings.map((r) => [r.id, r.value])) };
  } catch (error) {
    if (error instanceof OutOfRange) return { model: MODEL, values: {} };
    throw error;
  }
}

/** What is too small to show, in the unit of each reading. */
const UNSEEN: Record<ReadingId, number> = {
  air: 0.1,
  airAfterDrydown: 0.1,
  cohesion: 0.01,
  ph: 0.1,
  ecSaturated: 0.01,
  n: 1,
  overSize: 0.1,
};

/** Readings that a later model gives otherwise than when the recipe was kept, in the order of the screen. */
export function movedSince(then: Figures, now: readonly Reading[]): MovedFigure[] {
  return readingIds.flatMap((id) => {
    const from = then.values[id];
    const to = now.find((r) => r.id === id)?.value;
    if (from === undefined || to === undefined || Math.abs(to - from) < UNSEEN[id]) return [];
    return [{ id, from, to }];
  });
}
