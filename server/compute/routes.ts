import { hotWater } from '#core/batch/hot-water';
import { batchSheet } from '#core/batch/sheet';
import { fastAndLimits } from '#core/finder/formulate';
import { Search } from '#core/finder/search';
import { judgeMix } from '#core/judge/judge';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { standOf } from '#core/season/stand';
import { resolveFinderJob, resolveJob, resolveMix, resolveParts } from '#server/compute/resolve';
import { evaluationToWire, formulateToWire } from '#server/compute/wire';
import { type Api } from '#server/http/serve';
import { type LibraryStore } from '#server/library/store';

/** Recipes to a slice: some 20 ms. */
const SLICE = 5000;

/** Endpoints that compute and store nothing. */
export function computeRoutes(api: Api, store: LibraryStore): void {
  api.serve('evaluate', ({ body }) => {
    const library = store.library();
    return evaluationToWire(judgeMix(resolveMix(body, library), { library }));
  });
  api.serve('batchSheet', ({ body }) => {
    const { litres, moisture } = resolveJob(body);
    return batchSheet(evaluateMix(resolveMix(body, store.library())), litres, moisture);
  });
  api.serve('hotWater', ({ body: { components, litres, mixC, waterC, targetC } }) =>
    hotWater(compose(resolveParts(components, store.library()), 0), litres, mixC, waterC, targetC),
  );
  api.serve('sowing', ({ body: { germination, perCell, wantedPlants, confidence } }) =>
    standOf(germination, perCell, wantedPlants, confidence),
  );
  api.serve('formulate', async ({ body, res }) => {
    const job = resolveFinderJob(body, store.library());
    const { fast, limits } = fastAndLimits(job);
    const search = new Search(fast, limits, body.top);
    // In slices, so that others are answered meanwhile; whoever hangs up is not searched for.
    while (!res.destroyed && !search.step(SLICE)) await new Promise(setImmediate);
    return formulateToWire(job, fast, search.result());
  });
}
