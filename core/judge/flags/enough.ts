import { type Judged } from '#core/judge/flag';
import { type Amendment } from '#core/material/amendment';
import { type Stage } from '#core/mix/stage';
import { type Dose } from '#core/mix/ph';

/** The most that is given at a stage, g/L; 0 where nothing limits it. */
export const mostGPerL = (product: Amendment, stage: Stage): number =>
  stage === 'potting' ? product.mostPottingGPerL : product.mostYoungGPerL;

/** Down to what a bench scale and a dose stepper can follow. */
export const downToScale = (gPerL: number): number =>
  gPerL >= 0.2 ? Math.floor(gPerL * 20 + 1e-9) / 20 : Math.floor(gPerL * 100 + 1e-9) / 100;

/**
 * The largest of a dose that all that limits it allows, g/L: what anybody gives, the salts, the nitrogen. What the dose
 * alone cannot put right does not limit it.
 */
export function enoughGPerL(
  judged: Pick<Judged, 'input' | 'evaluation' | 'reading'>,
  { amendment, gPerL }: Dose,
): number {
  const { input, evaluation, reading } = judged;
  const [ec, n] = [reading('ecSaturated'), reading('n')];
  const [salts, nitrogen] = [amendment.solubleSaltsMeqPerG, 10 * amendment.nPct];
  const limits = [
    mostGPerL(amendment, input.stage),
    ec?.verdict === 'high' && salts > 0
      ? gPerL - (evaluation.saltsMeqPerL * (ec.value - ec.high)) / ec.value / salts
      : gPerL,
    n?.verdict === 'high' && amendment.kind === 'salt' && nitrogen > 0
      ? gPerL - (n.value - n.high) / nitrogen
      : gPerL,
  ];
  return downToScale(Math.min(gPerL, ...limits.filter((limit) => limit >= 0.01)));
}
