import { type Refusal } from '#core/units/check';
import { fixed } from '#core/units/show';
import { labels } from '#words/en/labels';
import { formatsOf, read } from '#words/read';
import { type Allowed } from '#core/units/allowed';
import { type Reader } from '#words/reader';

/** What the screen calls the value at a path, "components.0.parts"; the path itself where no screen asks it. */
export function labelOf(path: string): string {
  const name = path.split('.').findLast((part) => !/^\d+$/.test(part)) ?? path;
  return Object.hasOwn(labels, name) ? labels[name]! : path;
}

/** A refusal by the name of what was refused, as a table or a script has it: "count must be at most 17, was 18". */
export const refusedByName = ({ argument, value, allowed }: Refusal, reader: Reader): string =>
  `${argument} must be ${allowedSays(allowed, reader)}, was ${JSON.stringify(value)}`;

const LONGEST_LIST = 60;

/** Numbers are said in the unit that the end of their name gives. */
const bySuffix: readonly [RegExp, (value: number, reader: Reader) => string][] = [
  [/Mm$|^mm$/, (mm, reader) => formatsOf(reader).length(mm)],
  [/^celsius$|C$/, (celsius, reader) => formatsOf(reader).celsius(celsius)],
  [/GPerL$/, (gPerL, reader) => formatsOf(reader).dose(gPerL)],
  [/MgPerL$/, (mgPerL, reader) => formatsOf(reader).strength(mgPerL)],
  [/Kg$|^kg$/, (kg, reader) => formatsOf(reader).mass(1000 * kg)],
  [/^litres$|Litres$/, (litres, reader) => formatsOf(reader).volume(litres)],
  [/Pct$/, (pct) => `${plain(pct)}\u00a0%`],
];
const plain = (value: number): string => fixed(value, Number.isInteger(value) ? 0 : value < 10 ? 2 : 1);

/** What would have been taken, after "must be". */
export const allowedSays = (allowed: Allowed, reader: Reader): string =>
  typeof allowed === 'string' ? allowed : read(allowed, reader);

/**
 * What a refusal says to a person: the label on the screen, what would be taken, and what was given.
 * @example problemSays(new OutOfRange('compactionPct', 60, 'a number from 0 to 41.3', [0, 41.3]), reader)
 *   // 'Firming must be from 0 to 41.3 %, not 60 %'
 */
export function problemSays({ argument, value, allowed: known, range }: Refusal, reader: Reader): string {
  const allowed = allowedSays(known, reader);
  const label = labelOf(argument);
  const name = argument.split('.').at(-1)!;
  const say = bySuffix.find(([suffix]) => suffix.test(name))?.[1] ?? plain;
  const shown = typeof value === 'number' && Number.isFinite(value) ? say(value, reader) : String(value);
  // Which ids there are is of no use to who reads it.
  if (allowed.startsWith('one of ') && allowed.length > LONGEST_LIST)
    return `${label}: nothing here is called “${String(value)}”`;
  if (!range) return `${label} must be ${allowed}${typeof value === 'object' ? '' : `, not ${shown}`}`;
  const [low, high] = range;
  const ends =
    low === -Infinity
      ? `at most ${say(high, reader)}`
      : high === Infinity
        ? `at least ${say(low, reader)}`
        : `from ${say(low, reader)} to ${say(high, reader)}`;
  const reason = allowed.split(': ')[1];
  return `${label} must be ${ends}, not ${shown}${reason ? `: ${reason}` : ''}`;
}
