import { type Stores } from '#server/kept/stores';
import { makeOrBuy } from '#core/package/make-or-buy';
import { openPackage } from '#core/package/package';
import { planSeason } from '#core/season/plan';
import { learn } from '#core/stats/learn';
import { lifeOf } from '#core/weeks/life';
import { acidify } from '#core/weeks/alkalinity';
import { liquidFeed } from '#core/weeks/liquid-feed';
import { lookUp } from '#core/recipe/library';
import { hotWater } from '#core/batch/hot-water';
import { batchSheet } from '#core/batch/sheet';
import { judgeMix } from '#core/judge/judge';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { standOf } from '#core/season/stand';
import { resolveAdvise } from '#server/book/compute/advise';
import {
  resolveFinderJob,
  resolveJob,
  resolveKeeping,
  resolveMix,
  resolveParts,
} from '#server/book/compute/resolve';
import { readerOf } from '#server/base/http/reader';
import { evaluationToWire } from '#server/book/compute/wire';
import { type Heavy } from '#server/out/heavy/heavy';
import { type Api } from '#server/base/http/serve';

/** Endpoints that compute and store nothing. */
export function computeRoutes(api: Api, { library: store }: Stores, heavy: Heavy): void {
  api.serve('evaluate', ({ body, req }) => {
    const library = store.library();
    return evaluationToWire(judgeMix(resolveMix(body, library), { library }), readerOf(req));
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
  api.serve('package', ({ body }) => openPackage(body.package, body.screenLossPct, body.price));
  api.serve('makeOrBuy', ({ body }) => makeOrBuy(body));
  api.serve('season', ({ body: { lastFrost, crops, benchM2 } }) => planSeason(lastFrost, crops, benchM2));
  // Of a million it takes a second.
  api.serve('compare', ({ body }) => heavy.run('compare', body));
  api.serve('learn', ({ body: { prior, tests } }) => learn(prior, tests));
  api.serve('water', ({ body: { alkalinityMgPerL, targetPh, acid } }) =>
    acidify(alkalinityMgPerL, targetPh, acid),
  );
  api.serve('life', ({ body }) => {
    const library = store.library();
    const { product, ...rule } = body.rule;
    const keeping = resolveKeeping({ ...body, product }, library);
    const life = lifeOf(resolveMix(body, library), { ...keeping, rule });
    return { days: life.days, first: life.first };
  });
  api.serve('lifeRule', ({ body, req, res }) => {
    const library = store.library();
    const left = new AbortController();
    res.on('close', () => left.abort());
    return heavy.run(
      'rule',
      {
        input: resolveMix(body, library),
        keeping: resolveKeeping(body, library),
        reader: readerOf(req),
      },
      left.signal,
    );
  });
  api.serve('liquidFeed', ({ body: { product, nMgPerL, injector, tankLitres } }) => {
    const label =
      typeof product === 'string' ? lookUp(store.library().amendments, product, 'product') : product;
    return liquidFeed(label, nMgPerL, injector, tankLitres);
  });
  api.serve('advise', ({ body, req, res }) => {
    const left = new AbortController();
    res.on('close', () => left.abort());
    return heavy.run('advise', resolveAdvise(body, store.library(), readerOf(req)), left.signal);
  });
  api.serve('formulate', ({ body, req, res }) => {
    // Whoever hangs up is not searched for.
    const left = new AbortController();
    res.on('close', () => left.abort());
    const job = resolveFinderJob(body, store.library());
    return heavy.run('formulate', { job, top: body.top, reader: readerOf(req) }, left.signal);
  });
}
