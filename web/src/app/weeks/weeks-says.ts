import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { dryDownHours, weathers } from '#core/mix/dry-down';
import { stageWindows } from '#core/judge/windows';
import { fixed } from '#core/units/show';
import { type VesselKind } from '#core/vessel/tray';
import { type Day, type Trouble } from '#core/water/life';
import { daysUntilDry, topStaysWet } from '#core/water/lift';
import { airOnceSettled, settledAfter, sunkMm, topUpL } from '#core/water/settling';
import { type Formats } from '#words/formats';
import { weeksSays as texts } from '#words/en/places/weeks/weeks-says';

export const comes: Record<Trouble, string> = {
  dry: texts.itDriesOut,
  starved: texts.nitrogenRunsOut,
  salty: texts.itIsTooSalty,
  sour: texts.itIsTooAcid,
  sweet: texts.itIsTooAlkaline,
};
export const mends: Record<Trouble, string> = {
  dry: texts.waterSoonerOrFillA,
  starved: texts.feedSoonerOrMoreOr,
  salty: texts.feedLessOrLetMore,
  sour: texts.lessAcidInWaterOr,
  sweet: texts.acidInTheWaterRain,
};

/** Days between waterings, as the typical life has them. */
export function rhythmOf(days: readonly Day[]): string {
  const watered = days.filter((day) => day.watered).map(({ day }) => day);
  if (watered.length === 0) return texts.byThisRuleItIs;
  const [first, second] = [watered[0]!, watered[1]];
  const late = watered.slice(-2);
  const every = (gap: number): string => (gap <= 1 ? texts.everyDay : texts.everyDays(gap));
  const then = second === undefined ? '' : texts.atFirst(every(second - first));
  const last = late.length === 2 && watered.length > 3 ? texts.atLast(every(late[1]! - late[0]!)) : '';
  return texts.wateredTimesFirstOnDay(watered.length, first, then, last);
}

/** A block so small is misted, not watered. Common practice, no source. */
const SMALL_BLOCK_MM = 25;

/** How long it lasts without water in each weather. */
export function drySays(e: Evaluation, leafCover: number): string {
  const lasts = (mm: number): string => {
    const days = daysUntilDry(e, mm, leafCover);
    if (days < 1) return texts.hoursOfDay(fixed(10 * days, 0));
    return days > 30 ? texts.overAMonth : texts.days(fixed(days, days < 3 ? 1 : 0));
  };
  const [dull, bright, sun] = weathers.map((weather) => lasts(weather.evaporationMmPerH));
  return texts.notWateredItIsDry(dull, bright, sun);
}

/** What the hand minds with this mix in this vessel. */
export function handSays(e: Evaluation, input: MixInput, { noun }: VesselKind): string[] {
  const says: string[] = [];
  const { vessel } = input;
  if (vessel.shape === 'block' && vessel.depthMm <= SMALL_BLOCK_MM) {
    const hours = dryDownHours(e, vessel, weathers[1].evaporationMmPerH);
    says.push(texts.smallBlocksAFineMist(fixed(Math.max(0.5, hours), 1)));
  }
  if (100 * e.drained.air < stageWindows[input.stage].airPct.low)
    says.push(texts.itsPoresHoldLittleAir(noun));
  if (topStaysWet(e)) says.push(texts.itsTopStaysWetAfter);
  return says;
}

/** How far it sinks, and what fills it up again. */
export function settlingSays(
  ...[e, input, kind, days, formats]: [Evaluation, MixInput, VesselKind, days: number, Formats]
): string {
  const { length, volume } = formats;
  const { vessel } = input;
  const first = settledAfter(e.composition, 1);
  const later = settledAfter(e.composition, days);
  const top = topUpL(vessel, first);
  const [soaked, sunk] = [sunkMm(vessel, first), sunkMm(vessel, later)];
  const airs = [airOnceSettled(input, Math.min(0.5, later.high)), airOnceSettled(input, later.low)] as const;
  const weeks = Math.round(days / 7);
  const soak =
    soaked.high < 0.5
      ? texts.hardlySettles
      : texts.soakUntilItSettles(
          ...[length(soaked.low), length(soaked.high)],
          ...[volume(kind.perTray * top.low), volume(kind.perTray * top.high)],
          kind.perTray > 1 ? 'tray' : kind.noun,
        );
  const sank = texts.sunkByWeek(
    ...[weeks, length(sunk.low), length(sunk.high)],
    ...[fixed(airs[0], 0), fixed(airs[1], 0)],
  );
  return `${soak} ${sank}`;
}
