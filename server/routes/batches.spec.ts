import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { figuresOf } from '#core/judge/figures';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { LibraryStore } from '#server/kept/library/library';
import { seedDemo } from '#server/out/demo/seed';
import { demoBatches, demoMixes } from '#server/out/demo/nursery';
import { newBatch, testApp, TODAY } from '#testing/server';

const recipe = starterMixes.germination;
const key = '6fa459ea-ee8a-4ca4-894e-db77e160355e';
const batch = newBatch({ key, name: 'First run' });

describe('mixes', () => {
  test('a change is a new version; the old one stays; the same recipe is no change', async () => {
    const { app, db } = testApp();
    const first = (
      await request(app).post('/api/mixes').send({ key: randomUUID(), name: 'Seed mix', recipe })
    ).body;
    const changed = { ...recipe, components: [{ material: 'coir-pith', parts: 3 }] };
    const path = `/api/mixes/${first.mixId}/versions`;
    expect((await request(app).post(path).send({ key: randomUUID(), recipe })).body.version).toBe(1);
    expect((await request(app).post(path).send({ key: randomUUID(), recipe: changed })).body.version).toBe(2);
    const versions = (await request(app).get(path)).body;
    expect(versions.map((v: { recipe: object }) => v.recipe)).toEqual([changed, recipe]);
    expect(() => db.prepare("UPDATE mix_versions SET recipe_json = '{}'").run()).toThrow('never changes');
    expect(() => db.prepare('DELETE FROM mix_versions').run()).toThrow('never deleted');
  });

  test('what it came to is kept with it; a recipe from before has no figures and still opens', async () => {
    const { app, db } = testApp();
    const sent = { key: randomUUID(), name: 'Seed mix', recipe };
    const { figures, mixId } = (await request(app).post('/api/mixes').send(sent)).body;
    expect(figures).toEqual(figuresOf(mixInputOf(recipe, new LibraryStore(db).library())));
    expect(figures.values.air).toBeGreaterThan(1);
    db.exec(`DROP TRIGGER mix_versions_never_change; UPDATE mix_versions SET figures_json = NULL`);
    expect((await request(app).get(`/api/mixes/${mixId}/versions`)).body[0].figures).toBeNull();
  });

  test('putting away can be undone', async () => {
    const { app } = testApp();
    const { mixId } = (
      await request(app).post('/api/mixes').send({ key: randomUUID(), name: 'Seed mix', recipe })
    ).body;
    await request(app).delete(`/api/mixes/${mixId}`).expect(204);
    expect((await request(app).get('/api/mixes')).body).toEqual([]);
    await request(app).post(`/api/mixes/${mixId}/restore`).send({}).expect(204);
    expect((await request(app).get('/api/mixes')).body).toHaveLength(1);
  });

  test.each([
    [{ name: '', recipe }, 'name'],
    [{ name: 'x', recipe: { ...recipe, vessel: 'bathtub' } }, 'recipe.vessel'],
    [
      { name: 'x', recipe: { ...recipe, components: [{ material: 'moondust', parts: 1 }] } },
      'recipe.components.0.material',
    ],
    [{ name: 'x', recipe: { ...recipe, job: { trays: 1.5, sparePct: 0 } } }, 'recipe.job'],
  ])('a bad mix is refused by name (%#)', async (bad, path) => {
    const { body, status } = await request(testApp().app)
      .post('/api/mixes')
      .send({ key: randomUUID(), ...bad });
    expect([status, body.issues[0].path]).toEqual([400, path]);
  });

  test.each(['0', '-3', 'abc', '1.5', '99'])('no mix %s', async (id) => {
    const { status } = await request(testApp().app).get(`/api/mixes/${id}/versions`);
    expect(status).toBe(id === '99' ? 404 : 400);
  });
});

