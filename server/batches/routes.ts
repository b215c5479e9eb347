import { Router } from 'express';
import { z } from 'zod';
import { usualKit } from '#core/batch/order-of-work';
import { scoopOf } from '#core/batch/scoops';
import { snapshotBatch } from '#core/batch/snapshot';
import { num, oneOf, text } from '#contract/fields';
import { recipeSchema } from '#contract/recipe';
import { type Library } from '#core/recipe/library';
import { type Batches } from '#server/batches/store';
import { idOf } from '#server/http/ids';
import { type Measures } from '#server/measures/store';
import { type Mixes } from '#server/mixes/store';
import { notFound, parse } from '#server/http/problem';

const day = z.iso.date({ error: 'must be a day, YYYY-MM-DD' });

export const newBatchSchema = z.strictObject({
  key: z.uuid({ error: 'must be a UUID made by the client: the same key twice is one batch' }),
  name: text(80),
  recipe: recipeSchema,
  mixVersionId: z.number().int().min(1).nullable().default(null),
  madeOn: day,
  units: oneOf(['metric', 'us']),
  kit: z
    .strictObject({
      tubLitres: num(1, 5000),
      liftKg: num(1, 100),
      kettleLitres: num(0.2, 200),
      heat: z.boolean({ error: 'must be true or false' }),
    })
    .default(usualKit),
  scoop: text(60),
});

export function batchRoutes(
  batches: Batches,
  mixes: Mixes,
  measures: Measures,
  library: () => Library,
  now: () => Date,
): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(batches.all());
  });
  router.post('/', (req, res) => {
    const { units, scoop, recipe, kit, ...given } = parse(newBatchSchema, req.body);
    const known = batches.byKey(given.key);
    if (known) {
      res.status(200).json(known);
      return;
    }
    if (given.mixVersionId !== null && !mixes.hasVersion(given.mixVersionId)) {
      throw notFound('mix version', given.mixVersionId);
    }
    const snapshot = snapshotBatch(
      recipe,
      library(),
      { units, scoop, measure: scoopOf(scoop, measures.all(), units) },
      kit,
    );
    res.status(201).json(batches.add({ ...given, snapshot, createdAt: now().toISOString() }));
  });
  router.get('/:id', (req, res) => {
    const id = idOf(req.params.id);
    const batch = batches.one(id);
    if (!batch) throw notFound('batch', id);
    res.json(batch);
  });
  router.delete('/:id', (req, res) => {
    const id = idOf(req.params.id);
    if (!batches.putAway(id, now().toISOString())) throw notFound('batch', id);
    res.status(204).end();
  });
  router.post('/:id/restore', (req, res) => {
    const id = idOf(req.params.id);
    if (!batches.putAway(id, null)) throw notFound('batch', id);
    res.status(204).end();
  });
  return router;
}
