import { Known } from '#server/base/database/known';
import { type Stores } from '#server/kept/stores';
import { OutOfRange } from '#core/units/check';
import { evaluateMix } from '#core/mix/evaluate';
import { demandMgPerPlant, feedingOf, WARM_HOUSE_C } from '#core/mix/feeding';
import { weathers } from '#core/mix/dry-down';
import { type TrayWater } from '#core/plants/care';
import { DRY_SHARE } from '#core/water/life';
import { daysUntilDry } from '#core/water/lift';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { type VesselKind } from '#core/vessel/tray';

const [, BRIGHT] = weathers;
const FULL_LEAF = 1;

interface Feeds extends TrayWater {
  feedsDays: number;
}

/** For how long the mix of a batch feeds what stands in it: reckoned once, until a material or a vessel is changed. */
export class MixFeeds {
  /** By batch and vessel. */
  private readonly kept = new Known<string, Feeds | undefined>();

  constructor(private readonly stores: Stores) {}

  /** Days until a plant in this vessel wants more nitrogen than the mix has given; undefined where that is not known. */
  days(batch: number | null, kind: VesselKind): number | undefined {
    return this.of(batch, kind)?.feedsDays;
  }

  /** What a tray of it weighs and holds; undefined where its mix is not known. */
  tray(batch: number | null, kind: VesselKind, cells: number): TrayWater | undefined {
    const feeds = this.of(batch, kind);
    if (!feeds) return undefined;
    const count = Math.min(kind.perTray, cells);
    return { wetG: count * feeds.wetG, availableMl: count * feeds.availableMl, daysToHalf: feeds.daysToHalf };
  }

  private of(batch: number | null, kind: VesselKind): Feeds | undefined {
    if (batch === null) return undefined;
    const library = this.stores.library.library();
    return this.kept.of(`${batch} ${kind.id}`, [library, kind], () => {
      const recipe = this.stores.batches.one(batch)?.snapshot.recipe;
      return recipe && this.reckon({ ...recipe, vessel: kind.id }, kind);
    });
  }

  private reckon(recipe: Recipe, kind: VesselKind): Feeds | undefined {
    try {
      const demand = demandMgPerPlant[recipe.stage];
      const evaluation = evaluateMix(mixInputOf(recipe, this.stores.library.library()));
      const { shortFromWeek } = feedingOf(evaluation, kind.vessel, WARM_HOUSE_C, demand);
      return {
        feedsDays: 7 * (shortFromWeek === null ? demand.length : shortFromWeek - 1),
        wetG: evaluation.wetWeightG,
        availableMl: evaluation.availableWaterMl,
        daysToHalf: (0.5 / DRY_SHARE) * daysUntilDry(evaluation, BRIGHT.evaporationMmPerH, FULL_LEAF),
      };
    } catch (error) {
      // A material that it names may be gone.
      if (error instanceof OutOfRange) return undefined;
      throw error;
    }
  }
}
