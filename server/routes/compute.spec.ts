import { labelOf } from '#words/problem';
import request from 'supertest';
import { batchSheetAnswerSchema, evaluationAnswerSchema } from '#contract/evaluate';
import { adviseAnswerSchema } from '#contract/advise';
import { METRIC } from '#testing/plain-english';
import { testApp } from '#testing/server';

const { app } = testApp();
const vessel = { shape: 'rect', topMm: [55, 55], baseMm: [40, 40], depthMm: 57, headspaceMm: 3 };
const body = {
  stage: 'germination',
  vessel,
  components: [
    { material: 'peat-fine', parts: 5 },
    { material: 'perlite-coarse', parts: 2 },
    { material: 'vermiculite-medium', parts: 1 },
  ],
  amendments: [{ amendment: 'calcium-nitrate', gPerL: 0.25 }],
  limeToPh: { amendment: 'lime-dolomitic', ph: 5.8 },
};
/** Fine peat's row in its own words, as far as a described material must go. */
const described = {
  dryBulkDensityGPerL: 95,
  totalPorosityPct: 91.5,
  waterAt10CmPct: 75.5,
  waterAt50CmPct: 46,
  waterAt100CmPct: 39,
  particleMm: 1.4,
  ph: 3.9,
  bufferMeqPerLPerPh: 42,
};
const post = (path: string, sent: object | string) =>
  request(app)
    .post(path)
    .set('content-type', 'application/json')
    .send(typeof sent === 'string' ? sent : JSON.stringify(sent));

