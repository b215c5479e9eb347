import { type AdviseFacts, type EditSays } from '#core/advise/advise-facts';
import { fixed } from '#core/units/show';
import { type ReadingId } from '#core/judge/readings';
import { type Words } from '#words/catalog';
import { type Formats } from '#words/formats';

const parts = (n: number, f: Formats): string => {
  const word = { one: 'part', other: 'parts' };
  return Number.isInteger(n) ? f.counted(n, word) : `${f.digits(n, 2)} ${f.plural(n, word)}`;
};

/** The first letter is raised where a sentence begins with it. */
function edit(says: EditSays, f: Formats): string {
  switch (says.does) {
    case 'add':
      return `add ${parts(says.parts, f)} of ${f.name(says.what)}`;
    case 'more':
      return `${parts(says.by, f)} more of ${f.name(says.what)}`;
    case 'less':
      return `${parts(says.by, f)} less of ${f.name(says.what)}`;
    case 'leave-out':
    case 'no-dose':
      return `leave out the ${f.name(says.what)}`;
    case 'exchange':
      return `${f.name(says.what)} in place of ${f.name(says.from)}, ${parts(says.parts, f)} as before`;
    case 'screen':
      return `screen the ${f.name(says.what)} at ${f.length(says.mm)}`;
    case 'dose':
      return says.wasGPerL === null
        ? `add ${f.dose(says.gPerL)} of ${f.name(says.what)}`
        : `${f.dose(says.gPerL)} of ${f.name(says.what)} instead of ${f.dose(says.wasGPerL)}`;
    case 'lime':
      return `lime to pH ${f.ph(says.ph)} with ${f.name(says.what)}`;
    case 'no-lime':
      return 'no lime';
    case 'firm':
      return says.pct === 0
        ? 'fill it loosely'
        : says.pct < says.wasPct
          ? `firm it less, by ${f.pct(says.pct)}`
          : `firm it by ${f.pct(says.pct)}`;
  }
}

const share = (places: number) => (value: number) => `${fixed(value, places)}\u00a0%`;
const reads: Record<ReadingId, (value: number, f: Formats) => string> = {
  air: share(1),
  airAfterDrydown: share(1),
  cohesion: (value) => fixed(value, 2),
  ph: (value, f) => f.ph(value),
  ecSaturated: (value) => fixed(value, 2),
  n: (value, f) => f.strength(value),
  overSize: share(0),
};
const names: Record<ReadingId, string> = {
  air: 'air',
  airAfterDrydown: 'air once half dried',
  cohesion: 'holding together',
  ph: 'pH',
  ecSaturated: 'EC',
  n: 'nitrogen',
  overSize: 'large pieces',
};

const raised = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What the adviser found by trying. */
export const advise: Words<AdviseFacts> = {
  'advise.way': ({ edits, moves }, f) => {
    const does = raised(edits.map((each) => edit(each, f)).join('; '));
    if (!moves) return `${does}.`;
    const [from, to] = [reads[moves.of](moves.from, f), reads[moves.of](moves.to, f)];
    return from === to ? `${does}.` : `${does}: ${names[moves.of]} ${from} → ${to}.`;
  },
  'advise.would-vessel': ({ vessel }, f) =>
    `No small change puts it right here. The ${f.title(vessel)} would.`,
  'advise.would-finder': () => 'No small change puts it right here. The finder looks through all you have.',
};
