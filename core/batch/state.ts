import { type Step } from '#core/batch/step';
import { type TestResult } from '#core/batch/tests/bench-test';
import { daysAfter } from '#core/units/day';

/** How far a batch is, and what is to be minded before anything is sown or potted in it. */
export interface BatchStand {
  /** It is mixed: the tub holds something. What is only planned fills none. */
  made: boolean;
  /** Steps done, of those that are work of the day. */
  done: number;
  of: number;
  /** It rests until then, YYYY-MM-DD; null where it needs no rest or has had it. */
  restsUntil: string | null;
  /** Its pH is still to be read: the lime in it wants looking at. */
  toTest: boolean;
  /** Its last reading of pH, where that is above its window. */
  phTooHigh: number | null;
}

/** Cards from before had lifting as a last step; it is no work to be done. */
export const isWork = (step: Pick<Step, 'id' | 'waitDays'>): boolean =>
  step.waitDays === undefined && step.id !== 'lift';

/** Whether a step is done: each of its loads is ticked. */
export function isStepDone(
  step: Pick<Step, 'id' | 'times'>,
  isTicked: (step: string, load: number) => boolean,
): boolean {
  return Array.from({ length: step.times ?? 1 }, (_, load) => isTicked(step.id, load)).every(Boolean);
}

/**
 * @param happened whether the record holds what shows that it was mixed: something filled, a look at the tub, a test
 * @param lastPh the last reading of its pH
 * @param today YYYY-MM-DD
 */
export function batchState(
  { madeOn, steps }: { madeOn: string; steps: readonly Pick<Step, 'id' | 'times' | 'waitDays' | 'test'>[] },
  isTicked: (step: string, load: number) => boolean,
  happened: boolean,
  lastPh: Pick<TestResult, 'value' | 'verdict'> | null,
  today: string,
): BatchStand {
  const isDone = (step: (typeof steps)[number]): boolean => isStepDone(step, isTicked);
  const work = steps.filter(isWork);
  // From the filling on every step takes a mix that is there.
  const filling = work.findIndex(({ id }) => id === 'fill');
  const [mixing, after] = filling < 0 ? [work, []] : [work.slice(0, filling), work.slice(filling)];
  const rest = steps.find((step) => step.id === 'rest' && step.waitDays !== undefined);
  const restsUntil = rest && !isDone(rest) ? daysAfter(madeOn, rest.waitDays!) : null;
  return {
    made: happened || after.some(isDone) || (mixing.length > 0 && mixing.every(isDone)),
    done: work.filter(isDone).length,
    of: work.length,
    restsUntil: restsUntil !== null && restsUntil > today ? restsUntil : null,
    toTest: lastPh === null && steps.some((step) => step.id.startsWith('re-test') && !isDone(step)),
    phTooHigh: lastPh?.verdict === 'high' ? lastPh.value : null,
  };
}
