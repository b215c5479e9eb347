import { type Amendment } from '#core/material/amendment';
import { type Stage } from '#core/mix/stage';

/** Of the most that a stage bears: what dissolves at once starts low. Common practice, no source. */
const SHARE = { soluble: 1 / 3, slow: 1 / 2 };
/** A lime that is dosed by hand: pH sets how much more. g/L */
const LIME_G_PER_L = 1;
/** What a spoon can tell. g/L */
const STEP = 0.05;

/**
 * What a product starts from where it is added to a mix, before anybody says how much.
 * @returns g/L of finished mix, within the most that the stage bears
 * @example usualDose(calciumNitrate, 'potting') // 0.45
 */
export function usualDose(product: Amendment, stage: Stage): number {
  if (product.kind === 'lime') return Math.min(LIME_G_PER_L, product.mostYoungGPerL);
  const most = stage === 'potting' ? product.mostPottingGPerL : product.mostYoungGPerL;
  const share = product.kind === 'salt' || product.kind === 'trace' ? SHARE.soluble : SHARE.slow;
  return Math.max(STEP, Number((Math.round((share * most) / STEP) * STEP).toFixed(2)));
}
