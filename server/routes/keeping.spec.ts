import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { lifeAnswerSchema, lifeRuleAnswerSchema } from '#contract/water';
import { daysAfter } from '#core/units/day';
import { usualKeeping, type UsualKeeping } from '#core/weeks/usual-keeping';
import { newBatch, testApp } from '#testing/server';

const vessel = { shape: 'rect', topMm: [55, 55], baseMm: [40, 40], depthMm: 57, headspaceMm: 3 };
const mix = {
  ...{ stage: 'seedling', vessel },
  components: [
    { material: 'peat-fine', parts: 3 },
    { material: 'perlite-coarse', parts: 1 },
  ],
  limeToPh: { amendment: 'lime-dolomitic', ph: 5.8 },
};
const kept = {
  ...{ weather: { house: 'bright', tempC: 20 }, water: { alkalinityMgPerL: 80, ecMSPerCm: 0.4 } },
  plant: { leafCoverFrom: 0.1, leafCoverTo: 1 },
};
const rule = { waterAt: 0.5, leachPct: 10, feedNMgPerL: 75, feedFromDay: 14 };

describe('POST /api/life', () => {
  const { app } = testApp();
  const life = async (change: object = {}) =>
    (
      await request(app)
        .post('/api/life')
        .send({ ...mix, ...kept, rule, ...change })
    ).body;

  test('answers as the contract says: each day with what it drank, lost, leached and took', async () => {
    const answer = await life();
    expect(lifeAnswerSchema.strict().safeParse(answer).success).toBe(true);
    expect(answer.days).toHaveLength(84);
    for (const day of answer.days)
      for (const flow of ['transpiredMl', 'evaporatedMl', 'leachedMl', 'uptakeNMg'])
        expect(day[flow]).toBeGreaterThanOrEqual(0);
    // With no plant nothing starves; leaves may stand four times over the top.
    const bare = await life({
      plant: { leafCoverFrom: 0, leafCoverTo: 0 },
      rule: { ...rule, feedNMgPerL: 0 },
    });
    expect(bare.first.starved).toBeNull();
    const leafy = await life({ plant: { leafCoverFrom: 1, leafCoverTo: 4 } });
    expect(leafy.days.at(-1).transpiredMl).toBeGreaterThan(3 * answer.days.at(-1).transpiredMl);
  });

  test('a cover holds water, acid takes alkalinity and feeds its nitrogen, a product sours or limes', async () => {
    const sum = (answer: { days: Record<string, number>[] }, of: string): number =>
      answer.days.reduce((all, day) => all + day[of]!, 0);
    const bare = { plant: { leafCoverFrom: 0, leafCoverTo: 0 } };
    const [open, grit] = [await life(bare), await life({ ...bare, cover: 'grit' })];
    expect(sum(grit, 'evaporatedMl')).toBeLessThan(0.7 * sum(open, 'evaporatedMl'));
    const hard = { alkalinityMgPerL: 300, ecMSPerCm: 0.6 };
    const [plain, acid] = [
      await life({ water: hard }),
      await life({ water: { ...hard, acid: 'nitric61', toPh: 5.8 } }),
    ];
    expect(acid.days.at(-1).ph).toBeLessThan(plain.days.at(-1).ph - 0.2);
    expect(sum(acid, 'uptakeNMg')).toBeGreaterThan(sum(plain, 'uptakeNMg'));
    const limes = await life({ rule: { ...rule, product: 'calcium-nitrate' } });
    expect(limes.days.at(-1).ph).toBeGreaterThan((await life()).days.at(-1).ph);
  });

  test.each([
    [{ plant: { leafCoverFrom: 0, leafCoverTo: 5 } }, 'plant.leafCoverTo'],
    [{ water: { ...kept.water, acid: 'citric' } }, 'water.toPh'],
    [{ cover: 'straw' }, 'cover'],
    [{ rule: { ...rule, product: 'moon-dust' } }, 'rule.product'],
    [{ plant: { ...kept.plant, upOn: 1.5 } }, 'plant.upOn'],
  ])('%j is refused and named', async (change, path) => {
    const answer = await request(app)
      .post('/api/life')
      .send({ ...mix, ...kept, rule, ...change });
    expect([answer.status, answer.body.issues[0].path]).toEqual([400, path]);
  });
});

test('POST /api/life/rule: a rule with its odds, and said as a person would follow it', async () => {
  const { app } = testApp();
  const { status, body } = await request(app)
    .post('/api/life/rule')
    .set('welcome-units', 'us')
    .send({ ...mix, ...kept, days: 42 });
  expect(status).toBe(200);
  expect(lifeRuleAnswerSchema.strict().safeParse(body).success).toBe(true);
  expect(body.odds).toBeGreaterThan(0.5);
  expect(body.says).toMatch(/^Water when \d+ % of its water has gone: .*ppm of nitrogen/);
  expect(body.left).toEqual([]);
  // What it found may be asked for.
  const answer = await request(app)
    .post('/api/life')
    .send({ ...mix, ...kept, days: 42, rule: body.rule });
  expect(Object.values(answer.body.first)).toEqual([null, null, null, null, null]);
});

