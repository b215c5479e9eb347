import { Router } from 'express';
import { hotWater } from '#core/batch/hot-water';
import { batchSheet } from '#core/batch/sheet';
import {
  batchSheetRequestSchema,
  evaluateRequestSchema,
  formulateRequestSchema,
  hotWaterRequestSchema,
  sowingRequestSchema,
} from '#contract/compute-requests';
import { resolveFinderJob, resolveJob, resolveMix, resolveParts } from '#server/compute/resolve';
import { evaluationToWire, formulateToWire } from '#server/compute/wire';
import { fastAndLimits } from '#core/finder/formulate';
import { Search } from '#core/finder/search';
import { judgeMix } from '#core/judge/judge';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { type Library } from '#core/recipe/library';
import { standOf } from '#core/season/stand';
import { parse } from '#server/http/problem';

/** Endpoints that compute and store nothing. */
export function computeRoutes(library: () => Library): Router {
  const router = Router();
  router.post('/evaluate', (req, res) => {
    const request = parse(evaluateRequestSchema, req.body);
    res.json(evaluationToWire(judgeMix(resolveMix(request, library()), { library: library() })));
  });
  router.post('/batch-sheet', (req, res) => {
    const request = parse(batchSheetRequestSchema, req.body);
    const { litres, moisture } = resolveJob(request);
    res.json(batchSheet(evaluateMix(resolveMix(request, library())), litres, moisture));
  });
  router.post('/hot-water', (req, res) => {
    const { components, litres, mixC, waterC, targetC } = parse(hotWaterRequestSchema, req.body);
    res.json(hotWater(compose(resolveParts(components, library()), 0), litres, mixC, waterC, targetC));
  });
  router.post('/sowing', (req, res) => {
    const { germination, perCell, wantedPlants, confidence } = parse(sowingRequestSchema, req.body);
    res.json(standOf(germination, perCell, wantedPlants, confidence));
  });
  router.post('/formulate', async (req, res) => {
    const request = parse(formulateRequestSchema, req.body);
    const job = resolveFinderJob(request, library());
    const { fast, limits } = fastAndLimits(job);
    const search = new Search(fast, limits, request.top);
    // In slices, so that others are answered meanwhile; whoever hangs up is not searched for.
    while (!search.step(SLICE)) {
      await new Promise(setImmediate);
      if (res.destroyed) return;
    }
    res.json(formulateToWire(job, fast, search.result()));
  });
  return router;
}

/** Recipes to a slice: some 20 ms. */
const SLICE = 5000;
