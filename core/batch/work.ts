import { type Kit } from '#core/batch/kit';
import { type BatchSheet } from '#core/batch/sheet';
import { type Filled } from '#core/batch/step-facts';
import { type Judgement } from '#core/judge/judge';
import { type Moisture } from '#core/mix/moisture';

/** Vessels that are filled so far for now, % of the usual depth, and what fills them up later. */
export interface TopUp {
  fillPct: number;
  litres: number;
}

/** All that the steps are written from. */
export interface Work {
  judgement: Judgement;
  sheet: BatchSheet;
  moisture: Moisture;
  kit: Kit;
  topUp: TopUp | null;
  parts: Judgement['evaluation']['composition']['parts'];
  given: Judgement['evaluation']['doses'];
}

/** What is filled with it. */
export const filledOf = ({ input }: Judgement): Filled =>
  input.vessel.shape === 'block' ? 'block' : 'vessel';

/** Materials as they come, doses and water, kg. */
export const wetKg = (sheet: BatchSheet): number =>
  sheet.components.reduce((sum, c) => sum + c.massKg, 0) +
  sheet.amendments.reduce((sum, a) => sum + a.grams, 0) / 1000 +
  sheet.waterLitres;

/** So many loads that none overfills the tub and none, wet, is more than three lifts' weight on the turning arm. */
export function loadsOf(sheet: BatchSheet, kit: Kit): number {
  const loose = sheet.components.reduce((sum, c) => sum + c.looseLitres, 0);
  return Math.max(
    1,
    Math.ceil(loose / kit.tubLitres - 1e-9),
    Math.ceil(wetKg(sheet) / (3 * kit.liftKg) - 1e-9),
  );
}
