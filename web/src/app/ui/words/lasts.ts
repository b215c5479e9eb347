import { fixed } from '#core/units/show';
import { HOURS_A_DAY } from '#core/weeks/drying';
import { lasts as texts } from '#words/en/places/ui/words/lasts';

/** How long water lasts, in days of ten hours: hours where it is less than one. */
export function lasts(days: number): string {
  if (days < 1) return texts.hoursOfDay(fixed(Math.max(1, HOURS_A_DAY * days), 0));
  return days > 30 ? texts.overAMonth : texts.days(fixed(days, days < 3 ? 1 : 0));
}
