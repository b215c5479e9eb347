import { type Stores } from '#server/kept/stores';
import { notFound } from '#server/base/http/problem';
import { Again, type Api } from '#server/base/http/serve';
import { type LibraryStore } from '#server/kept/library/library';
import { type NewLot } from '#contract/lots';
import { called } from '#core/plants/care';
import { type Tubs } from '#server/book/tub/tubs';
import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';
import { none } from '#core/units/message';
import { putAwayRoutes } from '#server/base/http/put-away';
import { stockLines } from '#server/book/stock/stock';

export function lotRoutes(
  api: Api,
  { lots, orders, record, library, plants, crops, calendar, now }: Stores,
  tubs: Tubs,
): void {
  api.serve('lots', () => lots.all());
  api.serve('stock', () => stockLines(lots, calendar.today()));
  api.serve('addLot', ({ body }) => {
    const existing = lots.byKey(body.key);
    if (existing) return new Again(existing);
    calendar.notLaterThanToday('receivedOn', body.receivedOn);
    const { order } = body;
    if (order !== null && !orders.one(order)) throw notFound('order', order);
    return lots.addFor({ ...body, kind: kindOf(library, body) }, now().toISOString(), ({ id }) => {
      if (order !== null) orders.came(order, id);
    });
  });
  api.serve('orders', () => orders.all());
  api.serve('addOrder', ({ body }) => {
    const existing = orders.byKey(body.key);
    if (existing) return new Again(existing);
    calendar.notLaterThanToday('on', body.on);
    if (body.amount <= 0) throw new OutOfRange('amount', body.amount, allow('allowed.above-nothing', none));
    return orders.add(body);
  });
  putAwayRoutes(api, 'order', ['putAwayOrder', 'restoreOrder'], orders, now);
  api.serve('changeLot', ({ params: { id }, body }) => {
    const lot = lots.one(id);
    if (lot && body.seed && lot.kind !== 'seed')
      throw new OutOfRange('seed', lot.kind, allow('allowed.lot-of-seed', none));
    const changed = lots.change(id, body);
    if (!changed) throw notFound('lot', id);
    return changed;
  });
  api.serve('addMove', ({ params: { id }, body }) => {
    const existing = lots.moveKnown(body.key);
    if (existing !== null) return new Again(lots.one(existing)!);
    if (!lots.one(id)) throw notFound('lot', id);
    calendar.notLaterThanToday('on', body.on);
    if (body.planting !== undefined && !plants.one(body.planting)) throw notFound('planting', body.planting);
    return lots.addMove(id, body, now().toISOString());
  });
  api.serve('lotTrace', ({ params: { id } }) => {
    const lot = lots.one(id);
    if (!lot) throw notFound('lot', id);
    const amounts = new Map(lots.takers(id).map((taker) => [taker.id, taker]));
    // A batch that named the lot and took nothing of it is told as well.
    for (const each of record.batchesOfLot(id))
      if (!amounts.has(each.id)) amounts.set(each.id, { ...each, amount: 0 });
    const batches = [...amounts.values()];
    const plantings = lots.plantingsOf(id).flatMap(({ id: planting, amount }) => {
      const each = plants.one(planting);
      if (!each) return [];
      const name = called(each, crops.byId().get(each.crop) ?? { name: each.crop });
      return [{ id: planting, name, on: each.on, amount }];
    });
    // What was taken back is told no more.
    const stands = new Set(batches.flatMap((b) => tubs.of(b.id).tub.uses.map((use) => use.id)));
    const uses = record.usesOf(batches.map((b) => b.id)).filter((use) => stands.has(use.id));
    return { lot, batches, plantings, uses, moves: lots.moves(id) };
  });
}

/** A lot of something that is in the library; seed is whatever it is called. @throws Problem 404 */
function kindOf(store: LibraryStore, { kind, item }: NewLot): NewLot['kind'] {
  const { materials, amendments, vessels } = store.library();
  if (kind === 'seed') return kind;
  if (kind === 'vessel') {
    if (vessels.has(item)) return kind;
    throw notFound('vessel', item);
  }
  if (materials.has(item)) return 'material';
  if (amendments.has(item)) return 'product';
  throw notFound('material-or-product', item);
}
