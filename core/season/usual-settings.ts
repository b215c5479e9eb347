import { dayNumber, dayOf } from '#core/season/days';
import { type SeasonSettings } from '#core/season/line';

/** Where nobody told the last frosts: a mild northern garden's, to be put right. Common practice, no source. */
export function usualSettings(today: string): SeasonSettings {
  const year = Number(today.slice(0, 4)) + (today.slice(5) > '07-31' ? 1 : 0);
  const usual = dayNumber(`${year}-05-05`);
  return {
    frost: { early: dayOf(usual - 15), usual: dayOf(usual), late: dayOf(usual + 15) },
    benches: [],
    soilC: 20,
    spillPct: 5,
    school: null,
  };
}
