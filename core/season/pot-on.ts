import { type Crop, type CropStep } from '#core/season/crop';
import { mostWeeksIn } from '#core/season/plan';

/** A doubling of the room gives so many weeks more. Common practice, no source (model § 24). */
const WEEKS_A_DOUBLING = { other: 1, woody: 2 } as const;
/** A month to the cubic inch holds only up to eight of them, L. */
const MOST_BY_VOLUME_L = (8 * 16.387) / 1000;
/** However small, it stands so long. */
const LEAST_WEEKS = 1;
/** Over two years nothing is said. */
const MOST_SAID_DAYS = 730;

/** How large the vessel of a step is, L; undefined where there is no such vessel. */
export type LitresOf = (vessel: string) => number | undefined;

/**
 * Weeks from sowing, or sticking, for which a vessel has room for a crop: as long as the crop's own path stands in a vessel
 * that is no larger, and a week more for each doubling of the room over that, two for woody plants.
 * @param litres of the vessel
 * @example weeksOfRoom(tomato4weeksIn60mL, 0.37, litresOf) // 6.6
 */
export function weeksOfRoom(
  { kind, steps }: Pick<Crop, 'kind'> & { steps: readonly CropStep[] },
  litres: number,
  litresOf: LitresOf,
): number {
  const more = WEEKS_A_DOUBLING[kind === 'woody' ? 'woody' : 'other'];
  let until = 0;
  const rooms = steps.flatMap(({ vessel, weeks, mostWeeks }) => {
    const from = until;
    until += weeks;
    const its = litresOf(vessel);
    return its === undefined ? [] : [{ litres: its, weeks: from + Math.max(weeks, mostWeeks ?? 0) }];
  });
  const by = (room: (typeof rooms)[number]): number => room.weeks + more * Math.log2(litres / room.litres);
  const fitting = rooms.filter((room) => room.litres <= litres * 1.001);
  if (rooms.length === 0) return Infinity;
  return Math.max(LEAST_WEEKS, ...(fitting.length > 0 ? fitting : rooms.slice(0, 1)).map(by));
}

/** Weeks that its own path has a crop stand in vessels of less than half the size, before it comes into this one. */
export function weeksBefore({ steps }: Pick<Crop, 'steps'>, litres: number, litresOf: LitresOf): number {
  let weeks = 0;
  for (const step of steps) {
    const its = litresOf(step.vessel);
    if (its !== undefined && 2 * its > litres) break;
    weeks += step.weeks;
  }
  return weeks;
}

/**
 * Days for which a plant may stand in a vessel that it came into at an age, before its roots go around; null where nothing
 * is said: over two years, or where no crop is known and the vessel is larger than eight cubic inches.
 * @param ageDays from sowing or sticking to the day that it came into it; undefined where nobody knows: by its own path
 */
export function daysOfRoom(
  crop: Crop | undefined,
  litres: number,
  litresOf: LitresOf,
  ageDays: number | undefined,
): number | null {
  if (!crop) return litres <= MOST_BY_VOLUME_L ? Math.round(7 * mostWeeksIn(litres)) : null;
  const age = ageDays ?? 7 * weeksBefore(crop, litres, litresOf);
  const days = Math.max(7 * LEAST_WEEKS, Math.round(7 * weeksOfRoom(crop, litres, litresOf) - age));
  return days <= MOST_SAID_DAYS ? days : null;
}
