import { hotWater } from '#core/batch/hot-water';
import { batchSheet } from '#core/batch/sheet';
import { judgeMix } from '#core/judge/judge';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { standOf } from '#core/season/stand';
import { resolveFinderJob, resolveJob, resolveMix, resolveParts } from '#server/compute/resolve';
import { evaluationToWire } from '#server/compute/wire';
import { type Heavy } from '#server/heavy/workers';
import { type Api } from '#server/http/serve';
import { type LibraryStore } from '#server/library/store';

/** Endpoints that compute and store nothing. */
export function computeRoutes(api: Api, store: LibraryStore, heavy: Heavy): void {
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
  api.serve('formulate', ({ body, res }) => {
    // Whoever hangs up is not searched for.
    const left = new AbortController();
    res.on('close', () => left.abort());
    const job = resolveFinderJob(body, store.library());
    return heavy.run('formulate', { job, top: body.top }, left.signal);
  });
}
