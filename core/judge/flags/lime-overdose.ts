import { type Judged, type Rule } from '#core/judge/flag';
import { advisedLime, isPhSettled, limeState, type LimeState } from '#core/judge/flags/lime';
import { litresToCut, MOST_LIMED_TIMES, timesLimed } from '#core/mix/over-limed';
import { usual } from '#core/recipe/usual';
import { type Said, said } from '#core/units/said';

/** From this pH on iron and manganese lock up (Argo & Fisher 2002, from memory). */
const LOCKS_UP_PH = 7;
/** Litres of unlimed peat to ten of the mix that bring it to the pH aimed at; null where no peat is known. */
function peatForTen({ library, evaluation }: Judged, { appliedMeqPerL, aimPh }: LimeState): number | null {
  const peat = library?.materials.get(usual.sourPeat);
  const litres = peat && litresToCut(evaluation.acidity, appliedMeqPerL, peat, aimPh);
  return litres ? 10 * litres : null;
}

const wayBack = (judged: Judged, lime: LimeState, times: number): Said => {
  if (times > MOST_LIMED_TIMES) return said` Mixed in already it cannot be saved: make it anew.`;
  const litres = peatForTen(judged, lime);
  return litres === null
    ? said` Mixed in already: cut it with unlimed peat.`
    : said` Mixed in already: cut ${{ volumeL: 10 }} of it with ${{ volumeL: litres }} of unlimed peat.`;
};

/** More lime than the window takes. Thirty times over is not rare, and nothing shows for weeks. */
export const limeOverdose: Rule = (judged) => {
  if (isPhSettled(judged)) return null;
  const lime = limeState(judged);
  const { ph, acidity: before } = judged.evaluation;
  if (!lime.main || lime.neededMeqPerL <= 0 || ph <= lime.window.high + 0.005) return null;
  const times = timesLimed(before, lime.appliedMeqPerL, lime.aimPh);
  const right = (lime.main.gPerL * lime.neededMeqPerL) / lime.appliedMeqPerL;
  const harm = ph >= LOCKS_UP_PH ? ': iron and manganese lock up and seedlings stand still' : '';
  return {
    code: 'lime-overdose',
    severity: times > MOST_LIMED_TIMES ? 'stop' : 'warn',
    text: said`Too much lime: ${times.toFixed(times < 10 ? 1 : 0)} times the dose for pH ${lime.aimPh.toFixed(1)}. It takes this mix from ${before.phBeforeLime.toFixed(1)} to ${ph.toFixed(1)}${harm}.`,
    remedy: [...said`Set lime to ${{ doseGPerL: right }}.`, ...wayBack(judged, lime, times)],
    fix: { kind: 'limeToPh', amendment: advisedLime(lime), ph: lime.aimPh },
  };
};
