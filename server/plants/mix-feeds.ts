import { evaluateMix } from '#core/mix/evaluate';
import { demandMgPerPlant, feedingOf, WARM_HOUSE_C } from '#core/mix/feeding';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { type VesselKind } from '#core/vessel/tray';
import { type BatchStore } from '#server/batches/store';
import { type LibraryStore } from '#server/library/store';

/** For how long the mix of a batch feeds what stands in it. What was mixed does not change: reckoned once. */
export class MixFeeds {
  /** By batch and vessel. */
  private readonly known = new Map<string, number | undefined>();

  constructor(
    private readonly batches: BatchStore,
    private readonly library: LibraryStore,
  ) {}

  /** Days until a plant in this vessel wants more nitrogen than the mix has given; undefined where that is not known. */
  days(batch: number | null, kind: VesselKind): number | undefined {
    if (batch === null) return undefined;
    const key = `${batch} ${kind.id}`;
    if (!this.known.has(key)) {
      const recipe = this.batches.one(batch)?.snapshot.recipe;
      this.known.set(key, recipe && this.reckon({ ...recipe, vessel: kind.id }, kind));
    }
    return this.known.get(key);
  }

  private reckon(recipe: Recipe, kind: VesselKind): number | undefined {
    try {
      const demand = demandMgPerPlant[recipe.stage];
      const evaluation = evaluateMix(mixInputOf(recipe, this.library.library()));
      const { shortFromWeek } = feedingOf(evaluation, kind.vessel, WARM_HOUSE_C, demand);
      return 7 * (shortFromWeek === null ? demand.length : shortFromWeek - 1);
    } catch (error) {
      // A material that it names may be gone.
      if (error instanceof RangeError) return undefined;
      throw error;
    }
  }
}
