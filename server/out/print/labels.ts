import { papers } from '#words/en/places/papers';
import { textsIn } from '#words/place';
import { type Language } from '#words/reader';
import QRCode from 'qrcode';
import { type Content, type TDocumentDefinitions } from 'pdfmake/interfaces';
import { type LabelSize } from '#core/batch/label-sizes';
import { millimetresIn } from '#core/units/factors';

const PT_PER_MM = 72 / millimetresIn.inch;
const pt = (mm: number): number => mm * PT_PER_MM;

export interface LabelText {
  title: string;
  lines: readonly string[];
  /** Dates that are known, and those to be written by hand. */
  dates: readonly { name: string; on: string | null }[];
  url: string;
}

/** A small label has room for the dates that are known, on one line; a large one also for those to write in. */
function datesOn({ dates }: LabelText, small: boolean): string[] {
  if (!small) return dates.map(({ name, on }) => `${name} ${on ?? '_________'}`);
  const existing = dates.flatMap(({ name, on }) => (on ? [`${name} ${on}`] : []));
  return existing.length > 0 ? [existing.join(', ')] : [];
}

/** Labels in this order, each with its own code. Black on white only: any printer can do it. */
export async function labelSheet(
  language: Language,
  size: LabelSize,
  texts: readonly LabelText[],
): Promise<TDocumentDefinitions> {
  const perPage = size.columns * size.rows;
  const [width, height] = size.label;
  // One picture of a code, however many labels carry it.
  const codes = new Map<string, string>();
  for (const { url } of texts) if (!codes.has(url)) codes.set(url, `code${codes.size}`);
  const images: Record<string, string> = {};
  for (const [url, name] of codes)
    images[name] = await QRCode.toDataURL(url, { errorCorrectionLevel: 'M', margin: 2, scale: 4 });
  const small = height < 24;
  // Points for the name and for the lines: seven lines have to fit where dates stand on it.
  const [title, line] = small ? [8, 6] : height < 32 ? [9, 6.5] : [11, 8];
  const qrMm = Math.min(height - 3, small ? 15 : 22);
  const content: Content[] = [];
  texts.forEach((text, i) => {
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
            { text: text.title, bold: true, fontSize: title },
            ...text.lines.map((said) => ({ text: said, fontSize: line })),
            ...datesOn(text, small).map((said) => ({ text: said, fontSize: line })),
          ],
        },
        { width: pt(qrMm), image: codes.get(text.url)!, fit: [pt(qrMm), pt(qrMm)] },
      ],
    });
  });
  return {
    pageSize: { width: pt(size.page[0]), height: pt(size.page[1]) },
    pageMargins: [0, 0, 0, 0],
    info: { title: textsIn(papers, language).labels(texts[0]?.title ?? '') },
    defaultStyle: { font: 'Roboto', color: '#000000', lineHeight: 1 },
    images,
    content,
  };
}
