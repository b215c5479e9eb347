import { type DueStep } from '#contract/today';
import { daysAfter } from '#core/units/day';
import { readOut } from '#core/units/said';
import { type BatchStore } from '#server/batches/store';
import { type RecordStore } from '#server/record/store';

/** How far back a forgotten re-test is still told, days. */
const FORGET_AFTER = 60;

/** The first sentence of a step says what to do. */
const short = (text: string): string => `${text.split(/[.:](?:\s|$)/)[0] ?? text}.`;

/** What the batches want: re-tests and rests by their day, and the next step of those that are begun. */
export function dueSteps(batches: BatchStore, record: RecordStore, today: string): DueStep[] {
  const due: DueStep[] = [];
  for (const batch of batches.stepsSince(daysAfter(today, -FORGET_AFTER))) {
    const ticks = new Map<string, boolean>();
    for (const { data } of record.ofBatch('tick', batch.id))
      if (data.kind === 'tick') ticks.set(`${data.step}/${data.load}`, data.done);
    const done = (step: { id: string; times?: number | undefined }): boolean =>
      Array.from({ length: step.times ?? 1 }, (_, load) => ticks.get(`${step.id}/${load}`)).every(Boolean);
    const begun = [...ticks.values()].some(Boolean);
    const about = { batchId: batch.id, batch: batch.name };
    const left = batch.steps.filter((step) => !done(step));
    for (const step of left.filter((s) => s.waitDays !== undefined)) {
      const on = daysAfter(batch.madeOn, step.waitDays!);
      const text = short(readOut(step.text, 'metric'));
      due.push({ ...about, step: step.id, text, state: on <= today ? 'due' : 'waiting', on });
    }
    // Cards from before had lifting as a last step; it is no work to be done.
    const next = left.find((s) => s.waitDays === undefined && s.id !== 'lift');
    if (begun && next) {
      const text = short(readOut(next.text, 'metric'));
      due.push({ ...about, step: next.id, text, state: 'open', on: null });
    }
  }
  return due.sort((a, b) => (a.on ?? '').localeCompare(b.on ?? ''));
}
