import { type DueStep } from '#contract/today';
import { isStepDone, isWork } from '#core/batch/state';
import { daysAfter } from '#core/units/day';
import { type BatchSteps, type BatchStore } from '#server/kept/batches';
import { Known } from '#server/base/database/known';
import { type RecordStore } from '#server/kept/record';

/** How far back a forgotten re-test is still told, days. */
const FORGET_AFTER = 60;

/** Cards read without a break: some 20 ms. */
const SLICE = 8;

type WantedStep = Omit<DueStep, 'seen'>;
type Ticks = ReadonlyMap<string, boolean>;

/**
 * What the batches want: re-tests and rests by their day, and the next step of those that are begun. Cards never change
 * and entries are only ever added, so what a batch wants is reckoned anew when it has a new tick, or on a new day.
 */
export class DueSteps {
  private readonly ticks = new Map<number, Map<string, boolean>>();
  private upTo = 0;
  private readonly kept = new Known<number, WantedStep[]>();

  constructor(
    private readonly batches: BatchStore,
    private readonly record: RecordStore,
  ) {}

  /** In slices, so that others are answered between. @param today YYYY-MM-DD */
  async on(today: string): Promise<DueStep[]> {
    this.catchUp();
    const ids = this.batches.since(daysAfter(today, -FORGET_AFTER));
    const due: WantedStep[] = [];
    let fresh = 0;
    for (const id of ids) {
      let wants = this.kept.get(id, [today]);
      if (!wants) {
        if (++fresh % SLICE === 0) await new Promise(setImmediate);
        wants = wantsOf(this.batches.stepsOf(id), this.ticks.get(id) ?? new Map(), today);
        this.kept.keep(id, [today], wants);
      }
      due.push(...wants);
    }
    // Days compare as plain text.
    return due
      .map((step) => ({ ...step, seen: this.record.newestOf(step.batchId) }))
      .sort((a, b) => ((a.on ?? '') < (b.on ?? '') ? -1 : (a.on ?? '') > (b.on ?? '') ? 1 : 0));
  }

  private catchUp(): void {
    for (const { id, batchId, data } of this.record.newOf('tick', this.upTo)) {
      this.upTo = id;
      if (data.kind !== 'tick') continue;
      const ticks = this.ticks.get(batchId) ?? new Map<string, boolean>();
      this.ticks.set(batchId, ticks.set(`${data.step}/${data.load}`, data.done));
      this.kept.forget(batchId);
    }
  }
}

function wantsOf(batch: BatchSteps, ticks: Ticks, today: string): WantedStep[] {
  const isTicked = (step: string, load: number): boolean => ticks.get(`${step}/${load}`) === true;
  const begun = [...ticks.values()].some(Boolean);
  const about = { batchId: batch.id, key: batch.key, batch: batch.name };
  const of = (step: BatchSteps['steps'][number]): Omit<WantedStep, 'state' | 'on'> => ({
    ...{ ...about, step: step.id, text: step.text, test: step.test ?? null },
    loads: Array.from({ length: step.times ?? 1 }, (_, load) => load).filter(
      (load) => !isTicked(step.id, load),
    ),
  });
  const left = batch.steps.filter((step) => !isStepDone(step, isTicked));
  const wants = left
    .filter((step) => step.waitDays !== undefined)
    .map((step): WantedStep => {
      const on = daysAfter(batch.madeOn, step.waitDays!);
      return { ...of(step), state: on <= today ? 'due' : 'waiting', on };
    });
  const next = left.find(isWork);
  if (begun && next) wants.push({ ...of(next), state: 'open', on: null });
  return wants;
}
