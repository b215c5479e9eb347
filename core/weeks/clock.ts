import { daysUntilGone } from '#core/weeks/drying';
import { airOn, type Keeping, leafCoverOn } from '#core/weeks/keeping';
import { type Life, type Living, type Trouble } from '#core/weeks/life';
import { type House, houses, potentialIn } from '#core/weeks/weather';

/** What the one clock says of a mix in its vessel, kept so: every day on every screen that hangs on a mix is one of these. */
export interface Clock {
  /** Day from which it is hungry without liquid feed: fed by then. null where the mix lasts through all days. */
  feedFrom: number | null;
  /** First day of each trouble under its own rule of watering and feeding. */
  first: Readonly<Record<Trouble, number | null>>;
  /** First day on which it is watered; null where the rule never waters. */
  firstWatering: number | null;
}

/** @throws RangeError for a number of the keeping that is out of range */
export function clockOf(living: Living, keeping: Keeping, life: Life = living.under(keeping)): Clock {
  const unfed = keeping.rule.feedNMgPerL === 0 ? life : living.under(unfedOf(keeping));
  return {
    feedFrom: unfed.first.starved,
    first: life.first,
    firstWatering: life.days.find(({ watered }) => watered)?.day ?? null,
  };
}

/** The same hand with nothing in the can. */
export const unfedOf = (keeping: Keeping): Keeping => ({
  ...keeping,
  rule: { ...keeping.rule, feedNMgPerL: 0 },
});

/** Days until a share of its water has gone once it was watered on a day, by the air and the leaves of that day. */
export function daysToGone(living: Living, keeping: Keeping, day: number, share: number, gone = 0): number {
  return daysUntilGone(living.drier, share, {
    potentialMmPerDay: airOn(keeping, day).potentialMmPerDay,
    leafCover: leafCoverOn(keeping, day),
    ...{ cover: keeping.cover, driesBy: keeping.driesBy, gone },
  });
}

/** The same in each house, by the leaves of the first day and of the last. */
export function daysToGoneIn(
  living: Living,
  keeping: Keeping,
  share: number,
): Record<House, { first: number; last: number }> {
  const { plant, cover, driesBy } = keeping;
  const of = (house: House, leafCover: number): number =>
    daysUntilGone(living.drier, share, { potentialMmPerDay: potentialIn(house), leafCover, cover, driesBy });
  return Object.fromEntries(
    houses.map((house) => [
      house,
      { first: of(house, plant.leafCoverFrom), last: of(house, plant.leafCoverTo) },
    ]),
  ) as Record<House, { first: number; last: number }>;
}
