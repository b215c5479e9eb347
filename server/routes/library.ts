import { type Learned, learnMaterial } from '#core/spread/learn-material';
import { readerOf } from '#server/base/http/reader';
import { problemSays } from '#words/problem';
import { word } from '#words/read';
import { type Reader } from '#words/reader';
import { type Stores } from '#server/kept/stores';
import { ownMaterialSchema, ownProductSchema, ownVesselSchema } from '#contract/own';
import { notFound } from '#server/base/http/problem';
import { Again, type Api } from '#server/base/http/serve';
import { resolved } from '#server/kept/library/learned';
import { type LibraryStore } from '#server/kept/library/library';
import { type Calendar } from '#server/kept/nursery/calendar';
import { materialFromRow, materialToRow } from '#core/material/material';
import { type LearnedAnswer } from '#contract/lots';

export function libraryRoutes(api: Api, { library, own, calendar, now }: Stores): void {
  api.serve('library', () => library.rows());
  const noted = <T>(made: T): T => {
    library.changed();
    return made;
  };
  api.serve('keepMaterial', ({ body }) => {
    const existing = own.byKey('items', body.key);
    if (existing) return new Again(ownMaterialSchema.parse(existing));
    return noted(own.addMaterial(body, now().toISOString()));
  });
  api.serve('changeMaterial', ({ params, body }) => {
    const changed = own.changeMaterial(params.material, body);
    if (!changed) throw notFound('own-material', params.material);
    return noted(changed);
  });
  api.serve('keepProduct', ({ body }) => {
    const existing = own.byKey('items', body.key);
    if (existing) return new Again(ownProductSchema.parse(existing));
    return noted(own.addProduct(body));
  });
  api.serve('changeProduct', ({ params, body }) => {
    const changed = own.changeProduct(params.product, body);
    if (!changed) throw notFound('own-product', params.product);
    return noted(changed);
  });
  learnedRoutes(api, library, noted, calendar, now);
  api.serve('keepVessel', ({ body }) => {
    const existing = own.byKey('vessels', body.key);
    if (existing) return new Again(ownVesselSchema.parse(existing));
    return noted(own.addVessel(body));
  });
  api.serve('changeVessel', ({ params, body }) => {
    const changed = own.changeVessel(params.vessel, body.kind);
    if (!changed) throw notFound('own-vessel', params.vessel);
    return noted(changed);
  });
}

/** Own tests of materials, and what they make of the book. */
function learnedRoutes(
  api: Api,
  library: LibraryStore,
  noted: <T>(made: T) => T,
  calendar: Calendar,
  now: () => Date,
): void {
  const { learned } = library;
  const bookOf = (id: string) => {
    const row = library.book().materials.find((each) => each.id === id);
    if (!row) throw notFound('material', id);
    const { source: _, own: __, ...bare } = row;
    return materialFromRow(bare);
  };
  const answer = (item: string, reader: Reader): LearnedAnswer => {
    const inUnits = (each: Learned) => ({
      ...each,
      unit: each.figure === 'ph' ? '' : word(`figure.unit.${each.figure}`, reader),
    });
    const book = bookOf(item);
    const { figures, misfit } = learned.learn(book, library.library());
    const why = misfit && problemSays(misfit, reader);
    return {
      book: materialToRow(book),
      misfit: why,
      tests: learned.testsOf(item),
      figures: figures.map(inUnits),
    };
  };
  api.serve('learned', ({ params, req }) => answer(params.material, readerOf(req)));
  api.serve('addTest', ({ params: { material }, body, req }) => {
    const existing = learned.materialOf(body.key);
    if (existing !== null) return new Again(answer(existing, readerOf(req)));
    calendar.notLaterThanToday('on', body.on);
    if (body.lot != null && !learned.hasLot(body.lot)) throw notFound('lot', body.lot);
    // With all that was tested before: what cannot be together is refused as well.
    const before = learned.testsOf(material).filter((each) => !each.aside);
    learnMaterial(
      bookOf(material),
      [...before.map((each) => each.values), body.values].map((each) => resolved(each, library.library())),
    );
    learned.add(material, body, now().toISOString());
    noted(null);
    return answer(material, readerOf(req));
  });
  api.serve('layTestAside', ({ params: { id }, body, req }) => {
    const item = learned.itemOf(id);
    if (item === null) throw notFound('test', id);
    learned.lay(id, body.aside);
    noted(null);
    return answer(item, readerOf(req));
  });
}
