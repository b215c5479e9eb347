import { type Rule } from '#core/judge/flag';
import { type Amendment } from '#core/material/amendment';
import { type Stage } from '#core/mix/stage';
import { type Dose } from '#core/mix/ph';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Over this many times the most that is given it is a stop. */
const STOP_FROM = 2;

/** The most that is given at a stage, g/L; 0 where nothing limits it. */
export const mostGPerL = (product: Amendment, stage: Stage): number =>
  stage === 'potting' ? product.mostPottingGPerL : product.mostYoungGPerL;

/** More of a product than anybody gives, whatever the readings say. Limes have rules of their own: pH sets the dose. */
export const overCeiling: Rule = ({ input, evaluation }) => {
  const times = ({ amendment, gPerL }: Dose): number => {
    const most = mostGPerL(amendment, input.stage);
    return most > 0 ? gPerL / most : 0;
  };
  const worst = evaluation.doses
    // Wood ash is salt before it is lime.
    .filter((d) => d.amendment.kind !== 'lime' || d.amendment.form === 'ash')
    .sort((a, b) => times(b) - times(a))[0];
  // A hair over is within how well a dose is weighed.
  if (!worst || times(worst) <= 1.02) return null;
  const { amendment } = worst;
  const most = mostGPerL(amendment, input.stage);
  return {
    code: 'over-ceiling',
    severity: times(worst) > STOP_FROM ? 'stop' : 'warn',
    text: said`${amendment.name}: ${fixed(times(worst), 1)} times the most that is given here, ${{ doseGPerL: most }}. ${amendment.ceilingReason ? `${amendment.ceilingReason}.` : ''}`,
    remedy: said`Give ${{ doseGPerL: most }} at most; the label goes before this.`,
    fix: { kind: 'dose', amendment: amendment.id, gPerL: most },
  };
};
