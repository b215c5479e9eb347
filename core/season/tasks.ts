import { emergenceAt } from '#core/season/emergence';
import { dayNumber, dayOf } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { isOpenFlat } from '#core/season/per-vessel';
import { type SeasonSowing } from '#core/season/season';
import { nameOf, type SeasonMessage, seasonSay, vesselsOf } from '#core/season/season-facts';

/** Something to be done on a day. */
export interface SeasonTask {
  /** Stable for a sowing: "start", "spares", "move-2", "harden", "plant", "own-0". */
  id: string;
  /** YYYY-MM-DD */
  on: string;
  /** The last day of what takes several. */
  until: string | null;
  text: SeasonMessage;
}

/** The task with which a step of a sowing begins. @param step from 0 */
export const taskOfStep = (step: number): string => (step === 0 ? 'start' : `move-${step + 1}`);

/** A leaf a week after coming up: common practice, no source. */
const DAYS_PER_LEAF = 7;

/**
 * All that a sowing wants, by the day. Times between are trade practice; the plants decide.
 * @param daysToFeed from the beginning to the first feed, as its mixes last; null where they last to the end; left out
 * where no mix is known: by the crop
 */
export function tasksOf(
  sowing: SeasonSowing,
  settings: Pick<SeasonSettings, 'soilC'>,
  daysToFeed?: number | null,
): SeasonTask[] {
  const { crop, line, steps, plantOn, perCell } = sowing;
  const first = steps[0]!;
  const name = nameOf(sowing);
  const begun = dayNumber(first.from);
  const end = dayNumber(plantOn);
  const up = begun + Math.round(emergenceAt(crop.emergence, settings.soilC).days);
  const tasks: SeasonTask[] = [];
  const add = (id: string, on: number, text: SeasonMessage, until: number | null = null): void => {
    tasks.push({ id, on: dayOf(on), until: until === null ? null : dayOf(until), text });
  };
  const cover = crop.cover === 'none' ? null : { mm: crop.coverMm, with: crop.cover };
  add(
    taskOfStep(0),
    begun,
    seasonSay('task.start', {
      ...{ name, start: crop.start, vessels: vesselsOf(first), perCell },
      ...{ cover: crop.start === 'sow' ? cover : null, dark: crop.start === 'sow' && crop.light === 'dark' },
    }),
  );
  // What has been moved on or planted by then is not looked for.
  const before = (day: number): boolean => day < end;
  if (crop.start === 'sow' && before(up)) add('up', up, seasonSay('task.up', { name, rooted: false }));
  if (crop.start === 'stick' && before(up)) add('up', up, seasonSay('task.up', { name, rooted: true }));
  const spares = up + DAYS_PER_LEAF * crop.atLeaves;
  const moved = steps[1] ? dayNumber(steps[1].from) : end;
  if (
    crop.start === 'sow' &&
    crop.spares === 'thin' &&
    perCell > 1 &&
    !isOpenFlat(first.kind) &&
    spares < moved
  )
    add('spares', spares, seasonSay('task.spares', { name, noun: first.kind.noun }));
  const feed =
    daysToFeed === undefined ? up + crop.firstFeedDays : daysToFeed === null ? end : begun + daysToFeed;
  if (crop.start !== 'divide' && before(feed)) add('feed', feed, seasonSay('task.feed', { name }));
  steps.slice(1).forEach((step, i) => {
    const prick = i === 0 && crop.spares === 'prick';
    const says = seasonSay('task.move', {
      ...{ name, prick, vessels: vesselsOf(step), deep: crop.depth === 'deep' },
    });
    add(taskOfStep(i + 1), dayNumber(step.from), says);
  });
  if (crop.hardenDays > 0)
    add('harden', Math.max(begun, end - crop.hardenDays), seasonSay('task.harden', { name }), end);
  add('plant', end, seasonSay('task.plant', { name, plants: line.plants }));
  crop.tasks.forEach(({ name: what, from, days, forDays }, i) => {
    const on = (from === 'start' ? begun : end) + days;
    add(`own-${i}`, on, seasonSay('task.own', { name, what }), forDays === undefined ? null : on + forDays);
  });
  return tasks.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
