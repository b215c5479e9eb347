import { problem } from '#words/problem-facts';
import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { type KeptBatch } from '#server/kept/batches';
import { type Ledger } from '#server/book/tub/ledger';
import { type Entry, type EntryData } from '#contract/record';
import { lookUp } from '#core/recipe/library';
import { OutOfRange } from '#core/units/check';
import { batchOf } from '#server/routes/batches';
import { notFound, Problem } from '#server/base/http/problem';
import { Again, type Api } from '#server/base/http/serve';
import { lastSeen, openStream } from '#server/base/http/stream';
import { plannedOf } from '#core/batch/planned';

/** What can be taken back; a taking back of a planting's filling is the planting's. */
const UNDOABLE: readonly string[] = ['use', 'left', 'made', 'undo'];

/** The record of a batch: read, added to, listened to. */
export function recordRoutes(
  api: Api,
  { batches, record, lots, library, calendar, now }: Stores,
  ledger: Ledger,
): void {
  api.serve('entries', ({ params }) => record.of(batchOf(batches, params.id).id));
  api.serve('addEntry', ({ params, body: { key, seen, own, batchKey, data } }) => {
    const batch = batchOf(batches, params.id);
    if (batchKey !== undefined && batchKey !== batch.key)
      throw new Problem(410, problem('problem.another-one', { thing: 'batch' }), []);
    const existing = record.byKey(key);
    if (existing && existing.batchId !== batch.id)
      throw new OutOfRange('key', key, allow('allowed.key-of-one', none));
    if (existing) return new Again(existing);
    if (batches.isAway(batch.id)) throw new Problem(410, problem('problem.archived', none), []);
    checkEntry(data, batch, { lots, library, calendar, record });
    const kept = ledger.keptOf(data, batch);
    const theirs = record.unseen(batch.id, data, seen, own);
    if (theirs) {
      throw new Problem(409, problem('problem.written-meanwhile', none), [
        { path: theirs.subject, value: theirs.data, allowed: allow('allowed.look-again', none) },
      ]);
    }
    return ledger.enter(batch, key, kept, now().toISOString());
  });
  api.serve('batchStream', ({ params, req, res }) => {
    const batch = batchOf(batches, params.id);
    const stream = openStream(req, res);
    let last = lastSeen(req);
    let whole = false;
    const past = record.portions(batch.id, last);
    const deaf = record.listen(batch.id, (entry) => {
      last = entry.id;
      stream.send('entry', entry, whole ? entry.id : undefined);
    });
    // One portion a turn, so that others are answered between. Where a page has to ask again from is told when it has
    // all: what broke off before begins anew.
    const tell = (): void => {
      const { value } = past.next();
      whole = !value;
      if (whole) {
        if (last > 0) stream.send('whole', {}, last);
        return;
      }
      last = Math.max(last, value!.at(-1)!.id);
      stream.send('entries', value);
      next = setImmediate(tell);
    };
    let next = setImmediate(tell);
    stream.onEnd(() => {
      deaf();
      clearImmediate(next);
    });
  });
}

/** The planting whose filling an entry is, or takes back. */
function plantingOf(of: number, entries: readonly Entry[]): number | undefined {
  const data = entries.find(({ id }) => id === of)?.data;
  if (data?.kind === 'undo') return plantingOf(data.of, entries);
  return data?.kind === 'use' ? data.planting : undefined;
}

/** Whether what an entry names is there. @throws OutOfRange or Problem 404 */
function checkEntry(
  data: EntryData,
  { id: batchId, snapshot }: KeptBatch,
  { lots, library, calendar, record }: Pick<Stores, 'lots' | 'library' | 'calendar' | 'record'>,
): void {
  if (data.kind === 'made') calendar.notLaterThanToday('data.on', data.on);
  if (data.kind === 'left' && data.on !== undefined) calendar.notLaterThanToday('data.on', data.on);
  if (data.kind === 'undo' || data.kind === 'same') {
    const of = record.ofTub(batchId).find(({ id }) => id === data.of)?.data;
    const can =
      data.kind === 'same' ? of?.kind === 'use' && of.like !== undefined : of && UNDOABLE.includes(of.kind);
    if (!can) throw new OutOfRange('data.of', data.of, allow('allowed.can-be-undone', none));
    if (data.kind === 'undo' && plantingOf(data.of, record.ofTub(batchId)) !== undefined)
      throw new OutOfRange('data.of', data.of, allow('allowed.undo-at-planting', none));
  }
  if (data.kind === 'use') {
    calendar.notLaterThanToday('data.on', data.on);
    if (data.vessel !== undefined && data.vessel !== snapshot.vessel.id)
      lookUp(library.library().vessels, data.vessel, 'data.vessel');
    if (data.lot !== undefined) {
      const lot = lots.one(data.lot);
      if (!lot) throw notFound('lot', data.lot);
      if (lot.kind !== 'vessel')
        throw new OutOfRange('data.lot', data.lot, allow('allowed.lot-of-vessels', none));
    }
  }
  if (data.kind === 'tick') {
    const step = snapshot.steps.find((each) => each.id === data.step);
    if (!step)
      throw new OutOfRange(
        'data.step',
        data.step,
        allow('allowed.one-of', { ids: snapshot.steps.map(({ id }) => id) }),
      );
    const loads = step.times ?? 1;
    if (data.load >= loads)
      throw new OutOfRange('data.load', data.load, allow('allowed.whole', { low: 0, high: loads - 1 }));
  }
  if (data.kind === 'lot') {
    const items = [...snapshot.materials, ...snapshot.amendments].map((material) => material.id);
    if (!items.includes(data.item))
      throw new OutOfRange('data.item', data.item, allow('allowed.one-of', { ids: items }));
    for (const [path, id] of [['data.lot', data.lot] as const, ['data.rest', data.rest] as const]) {
      if (id === undefined) continue;
      const lot = lots.one(id);
      if (!lot) throw notFound('lot', id);
      if (lot.item !== data.item)
        throw new OutOfRange(path, id, allow('allowed.lot-of', { item: data.item }));
    }
    if (data.rest === data.lot)
      throw new OutOfRange('data.rest', data.rest, allow('allowed.another-lot', none));
    const planned = plannedOf(snapshot, data.item);
    if (data.rest !== undefined && (data.amount ?? planned) >= planned)
      throw new OutOfRange(
        'data.amount',
        data.amount ?? 'missing',
        allow('allowed.under-planned', { planned }),
      );
  }
}
