import { runBenchTest } from '#core/batch/tests/bench-tests';
import { batchOf } from '#server/batches/routes';
import { type BatchStore } from '#server/batches/store';
import { notFound, Problem } from '#server/http/problem';
import { Again, type Api } from '#server/http/serve';
import { lastSeen, openStream } from '#server/http/stream';
import { type LotStore } from '#server/lots/store';
import { type Calendar } from '#server/nursery/calendar';
import { type RecordStore } from '#server/record/store';

/** The record of a batch: read, added to, listened to. */
export function recordRoutes(
  api: Api,
  batches: BatchStore,
  record: RecordStore,
  lots: LotStore,
  calendar: Calendar,
  now: () => Date,
): void {
  api.serve('entries', ({ params }) => record.of(batchOf(batches, params.id).id));
  api.serve('addEntry', ({ params, body: { key, seen, data } }) => {
    const batch = batchOf(batches, params.id);
    const known = record.byKey(key);
    if (known) return new Again(known);
    if (data.kind === 'lot' && !lots.one(data.lot)) throw notFound('lot', data.lot);
    if (data.kind === 'use') calendar.notLaterThanToday('data.on', data.on);
    const kept =
      data.kind === 'test'
        ? { ...data, result: runBenchTest(data.test, data.values, batch.snapshot.context) }
        : data;
    const theirs = record.unseen(batch.id, data, seen);
    if (theirs) {
      throw new Problem(409, 'Somebody else wrote here', 'another device entered something else meanwhile', [
        { path: theirs.subject, value: theirs.data, allowed: 'look at it, then enter yours again' },
      ]);
    }
    return record.add(batch.id, key, kept, now().toISOString());
  });
  api.serve('batchStream', ({ params, req, res }) => {
    const batch = batchOf(batches, params.id);
    const stream = openStream(req, res);
    for (const entry of record.of(batch.id, lastSeen(req))) stream.send('entry', entry, entry.id);
    stream.onEnd(record.listen(batch.id, (entry) => stream.send('entry', entry, entry.id)));
  });
}
