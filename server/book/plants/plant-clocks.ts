import { type KeptEvent, type Planting } from '#core/plants/planting';
import { mixOfPlanting } from '#core/plants/mix-of-planting';
import {
  keptPlanting,
  plantingClock,
  type PlantingClock,
  weighedTogether,
} from '#core/plants/planting-clock';
import { type FeedAbout } from '#core/plants/sowing-clock';
import { type Crop } from '#core/season/crop';
import { OutOfRange } from '#core/units/check';
import { type VesselKind } from '#core/vessel/tray';
import { Living } from '#core/weeks/life';
import { type KeptThings, type UsualKeeping } from '#core/weeks/usual-keeping';
import { Known } from '#server/base/database/known';
import { type Stores } from '#server/kept/stores';

/** What the clock of a planting hangs on, beside the planting. */
export interface ClockAbout {
  crop: Crop | undefined;
  kind: VesselKind;
  soilC: number;
  /** Day from which it stands in its vessel. */
  since: string;
  things: KeptThings;
}

/** The one clock of what stands in the mixes of batches: reckoned once, until something that it hangs on is changed. */
export class PlantClocks {
  /** By batch and vessel. */
  private readonly livings = new Known<string, Living | undefined>();
  private readonly clocks = new Known<string, PlantingClock>();
  private readonly keptThings = new Known<string, KeptThings>();

  constructor(private readonly stores: Stores) {}

  /** How it is kept: by its own, by its recipe's, or as the nursery does. */
  usualOf({ id, batch }: Pick<Planting, 'id' | 'batch'>): UsualKeeping {
    const { keepings, batches } = this.stores;
    const mix = batch === null ? null : batches.mixOf(batch);
    return keepings.ownOf(id) ?? (mix === null ? undefined : keepings.mixes[mix]) ?? keepings.usual;
  }

  /** Waters and products that a keeping may name. */
  things(): KeptThings {
    const { amendments } = this.stores.library.library();
    const waters = this.stores.waters.all();
    return this.keptThings.of('things', [amendments, JSON.stringify(waters)], () => ({
      amendments,
      waters: new Map(waters.map((water) => [water.id, water])),
    }));
  }

  /** What the first feed of a sowing hangs on. */
  feedAbout(about: Pick<FeedAbout, 'kept' | 'way' | 'soilC'>): FeedAbout {
    const library = this.stores.library.library();
    const { usual, mixes } = this.stores.keepings;
    return { ...about, library, usual, ofMix: mixes, things: this.things() };
  }

  /** undefined where its mix is not known. */
  of(
    planting: Pick<Planting, 'id' | 'start' | 'batch' | 'cells'>,
    events: readonly KeptEvent[],
    { kind, ...about }: ClockAbout,
  ): PlantingClock | undefined {
    const living = this.livingOf(planting.batch, kind);
    if (!living) return undefined;
    const count = weighedTogether(kind.perTray, planting.cells);
    const { keeping } = keptPlanting(living, planting, events, this.usualOf(planting), {
      ...about,
      count,
    });
    // What was read moves neither nitrogen nor water.
    const { readings: _, ...asked } = keeping;
    const key = `${planting.batch} ${kind.id} ${count} ${JSON.stringify(asked)}`;
    return this.clocks.of(key, [living], () => plantingClock(living, keeping, count));
  }

  private livingOf(batch: number | null, kind: VesselKind): Living | undefined {
    if (batch === null) return undefined;
    const library = this.stores.library.library();
    return this.livings.of(`${batch} ${kind.id}`, [library, kind], () => {
      const recipe = this.stores.batches.one(batch)?.snapshot.recipe;
      if (!recipe) return undefined;
      try {
        return new Living(mixOfPlanting({ vessel: kind.id }, recipe, library));
      } catch (error) {
        // A material that it names may be gone.
        if (error instanceof OutOfRange) return undefined;
        throw error;
      }
    });
  }
}