describe('POST /api/evaluate', () => {
  test('texts of findings are in the units that the header asks for', async () => {
    const { limeToPh: _, ...bare } = body;
    const limed = { ...bare, amendments: [{ amendment: 'lime-dolomitic', gPerL: 60 }] };
    const texts = async (units: string): Promise<string> => {
      const { body: answer } = await post('/api/evaluate', limed).set('welcome-units', units);
      const flags = answer.flags as { text: string; remedy: string }[];
      return flags.map(({ text, remedy }) => `${text} ${remedy}`).join(' ');
    };
    expect(await texts('metric')).toMatch(/\d\s?g\/L/);
    const american = await texts('us');
    expect(american).toContain('lb/yd³');
    expect(american).not.toMatch(METRIC);
    expect(await texts('cubits')).toBe(await texts('metric'));
  });

  test('answers as the contract says, with numbers worked by hand', async () => {
    const { status, body: answer } = await post('/api/evaluate', body);
    expect(status).toBe(200);
    expect(evaluationAnswerSchema.strict().safeParse(answer).success).toBe(true);
    // By hand from the table (model § 15): peat 42 meq/L per pH at 5.5, a quarter of it more for each pH unit below.
    const takes = (ph: number): number =>
      5 * 42 * ((1 + 5.5 * 0.25) * (ph - 3.9) - (0.25 * (ph * ph - 3.9 * 3.9)) / 2) +
      2 * 0.3 * (ph - 7.2) +
      4 * (ph - 7.3);
    expect(takes(answer.mix.phBeforeLime)).toBeCloseTo(0, 6);
    expect(answer.mix.ph).toBeCloseTo(5.8, 9);
    expect(answer.mix.peatPct).toBeCloseTo(62.5, 9);
    // Perlite and vermiculite count twice.
    expect(answer.mix.cohesion).toBeCloseTo((5 * 0.9 + 2 * 0.2) / 11, 9);
    const d = 1 / (1 - answer.mix.mixingShrinkagePct / 100);
    expect(answer.mix.dryBulkDensityGPerL).toBeCloseTo((d * (5 * 95 + 2 * 100 + 105)) / 8, 9);
    // Dolomitic lime: 1000/50.04 × 1.02 × (0.6 + 0.4/2) meq per gram.
    const meqPerG = (1000 / 50.04) * 1.02 * 0.8;
    // Of each bit of it 1 − 10^(−0.5 (7.5 − pH)) acts: summed over ten thousand steps.
    const [start, steps] = [answer.mix.phBeforeLime as number, 10_000];
    let lime = 0;
    for (let i = 0; i < steps; i++) {
      const [low, high] = [i, i + 1].map((k) => start + ((5.8 - start) * k) / steps) as [number, number];
      lime += (takes(high) - takes(low)) / (1 - 10 ** (-0.5 * (7.5 - (low + high) / 2)));
    }
    expect(answer.lime.gPerL).toBeCloseTo((d * lime) / 8 / meqPerG, 6);
    expect(answer.mix.elementsMgPerL.n).toBeCloseTo((d * 5 * 15) / 8 + 0.25 * 155, 9);
    expect(answer.readings.map((r: { id: string }) => r.id)).toEqual([
      'air',
      'ph',
      'ecSaturated',
      'n',
      'overSize',
      'nAtWorst',
      'ecAtWorst',
      'wetDensity',
      'largestParticle',
      'easilyAvailableWater',
    ]);
    const beside = (id: string) => answer.readings.find((r: { id: string }) => r.id === id);
    // Calcium nitrate is there at once and the seedlings eat: the day of mixing is the worst.
    expect(beside('nAtWorst')).toMatchObject({ week: 0, low: null, high: 90, verdict: 'ok' });
    expect(beside('nAtWorst').value).toBeCloseTo(answer.mix.elementsMgPerL.n, 9);
    expect(beside('wetDensity')).toMatchObject({ low: null, high: null });
    expect(beside('wetDensity').value).toBeCloseTo(
      answer.mix.dryBulkDensityGPerL / 1000 + answer.vessel.waterPct / 100,
      9,
    );
    expect(answer.vessel.airPctFirmed.loose).toBeCloseTo(answer.vessel.airPct, 9);
    expect(answer.vessel.airPctFirmed.firmer).toBeLessThan(answer.vessel.airPct);
  });

  test('slow feed is judged at its worst week, not on the day of mixing', async () => {
    const { body: answer } = await post('/api/evaluate', {
      ...body,
      stage: 'potting',
      amendments: [{ amendment: 'blood-meal', gPerL: 2.5 }],
    });
    const worst = answer.readings.find((r: { id: string }) => r.id === 'nAtWorst');
    expect(worst.week).toBeGreaterThan(0);
    expect(worst.value).toBeGreaterThan(answer.mix.elementsMgPerL.n + 50);
  });

  test('a headspace that is not told is none', async () => {
    const { headspaceMm, ...open } = vessel;
    expect(headspaceMm).toBe(3);
    const { status, body: answer } = await post('/api/evaluate', { ...body, vessel: open });
    const { body: zero } = await post('/api/evaluate', { ...body, vessel: { ...open, headspaceMm: 0 } });
    expect(status).toBe(200);
    expect(answer).toEqual(zero);
  });

  test('takes described materials, and says the same as for the table row', async () => {
    const row = {
      ...described,
      maxParticleMm: 5,
      packingFraction: 0.48,
      airEntryCm: 1.5,
      bufferSlopePerPh: 0.25,
      moistureAsBoughtPctWb: 45,
      cohesion: 0.9,
      saltsMeqPerL: 1.48,
      availableNMgPerL: 15,
      nh4NMgPerL: 4.2,
      availablePMgPerL: 3,
      availableKMgPerL: 7,
      availableCaMgPerL: 6,
      availableMgMgPerL: 3,
      naMgPerL: 10.5,
      clMgPerL: 10,
      peatFree: 0,
    };
    const inWords = await post('/api/evaluate', {
      stage: 'rooting',
      vessel,
      components: [{ parts: 1, properties: row }],
    });
    const byId = await post('/api/evaluate', {
      stage: 'rooting',
      vessel,
      components: [{ parts: 1, material: 'peat-fine' }],
    });
    expect(inWords.body.mix).toEqual(byId.body.mix);
    expect(inWords.body.vessel).toEqual(byId.body.vessel);
  });

  test('a block is pressed by a quarter unless told otherwise', async () => {
    const block = { ...body, vessel: { shape: 'block', edgeMm: [50, 50], depthMm: 50 } };
    const pressed = await post('/api/evaluate', block);
    const stated = await post('/api/evaluate', { ...block, compactionPct: 25 });
    expect(pressed.body).toEqual(stated.body);
  });
});

