import { type Rule } from '#core/judge/flag';
import { enoughGPerL, mostGPerL } from '#core/judge/flags/enough';
import { type Amendment } from '#core/material/amendment';
import { type Dose } from '#core/mix/ph';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Over this many times the most that is given it is a stop. */
const STOP_FROM = 2;

/** What more than enough of each kind does. */
const harms: Partial<Record<Amendment['kind'], string>> = {
  salt: 'More burns roots.',
  organic: 'More brings ammonia and gnats.',
  coated: 'More burns, soonest in small cells.',
  trace: 'Boron and copper burn.',
  lime: 'More brings salt and a sharp rise of pH.',
  wetting: 'More harms roots.',
  mineral: 'More only clogs.',
};

/** More of a product than anybody gives, whatever the readings say. Limes have rules of their own: pH sets the dose. */
export const overCeiling: Rule = (judged) => {
  const { input, evaluation } = judged;
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
  const enough = enoughGPerL(judged, worst);
  return {
    code: 'over-ceiling',
    severity: times(worst) > STOP_FROM ? 'stop' : 'warn',
    text: said`${amendment.name} at ${{ doseGPerL: worst.gPerL }} is ${fixed(worst.gPerL / enough, 1)} times the most that is right here, ${{ doseGPerL: enough }}. ${harms[amendment.kind] ?? ''}`,
    remedy: said`Give ${{ doseGPerL: enough }} at most; the label goes before this.`,
    fix: { kind: 'dose', amendment: amendment.id, gPerL: enough },
  };
};
