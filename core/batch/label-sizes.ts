import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';
import { type MessageOf, messages } from '#core/units/message';

/** A sheet of labels, or one label to a page. Usual sizes: common practice, no source. Millimetres. */
export interface LabelSize {
  id: string;
  paper: 'a4' | 'letter' | 'single';
  page: readonly [width: number, height: number];
  columns: number;
  rows: number;
  label: readonly [width: number, height: number];
  margin: readonly [left: number, top: number];
  gap: readonly [across: number, down: number];
}

const A4 = [210, 297] as const;
const LETTER = [215.9, 279.4] as const;
type Two = readonly [across: number, down: number];

const sheet = (
  id: string,
  paper: LabelSize['paper'],
  page: Two,
  [columns, rows]: Two,
  label: Two,
  margin: Two = [0, 0],
  gap: Two = [0, 0],
): LabelSize => ({ id, paper, page, columns, rows, label, margin, gap });
const single = (width: number, height: number): LabelSize =>
  sheet(`single-${width}x${height}`, 'single', [width, height], [1, 1], [width, height]);

export const labelSizes: readonly LabelSize[] = [
  sheet('a4-24', 'a4', A4, [3, 8], [70, 37], [0, 0.5]),
  sheet('a4-65', 'a4', A4, [5, 13], [38.1, 21.2], [4.7, 10.7], [2.5, 0]),
  sheet('letter-30', 'letter', LETTER, [3, 10], [66.7, 25.4], [4.8, 12.7], [3.1, 0]),
  single(62, 29),
  single(100, 20),
];

/** What the screen calls a sheet of labels. */
export interface LabelSizeFacts {
  'labels.sheet': { paper: 'a4' | 'letter'; count: number; acrossMm: number; downMm: number };
  'labels.single': { acrossMm: number; downMm: number };
}
const say = messages<LabelSizeFacts>();

/** What a sheet of labels is called. */
export function sheetName({
  paper,
  columns,
  rows,
  label: [acrossMm, downMm],
}: LabelSize): MessageOf<LabelSizeFacts> {
  return paper === 'single'
    ? say('labels.single', { acrossMm, downMm })
    : say('labels.sheet', { paper, count: columns * rows, acrossMm, downMm });
}

export function labelSize(id: string): LabelSize {
  const size = labelSizes.find((each) => each.id === id);
  if (!size) throw new OutOfRange('size', id, allow('allowed.one-of', { ids: labelSizes.map((s) => s.id) }));
  return size;
}
