import { Router } from 'express';
import { z } from 'zod';
import { text } from '#contract/fields';
import { recipeSchema } from '#contract/recipe';
import { type Library } from '#core/recipe/library';
import { mixInputOf } from '#core/recipe/recipe';
import { idOf } from '#server/http/ids';
import { type Mixes } from '#server/mixes/store';
import { notFound, parse } from '#server/http/problem';

export const newMixSchema = z.strictObject({
  name: text(80),
  note: z.string().trim().max(2000, { error: 'must be text of at most 2000 characters' }).default(''),
  recipe: recipeSchema,
});
export const newVersionSchema = z.strictObject({ recipe: recipeSchema });

export function mixRoutes(mixes: Mixes, library: () => Library, now: () => Date): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(mixes.all());
  });
  router.post('/', (req, res) => {
    const { name, note, recipe } = parse(newMixSchema, req.body);
    mixInputOf(recipe, library(), 'recipe.');
    res.status(201).json(mixes.create(name, note, recipe, now().toISOString()));
  });
  router.get('/:id/versions', (req, res) => {
    const id = idOf(req.params.id);
    const versions = mixes.versions(id);
    if (versions.length === 0) throw notFound('mix', id);
    res.json(versions);
  });
  router.post('/:id/versions', (req, res) => {
    const id = idOf(req.params.id);
    const { recipe } = parse(newVersionSchema, req.body);
    mixInputOf(recipe, library(), 'recipe.');
    if (mixes.versions(id).length === 0) throw notFound('mix', id);
    res.status(201).json(mixes.addVersion(id, recipe, now().toISOString()));
  });
  router.delete('/:id', (req, res) => {
    const id = idOf(req.params.id);
    if (!mixes.putAway(id, now().toISOString())) throw notFound('mix', id);
    res.status(204).end();
  });
  router.post('/:id/restore', (req, res) => {
    const id = idOf(req.params.id);
    if (!mixes.putAway(id, null)) throw notFound('mix', id);
    res.status(204).end();
  });
  return router;
}
