import { noteCrop } from '#server/book/plants/by-crop';
import { coldestNight } from '#core/season/roots-in-pots';
import { type Stores } from '#server/kept/stores';
import { type z } from 'zod';
import {
  type BatchResult,
  type CropShare,
  oddsSchema,
  type OwnOdds,
  type resultsQuerySchema,
} from '#contract/plants';
import { daysToFeed } from '#core/plants/care';
import { type CauseId } from '#core/plants/cause-table';
import { medianRead, type PlantRecord, suspectsOf } from '#core/plants/next-time';
import { isCounted, sharesOf, tallyOf } from '#core/plants/planting';
import { type PlantStates } from '#server/book/plants/plant-states';
import { type PlantClocks } from '#server/book/plants/plant-clocks';
import { type PlantLessons } from '#server/book/plants/lessons';

/** Batches of a mix that are told of, newest first. */
const MOST_BATCHES = 50;

/** What became of the plants of a batch, and what that tells against its mix. */
export class PlantResults {
  constructor(
    private readonly stores: Stores,
    private readonly lessons: PlantLessons,
    private readonly clocks: PlantClocks,
    private readonly states: PlantStates,
  ) {}

  get odds(): OwnOdds {
    const kept = this.stores.folder.odds;
    return kept === undefined ? {} : oddsSchema.parse(JSON.parse(kept));
  }

  set odds(odds: OwnOdds) {
    this.stores.folder.odds = JSON.stringify(odds);
  }

  /** Of batches in which something stands or stood. */
  of({ of, id }: z.output<typeof resultsQuerySchema>): BatchResult[] {
    if (of === 'batch') return this.ofBatch(id, null);
    const versions = new Map(this.stores.mixes.versions(id).map((version) => [version.id, version.version]));
    return this.stores.plants
      .batchesOf([...versions.keys()])
      .flatMap((batch) => {
        const version = versions.get(this.stores.batches.versionOf(batch) ?? NaN);
        return version === undefined ? [] : [{ batch, version }];
      })
      .slice(0, MOST_BATCHES)
      .flatMap(({ batch, version }) => this.ofBatch(batch, version));
  }

  private ofBatch(id: number, version: number | null): BatchResult[] {
    const batch = this.stores.batches.one(id);
    const plantings = this.stores.plants.ofBatch(id);
    if (!batch || plantings.length === 0) return [];
    const { readings, materials } = batch.snapshot;
    const reading = (name: string) => readings.find((each) => each.id === name);
    const [crops, { vessels }] = [this.stores.crops.byId(), this.stores.library.library()];
    const today = this.stores.calendar.today();
    const { soilC } = this.stores.season.settings(today);
    const things = this.clocks.things();
    const up = { alive: 0, of: 0 };
    const byCrop: CropShare[] = [];
    const lost = new Map<string, number>();
    const records = plantings.flatMap((planting): PlantRecord[] => {
      const events = this.stores.plantEvents
        .of(planting.id)
        .map((each) => ({ ...each.event, id: each.id, at: each.at }));
      const tally = tallyOf(planting, events);
      const share = sharesOf(tally);
      if (share.up !== null && !isCounted(planting.start)) {
        const counted = { alive: Math.min(share.up, share.of), of: share.of };
        [up.alive, up.of] = [up.alive + counted.alive, up.of + counted.of];
        const perTray = vessels.get(planting.vessel)?.perTray ?? 1;
        noteCrop(byCrop, planting, crops.get(planting.crop)?.name ?? planting.crop, perTray, counted);
      }
      for (const [cause, count] of tally.lost) lost.set(cause, (lost.get(cause) ?? 0) + count);
      const [crop, kind] = [crops.get(planting.crop), vessels.get(planting.vessel)];
      if (!crop || !kind) return [];
      const air = reading('air') ?? reading('airAfterDrydown');
      const since = this.states.vesselSince(planting);
      const clock = this.clocks.of(planting, events, { crop, kind, soilC, since, things });
      const about = {
        ...{
          today,
          coldestC: coldestNight(crop).potC,
          firstFeedDays: daysToFeed(planting.start, crop, soilC, clock),
        },
        ...{ ph: reading('ph'), ec: reading('ecSaturated'), ...(air && { airPct: air.value, air }) },
        roomDays: this.states.roomDays(planting, crop, vessels),
        ...{ madeOn: batch.madeOn, living: materials.some((material) => material.living) },
      };
      return [{ planting, events, about }];
    });
    const taught = new Map<CauseId, number>(this.lessons.taught().map((each) => [each.cause, each.helped]));
    return [
      {
        ...{ batch: id, name: batch.name, madeOn: batch.madeOn, version, plantings: plantings.length, up },
        crops: byCrop,
        lost: [...lost].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count),
        read: { ph: medianRead(records, 'ph'), ec: medianRead(records, 'ec') },
        suspects: suspectsOf(records, taught, this.odds),
      },
    ];
  }
}
