import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { checkRange, OutOfRange } from '#core/units/check';

/** Days from sowing to emergence at soil temperatures, °C. */
export type EmergenceTable = readonly (readonly [celsius: number, days: number])[];

/** J. F. Harrington & P. A. Minges, Vegetable Seed Germination, Univ. of California (1954), from memory. */
export const published = {
  tomato: [
    [10, 43],
    [15, 14],
    [20, 8],
    [25, 6],
    [30, 6],
  ],
  pepper: [
    [15, 25],
    [20, 13],
    [25, 8],
    [30, 8],
  ],
  onion: [
    [5, 31],
    [10, 13],
    [15, 7],
    [20, 5],
    [25, 4],
  ],
  lettuce: [
    [5, 15],
    [10, 7],
    [15, 4],
    [20, 3],
    [25, 2],
  ],
  cabbage: [
    [10, 15],
    [15, 9],
    [20, 6],
    [25, 5],
  ],
  cucumber: [
    [20, 6],
    [25, 4],
    [30, 3],
  ],
  spinach: [
    [5, 23],
    [10, 12],
    [15, 7],
    [20, 6],
  ],
} as const satisfies Record<string, EmergenceTable>;
export type EmergenceCrop = keyof typeof published;

/**
 * Days to emergence at a soil temperature: a straight line on 1/days between the table's points, as the rate of growth
 * goes with warmth (model § 19).
 * @param celsius within the table
 * @throws OutOfRange outside it: too cold or too hot to come up is not guessed
 * @example emergenceDays(published.tomato, 17.5) // 10.2
 */
export function emergenceDays(table: EmergenceTable, celsius: number): number {
  const [first, last] = [table[0], table.at(-1)];
  if (!first || !last) throw new OutOfRange('table', 'empty', allow('allowed.one-temperature', none));
  checkRange('celsius', celsius, first[0], last[0]);
  for (let i = 1; i < table.length; i++) {
    const [low, high] = [table[i - 1]!, table[i]!];
    if (celsius > high[0]) continue;
    const t = (celsius - low[0]) / (high[0] - low[0]);
    return 1 / ((1 - t) / low[1] + t / high[1]);
  }
  return first[1];
}

/** Temperatures of the mix that a table tells of, °C. */
export type EmergenceSpan = readonly [low: number, high: number];

export interface Emergence {
  /** Days from sowing on which what comes is looked for; beyond the table those of its nearest end. */
  days: number;
  /** Where the mix is colder or warmer than the table: few or none come up there. */
  outside: EmergenceSpan | null;
}

/** A fortnight, where nothing is known. Common practice, no source. */
const UNKNOWN_DAYS = 14;

/**
 * When a sowing comes up at a temperature, or that it hardly does. One temperature alone says nothing of others: its
 * days are taken for them too (model § 25).
 */
export function emergenceAt(table: EmergenceTable, celsius: number): Emergence {
  const [first, last] = [table[0], table.at(-1)];
  if (!first || !last) return { days: UNKNOWN_DAYS, outside: null };
  if (table.length === 1) return { days: first[1], outside: null };
  const within = Math.min(Math.max(celsius, first[0]), last[0]);
  return { days: emergenceDays(table, within), outside: within === celsius ? null : [first[0], last[0]] };
}
