import { showDose, showLength, showMass, showVolume, type Shown, type UnitSystem } from '#core/units/show';
import { usWords } from '#core/units/us-words';

/** A quantity inside a sentence: stored in internal units, read out in the units of the reader. */
export type Quantity = { volumeL: number } | { massG: number } | { lengthMm: number } | { doseGPerL: number };

/** A sentence with its quantities left in: plain JSON, so that it can be kept and read in any units later. */
export type Said = readonly (string | Quantity)[];

/** Tagged template: said`Add ${{ volumeL: 2 }} of water`. Numbers and strings are taken as they are. */
export function said(strings: TemplateStringsArray, ...values: (string | number | Quantity)[]): Said {
  return strings.flatMap((s, i): (string | Quantity)[] => {
    if (i >= values.length) return [s];
    const value = values[i]!;
    return [s, typeof value === 'number' ? String(value) : value];
  });
}

/** The sentence in the reader's units. */
export function readOut(sentence: Said, system: UnitSystem): string {
  const pieces: (string | Quantity)[] = [];
  // A number may stand in one piece and its unit in the next: words are joined before they are read.
  for (const piece of sentence) {
    const last = pieces.at(-1);
    if (typeof piece === 'string' && typeof last === 'string') pieces[pieces.length - 1] = last + piece;
    else pieces.push(piece);
  }
  return pieces
    .map((piece) =>
      typeof piece === 'string'
        ? system === 'us'
          ? usWords(piece)
          : piece
        : withUnit(showQuantity(piece, system)),
    )
    .join('');
}

export function showQuantity(quantity: Quantity, system: UnitSystem): Shown {
  if ('volumeL' in quantity) return showVolume(quantity.volumeL, system);
  if ('massG' in quantity) return showMass(quantity.massG, system);
  if ('lengthMm' in quantity) return showLength(quantity.lengthMm, system);
  return showDose(quantity.doseGPerL, system);
}

/** Number and unit kept on one line. */
export const withUnit = (shown: Shown): string => `${shown.text}\u00a0${shown.unit}`;
