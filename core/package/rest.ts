import { isFreshBark, isSpentMix } from '#core/material/families';
import { type None } from '#core/units/message';
import { type Material } from '#core/material/material';

/** Usual rests, days. Common practice, no source: smell and hand decide. */
export const restDays = { bark: 28, 'spent-mix': 60, heap: 120 } as const;
/** Why each rests. */
export type RestFacts = Record<`rest.${keyof typeof restDays}`, None>;

/** How long something rests before it is used, and why. */
export interface Rest {
  days: number;
  why: `rest.${keyof typeof restDays}`;
}

/** @param own a heap of the nursery's own making, rotting */
export function usualRest(material: Material, own: boolean): Rest | null {
  const rest = (kind: keyof typeof restDays): Rest => ({ days: restDays[kind], why: `rest.${kind}` });
  if (isFreshBark(material)) return rest('bark');
  if (isSpentMix(material)) return rest('spent-mix');
  return own && material.living ? rest('heap') : null;
}
