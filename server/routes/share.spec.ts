import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { type SharedFile, type ShareLine } from '#contract/share';
import { materialToRow } from '#core/material/material';
import { starterMixes } from '#core/recipe/starter-mixes';
import { vesselKinds } from '#core/vessel/kinds';
import { crops } from '#testing/season';
import { amendments, materials } from '#testing/library';
import { testApp } from '#testing/server';

type App = ReturnType<typeof testApp>['app'];
const base = (more: object): object => ({ key: randomUUID(), ...more });
const { id: _loam, ...loam } = materialToRow(materials.find(({ id }) => id === 'loam')!);
const { id: _kind, ...pot } = vesselKinds[0]!;
const { id: _lime, ...lime } = amendments[0]!;
const { id: _crop, ...tomato } = crops.get('tomato')!;
const recipe = starterMixes.germination;

/** A nursery with one of each of its own, and a mix that stands on all of them. */
async function nursery(earth: object = {}): Promise<App> {
  const { app } = testApp();
  const keep = async (path: string, body: object): Promise<void> =>
    void (await request(app).post(`/api/${path}`).send(base(body)).expect(201));
  await keep('materials', { says: 'like loam', row: { ...loam, name: 'Bog earth', ...earth } });
  await keep('products', { says: 'like lime', row: { ...lime, name: 'Shell lime' } });
  await keep('vessels', { kind: { ...pot, name: 'Clay pot' } });
  await keep('crops', {
    says: 'like tomato',
    crop: { ...tomato, name: 'Old tomato', steps: [{ ...tomato.steps[0]!, vessel: 'own-clay-pot' }] },
  });
  await keep('mixes', {
    name: 'House mix',
    recipe: {
      ...recipe,
      vessel: 'own-clay-pot',
      components: [{ material: 'own-bog-earth', parts: 1 }],
      lime: { amendment: 'own-shell-lime', ph: 6 },
      job: { litres: 10 },
    },
  });
  return app;
}
const shareOf = async (app: App): Promise<SharedFile> =>
  (await request(app).get('/api/share').expect(200)).body as SharedFile;
const look = async (app: App, share: SharedFile): Promise<ShareLine[]> =>
  (await request(app).post('/api/share/look').send({ share }).expect(200)).body as ShareLine[];
const states = async (app: App, share: SharedFile): Promise<Record<string, string>> =>
  Object.fromEntries((await look(app, share)).map(({ name, state }) => [name, state]));
const names = ['Bog earth', 'Shell lime', 'Clay pot', 'Old tomato', 'House mix'];

test('a file of one’s own holds what is own and nothing that every Welcome has; here it is all the same', async () => {
  const app = await nursery();
  const share = await shareOf(app);
  expect((await look(app, share)).map(({ name, state }) => [name, state])).toEqual(
    names.map((name) => [name, 'same']),
  );
});

test('to a nursery that has none of it: new, taken whole and once, and the same from then on', async () => {
  const share = await shareOf(await nursery());
  const { app, db } = testApp();
  const lines = await look(app, share);
  expect(new Set(lines.map(({ state }) => state))).toEqual(new Set(['new']));
  const body = { key: randomUUID(), share, take: lines.map(({ kind, at }) => ({ kind, at })) };
  const { taken } = (await request(app).post('/api/share').send(body).expect(201)).body as {
    taken: string[];
  };
  expect(taken).toEqual(names);
  // The same request again, as after a lost answer.
  await request(app).post('/api/share').send(body);
  expect(new Set(Object.values(await states(app, share)))).toEqual(new Set(['same']));
  expect(db.prepare('SELECT count(*) AS n FROM mixes').get()).toEqual({ n: 1 });
  expect(await shareOf(app)).toEqual(share);
});

test('with other figures under the same name it comes beside, and their mix stands on theirs', async () => {
  const share = await shareOf(await nursery({ ph: 5.1 }));
  const app = await nursery({ ph: 6.3 });
  expect(await states(app, share)).toEqual({
    ...{ 'Bog earth': 'different', 'Shell lime': 'same', 'Clay pot': 'same', 'Old tomato': 'same' },
    // Of the same words, and it stands on other earth.
    'House mix': 'different',
  });
  const take = [
    { kind: 'materials', at: 0 },
    { kind: 'mixes', at: 0 },
  ];
  await request(app).post('/api/share').send({ key: randomUUID(), share, take }).expect(201);
  const mine = await shareOf(app);
  expect(mine.materials.map(({ row }) => [row.name, row.ph])).toEqual([
    ['Bog earth', 6.3],
    ['Bog earth, theirs', 5.1],
  ]);
  const { recipe: got } = mine.mixes.find(({ name }) => name === 'House mix, theirs')!;
  expect(got.components).toEqual([{ material: 'own-bog-earth-theirs', parts: 1 }]);
  expect(got.lime!.amendment).toBe('own-shell-lime');
});

test('what a mix stands on must be here or come with it; nothing is taken by halves', async () => {
  const share = await shareOf(await nursery());
  const { app, db } = testApp();
  const take = [
    { kind: 'crops', at: 0 },
    { kind: 'vessels', at: 0 },
    { kind: 'mixes', at: 0 },
  ];
  const { body } = await request(app).post('/api/share').send({ key: randomUUID(), share, take }).expect(400);
  expect(body.detail).toMatch(/Materials must be here, or taken with House mix/);
  expect(db.prepare(`SELECT count(*) AS n FROM vessels WHERE origin = 'user'`).get()).toEqual({ n: 0 });
  expect((await request(app).get('/api/crops')).body.filter(({ own }: { own: boolean }) => own)).toEqual([]);
  const none = await request(app)
    .post('/api/share')
    .send({ key: randomUUID(), share, take: [{ kind: 'mixes', at: 7 }] })
    .expect(400);
  expect(none.body.detail).toContain('take.0.at must be from 0 to 0, not 7');
  const other = await request(app)
    .post('/api/share/look')
    .send({ share: { ...share, format: 'x' } })
    .expect(400);
  expect(other.body.detail).toContain('a file that Welcome gave out');
});

test('what is known to work here stays here: another place may not find it so', async () => {
  const { app } = testApp();
  const known = [{ code: 'air-low', severity: 'warn', why: 'Our cold house', on: '2031-03-04' }];
  await request(app)
    .post('/api/mixes')
    .send(base({ name: 'House mix', recipe: { ...recipe, known } }))
    .expect(201);
  const { mixes } = await shareOf(app);
  expect(mixes.map((mix) => mix.recipe)).toEqual([recipe]);
  // A file of somebody else's that has it all the same is taken without.
  const brought = { mixes: [{ ...mixes[0]!, name: 'Theirs', recipe: { ...recipe, known } }] };
  const share = { ...(await shareOf(testApp().app)), ...brought };
  await request(app)
    .post('/api/share')
    .send(base({ share, take: [{ kind: 'mixes', at: 0 }] }))
    .expect(({ status }) => expect([200, 201]).toContain(status));
  const all = (await request(app).get('/api/mixes').expect(200)).body as { name: string; recipe: object }[];
  expect(all.find(({ name }) => name === 'Theirs')!.recipe).not.toHaveProperty('known');
  expect(all.find(({ name }) => name === 'House mix')!.recipe).toHaveProperty('known', known);
});
