import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import request from 'supertest';
import { volumeL } from '#core/vessel/vessel';
import { openDatabase } from '#server/base/database/open';
import { Ledger } from '#server/book/tub/ledger';
import { Tubs } from '#server/book/tub/tubs';
import { storesOf } from '#server/kept/stores';
import { vesselKinds } from '#core/vessel/kinds';
import { draws } from '#testing/draws';
import { newBatch, testApp, TODAY as TODAY_ } from '#testing/server';

const TODAY = '2031-03-04';

const cellL = volumeL(vesselKinds.find(({ id }) => id === 'cell-72')!.vessel);
const potL = volumeL(vesselKinds.find(({ id }) => id === 'pot-9')!.vessel);
type App = ReturnType<typeof testApp>['app'];

/** A nursery with a batch of which so much is made, counted trays, and a packet of seed. */
async function nursery() {
  const { app, db } = testApp();
  const post = async (path: string, body: object) => {
    const answer = await request(app)
      .post(`/api${path}`)
      .send({ key: randomUUID(), ...body });
    return answer.body as { id: number } & Record<string, unknown>;
  };
  const { id: batch } = await post('/batches', newBatch());
  const lot = (kind: string, item: string, quantity: number, name = item) =>
    post('/lots', { kind, item, name, receivedOn: '2031-02-01', quantity });
  const [trays, seed] = [await lot('vessel', 'cell-72', 720), await lot('seed', 'Lettuce, green', 1000)];
  const enter = async (data: object, of = batch) => post(`/batches/${of}/entries`, { seen: 0, data });
  const sow = (more: object = {}) =>
    post('/plants', {
      ...{ start: 'sow', crop: 'lettuce', vessel: 'cell-72', cells: 216, on: TODAY, batch },
      ...{ seedLot: seed.id, ...more },
    });
  const left = async (of = batch) => (await request(app).get(`/api/batches/${of}`)).body;
  const lotLeft = async (of: { id: number }) =>
    (await request(app).get('/api/lots')).body.find((each: { id: number }) => each.id === of.id)
      .left as number;
  return { app, db, post, enter, sow, left, lotLeft, batch, trays, seed };
}
const entriesOf = async (app: App, batch: number) =>
  (await request(app).get(`/api/batches/${batch}/entries`)).body;

test('sown from a tub: its litres, trays and seed are gone at once, in one entry; archived they are back; restored gone again', async () => {
  const { app, enter, sow, left, lotLeft, batch, trays, seed } = await nursery();
  expect(await left()).toMatchObject({ leftLitres: 0, state: { made: false, done: 0 } });
  await enter({ kind: 'made', on: TODAY });
  const { leftLitres: full } = await left();
  const { id } = await sow();
  const held = async () => [(await left()).leftLitres, await lotLeft(trays), await lotLeft(seed)];
  const gone = [expect.closeTo(full - 216 * cellL, 6), 504, 784];
  expect(await held()).toEqual(gone);
  const [, use] = await entriesOf(app, batch);
  expect(use.data).toMatchObject({ kind: 'use', planting: id, count: 216, what: 'Lettuce' });
  const line = (await request(app).get('/api/batches')).body.find(
    (each: { id: number }) => each.id === batch,
  );
  expect(line).toMatchObject({
    leftLitres: gone[0],
    fills: Math.floor((full - 216 * cellL) / cellL),
  });

  await request(app).delete(`/api/plants/${id}`).expect(204);
  expect(await held()).toEqual([expect.closeTo(full, 6), 720, 1000]);
  await request(app).post(`/api/plants/${id}/restore`).send({}).expect(204);
  expect(await held()).toEqual(gone);
  // Taken back at the planting, nowhere else.
  const undo = await enter({ kind: 'undo', of: use.id });
  expect(undo['issues']).toEqual([expect.objectContaining({ path: 'data.of' })]);
  const { plantings, lot } = (await request(app).get(`/api/lots/${trays.id}/trace`)).body;
  expect([plantings, lot.took]).toEqual([[{ id, name: 'Lettuce', on: TODAY, amount: 216 }], 216]);
});

