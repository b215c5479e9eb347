import { Router } from 'express';
import { z } from 'zod';
import { num, text } from '#contract/fields';
import { idOf } from '#server/http/ids';
import { type Measures } from '#server/measures/store';
import { notFound, parse } from '#server/http/problem';

export const newMeasureSchema = z
  .strictObject({
    name: text(40),
    litres: num(0.001, 1000),
    heapedLitres: num(0.001, 2000).nullable().default(null),
  })
  .refine((m) => m.heapedLitres === null || m.heapedLitres >= m.litres, {
    error: 'must be at least the struck volume',
    path: ['heapedLitres'],
  });

export function measureRoutes(measures: Measures, now: () => Date): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(measures.all());
  });
  router.post('/', (req, res) => {
    res.status(201).json(measures.add(parse(newMeasureSchema, req.body), now().toISOString()));
  });
  router.delete('/:id', (req, res) => {
    const id = idOf(req.params.id);
    if (!measures.putAway(id, now().toISOString())) throw notFound('measure', id);
    res.status(204).end();
  });
  router.post('/:id/restore', (req, res) => {
    const id = idOf(req.params.id);
    if (!measures.putAway(id, null)) throw notFound('measure', id);
    res.status(204).end();
  });
  return router;
}
