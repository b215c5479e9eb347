import { type Fix, type Rule } from '#core/judge/flag';
import { particleWindow } from '#core/judge/windows';
import { type MixInput } from '#core/mix/evaluate';
import { vesselKinds } from '#core/vessel/kinds';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';
import { said } from '#core/units/said';

const finer: Record<string, string> = {
  'peat-medium': 'peat-fine',
  'peat-coarse': 'peat-medium',
  'perlite-coarse': 'perlite-fine',
  'vermiculite-medium': 'vermiculite-fine',
  'coir-fibre': 'coir-pith',
};

/** Pieces that do not fit the cell or leave holes around the seed. */
export const particlesLarge: Rule = (judged) => {
  const reading = judged.reading('largestParticle');
  if (reading?.verdict !== 'high') return null;
  const coarse = [...judged.evaluation.composition.parts].sort(
    (a, b) => b.material.maxParticleMm - a.material.maxParticleMm,
  )[0]!;
  const swap = finer[coarse.material.id];
  const larger = swap ? undefined : roomier(judged.input, reading.value);
  const fix: Fix | undefined = swap
    ? { kind: 'swapMaterial', from: coarse.material.id, to: swap }
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

/** The next vessel of the same shape that takes pieces of this size. */
function roomier({ stage, vessel }: MixInput, pieceMm: number): VesselKind | undefined {
  return vesselKinds
    .filter(
      (k) =>
        k.vessel.shape === vessel.shape && k.id !== 'flat' && particleWindow(stage, k.vessel).high >= pieceMm,
    )
    .sort((a, b) => volumeL(a.vessel) - volumeL(b.vessel))[0];
}
