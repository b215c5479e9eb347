import { type Refusal } from '#core/units/check';
import { fixed } from '#core/units/show';
import { between } from '#words/en/allowed';
import { labels } from '#words/en/labels';
import { formatsOf, read } from '#words/read';
import { allow, type Allowed } from '#core/units/allowed';
import { type RowFacts } from '#core/units/row';
import { type Language, type Reader } from '#words/reader';

/** What the screen calls the value at a path, "components.0.parts"; the path itself where no screen asks it. */
export function labelOf(path: string): string {
  const name = path.split('.').findLast((part) => !/^\d+$/.test(part)) ?? path;
  return Object.hasOwn(labels, name) ? labels[name]! : path;
}

const LONGEST_LIST = 60;

/** Numbers are said in the unit that the end of their name gives. */
const bySuffix: readonly [RegExp, (value: number, reader: Reader) => string][] = [
  [/Mm$|^mm$/, (mm, reader) => formatsOf(reader).length(mm)],
  [/^celsius$|C$/, (celsius, reader) => formatsOf(reader).celsius(celsius)],
  [/KgPerL$/, (kgPerL, reader) => formatsOf(reader).density(1000 * kgPerL)],
  [/GPerL$/, (gPerL, reader) => formatsOf(reader).dose(gPerL)],
  [/MgPerL$/, (mgPerL, reader) => formatsOf(reader).strength(mgPerL)],
  [/Kg$|^kg$/, (kg, reader) => formatsOf(reader).mass(1000 * kg)],
  [/[a-z]G$|^grams$|Grams$/, (grams, reader) => formatsOf(reader).mass(grams)],
  [/Ml$/, (ml, reader) => formatsOf(reader).volume(ml / 1000)],
  [/^litres$|Litres$/, (litres, reader) => formatsOf(reader).volume(litres)],
  [/Pct$/, (pct) => `${plain(pct)}\u00a0%`],
];
/** With the digits that it has: an edge is said as it stands. */
const plain = (value: number): string =>
  Math.abs(value) < 1e-4 && value !== 0
    ? String(value)
    : fixed(value, Math.min(4, (String(value).split('.')[1] ?? '').length));

/** What would have been taken, after "must be". */
export const allowedSays = (allowed: Allowed, reader: Reader): string => read(allowed, reader);

const isLong = (allowed: Allowed): boolean =>
  allowed.say === 'allowed.one-of' && allowed.with.ids.join().length > LONGEST_LIST;

/** What was given, after what must be. */
function givenSays(value: unknown, shown: (value: number) => string): string {
  if (value === undefined) return ', and is missing';
  if (typeof value === 'number' && Number.isFinite(value)) return `, not ${shown(value)}`;
  if (Array.isArray(value)) return `, not a list of ${value.length}`;
  if (typeof value === 'string') return `, not “${value.length > 100 ? `${value.slice(0, 100)}…` : value}”`;
  return typeof value === 'number' || typeof value === 'boolean' ? `, not ${value}` : '';
}

/**
 * What a refusal says to a person: the label on the screen, what would be taken, and what was given.
 * @example problemSays(new OutOfRange('compactionPct', 60, allow('allowed.number', { low: 0, high: 41.3 })), reader)
 *   // 'Firming must be from 0 to 41.3 %, not 60 %'
 */
export function problemSays({ argument, value, allowed }: Refusal, reader: Reader): string {
  const label = labelOf(argument);
  const name = argument.split('.').at(-1)!;
  const say = bySuffix.find(([suffix]) => suffix.test(name))?.[1] ?? plain;
  const shown = (number: number): string => say(number, reader);
  const given = givenSays(value, shown);
  // Which ids there are is of no use to who reads it.
  if (isLong(allowed) && typeof value === 'string')
    return `${label}: ${read(allow('allowed.called', { name: value }), reader)}`;
  const isNumber = allowed.say === 'allowed.number' || allowed.say === 'allowed.whole';
  if (!isNumber || typeof value !== 'number') {
    const [what, reason] = allowedSays(allowed, reader).split(/: (.*)/s);
    return `${label} must be ${what}${given}${reason ? `: ${reason}` : ''}`;
  }
  const [low, high] = [allowed.with.low, allowed.with.high].map((end) =>
    Number.isFinite(end) ? shown(end) : end,
  );
  const whole = allowed.say === 'allowed.whole' && !Number.isInteger(value) ? 'a whole number ' : '';
  return `${label} must be ${whole}${between(low!, high!)}${given}`;
}

/** What is wrong with a row of a table, by line and column: metric, as tables are. */
export function rowSays({ line, column, allowed, was }: RowFacts, language: Language): string {
  const where = [line === null ? '' : `line ${line}`, column ?? ''].filter((part) => part !== '').join(', ');
  const reader: Reader = { language, units: 'metric' };
  if (isLong(allowed)) return `${where}: ${read(allow('allowed.called', { name: String(was) }), reader)}`;
  const given = was === undefined ? '' : `, was ${JSON.stringify(was)}`;
  return `${where}: must be ${allowedSays(allowed, reader)}${given}`;
}
