import { usual } from '#core/recipe/usual';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Judged } from '#core/judge/flag';
import { phWindow } from '#core/judge/windows';
import { limedMeqPerL, type Dose } from '#core/mix/ph';

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
  /** pH if no ceiling held it. */
  uncappedPh: number;
}

export function limeState({ input, evaluation }: Judged): LimeState {
  const limes = evaluation.doses.filter((d) => d.gPerL > 0 && neutralisingMeqPerG(d.amendment) > 0);
  const strength = (d: Dose): number => d.gPerL * neutralisingMeqPerG(d.amendment);
  const main = [...limes].sort((a, b) => strength(b) - strength(a))[0];
  const window = phWindow(input.stage, evaluation);
  const aimPh = Math.round((window.low + window.high) * 5) / 10;
  const { bufferMeqPerLPerPh, phBeforeLime } = evaluation.acidity;
  const appliedMeqPerL = limedMeqPerL(limes);
  return {
    limes,
    main,
    appliedMeqPerL,
    window,
    aimPh,
    neededMeqPerL: Math.max(0, bufferMeqPerLPerPh * (aimPh - phBeforeLime)),
    uncappedPh: bufferMeqPerLPerPh > 0 ? phBeforeLime + appliedMeqPerL / bufferMeqPerLPerPh : phBeforeLime,
  };
}

/** The lime to advise: the one in use if it is fit for media, else ground dolomitic limestone. */
export function advisedLime({ main }: LimeState): string {
  return main?.amendment.kind === 'lime' && main.amendment.caution !== 'caustic'
    ? main.amendment.id
    : usual.groundLime;
}
