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
const single = (width: number, height: number): LabelSize => ({
  id: `single-${width}x${height}`,
  name: `one label, ${width} × ${height} mm`,
  page: [width, height],
  columns: 1,
  rows: 1,
  label: [width, height],
  margin: [0, 0],
  gap: [0, 0],
});

export const labelSizes: readonly LabelSize[] = [
  {
    id: 'a4-24',
    name: 'A4, 24 of 70 × 37 mm',
    page: A4,
    columns: 3,
    rows: 8,
    label: [70, 37],
    margin: [0, 0.5],
    gap: [0, 0],
  },
  {
    id: 'a4-65',
    name: 'A4, 65 of 38 × 21 mm',
    page: A4,
    columns: 5,
    rows: 13,
    label: [38.1, 21.2],
    margin: [4.7, 10.7],
    gap: [2.5, 0],
  },
  {
    id: 'letter-30',
    name: 'Letter, 30 of 67 × 25 mm',
    page: LETTER,
    columns: 3,
    rows: 10,
    label: [66.7, 25.4],
    margin: [4.8, 12.7],
    gap: [3.1, 0],
  },
  single(62, 29),
  single(100, 20),
];

export function labelSize(id: string): LabelSize {
  const size = labelSizes.find((one) => one.id === id);
  if (!size) throw new OutOfRange('size', id, `one of ${labelSizes.map((s) => s.id).join(', ')}`);
  return size;
}
