import { type Rule } from '#core/judge/flag';
import { type Material } from '#core/material/material';
import { type Library } from '#core/recipe/library';
import { type SingleFix } from '#core/recipe/fix';
import { said } from '#core/units/said';

/** The finer grade of a material: of its family, the coarsest that fits. */
function finerGrade(coarse: Material, mostMm: number, library: Library): Material | undefined {
  const finer = [...library.materials.values()]
    .filter((m) => m.family === coarse.family && m.maxParticleMm < coarse.maxParticleMm)
    .sort((a, b) => b.maxParticleMm - a.maxParticleMm);
  return finer.find((m) => m.maxParticleMm <= mostMm);
}

/** Pieces that do not fit the cell or leave holes around the seed. */
export const particlesLarge: Rule = (judged) => {
  const reading = judged.reading('largestParticle');
  if (reading?.verdict !== 'high') return null;
  const coarse = [...judged.evaluation.composition.parts].sort(
    (a, b) => b.material.maxParticleMm - a.material.maxParticleMm,
  )[0]!;
  const { library } = judged;
  const swap = library ? finerGrade(coarse.material, reading.high, library) : undefined;
  // Apertures come in whole and half millimetres.
  const mm = Math.max(0.5, Math.floor(reading.high * 2) / 2);
  const fix: SingleFix = swap
    ? { kind: 'swapMaterial', from: coarse.material.id, to: swap.id }
    : { kind: 'screen', material: coarse.material.id, mm };
  return {
    code: 'particles-large',
    severity: reading.value > 2.5 * reading.high ? 'stop' : 'warn',
    text: said`Pieces too large: ${coarse.material.name} has bits up to ${{ lengthMm: reading.value }}; this job takes ${{ lengthMm: reading.high }}.`,
    remedy: swap
      ? said`Use the finer grade, or screen it through ${{ lengthMm: mm }} while it is dry.`
      : said`Screen it through ${{ lengthMm: mm }} while it is dry: wet material will not go through.`,
    fix,
  };
};
