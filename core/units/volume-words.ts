import { litresIn } from '#core/units/factors';
import { ungrouped } from '#core/units/show';

/** Litres in one, by the words that people write for it. US measures; a cubic foot is 28.316846592 L by definition. */
const litresByWord: readonly (readonly [words: RegExp, litres: number])[] = [
  [/^(l|litres?|liters?)$/, 1],
  [/^(ml)$/, 0.001],
  [/^(m3|m³|cubic met(er|re)s?)$/, 1000],
  [/^(gal|gals|gallons?)$/, litresIn.gallon],
  [/^(qt|qts|quarts?)$/, litresIn.quart],
  [/^(cups?)$/, litresIn.cup],
  [/^(fl ?oz)$/, litresIn.fluidOunce],
  [/^(ft3|ft³|cu ?ft|cf|cubic f(oo|ee)t)$/, litresIn.cubicFoot],
  [/^(yd3|yd³|cu ?yd|cy|yards?|cubic yards?)$/, litresIn.cubicYard],
];

/**
 * A volume as it is written with its unit, in litres; undefined where no unit of volume follows a number.
 * @example litresWritten('2 ft³') // 56.634
 */
export function litresWritten(text: string): number | undefined {
  const found = /^\s*([\d.,]+)\s*([a-zA-Z³][a-zA-Z³3. ]*?)\.?\s*$/.exec(ungrouped(text));
  if (!found) return undefined;
  const number = Number(found[1]!.replace(',', '.'));
  const unit = found[2]!.toLowerCase().replaceAll('.', '').trim();
  const litres = litresByWord.find(([words]) => words.test(unit))?.[1];
  return litres === undefined || !Number.isFinite(number) ? undefined : number * litres;
}
