import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import request from 'supertest';
import { type Lot, type LotTrace, type StockLine } from '#contract/lots';
import { type EntryData } from '#contract/record';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { evaluateMix } from '#core/mix/evaluate';
import { takesOf } from '#core/mix/takes';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { library } from '#testing/library';
import { newBatch, testApp } from '#testing/server';

const lotOf = (more: object): object => ({
  ...{ key: randomUUID(), item: 'peat-fine', name: 'Bale', receivedOn: '2031-03-01', quantity: 500 },
  ...more,
});

function bench() {
  const { app, db } = testApp();
  const post = (path: string, body: object) => request(app).post(path).send(body);
  const lot = async (more: object = {}): Promise<Lot> =>
    (await post('/api/lots', lotOf(more)).expect(201)).body as Lot;
  const lots = async (): Promise<Lot[]> => (await request(app).get('/api/lots')).body as Lot[];
  const each = async (id: number): Promise<Lot> => (await lots()).find((l) => l.id === id)!;
  const batch = async () =>
    (await post('/api/batches', newBatch()).expect(201)).body as {
      id: number;
      snapshot: {
        sheet: { litres: number; components: { material: string; looseLitres: number }[] };
        vessel: { id: string };
      };
    };
  const enter = (id: number, data: EntryData, key = randomUUID()) =>
    post(`/api/batches/${id}/entries`, { key, seen: 1e9, data });
  const move = (id: number, kind: string, amount: number, key = randomUUID()) =>
    post(`/api/lots/${id}/moves`, { key, kind, amount, on: '2031-03-02' });
  return { app, db, post, lot, lots, one: each, batch, enter, move };
}

test('what a batch takes is taken off, once, whatever is repeated, and comes back when another lot is named', async () => {
  const { lot, one, batch, enter, app } = bench();
  const [bale, other] = [await lot(), await lot({ name: 'Other' })];
  const made = await batch();
  const planned = made.snapshot.sheet.components.find((c) => c.material === 'peat-fine')!.looseLitres;
  const key = randomUUID();
  const data: EntryData = { kind: 'lot', item: 'peat-fine', lot: bale.id };
  await enter(made.id, data, key).expect(201);
  await enter(made.id, data, key).expect(200);
  expect((await one(bale.id)).left).toBeCloseTo(500 - planned, 9);
  await enter(made.id, { ...data, lot: other.id }).expect(201);
  expect([(await one(bale.id)).left, (await one(other.id)).left]).toEqual([
    500,
    expect.closeTo(500 - planned, 6),
  ]);
  // One ended, the next one was opened.
  await enter(made.id, { ...data, amount: 2, rest: other.id }).expect(201);
  expect((await one(bale.id)).took).toBe(2);
  expect((await one(other.id)).took).toBeCloseTo(planned - 2, 9);
  const trace = (await request(app).get(`/api/lots/${other.id}/trace`)).body as LotTrace;
  expect(trace.batches).toEqual([
    expect.objectContaining({ id: made.id, amount: expect.closeTo(planned - 2, 6) as number }),
  ]);
});

test('bought less used less lost is left: any order of moves, batches, repeats and counts', async () => {
  const { lot, one, batch, enter, move, db } = bench();
  const made = await Promise.all([batch(), batch()]);
  const act = fc.oneof(
    fc.record({
      kind: fc.constantFrom('came', 'lost', 'counted'),
      amount: fc.integer({ min: 0, max: 300 }),
      again: fc.boolean(),
    }),
    fc.record({
      kind: fc.constant('take'),
      batch: fc.integer({ min: 0, max: 1 }),
      amount: fc.integer({ min: 0, max: 40 }),
      again: fc.boolean(),
    }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 12 }), async (acts) => {
      const { id } = await lot();
      let left = 500;
      const took = [0, 0];
      for (const a of acts) {
        const key = randomUUID();
        const send = () =>
          'batch' in a
            ? enter(made[a.batch]!.id, { kind: 'lot', item: 'peat-fine', lot: id, amount: a.amount }, key)
            : move(id, a.kind, a.amount, key);
        const { status } = await send();
        if (a.again) await send();
        if ('batch' in a) {
          left += took[a.batch]! - a.amount;
          took[a.batch] = a.amount;
        } else if (a.kind === 'came') left += a.amount;
        else if (a.kind === 'counted') left = a.amount;
        else if (a.amount <= Math.max(0, left) + 1e-9) left -= a.amount;
        else expect(status).toBe(400);
      }
      const now = await one(id);
      expect(now.left).toBeCloseTo(left, 6);
      expect(now.quantity! + now.came - now.lost + now.counted - now.took).toBeCloseTo(now.left!, 9);
    }),
    { numRuns: 25 },
  );
  // The sums that are kept are those of the record.
  const kept = db.prepare('SELECT count(*) AS n FROM takes').get() as { n: number };
  const result = db
    .prepare(
      `SELECT count(*) AS n FROM entries e WHERE kind = 'lot' AND data_json ->> '$.amount' > 0
       AND id = (SELECT max(id) FROM entries WHERE batch_id = e.batch_id AND subject = e.subject)`,
    )
    .get() as { n: number };
  expect(kept.n).toBe(result.n);
}, 60_000);