test('filled and not followed takes the same, and is taken back by one entry', async () => {
  const { enter, left, lotLeft, trays } = await nursery();
  await enter({ kind: 'made', on: TODAY });
  const { leftLitres: full } = await left();
  const use = await enter({ kind: 'use', what: 'Neighbour', count: 100, on: TODAY, vessel: 'cell-72' });
  expect([(await left()).leftLitres, await lotLeft(trays)]).toEqual([
    expect.closeTo(full - 100 * cellL, 6),
    620,
  ]);
  const undo = await enter({ kind: 'undo', of: use.id });
  expect([(await left()).leftLitres, await lotLeft(trays)]).toEqual([expect.closeTo(full, 6), 720]);
  await enter({ kind: 'undo', of: undo.id });
  expect(await lotLeft(trays)).toBe(620);
});

test('told on the run and under Plants on one day: counted once until somebody says that they are two', async () => {
  const { enter, sow, left, lotLeft, batch, app, trays } = await nursery();
  await enter({ kind: 'made', on: TODAY });
  const { leftLitres: full } = await left();
  await enter({ kind: 'use', what: 'Lettuce', count: 216, on: TODAY, vessel: 'cell-72' });
  await sow();
  const once = [expect.closeTo(full - 216 * cellL, 6), 504];
  expect([(await left()).leftLitres, await lotLeft(trays)]).toEqual(once);
  const sown = (await entriesOf(app, batch)).at(-1);
  expect(sown.data.like).toBeGreaterThan(0);
  await enter({ kind: 'same', of: sown.id, same: false });
  expect([(await left()).leftLitres, await lotLeft(trays)]).toEqual([
    expect.closeTo(full - 432 * cellL, 6),
    288,
  ]);
  await enter({ kind: 'same', of: sown.id, same: true });
  expect([(await left()).leftLitres, await lotLeft(trays)]).toEqual(once);
});

test.each([true, false])(
  'of two that look alike one is taken back and brought again: counted once throughout, trays too (sown first: %s)',
  async (sownFirst) => {
    const { app, enter, sow, left, lotLeft, trays } = await nursery();
    await enter({ kind: 'made', on: TODAY });
    const { leftLitres: full } = await left();
    const use = () => enter({ kind: 'use', what: 'Lettuce', count: 216, on: TODAY, vessel: 'cell-72' });
    const made = sownFirst ? [await sow(), await use()] : [await use(), await sow()];
    const [planting, filling] = sownFirst ? made : made.reverse();
    const held = async () => [(await left()).leftLitres, await lotLeft(trays)];
    const once = [expect.closeTo(full - 216 * cellL, 6), 504];
    expect(await held()).toEqual(once);
    await request(app).delete(`/api/plants/${planting!.id}`).expect(204);
    expect(await held()).toEqual(once);
    await request(app).post(`/api/plants/${planting!.id}/restore`).send({}).expect(204);
    expect(await held()).toEqual(once);
    const undo = await enter({ kind: 'undo', of: filling!.id });
    expect(await held()).toEqual(once);
    await request(app).delete(`/api/plants/${planting!.id}`).expect(204);
    expect(await held()).toEqual([expect.closeTo(full, 6), 720]);
    await request(app).post(`/api/plants/${planting!.id}/restore`).send({}).expect(204);
    await enter({ kind: 'undo', of: undo.id });
    expect(await held()).toEqual(once);
  },
);

test('what happened is never refused: more sown than the tub, the trays and the packet held', async () => {
  const { sow, left, lotLeft, trays, seed, enter } = await nursery();
  const { id } = await sow({ cells: 2000 });
  expect(id).toBeGreaterThan(0);
  const { leftLitres, overLitres } = await left();
  expect([leftLitres, overLitres > 0]).toEqual([0, true]);
  expect([await lotLeft(trays), await lotLeft(seed)]).toEqual([-1280, -1000]);
  await enter({ kind: 'left', litres: 2 });
  expect(await left()).toMatchObject({ leftLitres: 2, overLitres: 0 });
});

