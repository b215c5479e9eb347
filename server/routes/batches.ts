import { type Stores } from '#server/kept/stores';
import { costOf, plannedItems } from '#core/batch/planned';
import { scoopOf } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { approachOf } from '#core/recipe/approaches';
import { type BatchStore, type KeptBatch } from '#server/kept/batches';
import { madeInYear } from '#server/book/tub/made-in-year';
import { type Tubs } from '#server/book/tub/tubs';
import { notFound } from '#server/base/http/problem';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';

/** @throws Problem 404 */
export function batchOf(batches: BatchStore, id: number): KeptBatch {
  const batch = batches.one(id);
  if (!batch) throw notFound('batch', id);
  return batch;
}

export function batchRoutes(
  api: Api,
  { batches, mixes, measures, library, windows, season, calendar, now }: Stores,
  tubs: Tubs,
  prices: () => (item: string) => number | null,
): void {
  api.serve('batches', ({ query }) => tubs.page(query));
  api.serve('keepBatch', ({ body }) => {
    const { units, scoop, recipe, kit, school: by, madeFor, anyway, ...given } = body;
    const existing = batches.byKey(given.key);
    if (existing) return new Again(tubs.whole(existing));
    if (given.mixVersionId !== null && !mixes.hasVersion(given.mixVersionId)) {
      throw notFound('version', given.mixVersionId);
    }
    const measure = scoopOf(scoop, measures.all(), units);
    const way = approachOf(by ?? '');
    const judgedBy = windows.wantedIn(library.library(), way);
    const snapshot = snapshotBatch(recipe, judgedBy, { units, scoop, measure }, kit, way);
    const cost = costOf(plannedItems(snapshot), prices());
    const stops = snapshot.flags.some(({ severity }) => severity === 'stop');
    const whole = { ...snapshot, ...(cost && { cost }), ...(anyway && stops && { anyway }) };
    const mixVersionId = mixes.versionLike(recipe, given.mixVersionId);
    const kept = { ...given, mixVersionId, snapshot: whole, createdAt: now().toISOString() };
    return tubs.whole(batches.addFor(kept, (id) => season.noteMade(id, madeFor)));
  });
  api.serve('madeInYear', ({ query }) =>
    madeInYear(query.year ?? calendar.today().slice(0, 4), { batches, tubs, priceOf: prices() }),
  );
  api.serve('batch', ({ params }) => tubs.whole(batchOf(batches, params.id)));
  putAwayRoutes(api, 'batch', ['putAwayBatch', 'restoreBatch'], batches, now);
}
