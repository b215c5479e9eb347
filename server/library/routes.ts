import { ownMaterialSchema, ownVesselSchema } from '#contract/own';
import { notFound } from '#server/http/problem';
import { Again, type Api } from '#server/http/serve';
import { type OwnStore } from '#server/library/own';
import { type LibraryStore } from '#server/library/store';

export function libraryRoutes(api: Api, library: LibraryStore, own: OwnStore, now: () => Date): void {
  api.serve('library', () => library.rows());
  const noted = <T>(made: T): T => {
    library.changed();
    return made;
  };
  api.serve('keepMaterial', ({ body }) => {
    const known = own.known('items', body.key);
    if (known) return new Again(ownMaterialSchema.parse(known));
    return noted(own.addMaterial(body, now().toISOString()));
  });
  api.serve('changeMaterial', ({ params, body }) => {
    const changed = own.changeMaterial(params.material, body);
    if (!changed) throw notFound('material of your own', params.material);
    return noted(changed);
  });
  api.serve('keepVessel', ({ body }) => {
    const known = own.known('vessels', body.key);
    if (known) return new Again(ownVesselSchema.parse(known));
    return noted(own.addVessel(body));
  });
  api.serve('changeVessel', ({ params, body }) => {
    const changed = own.changeVessel(params.vessel, body.kind);
    if (!changed) throw notFound('vessel of your own', params.vessel);
    return noted(changed);
  });
}
