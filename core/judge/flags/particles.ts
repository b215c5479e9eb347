import { type Rule } from '#core/judge/flag';
import { type Material } from '#core/material/material';
import { type Library } from '#core/recipe/library';
import { type SingleFix } from '#core/recipe/fix';
import { particleWindow } from '#core/judge/windows';
import { type MixInput } from '#core/mix/evaluate';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';
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
  const larger = swap ? undefined : library ? roomier(judged.input, reading.value, library) : undefined;
  const fix: SingleFix | undefined = swap
    ? { kind: 'swapMaterial', from: coarse.material.id, to: swap.id }
    : larger && { kind: 'vessel', vessel: larger.id };
  return {
    code: 'particles-large',
    severity: reading.value > 2.5 * reading.high ? 'stop' : 'warn',
    text: said`Pieces too large: ${coarse.material.name} has bits up to ${{ lengthMm: reading.value }}; this job takes ${{ lengthMm: reading.high }}.`,
    remedy: swap
      ? said`Use the finer grade, or screen it through ${{ lengthMm: reading.high }} while it is dry.`
      : larger
        ? said`Use the ${larger.name}, or screen it through ${{ lengthMm: reading.high }} while it is dry: wet material will not go through.`
        : said`Screen it through ${{ lengthMm: reading.high }} while it is dry: wet material will not go through.`,
    ...(fix && { fix }),
  };
};

/** An open tray, counted one by one: no vessel to go up to from a cell. */
const isFlat = (k: VesselKind): boolean => k.vessel.shape === 'rect' && k.perTray === 1;

/** The next vessel of the same shape that takes pieces of this size. */
function roomier({ stage, vessel }: MixInput, pieceMm: number, library: Library): VesselKind | undefined {
  return [...library.vessels.values()]
    .filter(
      (k) => k.vessel.shape === vessel.shape && !isFlat(k) && particleWindow(stage, k.vessel).high >= pieceMm,
    )
    .sort((a, b) => volumeL(a.vessel) - volumeL(b.vessel))[0];
}