test('its line of the season is ticked, and is not when it is archived; what a person ticked stays', async () => {
  const { post, sow, app } = await nursery();
  const line = await post('/plan/lines', { crop: 'lettuce', plants: 200 });
  const done = async () => (await request(app).get('/api/plan')).body.done;
  const season = { line: line.id, sowing: 1, step: 0 };
  const { id } = await sow({ season });
  expect(await done()).toEqual([{ line: line.id, sowing: 1, task: 'start', on: TODAY }]);
  const second = await sow({ season, cells: 72 });
  await request(app).delete(`/api/plants/${id}`).expect(204);
  expect(await done()).toHaveLength(1);
  await request(app).delete(`/api/plants/${second.id}`).expect(204);
  expect(await done()).toEqual([]);
  await request(app).put(`/api/plan/lines/${line.id}/tasks`).send({ sowing: 1, task: 'start', on: TODAY });
  await request(app).post(`/api/plants/${id}/restore`).send({}).expect(204);
  await request(app).delete(`/api/plants/${id}`).expect(204);
  expect(await done()).toHaveLength(1);
});

test('a half-done job is a job: what is still to fill is told until it is filled, or somebody says that it is done', async () => {
  const { post, sow, app } = await nursery();
  const line = await post('/plan/lines', { crop: 'lettuce', plants: 200, plantOn: '2031-04-01' });
  interface Task {
    task: string;
    line: number;
    fills: { cells: number; filled: number; start: string } | null;
  }
  const start = async () =>
    ((await request(app).get('/api/plan/tasks')).body as Task[]).find(
      (each) => each.line === line.id && each.task === 'start',
    );
  const { fills } = (await start())!;
  expect(fills).toMatchObject({ filled: 0, start: 'sow' });
  const season = { line: line.id, sowing: 1, step: 0 };
  await sow({ season, cells: 26 });
  expect((await start())!.fills).toMatchObject({ filled: 26, cells: fills!.cells });
  await sow({ season, cells: fills!.cells - 26 });
  expect(await start()).toBeUndefined();
});

test('what was never begun wants nothing but to be begun; once planted it is not counted in two places', async () => {
  const { post, sow, app } = await nursery();
  const line = await post('/plan/lines', { crop: 'lettuce', plants: 200, plantOn: '2031-03-24' });
  const tasks = async () =>
    ((await request(app).get('/api/plan/tasks')).body as { line: number; task: string }[])
      .filter((each) => each.line === line.id)
      .map(({ task }) => task);
  expect(await tasks()).toEqual(['start']);
  await sow({ season: { line: line.id, sowing: 1, step: 0 }, cells: 2000 });
  expect(await tasks()).not.toContain('start');
  expect(await tasks()).not.toContain('up');
});

test('put off it is not told, until its day or until that is taken back', async () => {
  const { app } = await nursery();
  const off = async () => (await request(app).get('/api/today/desk')).body.putOff as object[];
  const put = (until: string | null) =>
    request(app).put('/api/today/put-off').send({ item: 'care/12/feed/2031-03-04', until });
  await put('2031-03-05').expect(200);
  expect(await off()).toEqual([{ item: 'care/12/feed/2031-03-04', until: '2031-03-05' }]);
  // Its day has come.
  await put('2031-03-04').expect(200);
  expect(await off()).toEqual([]);
  await put('9999-12-31').expect(200);
  await put(null).expect(200);
  expect(await off()).toEqual([]);
  await request(app).put('/api/today/put-off').send({ item: 'no line', until: null }).expect(400);
  await request(app).put('/api/today/low').send({ on: TODAY, celsius: -3 }).expect(200);
  expect((await request(app).get('/api/today/desk')).body).toMatchObject({ low: -3, demo: false });
});