describe('POST /api/batch-sheet', () => {
  test('litres by vessels with spare; doses by litre', async () => {
    const { status, body: sheet } = await post('/api/batch-sheet', { ...body, vessels: 1000, sparePct: 8 });
    expect(status).toBe(200);
    expect(batchSheetAnswerSchema.strict().safeParse(sheet).success).toBe(true);
    const { body: evaluated } = await post('/api/evaluate', body);
    expect(sheet.litres).toBeCloseTo((evaluated.vessel.volumeMl / 1000) * 1080, 6);
    expect(sheet.amendments).toEqual([
      { amendment: 'calcium-nitrate', grams: expect.closeTo(0.25 * sheet.litres, 6) },
      { amendment: 'lime-dolomitic', grams: expect.closeTo(evaluated.lime.gPerL * sheet.litres, 6) },
    ]);
    const loose = sheet.components.map((c: { looseLitres: number }) => c.looseLitres);
    expect(loose[0] / loose[2]).toBeCloseTo(5, 9);
    expect((loose[0] + loose[1] + loose[2]) * (1 - evaluated.mix.mixingShrinkagePct / 100)).toBeCloseTo(
      sheet.litres,
      6,
    );
    // 45 % moisture on wet basis: dry 95 g/L weighs 95 / 0.55.
    expect(sheet.components[0].massKg).toBeCloseTo((loose[0] * 95) / 0.55 / 1000, 9);
  });

  test('blocks take more water than sowing', async () => {
    const wet = await post('/api/batch-sheet', { ...body, litres: 50, moisture: 'block' });
    const sow = await post('/api/batch-sheet', { ...body, litres: 50 });
    expect(wet.body.waterLitres).toBeGreaterThan(sow.body.waterLitres);
  });
});

describe('POST /api/hot-water and /api/sowing', () => {
  const heat = {
    components: [{ material: 'peat-fine', parts: 1 }],
    litres: 10,
    mixC: 15,
    waterC: 100,
    targetC: 60,
  };

  test('hot water by the heat balance, worked by hand', async () => {
    const { status, body: answer } = await post('/api/hot-water', heat);
    const mixHeat = 0.95 * 1.3 + ((0.95 * 0.45) / 0.55) * 4.186;
    expect(status).toBe(200);
    expect(answer.waterLitres).toBeCloseTo((mixHeat * 45) / (4.186 * 40), 9);
    expect(answer.finalC).toBe(60);
  });

  test('a target that cannot be reached answers with what can', async () => {
    const { status, body: answer } = await post('/api/hot-water', { ...heat, waterC: 70, targetC: 68 });
    expect(status).toBe(400);
    expect(answer.issues[0]).toMatchObject({
      path: 'targetC',
      value: 68,
      allowed: expect.stringMatching(/at most 6\d/),
    });
  });

  test('sowing', async () => {
    const { body: answer } = await post('/api/sowing', {
      germination: 0.85,
      perCell: 2,
      wantedPlants: 100,
      confidence: 0.95,
    });
    expect(answer).toEqual({
      emptyFraction: expect.closeTo(0.0225, 9),
      sparesPerCell: expect.closeTo(0.7225, 9),
      cells: 105,
    });
    const bad = await post('/api/sowing', {
      germination: 85,
      perCell: 2,
      wantedPlants: 100,
      confidence: 0.95,
    });
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'germination']);
  });
});

