import { textsIn } from '#words/place';
import { papers } from '#words/en/places/papers';
import { formatsOf, read } from '#words/read';
import { dateIn } from '#words/days';
import { type Reader } from '#words/reader';
import { THIN } from '#core/units/show';
import QRCode from 'qrcode';
import { type Content, type TableCell, type TDocumentDefinitions } from 'pdfmake/interfaces';
import { loudestOf } from '#core/advise/findings';
import { isCare } from '#core/judge/flag';
import { inSpoons, type Scoop } from '#core/batch/scoops';
import { costSays } from '#core/units/money';
import { cardParts } from '#core/batch/card-parts';
import { scoopText } from '#core/units/scooped';
import { readOut, showQuantity, withUnit, type Quantity } from '#core/units/said';
import { type KeptBatch } from '#server/kept/batches';

/** The narrow space has no sign of its own in the print font. */
const inPrint = <T extends Content[]>(content: T): T =>
  JSON.parse(JSON.stringify(content).replaceAll(THIN, '\u00a0')) as T;

const shortName = (name: string): string => name.replace(/\s*\([^)]* mm[^)]*\)$/, '');

/** Sizes of its type, the largest first: it takes the one that fills its page. */
export const cardScales = [1.7, 1.55, 1.4, 1.28, 1.16, 1.08, 1, 0.92, 0.85] as const;

/** The bench card on one page, plain black on white. @param scale of its type, one of `cardScales` */
export async function benchCard(
  { id, name, madeOn, snapshot }: KeptBatch,
  reader: Reader,
  scoop: Scoop,
  url: string,
  sign = '',
  scale = 1,
): Promise<TDocumentDefinitions> {
  const { units } = reader;
  const texts = textsIn(papers, reader.language);
  const amount = (q: Quantity): string => withUnit(showQuantity(q, units));
  const { sheet, amendments } = snapshot;
  const atWork = { ...reader, scoop: { name: scoop.name, litres: scoop.litres } };
  const qr = await QRCode.toDataURL(url, { errorCorrectionLevel: 'M', margin: 2, scale: 4 });
  const head = (...cells: string[]) =>
    cells.map((text, i) => ({
      text,
      bold: true,
      fontSize: 9 * scale,
      alignment: i ? ('right' as const) : ('left' as const),
    }));
  const care = snapshot.flags
    .filter(isCare)
    .map((f) => `${readOut(f.text, units)} ${readOut(f.remedy, units)}`)
    .join(' ');
  const right = (text: string, bold = false) => ({ text, bold, alignment: 'right' as const });
  const amounts = (above: number, body: TableCell[][]): Content => ({
    margin: [0, above, 0, 4],
    layout: 'lightHorizontalLines',
    table: { headerRows: 1, widths: ['*', 'auto', 'auto', 'auto'], body },
  });
  return {
    pageSize: units === 'us' ? 'LETTER' : 'A4',
    pageMargins: [40, 34, 40, 30],
    info: { title: texts.benchCard(id, name) },
    defaultStyle: { font: 'Roboto', fontSize: 10.5 * scale, color: '#000000' },
    content: inPrint([
      {
        columns: [
          {
            width: '*',
            stack: [
              { text: name, fontSize: 20 * scale, bold: true },
              { text: texts.batch(id, madeOn, formatsOf(reader).title(snapshot.vessel)) },
            ],
          },
          { width: 62, image: qr, fit: [62, 62] },
        ],
      },
      ...loudestOf(snapshot.flags).map((f) => ({
        text: `${f.severity === 'stop' ? texts.stop : texts.watchOut}: ${[f.text, ...(f.fix === undefined ? [f.remedy] : [])].map((said) => readOut(said, units)).join(' ')}`,
        bold: true,
        fontSize: 9.5 * scale,
        margin: [0, 3, 0, 0] as [number, number, number, number],
      })),
      ...(snapshot.anyway
        ? [{ text: texts.madeAnyway, bold: true, margin: [0, 3, 0, 0] as [number, number, number, number] }]
        : []),
      ...(snapshot.known ?? []).map((k) => ({
        text: `${readOut(k.text, units)} ${texts.knownHere(k.why, dateIn(k.on, 'full', reader.language))}`,
        fontSize: 9.5 * scale,
        margin: [0, 3, 0, 0] as [number, number, number, number],
      })),
      amounts(8, [
        head(
          scoop.id.startsWith('own-') ? texts.ownScoop(scoop.name) : texts.scoop(scoop.name),
          texts.scoops,
          texts.volume,
          texts.weighs,
        ),
        ...cardParts(snapshot, scoop.litres).map((part) => [
          part.screen
            ? {
                stack: [
                  shortName(part.name),
                  {
                    text: texts.staysOn(
                      amount({ lengthMm: part.screen.mm }),
                      amount({ volumeL: part.screen.overLitres }),
                    ),
                    fontSize: 8 * scale,
                  },
                ],
              }
            : shortName(part.name),
          right(scoopText(part.scoops), true),
          right(amount({ volumeL: part.litres })),
          right(amount({ massG: part.massKg * 1000 })),
        ]),
      ]),
      amounts(4, [
        head(texts.weigh, texts.byWeight, texts.orLevel, texts.rate),
        ...sheet.amendments.map((a, i) => {
          const spoons = inSpoons(a.grams, amendments[i]!.bulkDensityGPerMl, units);
          return [
            shortName(amendments[i]!.name),
            right(amount({ massG: a.grams }), true),
            right(`${spoons.text} ${spoons.unit}`),
            right(amount({ doseGPerL: snapshot.doses[i]!.gPerL })),
          ];
        }),
      ]),
      {
        text: `${texts.water(amount({ volumeL: sheet.waterLitres }), amount({ volumeL: sheet.litres }))}${snapshot.cost ? ` ${read(costSays('cost.batch', { ...snapshot.cost, litres: sheet.litres, sign }), reader)}` : ''}`,
        bold: true,
        margin: [0, 4, 0, 6],
      },
      {
        ol: snapshot.steps.map((s) => ({
          text: [
            read(s.text, atWork),
            ...(s.caution ? [{ text: ` ${read(s.caution, reader)}`, bold: true }] : []),
          ],
          margin: [0, 1, 0, 1] as [number, number, number, number],
          fontSize: 9.5 * scale,
        })),
      },
      ...(care
        ? [
            {
              text: texts.handleWithCare(care),
              fontSize: 8 * scale,
              margin: [0, 6, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
      {
        text: texts.estimates,
        fontSize: 8 * scale,
        margin: [0, 8, 0, 0],
      },
    ]),
  };
}
