import { millimetresIn } from '#core/units/factors';
import { type UnitSystem } from '#core/units/show';
import { inches } from '#words/inches';

/** A size, or from one to another, with its unit. */
const SIZE = /(\d+(?:\.\d+)?)(?: ?[-–] ?(\d+(?:\.\d+)?))? ?(mm|cm)\b/g;

/** Presses are called by what they are sold as, not by what a rule reads on the block: ¾ in is 20 mm. Common practice, no source. */
const PRESSES: Readonly<Record<string, string>> = { 20: '¾', 32: '1 ¼', 40: '1 ½', 50: '2', 100: '4' };
const BLOCKS = /^(\d+) mm blocks$/;

const said = (mm: number): string => (mm === 0 ? '0' : inches(mm));

/**
 * A name with the sizes in it in the reader's units. Names of the starter library carry metric sizes; those of the
 * nursery's own things stay as they were written, and do not come here.
 * @example nameIn('Perlite, coarse (2-5 mm)', 'us') // 'Perlite, coarse (0.08–0.20 in)'
 * @example nameIn('9 cm pot', 'us') // '3 ½ in pot'
 */
export function nameIn(name: string, units: UnitSystem): string {
  if (units === 'metric') return name;
  const press = PRESSES[BLOCKS.exec(name)?.[1] ?? ''];
  if (press !== undefined) return `${press} in blocks`;
  return name.replace(SIZE, (_, from: string, to: string | undefined, unit: 'mm' | 'cm') => {
    const per = unit === 'cm' ? millimetresIn.centimetre : millimetresIn.millimetre;
    const ends = [from, ...(to === undefined ? [] : [to])].map((end) => said(Number(end) * per));
    return `${ends.join('–')} in`;
  });
}