test('what is ordered is told until it came: that is the delivery, with its package', async () => {
  const { app, post } = await nursery();
  const order = await post('/orders', { kind: 'material', item: 'peat-fine', amount: 300, on: TODAY });
  const open = async () => (await request(app).get('/api/orders')).body as { id: number }[];
  expect((await open()).map(({ id }) => id)).toEqual([order.id]);
  await request(app).delete(`/api/orders/${order.id}`).expect(204);
  expect(await open()).toEqual([]);
  await request(app).post(`/api/orders/${order.id}/restore`).send({}).expect(204);
  const pack = { kind: 'bale', amount: 150 };
  const lot = await post('/lots', {
    ...{ item: 'peat-fine', name: 'Delivery', receivedOn: TODAY, quantity: 300, pack, order: order.id },
  });
  expect([lot['pack'], lot['left'], await open()]).toEqual([pack, 300, []]);
});

test('batches are found by words of their name, by their month, and by what their tub is', async () => {
  const { app, post, enter } = await nursery();
  await post('/batches', newBatch({ name: 'Seed 100% house', madeOn: '2031-02-03' }));
  const found = async (query: string) =>
    ((await request(app).get(`/api/batches?${query}`)).body as { name: string }[]).map(({ name }) => name);
  expect(await found('find=100%25')).toEqual(['Seed 100% house']);
  expect(await found('find=_')).toEqual([]);
  expect(await found('month=2031-02')).toEqual(['Seed 100% house']);
  expect(await found('month=2031-03&find=run')).toEqual(['Run']);
  await request(app).get('/api/batches?month=March').expect(400);
  expect(await found('only=unmade')).toEqual(['Run', 'Seed 100% house']);
  await enter({ kind: 'made', on: TODAY });
  expect([await found('only=unmade'), await found('only=holds')]).toEqual([['Seed 100% house'], ['Run']]);
  expect(await found('only=holds&from=1')).toEqual([]);
  expect(await found('only=rests&month=2031-02')).toEqual([]);
  await request(app).get('/api/batches?only=full').expect(400);
});

type Act =
  | { act: 'sow'; cells: number; day: number; phone: boolean }
  | { act: 'use'; cells: number; day: number; phone: boolean }
  | { act: 'left'; litres: number; phone: boolean }
  | { act: 'archive' | 'restore'; which: number }
  | { act: 'pot'; which: number; plants: number }
  | { act: 'away' }
  | { act: 'home' }
  | { act: 'undo'; which: number }
  | { act: 'again' };
const phone = fc.boolean();
const filled = { cells: fc.integer({ min: 1, max: 300 }), day: fc.integer({ min: 0, max: 5 }), phone };
const which = fc.nat(9);
const acts: fc.Arbitrary<Act> = fc.oneof(
  fc.record({ act: fc.constant('sow' as const), ...filled }),
  fc.record({ act: fc.constant('sow' as const), ...filled }),
  fc.record({ act: fc.constant('use' as const), ...filled }),
  fc.record({ act: fc.constant('left' as const), litres: fc.integer({ min: 0, max: 40 }), phone }),
  fc.record({ act: fc.constant('pot' as const), which: fc.nat(9), plants: fc.integer({ min: 1, max: 40 }) }),
  fc.record({ act: fc.constant('away' as const) }),
  fc.record({ act: fc.constant('home' as const) }),
  fc.record({ act: fc.constant('archive' as const), which }),
  fc.record({ act: fc.constant('restore' as const), which }),
  fc.record({ act: fc.constant('undo' as const), which }),
  fc.record({ act: fc.constant('again' as const) }),
);

