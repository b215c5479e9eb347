import { type Rule } from '#core/judge/flag';
import { demandMgPerPlant, feedingOf, WARM_HOUSE_C } from '#core/mix/feeding';
import { said } from '#core/units/said';

/** The plant comes to want more than there is; when, the weeks tell. */
export const feedRunsOut: Rule = (judged) => {
  const { input, evaluation } = judged;
  const { shortFromWeek } = feedingOf(evaluation, input.vessel, WARM_HOUSE_C, demandMgPerPlant[input.stage]);
  if (shortFromWeek === null) return null;
  return {
    code: 'feed-runs-out',
    severity: 'note',
    text: said`Its nitrogen does not last eight weeks in this vessel: yellow leaves follow.`,
    remedy: said`Give liquid feed in time, or pot up. “Weeks ahead” shows from which day.`,
  };
};
