import { type Api } from '#server/http/serve';
import { type LibraryStore } from '#server/library/store';

export function libraryRoutes(api: Api, library: LibraryStore): void {
  api.serve('library', () => library.rows());
}