describe('batches', () => {
  test('a batch is kept whole and does not move when its mix does', async () => {
    const { app, db } = testApp();
    const mix = (await request(app).post('/api/mixes').send({ key: randomUUID(), name: 'Seed mix', recipe }))
      .body;
    const made = (
      await request(app)
        .post('/api/batches')
        .send({ ...batch, mixVersionId: mix.id })
    ).body;
    await request(app)
      .post(`/api/mixes/${mix.mixId}/versions`)
      .send({ key: randomUUID(), recipe: starterMixes.potting });
    db.prepare("UPDATE items SET row_json = json_set(row_json, '$.ph', 9)").run();
    const again = (await request(app).get(`/api/batches/${made.id}`)).body;
    expect(again).toEqual(made);
    expect(again.snapshot.recipe).toEqual(recipe);
    expect(again.snapshot.sheet.components).toHaveLength(3);
    expect(again.snapshot.steps.length).toBeGreaterThan(5);
    expect(again.createdAt).toBe(TODAY.toISOString());
    expect(() => db.prepare("UPDATE batches SET snapshot_json = '{}'").run()).toThrow(
      'keeps what it was made from',
    );
  });

  test('a batch belongs to the saved recipe with its parts and doses, whatever was asked of it', async () => {
    const { app } = testApp();
    const save = async (name: string, of: object): Promise<{ id: number; mixId: number }> =>
      (await request(app).post('/api/mixes').send({ key: randomUUID(), name, recipe: of })).body;
    const make = async (of: object, mixVersionId: number | null = null): Promise<number> =>
      (
        await request(app)
          .post('/api/batches')
          .send({ ...batch, key: randomUUID(), recipe: of, mixVersionId })
          .expect(201)
      ).body.id;
    const nameOf = async (id: number): Promise<string | null> =>
      (await request(app).get(`/api/batches/${id}`)).body.mixName;
    const twice = {
      ...recipe,
      components: [...recipe.components].reverse().map((c) => ({ ...c, parts: 2 * c.parts })),
      job: { litres: 400 },
    };
    const otherwise = { ...recipe, amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.35 }] };
    // Made before the recipe was saved.
    const before = await make(twice);
    expect(await nameOf(before)).toBeNull();
    const seed = await save('Seed mix', recipe);
    expect(await nameOf(before)).toBe('Seed mix');
    expect(await nameOf(await make({ ...recipe, job: { trays: 21, sparePct: 8 } }))).toBe('Seed mix');
    expect(await nameOf(await make(otherwise))).toBeNull();
    // It says that it was made from a recipe, and is another.
    expect(await nameOf(await make(otherwise, seed.id))).toBeNull();
    // Of two alike the one that it was made from, else the newest.
    const copy = await save('The same again', twice);
    expect(await nameOf(await make(recipe, seed.id))).toBe('Seed mix');
    expect(await nameOf(await make(recipe))).toBe('The same again');
    await request(app).delete(`/api/mixes/${copy.mixId}`).expect(204);
    expect(await nameOf(await make(recipe))).toBe('Seed mix');
    const lines = (await request(app).get('/api/batches')).body as { id: number; mixId: number | null }[];
    expect(lines.find(({ id }) => id === before)!.mixId).toBe(seed.mixId);
  });

  test('the same save sent twice is one batch', async () => {
    const { app } = testApp();
    const once = await request(app).post('/api/batches').send(batch);
    const twice = await request(app).post('/api/batches').send(batch);
    expect([once.status, twice.status, twice.body.id]).toEqual([201, 200, once.body.id]);
    expect((await request(app).get('/api/batches')).body).toHaveLength(1);
  });

  test('putting away can be undone; the card stays reachable', async () => {
    const { app } = testApp();
    const { id } = (await request(app).post('/api/batches').send(batch)).body;
    await request(app).delete(`/api/batches/${id}`).expect(204);
    expect((await request(app).get('/api/batches')).body).toEqual([]);
    await request(app).get(`/api/batches/${id}`).expect(200);
    await request(app).post(`/api/batches/${id}/restore`).send({}).expect(204);
    expect((await request(app).get('/api/batches')).body).toHaveLength(1);
  });

  test.each([
    [{ ...batch, madeOn: '2031-02-30' }, 400, 'madeOn'],
    [{ ...batch, key: 'again' }, 400, 'key'],
    [{ ...batch, scoop: 'shovel' }, 400, 'scoop'],
    [{ ...batch, mixVersionId: 77 }, 404, undefined],
    [
      {
        ...batch,
        recipe: { ...recipe, compactionPct: 50, components: [{ material: 'sand-fine', parts: 1 }] },
      },
      400,
      'compactionPct',
    ],
  ])('a bad batch is refused and nothing is kept (%#)', async (bad, status, path) => {
    const { app } = testApp();
    const answer = await request(app).post('/api/batches').send(bad);
    expect([answer.status, answer.body.issues?.[0].path]).toEqual([status, path]);
    expect((await request(app).get('/api/batches')).body).toEqual([]);
  });
});

test('the demo nursery fills an empty folder once', async () => {
  const { app, db } = testApp();
  seedDemo(db, TODAY);
  seedDemo(db, TODAY);
  expect((await request(app).get('/api/mixes')).body).toHaveLength(demoMixes.length);
  const batches = (await request(app).get('/api/batches')).body;
  expect(batches).toHaveLength(demoBatches.length);
  expect(batches[0]).toMatchObject({ name: 'One yard of mix A', litres: 764.555, madeOn: '2031-03-02' });
});

test('the interface is described from its schemas', async () => {
  const { body } = await request(testApp().app).get('/api/openapi.json');
  expect(body.openapi).toBe('3.1.0');
  const evaluate = body.paths['/api/evaluate'].post;
  expect(evaluate.requestBody.content['application/json'].schema.required).toEqual([
    'stage',
    'vessel',
    'components',
  ]);
  expect(Object.keys(evaluate.responses)).toEqual([
    '200',
    '400',
    '401',
    '403',
    '412',
    '413',
    '415',
    '421',
    '429',
    '500',
  ]);
});

test('answers carry the security headers', async () => {
  const { headers } = await request(testApp().app).get('/api/health');
  expect(headers['content-security-policy']).toContain("default-src 'none'");
  expect(headers['content-security-policy']).not.toContain('unsafe');
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-powered-by']).toBeUndefined();
});
