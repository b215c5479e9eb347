import { type LabelSizeFacts } from '#core/batch/label-sizes';
import { type Words } from '#words/catalog';
import { type Formats } from '#words/formats';

/** Both sides, the unit said once. */
const size = (acrossMm: number, downMm: number, f: Formats): string =>
  `${f.length(acrossMm).split('\u00a0')[0]} × ${f.length(downMm)}`;

const papers = { a4: 'A4', letter: 'Letter' } as const;

export const labelSizes: Words<LabelSizeFacts> = {
  'labels.sheet': ({ paper, count, acrossMm, downMm }, f) =>
    `${papers[paper]}, ${count} of ${size(acrossMm, downMm, f)}`,
  'labels.single': ({ acrossMm, downMm }, f) => `one label, ${size(acrossMm, downMm, f)}`,
};
