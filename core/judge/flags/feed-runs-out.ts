import { type Rule } from '#core/judge/flag';
import { demandMgPerPlant, feedingOf, WARM_HOUSE_C } from '#core/mix/feeding';
import { said } from '#core/units/said';

/** The week in which the plant wants more than there is. */
export const feedRunsOut: Rule = (judged) => {
  const { input, evaluation } = judged;
  const { shortFromWeek } = feedingOf(evaluation, input.vessel, WARM_HOUSE_C, demandMgPerPlant[input.stage]);
  if (shortFromWeek === null) return null;
  return {
    code: 'feed-runs-out',
    severity: 'note',
    text: said`Nitrogen runs out in week ${shortFromWeek} in this vessel: yellow leaves follow.`,
    remedy: said`Start liquid feed in week ${Math.max(1, shortFromWeek - 1)}, or pot up by then.`,
  };
};
