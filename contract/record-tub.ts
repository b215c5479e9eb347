import { type Entry } from '#contract/record';
import { type BatchStand, batchState } from '#core/batch/state';
import { type Step } from '#core/batch/step';
import { type TestResult } from '#core/batch/tests/bench-test';
import { type Tub, type TubEntry, tubOf } from '#core/batch/tub';

/** What an entry tells of the tub; null where it is about something else. */
export function tubEntryOf({ id, data, at }: Pick<Entry, 'id' | 'data' | 'at'>): TubEntry | null {
  switch (data.kind) {
    case 'use':
    case 'made':
    case 'undo':
    case 'same':
      return { id, ...data };
    case 'left':
      // Looks from before said no day.
      return { id, ...data, on: data.on ?? at.slice(0, 10) };
    default:
      return null;
  }
}

/** How a batch stands by its card and its record, the entries in the order in which they came. */
export function standOf(
  batch: {
    madeOn: string;
    litres: number;
    steps: readonly Pick<Step, 'id' | 'times' | 'waitDays' | 'test'>[];
  },
  entries: readonly Pick<Entry, 'id' | 'data' | 'at'>[],
  today: string,
): { tub: Tub; state: BatchStand } {
  const ticks = new Map<string, boolean>();
  let [lastPh, isTested]: [TestResult | null, boolean] = [null, false];
  for (const { data } of entries)
    if (data.kind === 'tick') ticks.set(`${data.step}/${data.load}`, data.done);
    else if (data.kind === 'test') {
      isTested = true;
      if (data.test === 'ph' && data.result) lastPh = data.result;
    }
  const tub = tubOf(
    batch.litres,
    entries.flatMap((entry) => tubEntryOf(entry) ?? []),
  );
  const isTicked = (step: string, load: number): boolean => ticks.get(`${step}/${load}`) === true;
  return { tub, state: batchState(batch, isTicked, tub.isFilled || isTested, lastPh, today) };
}
