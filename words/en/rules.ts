import { type RuleFacts } from '#core/weeks/rule-facts';
import { type Change } from '#core/weeks/rule-change';
import { type Words } from '#words/catalog';

const numbers = ['', 'once', 'twice', 'three times', 'four times'];
/** Waterings a day, as a person counts them. */
function often(perDay: number): string {
  if (perDay <= 0) return 'rarely';
  const gap = Math.round(1 / perDay);
  if (gap > 2) return `about every ${gap} days`;
  if (gap === 2) return 'about every second day';
  const times = Math.round(perDay);
  return `about ${numbers[times] ?? `${times} times`} a day`;
}

const shares: Record<number, string> = { 10: 'A tenth', 20: 'A fifth', 30: 'Three tenths' };

const changes: Record<Change, string> = {
  acid: 'Put acid into the water',
  'rain-water': 'Use rain water, or blend it in',
  cover: 'Lay vermiculite or grit on top',
  shade: 'Shade it',
  'less-lime': 'Give less lime',
  'more-lime': 'Give more lime',
  'less-salts': 'Halve the starter feed',
  'any-hour': 'Look more often, or water by a timer',
};

/** How to water and feed. */
export const rules: Words<RuleFacts> = {
  'rule.water': ({ first, last, gonePct }) => {
    const [begins, ends] = [often(first), often(last)];
    const when = `when ${gonePct} % of its water has gone`;
    return begins === ends
      ? `Water ${when}: ${begins} in this weather.`
      : `Water ${when}: ${begins} at first, ${ends} later.`;
  },
  'rule.feed': ({ nMgPerL, from, day }, f) => {
    const when =
      from === 'leaves' ? 'from the first true leaves' : from === 'roots' ? 'once rooted' : `from day ${day}`;
    return `Feed every watering with ${f.strength(nMgPerL)} of nitrogen ${when}.`;
  },
  'rule.no-feed': () => 'No liquid feed.',
  'rule.through': ({ pct }) =>
    pct === 0 ? 'Water just until it drips.' : `${shares[pct] ?? `${pct} %`} of the water is to run through.`,
  'rule.change': ({ change, inTen }) =>
    `No rule alone is safe here. ${changes[change]}: then ${inTen > 9 ? 'all nearly always stays' : `about ${inTen} times of 10 all stays`} right.`,
  'rule.none': () => 'No rule alone is safe here. Change the mix.',
};
