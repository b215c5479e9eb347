import { Router } from 'express';
import { runBenchTest } from '#core/batch/bench-tests';
import { testContextOf } from '#core/batch/test-context';
import { newEntrySchema, newLotSchema } from '#contract/record';
import { type Library } from '#core/recipe/library';
import { OutOfRange } from '#core/units/check';
import { type Batch, type Batches } from '#server/batches/store';
import { idOf } from '#server/http/ids';
import { notFound, parse, Problem } from '#server/http/problem';
import { type Lots } from '#server/lots/store';
import { type Record } from '#server/record/store';
import { lastSeen, openStream } from '#server/http/stream';

/** The record of a batch: read, added to, listened to. */
export function recordRoutes(batches: Batches, record: Record, lots: Lots, now: () => Date): Router {
  const router = Router({ mergeParams: true });
  const batchOf = (given: string | undefined): Batch => {
    const id = idOf(given);
    const batch = batches.one(id);
    if (!batch) throw notFound('batch', id);
    return batch;
  };
  router.get('/:id/entries', (req, res) => {
    res.json(record.of(batchOf(req.params.id).id));
  });
  router.post('/:id/entries', (req, res) => {
    const batch = batchOf(req.params.id);
    const { key, seen, data } = parse(newEntrySchema, req.body);
    const known = record.byKey(key);
    if (known) {
      res.status(200).json(known);
      return;
    }
    if (data.kind === 'lot' && !lots.one(data.lot)) throw notFound('lot', data.lot);
    if (data.kind === 'use' && data.on > now().toISOString().slice(0, 10))
      throw new OutOfRange('data.on', data.on, 'not later than today');
    const result =
      data.kind === 'test' ? runBenchTest(data.test, data.values, testContextOf(batch.snapshot)) : undefined;
    const theirs = record.unseen(batch.id, data, seen);
    if (theirs) {
      throw new Problem(409, 'Somebody else wrote here', 'another device entered something else meanwhile', [
        { path: theirs.subject, value: theirs.data, allowed: 'look at it, then enter yours again' },
      ]);
    }
    res
      .status(201)
      .json(record.add(batch.id, key, { ...data, ...(result && { result }) }, now().toISOString()));
  });
  router.get('/:id/stream', (req, res) => {
    const batch = batchOf(req.params.id);
    const stream = openStream(req, res);
    for (const entry of record.of(batch.id, lastSeen(req))) stream.send('entry', entry, entry.id);
    stream.onEnd(record.listen(batch.id, (entry) => stream.send('entry', entry, entry.id)));
  });
  return router;
}

export function lotRoutes(lots: Lots, record: Record, library: () => Library, now: () => Date): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(lots.all());
  });
  router.post('/', (req, res) => {
    const lot = parse(newLotSchema, req.body);
    const { materials, amendments } = library();
    if (!materials.has(lot.item) && !amendments.has(lot.item))
      throw notFound('material or product', lot.item);
    if (lot.receivedOn > now().toISOString().slice(0, 10))
      throw new OutOfRange('receivedOn', lot.receivedOn, 'not later than today');
    res.status(201).json(lots.add(lot, now().toISOString()));
  });
  /** Forward: the batches that a lot went into, and where those were used. */
  router.get('/:id/trace', (req, res) => {
    const id = idOf(req.params.id);
    const lot = lots.one(id);
    if (!lot) throw notFound('lot', id);
    const batches = record.batchesOfLot(id);
    res.json({ lot, batches, uses: record.usesOf(batches.map((b) => b.id)) });
  });
  return router;
}
