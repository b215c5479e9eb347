import { usual } from '#core/recipe/usual';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Judged } from '#core/judge/flag';
import { aimPhOf, mixWindows } from '#core/mix/windows';
import { limedMeqPerL, limeNeededMeqPerL, type Dose } from '#core/mix/ph';

/** What the lime rules share: how much acid is neutralised, and how much ought to be. */
export interface LimeState {
  limes: readonly Dose[];
  /** The one that does most. */
  main: Dose | undefined;
  appliedMeqPerL: number;
  window: { low: number; high: number };
  /** Middle of the pH window, to a tenth. */
  aimPh: number;
  /** meq/L that bring the mix to the aim; 0 when it is there already. */
  neededMeqPerL: number;
}

export function limeState({ input, evaluation }: Judged): LimeState {
  // Rock phosphate and the like sweeten a little, but nobody gives them for it.
  const limes = evaluation.doses.filter(
    (d) => d.gPerL > 0 && d.amendment.kind === 'lime' && neutralisingMeqPerG(d.amendment) > 0,
  );
  const strength = (d: Dose): number => d.gPerL * neutralisingMeqPerG(d.amendment);
  const main = [...limes].sort((a, b) => strength(b) - strength(a))[0];
  const window = mixWindows(input, evaluation).ph;
  const aimPh = aimPhOf(input, evaluation);
  const appliedMeqPerL = limedMeqPerL(limes);
  return {
    limes,
    main,
    appliedMeqPerL,
    window,
    aimPh,
    neededMeqPerL: limeNeededMeqPerL(evaluation.acidity, aimPh),
  };
}

/** Somebody has read the pH of this mix: what its parts and its lime would come to no longer counts. */
export const isMeasured = (judged: Judged): boolean => judged.reading('ph')?.measured ?? false;

/** Whether no rule of lime has a say: the pH was read, or the water decides it. */
export const isPhSettled = (judged: Judged): boolean =>
  isMeasured(judged) || (judged.reading('ph')?.byWater ?? false);

/** The lime to advise: the one in use if it is fit for media, else ground dolomitic limestone. */
export function advisedLime({ main }: LimeState): string {
  return main?.amendment.kind === 'lime' && main.amendment.caution !== 'caustic'
    ? main.amendment.id
    : usual.groundLime;
}