test('over random days of making, sowing, potting, filling, undoing, archiving, restoring, a phone out of reach and sending twice all adds up everywhere', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(acts, { minLength: 3, maxLength: 14 }), async (all) => {
      const { app, enter, sow, left, lotLeft, batch, trays, seed } = await nursery();
      await enter({ kind: 'made', on: '2031-02-20' });
      const { leftLitres: full } = await left();
      const sown: {
        id: number;
        key: string;
        body: object;
        cells: number;
        on: string;
        away: boolean;
        potted: number;
        at: number;
      }[] = [];
      const used: { id: number; cells: number; on: string; undone: boolean; at: number }[] = [];
      let look: { litres: number; at: number } | null = null;
      // What the phone entered out of reach waits on it; home again it is sent in its order, some of it twice.
      let waiting: (() => Promise<unknown>)[] | null = null;
      const from = async (phone: boolean, send: () => Promise<unknown>): Promise<void> => {
        if (phone && waiting) waiting.push(send);
        else await send();
      };
      const home = async (): Promise<void> => {
        for (const send of waiting ?? []) await send();
        waiting = null;
      };
      for (const [at, each] of all.entries()) {
        if (each.act === 'away') waiting ??= [];
        else if (each.act === 'home') await home();
        else if (each.act === 'sow' || each.act === 'use') {
          const on = `2031-02-2${each.day}`;
          // Odd and even, so that no filling looks like a planting.
          const cells = 2 * each.cells + (each.act === 'sow' ? 1 : 0);
          if (each.act === 'sow') {
            const body = { key: randomUUID(), on, cells };
            await from(each.phone, async () => {
              if (each.day % 2) await sow(body);
              sown.push({ ...body, id: (await sow(body)).id, body, away: false, potted: 0, at });
            });
          } else
            await from(each.phone, async () => {
              const { id } = await enter({ kind: 'use', what: 'x', count: cells, on, vessel: 'cell-72' });
              used.push({ id, cells, on, undone: false, at });
            });
        } else if (each.act === 'left') {
          await from(each.phone, async () => {
            await enter({ kind: 'left', litres: each.litres });
            look = { litres: each.litres, at };
          });
        } else if (each.act === 'again') {
          // Out of reach it is sent once more: the same key is the same thing.
          const last = sown.at(-1);
          if (last) await sow(last.body);
        } else if (each.act === 'undo') {
          const use = used[each.which % Math.max(1, used.length)];
          if (use && !use.undone) {
            await enter({ kind: 'undo', of: use.id });
            use.undone = true;
          }
        } else {
          const planting = sown[each.which % Math.max(1, sown.length)];
          if (!planting) continue;
          if (each.act === 'pot') {
            if (planting.away || planting.potted + each.plants > planting.cells) continue;
            const from = [{ planting: planting.id, plants: each.plants }];
            await sow({
              start: 'pot',
              vessel: 'pot-9',
              cells: each.plants,
              seedLot: null,
              on: planting.on,
              from,
            });
            planting.potted += each.plants;
            continue;
          }
          if (planting.potted > 0 && !planting.away) {
            // What is potted on stays: its plants are in others by now.
            await request(app).delete(`/api/plants/${planting.id}`).expect(400);
            continue;
          }
          planting.away = each.act === 'archive';
          if (planting.away) await request(app).delete(`/api/plants/${planting.id}`).expect(204);
          else await request(app).post(`/api/plants/${planting.id}/restore`).send({}).expect(204);
        }
      }
      await home();
      const stands = [...sown.filter((s) => !s.away), ...used.filter((u) => !u.undone)];
      const cells = stands.reduce((sum, each) => sum + each.cells, 0);
      const pots = sown.reduce((sum, each) => sum + each.potted, 0);
      // All was filled before the day of the look: it was gone by then.
      const litres = (look as { litres: number } | null)?.litres ?? full - cells * cellL - pots * potL;
      const shown = await left();
      expect(shown.leftLitres).toBeCloseTo(Math.max(0, litres), 6);
      expect(shown.overLitres).toBeCloseTo(Math.max(0, -litres), 6);
      expect(await lotLeft(trays)).toBe(720 - cells);
      const seeds = sown.filter((s) => !s.away).reduce((sum, each) => sum + each.cells, 0);
      expect(await lotLeft(seed)).toBe(1000 - seeds);
      const [line] = (await request(app).get('/api/batches')).body;
      expect([line.id, line.leftLitres, line.overLitres]).toEqual([
        batch,
        shown.leftLitres,
        shown.overLitres,
      ]);
      const plants = (await request(app).get('/api/plants')).body as {
        tally: { begun: number; moved: number };
      }[];
      expect(plants.reduce((sum, { tally }) => sum + tally.begun, 0)).toBe(seeds + pots);
      expect(plants.reduce((sum, { tally }) => sum + tally.moved, 0)).toBe(pots);
      const trace = (await request(app).get(`/api/lots/${trays.id}/trace`)).body;
      const told = [...trace.plantings, ...trace.batches].reduce((sum: number, each) => sum + each.amount, 0);
      expect(told).toBe(cells);
    }),
    { numRuns: draws(120) },
  );
}, 120_000);

