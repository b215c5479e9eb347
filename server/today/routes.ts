import { addDays, formatISO, parseISO } from 'date-fns';
import { Router } from 'express';
import { readOut } from '#core/units/said';
import { type Batches } from '#server/batches/store';
import { type Record } from '#server/record/store';

interface DueStep {
  batchId: number;
  batch: string;
  step: string;
  text: string;
  state: 'due' | 'waiting' | 'open';
  on: string | null;
}

/** How far back a forgotten re-test is still told, days. */
const FORGET_AFTER = 60;

/** The first sentence of a step says what to do. */
const short = (text: string): string => `${text.split(/[.:](?:\s|$)/)[0] ?? text}.`;

/** What the batches want: re-tests and rests by their day, and the next step of those that are begun. */
export function dueSteps(batches: Batches, record: Record, now: Date): DueStep[] {
  const today = formatISO(now, { representation: 'date' });
  const due: DueStep[] = [];
  for (const line of batches.all()) {
    const batch = batches.one(line.id);
    if (!batch || batch.madeOn < formatISO(addDays(now, -FORGET_AFTER), { representation: 'date' })) continue;
    const ticks = new Map<string, boolean>();
    for (const { data } of record.of(batch.id))
      if (data.kind === 'tick') ticks.set(`${data.step}/${data.load}`, data.done);
    const done = (step: { id: string; times?: number }): boolean =>
      Array.from({ length: step.times ?? 1 }, (_, load) => ticks.get(`${step.id}/${load}`)).every(Boolean);
    const begun = [...ticks.values()].some(Boolean);
    const about = { batchId: batch.id, batch: batch.name };
    const left = batch.snapshot.steps.filter((step) => !done(step));
    for (const step of left.filter((s) => s.waitDays !== undefined)) {
      const on = formatISO(addDays(parseISO(batch.madeOn), step.waitDays!), { representation: 'date' });
      const text = short(readOut(step.text, 'metric'));
      due.push({ ...about, step: step.id, text, state: on <= today ? 'due' : 'waiting', on });
    }
    const next = left.find((s) => s.waitDays === undefined);
    if (begun && next)
      due.push({
        ...about,
        step: next.id,
        text: short(readOut(next.text, 'metric')),
        state: 'open',
        on: null,
      });
  }
  return due.sort((a, b) => (a.on ?? '').localeCompare(b.on ?? ''));
}

export function todayRoutes(batches: Batches, record: Record, now: () => Date): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(dueSteps(batches, record, now()));
  });
  return router;
}
