import { isCounted, type KeptEvent, type Planting, standing, type Tally } from '#core/plants/planting';
import { type Crop } from '#core/season/crop';
import { dayNumber, dayOf } from '#core/season/days';
import { type CareMessage, careSays, type PlantName } from '#core/plants/care-facts';
import { named } from '#core/units/message';
import { emergenceAt } from '#core/season/emergence';

/** Something that a planting wants on a day. */
export interface Care {
  id: 'up' | 'water' | 'look' | 'feed' | 'top-up' | 'pot-up' | 'lift';
  on: string;
  /** Last day, where it goes on. */
  until: string | null;
  text: CareMessage;
}

/** Bare roots: common practice, no source. */
const BARE_WATER_DAYS = 7;
const LOOK_AGAIN_DAYS = 21;
/** Filled half: topped up when the stem stands above the rim; common practice, no source. */
const TOP_UP_DAYS = 14;

const daysToUp = (start: Planting['start'], crop: Crop, soilC: number): number =>
  isCounted(start) ? 0 : Math.round(emergenceAt(crop.emergence, soilC).days);

/** Days to the first feed: by what the mix still gives where that is known, else by the crop; never before it is up. */
export function daysToFeed(
  start: Planting['start'],
  crop: Crop,
  soilC: number,
  mixFeedsDays: number | undefined,
): number {
  const up = daysToUp(start, crop, soilC);
  return Math.max(up, mixFeedsDays ?? up + crop.firstFeedDays);
}

/** What care hangs on beside the planting's own record. */
export interface CareAbout {
  /** Days that the vessel bears the plant. */
  mostDays: number;
  /** Temperature of the mix, for the days to come up. */
  soilC: number;
  /** Day from which they stand in the vessel, where that is not the day they began: set apart later. */
  vesselSince?: string | undefined;
  /** Days for which the mix gives what they want of nitrogen; left out where it is not known. */
  mixFeedsDays?: number | undefined;
  /** What its trays weigh and hold, where the mix is known. */
  lift?: TrayWater | undefined;
}

/** One tray, or single vessel, of a planting in its mix. */
export interface TrayWater {
  /** At container capacity, its own weight not counted. */
  wetG: number;
  /** Between that and wilting. */
  availableMl: number;
  /** Until half of it has gone, in a bright house under full leaf. */
  daysToHalf: number;
}

/** A tray is lifted when so much of its water may have gone. Common practice, no source. */
const LIFT_AT = 0.5;
/** Not told any longer then: it was watered, or is no longer weighed. */
const LIFT_DAYS = 3;

/** What a planting wants, from its own record: what is done by it is left out. */
export function careOf(
  planting: Planting,
  crop: Crop,
  tally: Tally,
  events: readonly KeptEvent[],
  { mostDays, soilC, vesselSince = planting.on, mixFeedsDays, lift }: CareAbout,
): Care[] {
  const care: Care[] = [];
  if (tally.alive === 0) return care;
  const all = standing(events);
  const began = dayNumber(planting.on);
  const name: PlantName = { crop: named(crop), sort: planting.name };
  const has = (kinds: readonly KeptEvent['kind'][], from = 0): boolean =>
    all.some((event) => kinds.includes(event.kind) && dayNumber(event.on) >= began + from);
  const add = (id: Care['id'], day: number, text: CareMessage, until: number | null = null): void => {
    care.push({ id, on: dayOf(day), until: until === null ? null : dayOf(until), text });
  };
  const up = daysToUp(planting.start, crop, soilC);
  if (!isCounted(planting.start) && !has(['up', 'count'])) {
    const sown = planting.start === 'sow';
    const { outside } = emergenceAt(crop.emergence, soilC);
    const says =
      sown && outside
        ? careSays('care.hardly-up', { name, celsius: soilC, low: outside[0], high: outside[1] })
        : careSays('care.up', { name, sown });
    add('up', began + up, says);
  }
  if (planting.bareRoot) {
    add('water', began, careSays('care.water', { name }), began + BARE_WATER_DAYS);
    if (!has(['count'], LOOK_AGAIN_DAYS - 5))
      add('look', began + LOOK_AGAIN_DAYS, careSays('care.look', { name }));
  }
  if (planting.halfFilled && !has(['topped']))
    add('top-up', began + TOP_UP_DAYS, careSays('care.top-up', { name }));
  // Only where somebody weighs or times: whoever does not is not told each day.
  const last = all.findLast(({ kind }) => kind === 'watered' || kind === 'weight');
  if (lift && last) {
    const gone =
      last.kind === 'weight' ? Math.max(0, (lift.wetG - last.grams) / Math.max(1, lift.availableMl)) : 0;
    const wait = (Math.max(0, LIFT_AT - gone) / LIFT_AT) * lift.daysToHalf;
    const day = dayNumber(last.on) + Math.floor(wait);
    add('lift', day, careSays('care.lift', { name, weighed: last.kind === 'weight' }), day + LIFT_DAYS);
  }
  if (!planting.season) {
    // Of a sowing of the season the season tells these.
    const since = dayNumber(vesselSince);
    const feed = since + daysToFeed(planting.start, crop, soilC, mixFeedsDays);
    const mixFeeds = (mixFeedsDays ?? 0) > up;
    if (!has(['fed']) && feed < since + mostDays)
      add('feed', feed, careSays('care.feed', { name, mixFeeds }));
    add('pot-up', since + mostDays, careSays('care.pot-up', { name }));
  }
  return care.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** "Tomato “Long Red”". */
export const called = ({ name }: Pick<Planting, 'name'>, crop: Pick<Crop, 'name'>): string =>
  `${crop.name}${name ? ` “${name}”` : ''}`;

/** Plants that stand, and the coldest night that their crop bears, °C. */
export interface Tender {
  planting: number;
  name: string;
  coldestC: number;
  /** Set where it bears more once it is in the ground. */
  inGroundC?: number | undefined;
}

/**
 * Who wants cover tonight, tenderest first, each by its own crop's limit.
 * @param lowC forecast of the night
 */
export const coldTonight = (standing: readonly Tender[], lowC: number): Tender[] =>
  standing.filter(({ coldestC }) => lowC < coldestC).sort((a, b) => b.coldestC - a.coldestC);