test('a move is refused by name: more lost than there is, lost of what nobody counted, a day to come', async () => {
  const { lot, move, one, post } = bench();
  const bale = await lot({ quantity: 10 });
  expect((await move(bale.id, 'lost', 11)).body.issues[0]).toMatchObject({
    path: 'amount',
    allowed: expect.stringContaining('10') as string,
  });
  const unknown = await lot({ quantity: null });
  expect((await move(unknown.id, 'lost', 1)).body.issues[0].path).toBe('kind');
  await move(unknown.id, 'counted', 7).expect(201);
  expect((await one(unknown.id)).left).toBe(7);
  const tomorrow = { key: randomUUID(), kind: 'came', amount: 1, on: '2031-03-09' };
  expect((await post(`/api/lots/${bale.id}/moves`, tomorrow)).body.issues[0].path).toBe('on');
  expect((await post('/api/lots/999/moves', { ...tomorrow, on: '2031-03-01' })).status).toBe(404);
});

test('vessels count down as they are filled, and so does the tub', async () => {
  const { lot, batch, enter, one } = bench();
  const trays = await lot({ kind: 'vessel', item: 'cell-72', name: 'Trays', quantity: 720 });
  const made = await batch();
  const use: EntryData = {
    kind: 'use',
    what: 'Leeks',
    count: 72,
    on: '2031-03-03',
    vessel: 'cell-72',
    lot: trays.id,
  };
  const answer = await enter(made.id, use).expect(201);
  expect(answer.body.data.litres).toBeGreaterThan(1);
  expect((await one(trays.id)).left).toBe(648);
  expect((await enter(made.id, { ...use, vessel: 'bathtub' })).body.issues[0].path).toBe('data.vessel');
});

test('stock of all lots together, and how long it lasts at the pace of the last weeks', async () => {
  const { app, lot, batch, enter } = bench();
  const bale = await lot({ quantity: 100, price: 20 });
  await lot({ quantity: 40, name: 'Second' });
  const made = await batch();
  await enter(made.id, { kind: 'lot', item: 'peat-fine', lot: bale.id, amount: 70 }).expect(201);
  const [line] = (await request(app).get('/api/stock')).body as StockLine[];
  expect(line).toMatchObject({ kind: 'material', item: 'peat-fine', left: 70 });
  expect(line!.daysLeft).toBeCloseTo(56, 6);
});

test('what still rests is there and not counted as usable', async () => {
  const { app, lot, one } = bench();
  await lot({ item: 'bark-pine', quantity: 100 });
  const warm = await lot({ item: 'bark-pine', quantity: 900, readyOn: '2031-03-20' });
  const [line] = (await request(app).get('/api/stock')).body as StockLine[];
  expect(line!.left).toBe(100);
  expect((await one(warm.id)).left).toBe(900);
});

test('a part that is screened takes what goes on the screen, as the mix says it will', async () => {
  const { lot, one, post, enter } = bench();
  const components = [
    { material: 'peat-fine', parts: 3 },
    { material: 'bark-pine', parts: 2, screenedMm: 5 },
  ];
  const recipe = { ...starterMixes.potting, components };
  const made = (await post('/api/batches', newBatch({ recipe })).expect(201)).body as {
    id: number;
    snapshot: BatchSnapshot;
  };
  const load = await lot({ item: 'bark-pine', quantity: 9000 });
  await enter(made.id, { kind: 'lot', item: 'bark-pine', lot: load.id }).expect(201);
  const { took } = await one(load.id);
  const wanted = takesOf(evaluateMix(mixInputOf(recipe, library))).find(({ item }) => item === 'bark-pine')!;
  expect(took).toBeCloseTo(wanted.perLitre * made.snapshot.sheet.litres, 6);
  const through = made.snapshot.sheet.components[1]!.looseLitres;
  expect(took - through).toBeCloseTo(made.snapshot.oversize![0]!.litres, 9);
});

test('a batch keeps what it cost on its day: the price of the lot, or the one typed on the shelf before it', async () => {
  const { app, lot, batch } = bench();
  const costOf = async (): Promise<{ money: number; unpriced: number; litres: number }> => {
    const { snapshot } = (await batch()) as unknown as { snapshot: BatchSnapshot };
    const peat = snapshot.sheet.components.find((c) => c.material === 'peat-fine')!;
    return { ...snapshot.cost!, litres: peat.looseLitres };
  };
  await lot({ price: 100 });
  const bought = await costOf();
  expect(bought.money).toBeCloseTo(bought.litres * 0.2, 9);
  expect(bought.unpriced).toBeGreaterThan(0);
  await request(app).patch('/api/shelf/peat-fine').send({ costPerL: 0.5 }).expect(200);
  const typed = await costOf();
  expect(typed.money).toBeCloseTo(typed.litres * 0.5, 9);
});
