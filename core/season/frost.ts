import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { dayNumber } from '#core/season/days';
import { OutOfRange } from '#core/units/check';
import { normalCdf } from '#core/stats/normal';

/** Own dates of the last frost: in one year of ten it comes before `early`, in one of ten after `late`. */
export interface FrostDates {
  early: string;
  usual: string;
  late: string;
}

/** Standard deviations from the middle to the tenth of a normal. */
const Z90 = 1.2815515655446004;

/**
 * The chance that it freezes once more on a day or after it: half a normal on each side of the usual date (model § 19).
 * @returns 0–1
 * @throws OutOfRange for days that do not exist or do not follow each other
 */
export function frostChance({ early, usual, late }: FrostDates, day: string): number {
  const [e, u, l] = [early, usual, late].map((each) => dayNumber(each)) as [number, number, number];
  if (!(e < u && u < l))
    throw new OutOfRange(
      'early, usual, late',
      `${early}, ${usual}, ${late}`,
      allow('allowed.one-after-other', none),
    );
  const off = dayNumber(day) - u;
  const sd = (off < 0 ? u - e : l - u) / Z90;
  return 1 - normalCdf(off / sd);
}
