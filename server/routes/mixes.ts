import { type Stores } from '#server/kept/stores';
import { figuresOf, type Figures } from '#core/judge/figures';
import { type Recipe } from '#core/recipe/recipe';
import { mixInputOf } from '#core/recipe/recipe';
import { notFound } from '#server/base/http/problem';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';

export function mixRoutes(api: Api, { mixes, library, keepings, now }: Stores): void {
  /** @throws RangeError for an id that is not known */
  const figures = (recipe: Recipe): Figures => figuresOf(mixInputOf(recipe, library.library(), 'recipe.'));
  api.serve('mixes', ({ query }) => mixes.all(query));
  api.serve('keepMix', ({ body: { key, name, note, recipe } }) => {
    const existing = mixes.byKey(key);
    if (existing) return new Again(existing);
    return mixes.create(key, name, note, recipe, figures(recipe), now().toISOString());
  });
  api.serve('mixVersions', ({ params: { id } }) => {
    const versions = mixes.versions(id);
    if (versions.length === 0) throw notFound('mix', id);
    return versions;
  });
  api.serve('keepMixVersion', ({ params: { id }, body: { key, recipe, why } }) => {
    const existing = mixes.byKey(key);
    if (existing) return new Again(existing);
    if (mixes.versions(id).length === 0) throw notFound('mix', id);
    return mixes.addVersion(key, id, recipe, figures(recipe), now().toISOString(), why);
  });
  api.serve('renameMix', ({ params: { id }, body: { name, note } }) => {
    const mix = mixes.rename(id, name, note);
    if (!mix) throw notFound('mix', id);
    return mix;
  });
  api.serve('setMixKeeping', ({ params: { id }, body: { keeping } }) => {
    if (mixes.versions(id).length === 0) throw notFound('mix', id);
    keepings.setOfMix(id, keeping);
    return { keeping: keepings.mixes[id] ?? null };
  });
  putAwayRoutes(api, 'mix', ['putAwayMix', 'restoreMix'], mixes, now);
}
