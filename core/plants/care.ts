import { isCounted, type KeptEvent, type Planting, standing, type Tally } from '#core/plants/planting';
import { type Crop } from '#core/season/crop';
import { dayNumber, dayOf } from '#core/season/days';
import { type CareMessage, careSays, type PlantName } from '#core/plants/care-facts';
import { named } from '#core/units/message';
import { type PlantingClock } from '#core/plants/planting-clock';
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
  clock: Pick<PlantingClock, 'feedFrom'> | undefined,
): number | null {
  const up = daysToUp(start, crop, soilC);
  if (!clock) return up + crop.firstFeedDays;
  return clock.feedFrom === null ? null : Math.max(up, clock.feedFrom - 1);
}

/** What care hangs on beside the planting's own record. */
export interface CareAbout {
  /** Days for which the vessel has room for the plant; null where nothing is said. */
  roomDays: number | null;
  /** Temperature of the mix, for the days to come up. */
  soilC: number;
  /** Day from which they stand in the vessel, where that is not the day they began: set apart later. */
  vesselSince?: string | undefined;
  /** What the one clock says of it, where its mix is known. */
  clock?: PlantingClock | undefined;
}

/** Not told any longer then: it was watered, or is no longer weighed. */
const LIFT_DAYS = 3;

/** What a planting wants, from its own record: what is done by it is left out. */
export function careOf(
  planting: Planting,
  crop: Crop,
  tally: Tally,
  events: readonly KeptEvent[],
  { roomDays, soilC, vesselSince = planting.on, clock }: CareAbout,
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
  const since = dayNumber(vesselSince);
  if (clock && last) {
    const { wetG, availableMl, daysToWater } = clock.tray;
    const gone = last.kind === 'weight' ? Math.max(0, (wetG - last.grams) / Math.max(1, availableMl)) : 0;
    const wait = daysToWater(dayNumber(last.on) - since + 1, gone);
    const day = dayNumber(last.on) + Math.floor(wait);
    const says = careSays('care.lift', {
      ...{ name, weighed: last.kind === 'weight', gonePct: Math.round(100 * clock.tray.waterAt) },
    });
    if (Number.isFinite(wait)) add('lift', day, says, day + LIFT_DAYS);
  }
  if (!planting.season) {
    // Of a sowing of the season the season tells these.
    const feed = daysToFeed(planting.start, crop, soilC, clock);
    if (!has(['fed']) && feed !== null && (roomDays === null || feed < roomDays))
      add('feed', since + feed, careSays('care.feed', { name, mixFeeds: clock !== undefined }));
    if (roomDays !== null) add('pot-up', since + roomDays, careSays('care.pot-up', { name }));
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