describe('bad input', () => {
  const part = { material: 'peat-fine', parts: 1 };
  const many = Array.from({ length: 10_000 }, () => ({ material: 'x', parts: 1 }));
  test.each<[string, object | string, number, string, string]>([
    [
      'negative parts',
      { ...body, components: [{ ...part, parts: -1 }] },
      400,
      'components.0.parts',
      'from 0.0001 to 1000',
    ],
    [
      'zero parts',
      { ...body, components: [{ ...part, parts: 0 }] },
      400,
      'components.0.parts',
      'from 0.0001 to 1000',
    ],
    [
      'huge parts',
      { ...body, components: [{ ...part, parts: 1e12 }] },
      400,
      'components.0.parts',
      'from 0.0001 to 1000',
    ],
    [
      'parts past any number',
      JSON.stringify(body).replace('"parts":5', '"parts":1e999'),
      400,
      'components.0.parts',
      'from 0.0001 to 1000',
    ],
    ['words for numbers', { ...body, compactionPct: 'NaN' }, 400, 'compactionPct', 'from 0 to 50'],
    ['no components', { ...body, components: [] }, 400, 'components', '1 to 30 materials'],
    [
      'an unknown material',
      { ...body, components: [{ ...part, material: 'moondust' }] },
      400,
      'components.0.material',
      'peat-fine',
    ],
    [
      'an unknown amendment',
      { ...body, amendments: [{ amendment: 'salt', gPerL: 1 }] },
      400,
      'amendments.0.amendment',
      'lime-dolomitic',
    ],
    ['an unknown key', { ...body, colour: 'green' }, 400, 'colour', 'nothing here has this name'],
    [
      'an unknown stage',
      { ...body, stage: 'sprouting' },
      400,
      'stage',
      'germination, rooting, seedling, potting',
    ],
    [
      'headspace that leaves nothing',
      { ...body, vessel: { ...vessel, headspaceMm: 57 } },
      400,
      'vessel.headspaceMm',
      'from 0 to 52',
    ],
    [
      'a target out of reach',
      { ...body, limeToPh: { amendment: 'lime-dolomitic', ph: 9 } },
      400,
      'limeToPh.ph',
      'from 3.5 to 8',
    ],
    [
      'lime that is none',
      { ...body, limeToPh: { amendment: 'gypsum', ph: 6 } },
      400,
      'limeToPh.amendment',
      'neutralises acid',
    ],
    [
      'ten thousand components',
      { ...body, components: many.slice(0, 5000) },
      400,
      'components',
      '1 to 30 materials',
    ],
  ])('%s', async (_, sent, status, path, allowed) => {
    const answer = await post('/api/evaluate', sent);
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    expect(answer.body).toMatchObject({
      status,
      title: expect.any(String),
      detail: expect.stringContaining(labelOf(path)),
    });
    const issue = answer.body.issues.find((i: { path: string }) => i.path === path);
    expect(issue.allowed).toContain(allowed);
    expect(issue).toHaveProperty('value');
  });

  test('a material that contradicts itself', async () => {
    const dry = { ...described, totalPorosityPct: 60 };
    const { status, body: answer } = await post('/api/evaluate', {
      ...body,
      components: [{ parts: 1, properties: dry }],
    });
    expect([status, answer.detail]).toEqual([400, expect.stringContaining('not “60, 75.5, 46, 39”')]);
  });

  test.each([
    ['malformed JSON', '{"stage":', 'application/json', 400],
    ['a bare number', '3', 'application/json', 400],
    ['an empty body', '', 'application/json', 400],
    ['the wrong content type', 'stage=potting', 'application/x-www-form-urlencoded', 415],
    ['plain text', '{}', 'text/plain', 415],
    ['a body over the limit', JSON.stringify({ ...body, components: many }), 'application/json', 413],
  ])('%s', async (_, sent, type, status) => {
    const answer = await request(app).post('/api/evaluate').set('content-type', type).send(sent);
    expect([answer.status, answer.type]).toEqual([status, 'application/problem+json']);
    expect(answer.body.status).toBe(status);
  });

  test('litres and vessels exclude each other', async () => {
    const answer = await post('/api/batch-sheet', { ...body, litres: 5, vessels: 5 });
    expect([answer.status, answer.body.issues[0].path]).toEqual([400, 'litres']);
  });

  test('an unknown endpoint and an unknown page', async () => {
    expect((await request(app).get('/api/nothing')).status).toBe(404);
    expect((await request(app).get('/nowhere.js')).type).toBe('application/problem+json');
  });
});

