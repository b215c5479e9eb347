import { type Flag, type Rule, type Severity, spoken } from '#core/judge/flag';
import { FINE_OVER_SIZE_PCT } from '#core/mix/windows';
import { type Material } from '#core/material/material';
import { overSizeShare } from '#core/material/over-size';
import { type Vessel } from '#core/vessel/vessel';
import { apertureFor, pieceLimitMm } from '#core/vessel/piece-limit';
import { type Library } from '#core/recipe/library';
import { type SingleFix } from '#core/recipe/fix';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Grades of one material lie within so much of pH. */
const LIKE_PH = 1;
/** From this share on the cell cannot be filled evenly, %. */
const STOP_PCT = 30;

/** The finer grade of a material: of its family, the coarsest that fits. */
function finerGrade(coarse: Material, mostMm: number, library: Library): Material | undefined {
  const over = (m: Material): number => 100 * overSizeShare(m, mostMm);
  const finer = [...library.materials.values()]
    // A bag of limed mix is no grade of neat peat.
    .filter(
      (m) => m.family === coarse.family && Math.abs(m.ph - coarse.ph) < LIKE_PH && over(m) < over(coarse),
    )
    .sort((a, b) => b.maxParticleMm - a.maxParticleMm);
  return finer.find((m) => over(m) <= FINE_OVER_SIZE_PCT);
}

/** Of what is in it, what has most pieces that are too large there, by volume, and the screen that takes them out. */
export function screenFor(
  parts: readonly { material: Material; share: number }[],
  vessel: Vessel,
): { material: Material; mm: number } {
  const mostMm = pieceLimitMm(vessel);
  const { material } = parts
    .map(({ material: each, share }) => ({ material: each, over: share * overSizeShare(each, mostMm) }))
    .reduce((a, b) => (b.over > a.over ? b : a));
  return { material, mm: apertureFor(vessel) };
}

const severityOf = (pct: number, most: number): Severity =>
  pct > STOP_PCT ? 'stop' : pct > most ? 'warn' : 'note';

/** Pieces that do not fit the cell or leave holes around the seed, by their share of the volume. */
export const particlesLarge: Rule = (judged): Flag | null => {
  const reading = judged.reading('overSize');
  if (!reading || reading.value <= FINE_OVER_SIZE_PCT + 1e-9) return null;
  const mostMm = pieceLimitMm(judged.input.vessel);
  const { parts, shares } = judged.evaluation.composition;
  const { material: most, mm } = screenFor(
    parts.map(({ material }, i) => ({ material, share: shares[i]! })),
    judged.input.vessel,
  );
  const { library } = judged;
  const swap = library ? finerGrade(most, mostMm, library) : undefined;
  const fix: SingleFix = swap
    ? { kind: 'swapMaterial', from: most.id, to: swap.id }
    : { kind: 'screen', material: most.id, mm };
  const severity = severityOf(reading.value, reading.high);
  const large = severity === 'note' ? 'Some large pieces' : 'Pieces too large';
  return {
    code: 'particles-large',
    severity,
    text: said`${large}: ${fixed(reading.value, 0)} % of the volume is over ${{ lengthMm: mostMm }}, most of it ${spoken([most.name])}.`,
    remedy: swap
      ? said`Use the finer grade, or screen it through ${{ lengthMm: mm }} while it is dry.`
      : said`Screen it through ${{ lengthMm: mm }} while it is dry: wet material will not go through.`,
    fix,
  };
};
