import { type ResultFacts, type Words } from '#words/catalog';
import { causes } from '#words/en/causes';
import { inSentence } from '#words/formats';
import { none } from '#core/units/message';

const MOST_SUSPECTS = 3;

/** What became of batches and plantings, in one line. */
export const results: Words<ResultFacts> = {
  'result.batch': ({ up, plantings, lost, suspects }, f) => {
    const share =
      up.of > 0 ? `${f.pct((100 * up.alive) / up.of)} of ${f.count(up.of)} came up` : 'nothing counted yet';
    const likely = suspects.slice(0, MOST_SUSPECTS).map((one) => {
      const name = causes[`cause.${one.cause}.name`](none, f).split(':')[0]!;
      return `${inSentence(name)} in ${one.plantings} of ${plantings}`;
    });
    const worst = lost[0];
    return [share, ...(worst ? [`${f.count(worst.count)} lost, ${worst.cause}`] : []), ...likely].join('; ');
  },
};
