import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stage, stages } from '#core/mix/stage';
import { type EmergenceTable } from '#core/season/emergence';
import { OutOfRange } from '#core/units/check';
import { limits, type Range } from '#core/units/limits';

export const cropKinds = ['vegetable', 'herb', 'flower', 'woody'] as const;
export const cropStarts = ['sow', 'stick', 'divide'] as const;
export const cropCovers = ['none', 'vermiculite', 'mix', 'sand'] as const;
export const cropLights = ['light', 'dark', 'either'] as const;
export const spareWays = ['thin', 'prick', 'keep'] as const;

/** Some weeks in one kind of vessel. */
export interface CropStep {
  vessel: string;
  stage: Stage;
  weeks: number;
  lossPct: number;
  /** Longest that the plant should stand in it, weeks; left out, a month to the cubic inch. */
  mostWeeks?: number | undefined;
  /** Number of a kept mix; left out, the approach has one for the stage. */
  mix?: number | undefined;
}

/** Something of the grower's own that comes with a day. */
export interface CropTask {
  name: string;
  /** Counted from the sowing or sticking, or from the planting; before it where below 0. */
  from: 'start' | 'plant';
  days: number;
  /** For so long. */
  forDays?: number | undefined;
}

/** What a plant wants between seed, or cutting, and the field or sales bench. */
export interface Crop {
  id: string;
  name: string;
  kind: (typeof cropKinds)[number];
  start: (typeof cropStarts)[number];
  steps: CropStep[];
  /** Days to come up, or to root, by temperature of the mix; may be one point. */
  emergence: [celsius: number, days: number][];
  light: (typeof cropLights)[number];
  cover: (typeof cropCovers)[number];
  coverMm: number;
  /** Seeds, or cuttings, to a cell. */
  perCell: number;
  /** Seeds to a square centimetre of an open flat; left out, as usual for seedlings that are pricked out. */
  seedsPerCm2?: number | undefined;
  /** Thinned to one, pricked out one by one, or every one kept where it stands. */
  spares: (typeof spareWays)[number];
  atLeaves: number;
  /** Share of seed that comes up, of cuttings that root. */
  germination: number;
  /** Days from the last frost to planting; below 0 before it. */
  plantOutDays: number;
  /** How far planting may move, days. */
  earlierDays: number;
  laterDays: number;
  /** Coldest night that it bears once it is out, °C. */
  coldestC: number;
  hardenDays: number;
  depth: 'deep' | 'level';
  /** Days after coming up to the first feed. */
  firstFeedDays: number;
  acid: boolean;
  tasks: CropTask[];
}

const STEP =
  /^([a-z0-9][a-z0-9-]*) ([\d.]+)w ([\d.]+)%(?: most ([\d.]+)w)?(?: (?!mix)(\w+))?(?: mix (\d+))?$/;

const inRange = (name: string, value: number, [low, high]: Range, text: string): number => {
  if (!(value >= low && value <= high))
    throw new OutOfRange(name, text, allow('allowed.number-in-it', { low, high, given: value }));
  return value;
};

/**
 * A path of vessels as it is written in a table.
 * @example stepsFrom('cell-72 6w 10% > pot-9 3w 5%', 'sow')
 * @throws OutOfRange naming what cannot be read
 */
export function stepsFrom(text: string, start: Crop['start']): CropStep[] {
  const parts = text.split('>').map((each) => each.trim());
  if (parts.length > limits.cropSteps[1])
    throw new OutOfRange('path', text, allow('allowed.most-vessels', { most: limits.cropSteps[1] }));
  return parts.map((part, i) => {
    const [, vessel, weeks, loss, most, stage, mix] = STEP.exec(part) ?? [];
    if (!vessel) throw new OutOfRange('path', part, allow('allowed.path-of-vessels', none));
    const usual: Stage = i > 0 ? 'potting' : start === 'sow' ? 'germination' : 'rooting';
    if (stage !== undefined && !(stages as readonly string[]).includes(stage))
      throw new OutOfRange('path', stage, allow('allowed.one-of', { ids: [...stages] }));
    return {
      vessel,
      stage: (stage as Stage | undefined) ?? usual,
      weeks: inRange('path', Number(weeks), limits.stepWeeks, part),
      lossPct: inRange('path', Number(loss), limits.lossPct, part),
      ...(most !== undefined && { mostWeeks: inRange('path', Number(most), limits.stepWeeks, part) }),
      ...(mix !== undefined && { mix: Number(mix) }),
    };
  });
}

export const stepsText = (steps: readonly CropStep[]): string =>
  steps
    .map(
      ({ vessel, weeks, lossPct, mostWeeks, stage, mix }) =>
        `${vessel} ${weeks}w ${lossPct}%${mostWeeks === undefined ? '' : ` most ${mostWeeks}w`} ${stage}${mix === undefined ? '' : ` mix ${mix}`}`,
    )
    .join(' > ');

/** @example emergenceFrom('10:43 15:14 20:8') */
export function emergenceFrom(text: string): Crop['emergence'] {
  const points = text
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((each): [number, number] => {
      const [celsius, days] = each.split(':').map(Number) as [number, number];
      if (!(celsius >= -5 && celsius <= 45 && days > 0 && days <= 400))
        throw new OutOfRange('emergence', each, allow('allowed.emergence-pairs', none));
      return [celsius, days];
    });
  if (points.some(([celsius], i) => i > 0 && celsius <= points[i - 1]![0]))
    throw new OutOfRange('emergence', text, allow('allowed.cold-to-warm', none));
  return points;
}
export const emergenceText = (table: EmergenceTable): string =>
  table.map(([celsius, days]) => `${celsius}:${days}`).join(' ');

const TASK = /^(.+?) @ ?(start|plant) ?([+-]\d+)?(?: for (\d+))?$/;

/** @example tasksFrom('dome off @ start +10; shade @ plant +0 for 7') */
export function tasksFrom(text: string): CropTask[] {
  return text
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each) => {
      const [, name, from, days = '0', long] = TASK.exec(each) ?? [];
      if (!name) throw new OutOfRange('tasks', each, allow('allowed.task-form', none));
      inRange('tasks', Number(days), limits.plantOutDays, each);
      return {
        name,
        from: from as CropTask['from'],
        days: Number(days),
        ...(long !== undefined && { forDays: Number(long) }),
      };
    });
}
export const tasksText = (tasks: readonly CropTask[]): string =>
  tasks
    .map(
      ({ name, from, days, forDays }) =>
        `${name} @ ${from} ${days < 0 ? days : `+${days}`}${forDays === undefined ? '' : ` for ${forDays}`}`,
    )
    .join('; ');
