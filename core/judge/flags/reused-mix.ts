import { type Rule } from '#core/judge/flag';
import { isSpentMix } from '#core/material/families';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Spent mix under seed. */
export const reusedMix: Rule = (judged) => {
  const reused = partsWhere(judged, isSpentMix);
  if (reused.length === 0) return null;
  const early = judged.input.stage === 'germination' || judged.input.stage === 'rooting';
  return {
    code: 'reused-mix',
    severity: early ? 'warn' : 'note',
    text: said`Reused mix can carry ${early ? 'damping off, gnats and leftover salt to seed and cuttings' : 'root rots and leftover salt'}.`,
    remedy: said`Let it rot down fully, screen it, pen-test it${early ? '; under seed heat it to 60 °C for 30 minutes' : ''}.`,
  };
};
