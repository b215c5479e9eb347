import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { limeState } from '#core/judge/flags/lime';
import { said } from '#core/units/said';

/** Hydrated or quick lime, and ash: fast, burning, easily overdone. */
export const limeCaustic: Rule = (judged) => {
  const lime = limeState(judged);
  const caustic = lime.limes.find((d) => d.amendment.caution === 'caustic');
  if (!caustic) return null;
  const ash = caustic.amendment.form === 'ash';
  return {
    code: ash ? 'wood-ash' : 'lime-hydrated',
    severity: ash ? 'warn' : 'stop',
    text: ash
      ? said`Wood ash acts at once, varies from fire to fire, and burns wet skin and eyes.`
      : said`Hydrated lime is not for media: it burns roots, skin and eyes, and turns ammonium to gas. Ground limestone is a different product.`,
    remedy: said`Use ground dolomitic limestone to pH ${lime.aimPh.toFixed(1)}. If you do handle it: goggles and gloves, and its label decides.`,
    fix: { kind: 'limeToPh', amendment: usual.groundLime, ph: lime.aimPh },
  };
};
