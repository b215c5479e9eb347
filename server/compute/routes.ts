import { Router } from 'express';
import { hotWater } from '#core/batch/hot-water';
import { batchSheet } from '#core/batch/sheet';
import {
  batchSheetRequestSchema,
  evaluateRequestSchema,
  hotWaterRequestSchema,
  sowingRequestSchema,
} from '#core/exchange/requests';
import { resolveJob, resolveMix, resolveParts } from '#core/exchange/resolve';
import { evaluationToWire } from '#core/exchange/wire';
import { judgeMix } from '#core/judge/judge';
import { compose } from '#core/mix/composition';
import { evaluateMix } from '#core/mix/evaluate';
import { type Library } from '#core/mix/recipe';
import { standOf } from '#core/season/stand';
import { parse } from '#server/problem';

/** Endpoints that compute and store nothing. */
export function computeRoutes(library: () => Library): Router {
  const router = Router();
  router.post('/evaluate', (req, res) => {
    const request = parse(evaluateRequestSchema, req.body);
    res.json(evaluationToWire(judgeMix(resolveMix(request, library()))));
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
  return router;
}