test.each(['schema-5', 'schema-16'])(
  'a folder of %s: plantings of before there was one book become fillings, once, said to be reckoned, and take no trays',
  (name) => {
    const folder = mkdtempSync(join(tmpdir(), 'welcome-'));
    copyFileSync(`testing/folders/${name}.sqlite`, join(folder, 'welcome.sqlite'));
    const db = openDatabase(folder);
    const stores = storesOf(db, () => TODAY_);
    const tubs = new Tubs(stores);
    const count = (sql: string) => db.prepare(sql).pluck().get() as number;
    const takes = count('SELECT total(amount) FROM takes');
    const before = count("SELECT count(*) FROM entries WHERE kind = 'use'");
    const ledger = new Ledger(stores, tubs);
    ledger.reckonEarlier(TODAY_.toISOString());
    const standing = stores.plants.withBatch().filter(({ start }) => start !== 'split');
    const added = count("SELECT count(*) FROM entries WHERE kind = 'use'") - before;
    expect(added).toBe(standing.length);
    if (name === 'schema-16') expect(added).toBeGreaterThan(3);
    expect(count('SELECT total(amount) FROM takes')).toBe(takes);
    for (const id of new Set(standing.map(({ batch }) => batch!))) {
      const { tub } = tubs.of(id);
      const reckoned = tub.uses.filter(({ planting }) => planting !== undefined);
      expect(reckoned.every((use) => use.reckoned)).toBe(true);
      expect(reckoned.map(({ planting }) => planting).sort()).toEqual(
        standing
          .filter(({ batch }) => batch === id)
          .map((each) => each.id)
          .sort(),
      );
      // Of a pair that looks alike one counts.
      const paired = new Set(tub.uses.flatMap(({ like }) => (like === undefined ? [] : [like])));
      const litres = tub.uses
        .filter((use) => !paired.has(use.id))
        .reduce((sum, use) => sum + (use.litres ?? 0), 0);
      const looks = stores.record.ofBatch('left', id);
      if (looks.length === 0)
        expect(tub.leftL - tub.overL).toBeCloseTo(stores.batches.litresOf(id) - litres, 6);
    }
    stores.folder.isOneBook = false;
    ledger.reckonEarlier(TODAY_.toISOString());
    expect(count("SELECT count(*) FROM entries WHERE kind = 'use'") - before).toBe(added);
    db.close();
    rmSync(folder, { recursive: true });
  },
);

