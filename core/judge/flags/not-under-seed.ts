import { spoken, type Rule } from '#core/judge/flag';
import { type Family } from '#core/material/family';
import { said } from '#core/units/said';
import { partsWhere } from '#core/judge/flags/parts-where';

/** Common practice, no source. */
const why: Partial<Record<Family, string>> = {
  'kitchen-compost': 'it is salty, no two heaps are alike, and it can hold weedkiller or glass',
  coffee: 'they hold germination back, mould, and take nitrogen for themselves',
  mulch: 'it is coarse, takes nitrogen, and nobody knows what wood it was',
};

/** What goes on beds and into pots, and does not go under seed and cuttings. */
export const notUnderSeed: Rule = (judged) => {
  if (judged.input.stage !== 'germination' && judged.input.stage !== 'rooting') return null;
  const parts = partsWhere(judged, (m) => why[m.family] !== undefined);
  const worst = parts[0];
  if (!worst) return null;
  const names = spoken(parts.map((p) => p.material.name.replace(/\s*[,(].*$/, '')));
  return {
    code: 'not-under-seed',
    severity: 'warn',
    text: said`${names} under ${judged.input.stage === 'rooting' ? 'cuttings' : 'seed'}: ${why[worst.material.family]!}.`,
    remedy: said`Keep it for potting up, a little of it; sow a few in it first and see what comes up.`,
  };
};
