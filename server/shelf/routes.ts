import { Router } from 'express';
import { z } from 'zod';
import { num } from '#contract/fields';
import { type Library } from '#core/recipe/library';
import { notFound, parse } from '#server/http/problem';
import { type Shelf } from '#server/shelf/store';

const yes = z.boolean({ error: 'must be true or false' });

export const shelfLineSchema = z.strictObject({
  here: yes,
  costPerL: num(0, 1_000_000).nullable().default(null),
  useUp: yes.default(false),
});

export function shelfRoutes(shelf: Shelf, library: () => Library, now: () => Date): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(shelf.all());
  });
  router.put('/:material', (req, res) => {
    const { material } = req.params;
    if (!library().materials.has(material)) throw notFound('material', material);
    const line = { material, ...parse(shelfLineSchema, req.body) };
    shelf.put(line, now().toISOString());
    res.json(line);
  });
  return router;
}
