import { notFound } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';
import { type LibraryStore } from '#server/kept/library/library';
import { type ShelfStore } from '#server/kept/shelf';

export function shelfRoutes(api: Api, shelf: ShelfStore, library: LibraryStore, now: () => Date): void {
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