test('a year by recipe: what is made and not archived, by the prices of its day; what had none by those of today', async () => {
  const { app, post, enter, batch: first } = await nursery();
  const mix = await post('/mixes', { name: 'Seed mix', recipe: newBatch().recipe });
  const second = await post('/batches', { ...newBatch(), madeOn: '2031-02-10' });
  const [unmade, lastYear, away] = [
    await post('/batches', newBatch()),
    await post('/batches', { ...newBatch(), madeOn: '2030-12-31' }),
    await post('/batches', newBatch()),
  ];
  for (const id of [first, second.id, lastYear.id, away.id]) await enter({ kind: 'made', on: TODAY }, id);
  await request(app).delete(`/api/batches/${away.id}`).expect(204);
  const made = async (query = '') => (await request(app).get(`/api/made-in-year${query}`).expect(200)).body;
  const { litres } = (await request(app).get(`/api/batches/${first}`)).body.snapshot.sheet;
  const row = { mixId: mix.id, mixName: 'Seed mix', batches: 2, litres: expect.closeTo(2 * litres, 6) };
  expect(await made()).toEqual({
    year: '2031',
    years: { from: '2030', to: '2031' },
    mixes: [{ ...row, money: null, pricedLitres: 0, unpriced: 2, priceOfToday: 0 }],
  });
  expect((await made('?year=2030')).mixes).toMatchObject([{ batches: 1 }]);

  // Peat at 0.10 a litre from today: the batches of before count it, and so does one that is made now.
  const { material, looseLitres } = (await request(app).get(`/api/batches/${first}`)).body.snapshot.sheet
    .components[0];
  await post('/lots', {
    ...{ kind: 'material', item: material, name: 'Peat' },
    receivedOn: TODAY,
    quantity: 1000,
    price: 100,
  });
  await enter({ kind: 'made', on: TODAY }, unmade.id);
  const priced = await post('/batches', newBatch());
  await enter({ kind: 'made', on: TODAY }, priced.id);
  const { mixes } = await made();
  expect(mixes).toMatchObject([{ batches: 4, priceOfToday: 3, unpriced: 4 }]);
  expect(mixes[0].money).toBeCloseTo(4 * looseLitres * 0.1, 6);
  await request(app).get('/api/made-in-year?year=31').expect(400);
});

test('filled half and topped up: the rest is gone from the tub when it is done, back when that is undone, and with the planting', async () => {
  const { app, enter, sow, left, batch, trays, lotLeft } = await nursery();
  await enter({ kind: 'made', on: TODAY });
  const { leftLitres: full } = await left();
  const planting = await sow({ halfFilled: true });
  const half = 108 * cellL;
  const page = async () => (await request(app).get(`/api/plants/${planting.id}`)).body;
  const happened = async (event: object, key = randomUUID()) =>
    (
      await request(app)
        .post(`/api/plants/${planting.id}/events`)
        .send({ key, event: { on: TODAY, ...event } })
    ).body as { id: number };
  const gone = async () => full - (await left()).leftLitres;
  expect(await gone()).toBeCloseTo(half, 6);
  expect((await page()).topUpLitres).toBeCloseTo(half, 6);
  const key = randomUUID();
  const topped = await happened({ kind: 'topped' }, key);
  await happened({ kind: 'topped' }, key);
  expect(await gone()).toBeCloseTo(2 * half, 6);
  expect((await page()).topUpLitres).toBeNull();
  // No tray was filled anew.
  expect(await lotLeft(trays)).toBe(504);
  const undo = await happened({ kind: 'undo', of: topped.id });
  expect(await gone()).toBeCloseTo(half, 6);
  await happened({ kind: 'undo', of: undo.id });
  expect(await gone()).toBeCloseTo(2 * half, 6);
  await request(app).delete(`/api/plants/${planting.id}`).expect(204);
  expect(await gone()).toBeCloseTo(0, 6);
  await request(app).post(`/api/plants/${planting.id}/restore`).send({}).expect(204);
  expect(await gone()).toBeCloseTo(2 * half, 6);
  await happened({ kind: 'topped', litres: 0.5 });
  expect(await gone()).toBeCloseTo(2 * half + 0.5, 6);
  // Nothing more is known to be missing: with no litres typed it takes none.
  await happened({ kind: 'topped' });
  expect(await gone()).toBeCloseTo(2 * half + 0.5, 6);
  const uses = (await entriesOf(app, batch)).filter(
    (each: { data: { kind: string } }) => each.data.kind === 'use',
  );
  expect(uses.map((each: { data: { topped?: number } }) => each.data.topped ?? null)).toEqual([
    null,
    topped.id,
    expect.any(Number),
  ]);
});

