import { notFound } from '#server/http/problem';
import { Again, type Api } from '#server/http/serve';
import { type LibraryStore } from '#server/library/store';
import { type LotStore } from '#server/lots/store';
import { type Calendar } from '#server/nursery/calendar';
import { type RecordStore } from '#server/record/store';

export function lotRoutes(
  api: Api,
  lots: LotStore,
  record: RecordStore,
  library: LibraryStore,
  calendar: Calendar,
  now: () => Date,
): void {
  api.serve('lots', () => lots.all());
  api.serve('addLot', ({ body }) => {
    const known = lots.byKey(body.key);
    if (known) return new Again(known);
    const { materials, amendments } = library.library();
    if (!materials.has(body.item) && !amendments.has(body.item))
      throw notFound('material or product', body.item);
    calendar.notLaterThanToday('receivedOn', body.receivedOn);
    return lots.add(body, now().toISOString());
  });
  api.serve('lotTrace', ({ params: { id } }) => {
    const lot = lots.one(id);
    if (!lot) throw notFound('lot', id);
    const batches = record.batchesOfLot(id);
    return { lot, batches, uses: record.usesOf(batches.map((b) => b.id)) };
  });
}
