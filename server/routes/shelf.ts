import { type Stores } from '#server/kept/stores';
import { notFound } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';

export function shelfRoutes(api: Api, { shelf, library, now }: Stores): void {
  api.serve('shelf', () => shelf.all());
  api.serve('putShelfLine', ({ params: { material }, body }) => {
    if (!library.library().materials.has(material)) throw notFound('material', material);
    const line = { material, ...body };
    shelf.put(line, now().toISOString());
    return line;
  });
  api.serve('changeShelfLine', ({ params: { material }, body }) => {
    if (!library.library().materials.has(material)) throw notFound('material', material);
    return shelf.change(material, body, now().toISOString());
  });
}
