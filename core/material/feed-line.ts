import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { OutOfRange } from '#core/units/check';
import { litresIn } from '#core/units/factors';
import { numberWritten, quantityWritten } from '#core/units/written';

/** A feed told in one line. */
export interface FeedLine {
  name: string;
  nPct: number;
  pPct: number;
  kPct: number;
  /** What a level cup weighs, g; left out where nobody weighed it. */
  cupG?: number | undefined;
}

const ANALYSIS = /(\d+(?:[.,]\d+)?)\s*[-–:]\s*(\d+(?:[.,]\d+)?)\s*[-–:]\s*(\d+(?:[.,]\d+)?)/;

/**
 * A feed by its name, its N-P-K, and what a level cup of it weighs, in any unit of weight.
 * @example feedLine('Chicken pellets 4-3-3, 150 g a cup') // { name: 'Chicken pellets', nPct: 4, …, cupG: 150 }
 * @throws OutOfRange for a line without a name or N-P-K, or with more than 100 % in it
 */
export function feedLine(text: string): FeedLine {
  const found = ANALYSIS.exec(text);
  const name = text
    .slice(0, found?.index ?? 0)
    .replace(/[\s,;:]+$/, '')
    .trim();
  if (!found || name === '') throw new OutOfRange('feed', text, allow('allowed.feed-line', none));
  const [nPct, pPct, kPct] = found.slice(1).map(numberWritten) as [number, number, number];
  if (nPct + pPct + kPct > 100)
    throw new OutOfRange('analysis', nPct + pPct + kPct, allow('allowed.number', { low: 0, high: 100 }));
  const rest = text
    .slice(found.index + found[0].length)
    .replace(/\b(a|the|per|level|cup|weighs)\b|[,;:]/gi, ' ')
    .trim();
  if (rest === '') return { name, nPct, pPct, kPct };
  const cupG = quantityWritten(rest, 'mass');
  // From sawdust to lead: what a cup can weigh.
  if (cupG === undefined || cupG < 50 * litresIn.cup || cupG > 5000 * litresIn.cup)
    throw new OutOfRange('feed', text, allow('allowed.feed-line', none));
  return { name, nPct, pPct, kPct, cupG };
}
