import { Router } from 'express';
import { batchSheet } from '#core/batch/sheet';
import { batchSheetRequestSchema, evaluateRequestSchema } from '#core/exchange/requests';
import { resolveJob, resolveMix } from '#core/exchange/resolve';
import { evaluationToWire } from '#core/exchange/wire';
import { judgeMix } from '#core/judge/judge';
import { evaluateMix } from '#core/mix/evaluate';
import { type Library } from '#core/mix/recipe';
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
  return router;
}