test('what is refused is said by its label in the reader’s units; the path and its range stay those of the API', async () => {
  const sent = { ...body, vessel: { ...body.vessel, depthMm: 9000 } };
  const plain = (text: string): string => text.replaceAll(/[\u00a0\u202f]/g, ' ');
  for (const [units, says] of [
    ['metric', 'Depth must be from 5 mm to 2 000 mm, not 9 000 mm'],
    ['us', 'Depth must be from 0.20 in to 78 ¾ in, not 354 ¼ in'],
  ] as const) {
    const { body: answer } = await post('/api/evaluate', sent).set('welcome-units', units).expect(400);
    expect(plain(answer.detail as string)).toBe(says);
    expect(answer.issues[0]).toEqual({
      ...{ path: 'vessel.depthMm', value: 9000 },
      allowed: 'must be a number from 5 to 2000',
    });
  }
});

describe('POST /api/advise', () => {
  const wet = {
    ...{ stage: 'germination', vessel: { shape: 'rect', topMm: [20, 20], baseMm: [13, 13], depthMm: 28 } },
    components: [
      { material: 'peat-fine', parts: 3 },
      { material: 'sand-fine', parts: 2 },
    ],
    limeToPh: { amendment: 'lime-dolomitic', ph: 5.8 },
  };
  const evaluated = async (recipe: object) => (await request(app).post('/api/evaluate').send(recipe)).body;
  interface Code {
    code: string;
    severity: string;
  }

  test('one finding a subject; what a way promises is what its recipe is evaluated to; the mend leaves nothing loud', async () => {
    const { status, body: advice } = await request(app)
      .post('/api/advise')
      .send({ ...wet, shelf: ['peat-fine', 'perlite-coarse', 'vermiculite-medium'] });
    expect(status).toBe(200);
    expect(adviseAnswerSchema.strict().safeParse(advice).success).toBe(true);
    expect(advice.verdict).toBe('stop');
    const [air] = advice.findings;
    expect(air).toMatchObject({ subject: 'air', severity: 'stop' });
    expect(air.ways[0].text).toMatch(/^Add 1\spart of coarse perlite: air 0\.3\s% → 3\.8\s%\.$/);
    for (const finding of advice.findings)
      for (const way of finding.ways) {
        const after = await evaluated(way.recipe);
        const codes = after.flags.map(({ code }: Code) => code);
        expect(finding.codes.filter((code: string) => codes.includes(code))).toEqual([]);
        for (const reading of after.readings)
          if (way.readings[reading.id] !== undefined)
            expect(way.readings[reading.id]).toBeCloseTo(reading.value, 9);
      }
    const mended = await evaluated(advice.mend.recipe);
    expect(mended.flags.filter(({ severity }: Code) => severity !== 'note')).toEqual([]);
    // What is not named is not reached for, unless nothing that is does it.
    expect(JSON.stringify(advice.mend.recipe)).not.toContain('rice-hulls');
  });

  test('a material by its own figures comes back as it was sent; a family that is never used is not offered', async () => {
    const own = { properties: described, parts: 3 };
    const { body: advice } = await request(app)
      .post('/api/advise')
      .send({ ...wet, components: [own, wet.components[1]], never: ['perlite', 'hulls'] });
    const ways = advice.findings.flatMap((finding: { ways: { recipe: typeof wet }[] }) => finding.ways);
    expect(ways.length).toBeGreaterThan(0);
    for (const { recipe } of ways) {
      expect(JSON.stringify(recipe)).not.toMatch(/perlite|hulls/);
      const given = recipe.components.find((c: object) => 'properties' in c);
      if (given) expect(given).toMatchObject({ properties: described });
      expect((await request(app).post('/api/evaluate').send(recipe)).status).toBe(200);
    }
  });

  test('in the units of the reader; what is unknown is named', async () => {
    const salty = { ...wet, amendments: [{ amendment: 'calcium-nitrate', gPerL: 6 }] };
    const { body } = await request(app).post('/api/advise').set('welcome-units', 'us').send(salty);
    expect(
      JSON.stringify(body.findings.map((f: { ways: { text: string }[] }) => f.ways.map((w) => w.text))),
    ).toMatch(/lb\/yd³/);
    const bad = await request(app)
      .post('/api/advise')
      .send({ ...wet, components: [{ material: 'moon-dust', parts: 1 }] });
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'components.0.material']);
  });
});
