import { type Stores } from '#server/kept/stores';
import { type TakenUp } from '#contract/plants';
import { type CauseId } from '#core/plants/cause-table';
import { type KeptEvent, standing } from '#core/plants/planting';

/** So many newest timings of watering from below are looked at. */
const TIMINGS = 300;

/** What the nursery's own entries teach: what helped against what, and how fast trays drink. */
export class PlantLessons {
  constructor(private readonly stores: Stores) {}

  private recordOf(id: number): KeptEvent[] {
    return this.stores.plantEvents.of(id).map(({ id: number, at, event }) => ({ ...event, id: number, at }));
  }

  /** How long water from below took here, by vessel: of the newest timings, what was not taken back. */
  takenUp(): TakenUp[] {
    const byVessel = new Map<string, number[]>();
    const seen = new Set<number>();
    for (const { planting } of this.stores.plantEvents.newestOfKind('watered', TIMINGS)) {
      if (seen.has(planting)) continue;
      seen.add(planting);
      const vessel = this.stores.plants.one(planting)?.vessel ?? '';
      for (const event of standing(this.recordOf(planting)))
        if (event.kind === 'watered' && event.minutes !== undefined)
          byVessel.set(vessel, [...(byVessel.get(vessel) ?? []), event.minutes]);
    }
    return [...byVessel].map(([vessel, minutes]) => ({
      ...{ vessel, times: minutes.length },
      minutes: minutes.sort((a, b) => a - b)[minutes.length >> 1]!,
    }));
  }

  taught(): { cause: CauseId; helped: number }[] {
    const ids = [...new Set(this.stores.plantEvents.allOfKind('helped').map(({ planting }) => planting))];
    const sums = new Map<CauseId, number>();
    for (const id of ids)
      for (const event of standing(this.recordOf(id)))
        if (event.kind === 'helped' && event.helped) sums.set(event.cause, (sums.get(event.cause) ?? 0) + 1);
    return [...sums].map(([cause, helped]) => ({ cause, helped }));
  }
}