test('trays that come back empty from a planting are told of it, and are not back twice when it is archived', async () => {
  const { app, sow, post, trays, lotLeft, enter } = await nursery();
  await enter({ kind: 'made', on: TODAY });
  const { id } = await sow();
  const out = async () => (await request(app).get(`/api/plants/${id}`)).body.vesselsOut;
  const row = { lot: trays.id, name: 'cell-72', amount: 216 };
  expect(await out()).toEqual([{ ...row, back: 0 }]);
  await post(`/lots/${trays.id}/moves`, { kind: 'back', amount: 144, on: TODAY, planting: id });
  expect([await out(), await lotLeft(trays)]).toEqual([[{ ...row, back: 144 }], 648]);
  await request(app).delete(`/api/plants/${id}`).expect(204);
  expect(await lotLeft(trays)).toBe(720);
  await request(app).post(`/api/plants/${id}/restore`).send({}).expect(204);
  expect([await out(), await lotLeft(trays)]).toEqual([[{ ...row, back: 144 }], 648]);
  const none = await post(`/lots/${trays.id}/moves`, { kind: 'back', amount: 1, on: TODAY, planting: 999 });
  expect(none['status']).toBe(404);
});

test('a packet is tested: its germination is another, its year stays; nothing else has one', async () => {
  const { app, post, trays } = await nursery();
  const packet = { ...{ kind: 'seed', item: 'Kale' }, name: 'Tin', receivedOn: '2031-02-01', quantity: 900 };
  const lot = await post('/lots', { ...packet, seed: { year: 2029, germination: 0.9, perGram: 300 } });
  const seed = { year: 2029, germination: 0.72, perGram: 300 };
  const changed = await request(app).patch(`/api/lots/${lot.id}`).send({ seed });
  expect(changed.body).toMatchObject({ seed, left: 900 });
  await request(app).patch(`/api/lots/${lot.id}`).send({ name: 'Tin of kale' }).expect(200);
  expect((await request(app).get(`/api/lots/${lot.id}/trace`)).body.lot).toMatchObject({ seed });
  await request(app).patch(`/api/lots/${trays.id}`).send({ seed }).expect(400);
});

test('a trial takes its seed from the packet, and its mix from the tubs of its arms', async () => {
  const { app, enter, post, left, lotLeft, batch, seed } = await nursery();
  await enter({ kind: 'made', on: TODAY });
  const { leftLitres: full } = await left();
  const trial = {
    ...{ name: 'Which', seed: 7, blocks: 4, crop: 'lettuce', vessel: 'cell-72', cells: 36, on: TODAY },
    arms: [{ name: 'A', batch }, { name: 'B' }],
  };
  const { trays } = (await post('/trials', { ...trial, packet: seed.id })) as unknown as {
    trays: { planting: number }[];
  };
  expect(await lotLeft(seed)).toBe(1000 - 8 * 36);
  expect((await left()).leftLitres).toBeCloseTo(full - 4 * 36 * cellL, 6);
  expect((await request(app).get(`/api/plants/${trays[0]!.planting}`)).body).toMatchObject({
    seed: 'Lettuce, green',
    seedLot: seed.id,
  });
  expect((await post('/trials', { ...trial, packet: 999 }))['status']).toBe(404);
});

test('what somebody says is mixed is not gone on with, whatever was ticked of it', async () => {
  const { app, enter, batch } = await nursery();
  const open = async () =>
    ((await request(app).get('/api/today')).body as { batchId: number; state: string }[]).filter(
      ({ batchId, state }) => batchId === batch && state === 'open',
    ).length;
  expect(await open()).toBe(0);
  const [first] = (await request(app).get(`/api/batches/${batch}`)).body.snapshot.steps as { id: string }[];
  await enter({ kind: 'tick', step: first!.id, load: 0, done: true });
  expect(await open()).toBe(1);
  const { id } = await enter({ kind: 'made', on: TODAY });
  expect(await open()).toBe(0);
  await enter({ kind: 'undo', of: id });
  expect(await open()).toBe(1);
});
