import { isBark, isSpentMix } from '#core/material/families';
import { type Material } from '#core/material/material';

/** How long something rests before it is used, and why. Common practice, no source: smell and hand decide. */
export interface Rest {
  days: number;
  why: string;
}

/** @param own a heap of the nursery's own making, rotting */
export function usualRest(material: Material, own: boolean): Rest | null {
  if (isBark(material))
    return { days: 28, why: 'fresh bark heats: let it cool and settle three to four weeks, and smell it' };
  if (isSpentMix(material))
    return { days: 60, why: 'it rots down fully before it is screened and used again' };
  if (own && material.living)
    return {
      days: 120,
      why: 'a heap rots three to four months; with manure and food crops local rules on waiting come first',
    };
  return null;
}
