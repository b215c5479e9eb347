import { type Stores } from '#server/kept/stores';
import { aboutKindSchema } from '#contract/where';
import { notFound, parse } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';

/** Where things are in this folder, by the keys that devices gave them. */
export function aboutRoutes(api: Api, { about }: Stores): void {
  api.serve('where', ({ params }) => {
    const kind = parse(aboutKindSchema, params.kind);
    const found = about.where(kind, params.key);
    if (!found) throw notFound(kind, params.key);
    return found;
  });
}
