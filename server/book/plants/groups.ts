import { type Stores } from '#server/kept/stores';
import { type compareBy, type PlantGroup } from '#contract/plants';
import { isCounted, type KeptEvent, type Planting, sharesOf, standing, tallyOf } from '#core/plants/planting';
import { noteCrop, plus } from '#server/book/plants/by-crop';
import { dayNumber } from '#core/season/days';
import { daysAfter } from '#core/units/day';

/** Groups are compared over so many years. */
const COMPARE_DAYS = 3 * 366;

/** A group while it is added up. */
type Adding = PlantGroup & { days: number[]; timed: { plants: number; minutes: number } };

/** What came up and what made it, by batch, mix, vessel, seed or crop. */
export class PlantGroups {
  constructor(private readonly stores: Stores) {}

  /** @param crop null for all */
  groups(by: (typeof compareBy)[number], crop: string | null): PlantGroup[] {
    const plantings = this.stores.plants.since(daysAfter(this.stores.calendar.today(), -COMPARE_DAYS), crop);
    const events = this.stores.plantEvents.countsOf(plantings.map(({ id }) => id));
    const names = this.stores.crops.byId();
    const { vessels } = this.stores.library.library();
    const keyOf = this.keyer(by);
    const after = this.afterOf();
    const keys = new Map(plantings.map((planting) => [planting.id, keyOf(planting)?.key]));
    const groups = new Map<string, Adding>();
    for (const planting of plantings) {
      const found = keyOf(planting);
      if (!found) continue;
      const own = events.get(planting.id) ?? [];
      const tally = tallyOf(planting, own);
      const { up, made, of } = sharesOf(tally);
      let group = groups.get(found.key);
      if (!group) {
        const none = { alive: 0, of: 0 };
        group = {
          ...{ ...found, plantings: 0, crops: [], up: none, made: none, daysToUp: null, lost: [], days: [] },
          after: { of: 0, grewOn: 0, stalled: 0, failed: 0, kg: null },
          outMinutesPerHundred: null,
          timed: { plants: 0, minutes: 0 },
        };
        groups.set(found.key, group);
      }
      group.plantings++;
      if (up !== null && !isCounted(planting.start)) {
        const counted = { alive: Math.min(up, of), of };
        group.up = plus(group.up, counted);
        const perTray = vessels.get(planting.vessel)?.perTray ?? 1;
        noteCrop(group.crops, planting, names.get(planting.crop)?.name ?? planting.crop, perTray, counted);
      }
      // Those set apart or potted within the group began, and went on, once: only what was lost since is new.
      const again = planting.from
        .filter((each) => keys.get(each.planting) === found.key)
        .reduce((sum, each) => sum + each.plants, 0);
      if (made !== null)
        group.made = {
          alive: group.made.alive + Math.min(made, of) - again,
          of: group.made.of + of - again,
        };
      const first = standing(own).find((event) => event.kind === 'up' && event.count > 0);
      if (first) group.days.push(dayNumber(first.on) - dayNumber(planting.on));
      for (const each of standing(own))
        if (each.kind === 'out' && each.minutes !== undefined) {
          group.timed.plants += each.count;
          group.timed.minutes += each.minutes;
        }
      noteAfter(group.after, after.get(planting.id) ?? []);
      for (const [cause, count] of tally.lost) {
        const existing = group.lost.find((each) => each.cause === cause);
        if (existing) existing.count += count;
        else group.lost.push({ cause, count });
      }
    }
    return [...groups.values()].map(({ days, timed, ...group }) => ({
      ...group,
      outMinutesPerHundred: timed.plants > 0 ? (100 * timed.minutes) / timed.plants : null,
      daysToUp: days.length > 0 ? days.sort((a, b) => a - b)[days.length >> 1]! : null,
      lost: group.lost.sort((a, b) => b.count - a.count),
    }));
  }

  /** What was told of plants once they were out, by planting; what was taken back is left out. */
  private afterOf(): Map<number, After[]> {
    const ids = new Set(this.stores.plantEvents.allOfKind('after').map(({ planting }) => planting));
    return new Map(
      [...ids].map((id) => {
        const kept = this.stores.plantEvents.of(id);
        const events = kept.map(({ id: number, at, event }) => ({ ...event, id: number, at }));
        return [id, standing(events).filter((event): event is After => event.kind === 'after')];
      }),
    );
  }

  private keyer(
    by: (typeof compareBy)[number],
  ): (planting: Planting) => { key: string; name: string } | null {
    const mixOfBatch = new Map<number, { key: string; name: string }>();
    switch (by) {
      case 'batch':
        return ({ batch }) =>
          batch === null
            ? null
            : { key: String(batch), name: this.stores.batches.nameOf(batch) ?? String(batch) };
      case 'mix':
        return ({ batch }) => {
          if (batch === null) return null;
          let mix = mixOfBatch.get(batch);
          if (!mix) {
            const of = this.stores.batches.one(batch);
            // A batch of no saved mix stands for itself.
            mix =
              of?.mixId != null
                ? { key: `mix-${of.mixId}`, name: of.mixName ?? of.name }
                : { key: `batch-${batch}`, name: of?.name ?? String(batch) };
            mixOfBatch.set(batch, mix);
          }
          return mix;
        };
      case 'vessel': {
        const { vessels } = this.stores.library.library();
        return ({ vessel }) => ({ key: vessel, name: vessels.get(vessel)?.name ?? vessel });
      }
      case 'seed':
        return ({ seed }) => (seed ? { key: seed, name: seed } : null);
      case 'crop': {
        const crops = this.stores.crops.byId();
        return ({ crop }) => ({ key: crop, name: crops.get(crop)?.name ?? crop });
      }
    }
  }
}

type After = Extract<KeptEvent, { kind: 'after' }>;

/** The last word on how a planting went on counts once; what it yielded adds up. */
function noteAfter(sum: PlantGroup['after'], told: readonly After[]): void {
  const last = told.at(-1);
  if (!last) return;
  const way = { 'grew on': 'grewOn', stalled: 'stalled', failed: 'failed' } as const;
  sum.of++;
  sum[way[last.went]]++;
  for (const { kg } of told) if (kg !== undefined) sum.kg = (sum.kg ?? 0) + kg;
}
