import QRCode from 'qrcode';
import { type Content, type TDocumentDefinitions } from 'pdfmake/interfaces';
import { OutOfRange } from '#core/units/check';
import { millimetresIn } from '#core/units/factors';

const PT_PER_MM = 72 / millimetresIn.inch;
const pt = (mm: number): number => mm * PT_PER_MM;

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

export interface LabelText {
  title: string;
  lines: readonly string[];
  /** Dates that are known, and those to be written by hand. */
  dates: readonly { name: string; on: string | null }[];
  url: string;
}

/** So many copies of a label. Black on white only: any printer can do it. */
export async function labelSheet(
  size: LabelSize,
  text: LabelText,
  count: number,
): Promise<TDocumentDefinitions> {
  const perPage = size.columns * size.rows;
  const [width, height] = size.label;
  const qr = await QRCode.toDataURL(text.url, { errorCorrectionLevel: 'M', margin: 2, scale: 4 });
  const small = height < 24;
  const qrMm = Math.min(height - 3, small ? 15 : 22);
  const content: Content[] = [];
  for (let i = 0; i < count; i++) {
    const at = i % perPage;
    const [column, row] = [at % size.columns, Math.floor(at / size.columns)];
    const left = size.margin[0] + column * (width + size.gap[0]) + 2;
    const top = size.margin[1] + row * (height + size.gap[1]) + 1.5;
    // A new page begins with an anchor of no height; absolute positions belong to the page of the last block.
    if (at === 0) content.push({ text: ' ', fontSize: 1, ...(i > 0 && { pageBreak: 'before' }) });
    content.push({
      absolutePosition: { x: pt(left), y: pt(top) },
      columns: [
        {
          width: pt(width - qrMm - 4),
          stack: [
            { text: text.title, bold: true, fontSize: small ? 8 : 11 },
            ...text.lines.map((line) => ({ text: line, fontSize: small ? 6 : 8 })),
            ...(small
              ? []
              : text.dates.map(({ name, on }) => ({ text: `${name} ${on ?? '_________'}`, fontSize: 8 }))),
          ],
        },
        { width: pt(qrMm), image: qr, fit: [pt(qrMm), pt(qrMm)] },
      ],
    });
  }
  return {
    pageSize: { width: pt(size.page[0]), height: pt(size.page[1]) },
    pageMargins: [0, 0, 0, 0],
    info: { title: `Labels: ${text.title}` },
    defaultStyle: { font: 'Roboto', color: '#000000', lineHeight: 1 },
    content,
  };
}
