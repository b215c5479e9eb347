import { saltyWater } from '#core/weeks/own-water';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { mixWindows } from '#core/mix/windows';
import { daysToGone, daysToGoneIn } from '#core/weeks/clock';
import { HOURS_A_DAY } from '#core/weeks/drying';
import { type Keeping } from '#core/weeks/keeping';
import { fixed } from '#core/units/show';
import { type VesselKind } from '#core/vessel/tray';
import { type Day, DRY_SHARE, type Living, rhythmOf, type Trouble } from '#core/weeks/life';
import { topStaysWet } from '#core/weeks/lift';
import { airOnceSettled, settledAfter, sunkMm, topUpL } from '#core/weeks/settling';
import { lasts } from '../ui/words/lasts';
import { type Formats } from '#words/formats';
import { weeksSays as texts } from '#words/en/places/weeks/weeks-says';

export const comes: Record<Trouble, string> = {
  dry: texts.itDriesOut,
  starved: texts.nitrogenRunsOut,
  salty: texts.itIsTooSalty,
  sour: texts.itIsTooAcid,
  sweet: texts.itIsTooAlkaline,
};
const mends: Record<Trouble, string> = {
  dry: texts.waterSoonerOrFillA,
  starved: texts.feedSoonerOrMoreOr,
  salty: texts.feedLessOrLetMore,
  sour: texts.lessAcidInWaterOr,
  sweet: texts.acidInTheWaterRain,
};

/**
 * What to do against a trouble, where these come too: nothing that makes another of them worse.
 * @param waterEc of the water that is poured, mS/cm: salty water is no fault of the feed
 */
export function mendOf(trouble: Trouble, all: readonly Trouble[], waterEc: number): string {
  if (trouble === 'salty' && waterEc >= saltyWater.warn) return texts.otherWater;
  const has = (other: Trouble): boolean => all.includes(other);
  if ((trouble === 'salty' && has('starved')) || (trouble === 'starved' && has('salty')))
    return texts.feedWeakerAndOftener;
  if ((trouble === 'sour' && has('sweet')) || (trouble === 'sweet' && has('sour'))) return texts.testItsPh;
  return mends[trouble];
}

/** How often it is watered, as the one life has it. */
export function rhythmSays(days: readonly Day[]): string {
  const first = days.find((day) => day.watered)?.day;
  if (first === undefined) return texts.byThisRuleItIs;
  const every = (perDay: number): string => {
    if (perDay === 0) return texts.rarely;
    const times = Math.round(perDay);
    if (perDay >= 0.75) return times <= 1 ? texts.everyDay : texts.timesADay(times);
    return texts.everyDays(Math.round(1 / perDay));
  };
  const all = days.reduce((sum, { timesWatered }) => sum + timesWatered, 0);
  const rhythm = rhythmOf(days);
  const [begins, ends] = [every(rhythm.first), every(rhythm.last)];
  return begins === ends
    ? texts.wateredThroughout(all, first, begins)
    : texts.wateredTimesFirstOnDay(all, first, begins, ends);
}

/** A block so small is misted, not watered. Common practice, no source. */
const SMALL_BLOCK_MM = 25;

/** How long it lasts without water in each weather, under the leaves of the last day. */
export function drySays(living: Living, keeping: Keeping): string {
  const { dull, bright, sun } = daysToGoneIn(living, keeping, DRY_SHARE);
  return texts.notWateredItIsDry(lasts(dull.last), lasts(bright.last), lasts(sun.last));
}

/** What the hand minds with this mix in this vessel. */
export function handSays(living: Living, keeping: Keeping, { noun }: VesselKind): string[] {
  const says: string[] = [];
  const { e, input } = living;
  const { vessel } = input;
  if (vessel.shape === 'block' && vessel.depthMm <= SMALL_BLOCK_MM) {
    const hours = HOURS_A_DAY * daysToGone(living, keeping, 1, keeping.rule.waterAt);
    says.push(texts.smallBlocksAFineMist(fixed(Math.max(0.5, hours), 1)));
  }
  if (100 * e.drained.air < mixWindows(input, e).airPct.low)
    says.push(texts.itsPoresHoldLittleAir(noun, fixed(100 * keeping.rule.waterAt, 0)));
  if (topStaysWet(e)) says.push(texts.itsTopStaysWetAfter);
  return says;
}

const airSays = (from: string, to: string): string =>
  from === to ? texts.airOf(from) : texts.airBetween(from, to);

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
    airSays(fixed(airs[0], 0), fixed(airs[1], 0)),
  );
  return `${soak} ${sank}`;
}
