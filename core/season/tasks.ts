import { daysUp } from '#core/season/emergence';
import { dayNumber, dayOf } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';
import { type SeasonSowing, type SeasonStep } from '#core/season/season';

/** Something to be done on a day. */
export interface SeasonTask {
  /** Stable for a sowing: "start", "spares", "move-2", "harden", "plant", "own-0". */
  id: string;
  /** YYYY-MM-DD */
  on: string;
  /** The last day of what takes several. */
  until: string | null;
  text: string;
}

/** A leaf a week after coming up: common practice, no source. */
const DAYS_PER_LEAF = 7;

const times = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** "120 cells, 2 × 72-cell tray", "40 × 9 cm pot". */
export function vesselsSaid({ cells, trays, kind }: SeasonStep): string {
  if (kind.perTray === 1) return `${trays} × ${kind.name}`;
  return `${times(cells, kind.noun)}, ${trays} × ${kind.name}`;
}

const SOWN = { sow: 'Sow', stick: 'Stick', divide: 'Divide' } as const;
const COVERED = { vermiculite: 'fine vermiculite', mix: 'sieved mix', sand: 'sharp sand' } as const;

/** All that a sowing wants, by the day. Times between are trade practice; the plants decide. */
export function tasksOf(sowing: SeasonSowing, settings: Pick<SeasonSettings, 'soilC'>): SeasonTask[] {
  const { crop, line, steps, plantOn } = sowing;
  const first = steps[0]!;
  const name = nameOf(sowing);
  const begun = dayNumber(first.from);
  const end = dayNumber(plantOn);
  const up = begun + Math.round(daysUp(crop.emergence, settings.soilC).days);
  const tasks: SeasonTask[] = [];
  const add = (id: string, on: number, text: string, until: number | null = null): void => {
    tasks.push({ id, on: dayOf(on), until: until === null ? null : dayOf(until), text });
  };
  const per = crop.perCell > 1 ? `, ${crop.perCell} to each` : '';
  const under =
    crop.start !== 'sow'
      ? ''
      : crop.cover === 'none'
        ? '; leave it uncovered'
        : `; cover with ${crop.coverMm} mm of ${COVERED[crop.cover]}`;
  const light = crop.start === 'sow' && crop.light === 'dark' ? ', keep it dark' : '';
  add('start', begun, `${SOWN[crop.start]} ${name}: ${vesselsSaid(first)}${per}${under}${light}`);
  // What has been moved on or planted by then is not looked for.
  const before = (day: number): boolean => day < end;
  if (crop.start === 'sow' && before(up)) add('up', up, `${name} comes up: dome off, into the light`);
  if (crop.start === 'stick' && before(up)) add('up', up, `${name} roots: tug one, and lower the mist`);
  const spares = up + DAYS_PER_LEAF * crop.atLeaves;
  const moved = steps[1] ? dayNumber(steps[1].from) : end;
  if (crop.start === 'sow' && crop.spares === 'thin' && crop.perCell > 1 && spares < moved)
    add('spares', spares, `Thin ${name} to one in each ${first.kind.noun}: snip, do not pull`);
  const feed = up + crop.firstFeedDays;
  if (crop.start !== 'divide' && before(feed)) add('feed', feed, `First feed of ${name}, weak, by its label`);
  steps.slice(1).forEach((step, i) => {
    const deep = crop.depth === 'deep' ? 'deep, to the first true leaf' : 'at its old level';
    const how = i === 0 && crop.spares === 'prick' ? 'Prick out' : 'Pot on';
    add(`move-${i + 2}`, dayNumber(step.from), `${how} ${name}: ${vesselsSaid(step)}, ${deep}`);
  });
  if (crop.hardenDays > 0)
    add('harden', Math.max(begun, end - crop.hardenDays), `Harden ${name} off until it is planted`, end);
  add('plant', end, `Plant or sell ${name}: ${line.plants} wanted`);
  crop.tasks.forEach(({ name: what, from, days, forDays }, i) => {
    const on = (from === 'start' ? begun : end) + days;
    add(`own-${i}`, on, `${name}: ${what}`, forDays === undefined ? null : on + forDays);
  });
  return tasks.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** "Tomato Long Red, 2nd sowing". */
export function nameOf({ crop, line, sowing }: Pick<SeasonSowing, 'crop' | 'line' | 'sowing'>): string {
  const which = line.count > 1 ? `, sowing ${sowing} of ${line.count}` : '';
  return `${crop.name}${line.name ? ` “${line.name}”` : ''}${which}`;
}
