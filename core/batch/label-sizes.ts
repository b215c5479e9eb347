import { OutOfRange } from '#core/units/check';

/** A sheet of labels, or one label to a page. Usual sizes: common practice, no source. Millimetres. */
export interface LabelSize {
  id: string;
  name: string;
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
  name: string,
  page: Two,
  [columns, rows]: Two,
  label: Two,
  margin: Two = [0, 0],
  gap: Two = [0, 0],
): LabelSize => ({ id, name, page, columns, rows, label, margin, gap });
const single = (width: number, height: number): LabelSize =>
  sheet(
    `single-${width}x${height}`,
    `one label, ${width} × ${height} mm`,
    [width, height],
    [1, 1],
    [width, height],
  );

export const labelSizes: readonly LabelSize[] = [
  sheet('a4-24', 'A4, 24 of 70 × 37 mm', A4, [3, 8], [70, 37], [0, 0.5]),
  sheet('a4-65', 'A4, 65 of 38 × 21 mm', A4, [5, 13], [38.1, 21.2], [4.7, 10.7], [2.5, 0]),
  sheet('letter-30', 'Letter, 30 of 67 × 25 mm', LETTER, [3, 10], [66.7, 25.4], [4.8, 12.7], [3.1, 0]),
  single(62, 29),
  single(100, 20),
];

export function labelSize(id: string): LabelSize {
  const size = labelSizes.find((one) => one.id === id);
  if (!size) throw new OutOfRange('size', id, `one of ${labelSizes.map((s) => s.id).join(', ')}`);
  return size;
}
