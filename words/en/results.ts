import { type ResultFacts, type Words } from '#words/catalog';
import { causes } from '#words/en/causes';
import { type TrayFacts } from '#core/plants/trial';
import { type VerdictFacts } from '#core/plants/verdict';
import { type Formats, inSentence } from '#words/formats';
import { none } from '#core/units/message';

const MOST_SUSPECTS = 3;
const TRAYS_DIFFER =
  'But trays of the same mix differ by more than chance: light, water or filling differed too.';
const byChance = (perMille: number, f: Formats): string =>
  `chance shows as much about ${f.counted(perMille, { one: 'time', other: 'times' })} in 1000`;

/** What became of batches and plantings, in one line. */
const shareOf = ({ pct, of }: { pct: number; of: number }, f: Formats): string =>
  `${f.pct(pct)} of ${f.count(of)}`;
const arm = (name: string, f: Formats): string => f.title({ id: '', name });

export const results: Words<ResultFacts & VerdictFacts & TrayFacts> = {
  'verdict.better': ({ what, best, last, byChancePerMille: odds }, f) =>
    `${arm(best.name, f)} did better than ${arm(last.name, f)}: ${shareOf(best, f)} ${what}, against ${shareOf(last, f)}. Chance alone would show that ${odds < 1 ? 'less than once' : `about ${f.counted(Math.round(odds), { one: 'time', other: 'times' })}`} in 1000.`,
  'verdict.ahead': ({ what, best, last, moreEach }, f) =>
    `Too few to say. ${arm(best.name, f)} is ahead: ${shareOf(best, f)} ${what}, against ${shareOf(last, f)} with ${arm(last.name, f)}; ${moreEach === null ? 'chance alone shows as much' : `${f.count(moreEach)} more of each would show it`}.`,
  'verdict.alike': ({ what, best, last }, f) =>
    `Hardly a difference: ${shareOf(best, f)} ${what} with ${arm(best.name, f)}, ${shareOf(last, f)} with ${arm(last.name, f)}.`,
  'result.batch': ({ up, plantings, lost, suspects }, f) => {
    const share =
      up.of > 0 ? `${f.pct((100 * up.alive) / up.of)} of ${f.count(up.of)} came up` : 'nothing counted yet';
    const likely = suspects.slice(0, MOST_SUSPECTS).map((suspect) => {
      const name = causes[`cause.${suspect.cause}.name`](none, f).split(':')[0]!;
      return `${inSentence(name)} in ${suspect.plantings} of ${plantings}`;
    });
    const worst = lost[0];
    return [share, ...(worst ? [`${f.count(worst.count)} lost, ${worst.cause}`] : []), ...likely].join('; ');
  },
  'trays.differ': () => TRAYS_DIFFER,
  'trays.still-hold': ({ perMille }, f) =>
    `${TRAYS_DIFFER} Counted by groups of trays it still holds: ${byChance(perMille, f)}.`,
  'trays.more-blocks': ({ blocks, least }, f) =>
    `Trays are counted as a whole, and ${f.counted(blocks, { one: 'group', other: 'groups' })} cannot tell: lay out ${f.count(least)} or more.`,
  'trays.too-few': ({ perMille }, f) =>
    `${TRAYS_DIFFER} Counted by groups of trays ${byChance(perMille, f)}: lay out more groups.`,
};