describe('how the nursery keeps', () => {
  test('nothing is set at first; what is set comes back; nonsense is refused, and nothing is lost', async () => {
    const { app } = testApp();
    expect((await request(app).get('/api/keeping')).body).toEqual({
      usual: usualKeeping,
      isSet: false,
      mixes: {},
    });
    const sunny: UsualKeeping = {
      ...{ ...usualKeeping, house: 'sun', looks: 2, cover: 'grit' },
      months: [{ month: 12, house: 'dull', tempC: 12 }],
    };
    expect((await request(app).put('/api/keeping').send(sunny)).body).toEqual({
      usual: sunny,
      isSet: true,
      mixes: {},
    });
    const bad = await request(app)
      .put('/api/keeping')
      .send({ ...sunny, tempC: 90 });
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'tempC']);
    expect((await request(app).get('/api/keeping')).body.usual).toEqual(sunny);
    // As a device kept it before there were months, looks and covers.
    const { months: _, looks: __, cover: ___, driesBy: ____, ...early } = usualKeeping;
    expect((await request(app).put('/api/keeping').send(early)).body.usual).toEqual(usualKeeping);
  });

  test('one day of one planting: care, its page, the calendar and the life; another keeping is another day', async () => {
    const { app } = testApp();
    const { recipe: house } = newBatch();
    const { body: mixed } = await request(app)
      .post('/api/mixes')
      .send({ key: randomUUID(), name: 'House', recipe: house });
    const { body: batch } = await request(app)
      .post('/api/batches')
      .send({ ...newBatch(), mixVersionId: mixed.id });
    const on = '2031-03-01';
    const { body: planting } = await request(app)
      .post('/api/plants')
      .send({
        ...{ key: randomUUID(), start: 'pot', crop: 'tomato', name: '', vessel: 'pot-11', cells: 40 },
        ...{ on, batch: batch.id },
      });
    const feedOn = async (): Promise<string | undefined> => {
      const { body: page } = await request(app).get(`/api/plants/${planting.id}`);
      return page.allCare.find(({ id }: { id: string }) => id === 'feed')?.on;
    };
    const { recipe } = (await request(app).get(`/api/batches/${batch.id}`)).body.snapshot;
    /** The day on which the same mix in that pot, kept so, comes to starve unfed: by the public endpoint. */
    const starvesOn = async (usual: UsualKeeping): Promise<string> => {
      const library = (await request(app).get('/api/library')).body;
      const kind = library.vessels.find(({ id }: { id: string }) => id === 'pot-11');
      const { body: life } = await request(app)
        .post('/api/life')
        .send({
          ...{ stage: recipe.stage, vessel: kind.vessel, days: 7 * usual.weeks },
          ...{ components: recipe.components, amendments: recipe.amendments },
          ...(recipe.limeToPh && { limeToPh: recipe.limeToPh }),
          ...{ weather: { house: usual.house, tempC: usual.tempC }, water: usual.water, cover: usual.cover },
          rule: { ...usual.rule, feedNMgPerL: 0 },
          plant: { ...usual.plant, upOn: 1, rootedOn: 1, trueLeavesOn: 1 },
        });
      return daysAfter(on, life.first.starved - 1);
    };
    const bright = await feedOn();
    expect(bright).toBe(await starvesOn(usualKeeping));
    const sunny: UsualKeeping = {
      ...usualKeeping,
      house: 'sun',
      plant: { leafCoverFrom: 0.4, leafCoverTo: 2 },
    };
    await request(app).put('/api/keeping').send(sunny).expect(200);
    const sun = await feedOn();
    expect(sun).toBe(await starvesOn(sunny));
    expect(sun! < bright!).toBe(true);
    const calendar = (await request(app).get('/api/plan/calendar.ics')).text;
    expect(calendar).toContain(`DTSTART;VALUE=DATE:${sun!.replaceAll('-', '')}`);
    // Its own keeping, and back.
    const own = `/api/plants/${planting.id}/keeping`;
    await request(app).put(own).send({ keeping: usualKeeping }).expect(200);
    expect(await feedOn()).toBe(bright);
    expect((await request(app).get(`/api/plants/${planting.id}`)).body.keeping).toEqual(usualKeeping);
    await request(app).put(own).send({ keeping: null }).expect(200);
    expect(await feedOn()).toBe(sun);
    await request(app).put('/api/plants/999/keeping').send({ keeping: null }).expect(404);
    // That of its recipe, under which its own stands; and back.
    const ofRecipe = `/api/mixes/${mixed.mixId}/keeping`;
    await request(app).put(ofRecipe).send({ keeping: usualKeeping }).expect(200);
    expect((await request(app).get('/api/keeping')).body.mixes).toEqual({ [mixed.mixId]: usualKeeping });
    expect(await feedOn()).toBe(bright);
    await request(app).put(own).send({ keeping: sunny }).expect(200);
    expect(await feedOn()).toBe(sun);
    await request(app).put(own).send({ keeping: null }).expect(200);
    await request(app).put(ofRecipe).send({ keeping: null }).expect(200);
    expect(await feedOn()).toBe(sun);
    await request(app).put('/api/mixes/999/keeping').send({ keeping: null }).expect(404);
  });
});
