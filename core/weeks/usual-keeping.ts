import { type Amendment } from '#core/material/amendment';
import { dayNumber, dayOf } from '#core/season/days';
import { type Acid, pouredWith } from '#core/weeks/alkalinity';
import { type Cover, type HouseAir, type Keeping, type WateringRule } from '#core/weeks/keeping';
import { acidityMeqPerMgN } from '#core/weeks/liquid-feed';
import { blendOf, type Water } from '#core/weeks/own-water';
import { type House, potentialIn } from '#core/weeks/weather';

/** A house, and the mean of its days and nights, °C. */
export interface HouseKept {
  house: House;
  tempC: number;
}

/** How a nursery keeps what is filled: house, water, hand and spacing. Set once, read wherever days are told. */
export interface UsualKeeping extends HouseKept {
  weeks: number;
  /** Months that differ, 1–12. */
  months: (HouseKept & { month: number })[];
  /** Where none of the nursery's own is chosen. */
  water: { alkalinityMgPerL: number; ecMSPerCm: number };
  /** Of the nursery's own waters, by number: the one poured, and what is mixed into it; null for none. */
  waterId: number | null;
  blendId: number | null;
  /** Share of the first, %. */
  blendPct: number;
  rule: WateringRule;
  /** Somebody waters only when coming by, so often a day; null for at any hour. */
  looks: 1 | 2 | null;
  /** What lies on the mix. */
  cover: Cover;
  /** Leaves over the top of a vessel, first and last: what its spacing lets it have. */
  plant: { leafCoverFrom: number; leafCoverTo: number };
  /** By how much faster than reckoned trays dry here. */
  driesBy: number;
  /** Acid in the water; null for none. */
  acid: Acid | null;
  acidPh: number;
  /** What the feed is, by its id in the library; null where nothing is chosen. */
  feed: string | null;
  injector: number;
  tankLitres: number;
}

/** Where nobody said: a bright house, mains water, a light feed. Common practice, no source. */
export const usualKeeping: UsualKeeping = {
  weeks: 8,
  house: 'bright',
  tempC: 20,
  months: [],
  water: { alkalinityMgPerL: 80, ecMSPerCm: 0.4 },
  ...{ waterId: null, blendId: null, blendPct: 50 },
  rule: { waterAt: 0.5, leachPct: 10, feedNMgPerL: 75, feedFromDay: 14 },
  looks: null,
  cover: 'bare',
  plant: { leafCoverFrom: 0.1, leafCoverTo: 1 },
  driesBy: 1,
  acid: null,
  acidPh: 6,
  feed: null,
  injector: 1,
  tankLitres: 10,
};

/** Waters of the nursery by number, and products by id. */
export interface KeptThings {
  waters: ReadonlyMap<number, Water>;
  amendments: ReadonlyMap<string, Amendment>;
}

/** The water that is poured: of the nursery's own, blended, or by its figures; before acid. */
export function waterPoured(
  usual: UsualKeeping,
  waters: KeptThings['waters'],
): Pick<Water, 'alkalinityMgPerL' | 'ecMSPerCm'> {
  const of = (id: number | null): Water | undefined => (id === null ? undefined : waters.get(id));
  const [poured, other] = [of(usual.waterId), of(usual.blendId)];
  if (!poured) return usual.water;
  return other ? blendOf(poured, other, usual.blendPct / 100) : poured;
}

const airOf = ({ house, tempC }: HouseKept): HouseAir => ({ potentialMmPerDay: potentialIn(house), tempC });

/** House and warmth on a day: those of its month, where that differs. */
export const houseOn = (usual: UsualKeeping, day: string): HouseKept =>
  usual.months.find(({ month }) => month === Number(day.slice(5, 7))) ?? usual;

/** The air on a day of the year, and from which days of so many on it is another. */
function airsOf(usual: UsualKeeping, begunOn: string, days: number): Pick<Keeping, 'weather' | 'later'> {
  const monthly = (day: string): HouseKept => houseOn(usual, day);
  const first = dayNumber(begunOn);
  const later: (HouseAir & { fromDay: number })[] = [];
  let before = monthly(begunOn);
  if (usual.months.length > 0)
    for (let n = 1; n < days; n++) {
      const present = monthly(dayOf(first + n));
      if (present !== before) later.push({ ...airOf(present), fromDay: n + 1 });
      before = present;
    }
  return { weather: airOf(monthly(begunOn)), ...(later.length > 0 && { later }) };
}

/** What one mix or planting adds to how the nursery keeps it. */
export interface KeptFor {
  /** Day on which it begins: months that differ hang on it. YYYY-MM-DD */
  on: string;
  /** Days of its crop. */
  plant?: Pick<Keeping['plant'], 'upOn' | 'rootedOn' | 'trueLeavesOn'>;
  readings?: Keeping['readings'];
  /** What its own weighing taught. */
  driesBy?: number | undefined;
}

/** How it is kept, in figures: acid has taken its share of the alkalinity, and its nitrogen is fed. */
export function keepingOf(usual: UsualKeeping, things: KeptThings, { on, ...more }: KeptFor): Keeping {
  const days = 7 * usual.weeks;
  const acid = usual.acid ? { is: usual.acid, toPh: usual.acidPh } : undefined;
  const feed = usual.feed === null ? undefined : things.amendments.get(usual.feed);
  return {
    ...{ days, seed: 1, rule: usual.rule, ...airsOf(usual, on, days) },
    water: pouredWith(waterPoured(usual, things.waters), acid),
    ...{ cover: usual.cover, looks: usual.looks ?? undefined },
    driesBy: more.driesBy ?? usual.driesBy,
    plant: { ...usual.plant, ...more.plant },
    feedAcidMeqPerMgN: feed && feed.nPct > 0 ? acidityMeqPerMgN(feed) : 0,
    readings: (more.readings ?? []).filter(({ day }) => day >= 1 && day <= days),
  };
}
