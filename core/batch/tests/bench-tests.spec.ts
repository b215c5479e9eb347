import { metric } from '#testing/readers';
import { read } from '#words/read';
import { type TestContext } from '#core/batch/tests/bench-test';
import { runBenchTest } from '#core/batch/tests/bench-tests';
import { particleDensityGPerL } from '#core/material/particle-density';
import { batchSheet } from '#core/batch/sheet';
import { orderOfWork } from '#core/batch/order-of-work';
import { loadsOf } from '#core/batch/work';
import { usualKit } from '#core/batch/kit';
import { judgeMix } from '#core/judge/judge';
import { published } from '#testing/published';
import { recipe } from '#testing/recipe';

const context: TestContext = {
  stage: 'germination',
  ph: { low: 5.5, high: 6 },
  totalPorosity: 0.92,
  drainedWater: 0.8,
  dryBulkDensityGPerL: 110,
  targetSaturation: 0.45,
  looseLitres: 100,
};

test('air by filling and draining is the air volume of EN 13041 on a worked example', () => {
  // EN 13041: a ring of 500 mL, 60 g dry of which 10 % ash, 410 g at 10 cm of suction.
  const density = particleDensityGPerL(0.1);
  const pores = 100 * (1 - 60 / 0.5 / density);
  const water = (100 * (410 - 60)) / 500;
  // The same sample full to the brim and drained loses what lies between its pores and that water.
  const ours = runBenchTest('air', { volumeMl: 500, drainedMl: (500 * (pores - water)) / 100 }, context);
  published({
    what: 'air volume of a 500 mL ring, 120 g/L, 10 % ash, 70 % water',
    source: 'EN 13041: AV = TPS − WV, particle density from ash (from memory)',
    published: 100 - 12_000 * (0.9 / 1550 + 0.1 / 2650) - 70,
    ours: ours.value,
    unit: '%',
    within: 1e-9,
  });
  expect(ours.verdict).toBe('high');
});

test.each<[string, Parameters<typeof runBenchTest>[0], Record<string, number | string>, number, string]>([
  ['squeeze', 'squeeze', { grade: 'clump' }, 40, 'ok'],
  ['squeeze, dust', 'squeeze', { grade: 'dusty' }, 7.5, 'low'],
  ['drain', 'drain', { pondS: 2, throughS: 6 }, 2, 'ok'],
  ['drain, ponds', 'drain', { pondS: 25, throughS: 60 }, 25, 'high'],
  // 60 − 20 falls to 50 − 20 in an hour: rate ln(4/3); to 30 it takes ln 4 / ln(4/3) = 4.82 h, one is gone.
  [
    'cooling',
    'cooling',
    { startC: 60, laterC: 50, minutes: 60, ambientC: 20 },
    Math.log(4) / Math.log(4 / 3) - 1,
    'ok',
  ],
  // As warm around it as it may be sown: it never cools, and says so.
  ['never cools', 'cooling', { startC: 60, laterC: 50, minutes: 60, ambientC: 32 }, 32, 'ok'],
  ['fill weight', 'fill', { volumeMl: 500, emptyG: 20, filledG: 282 }, 524, 'ok'],
  ['moisture', 'moisture', { dishG: 50, wetG: 150, dryG: 75 }, 75, 'ok'],
  ['pH', 'ph', { ph: 6.4 }, 6.4, 'high'],
  ['oversize', 'screen', { sampleG: 200, overG: 8 }, 4, 'ok'],
  ['yield', 'yield', { finishedL: 86 }, 14, 'ok'],
])('%s, by hand', (_, id, values, value, verdict) => {
  const result = runBenchTest(id, values, context);
  expect(result.value).toBeCloseTo(value, 9);
  expect(result.verdict).toBe(verdict);
  expect(read({ say: `test.${id}.says`, with: result }, metric).length).toBeGreaterThan(3);
});

test('a pen in the 1:2 extract is read as the saturated one', () => {
  // Same salts in 2.8 L of water as in 0.92.
  expect(runBenchTest('ec', { ec: 0.2, method: 'oneToTwo' }, context).value).toBeCloseTo(
    (0.2 * 2.8) / 0.92,
    9,
  );
});

test.each<[Parameters<typeof runBenchTest>[0], Record<string, number | string>, string]>([
  ['cooling', { startC: 60, laterC: 70, minutes: 10, ambientC: 20 }, 'laterC must be between'],
  ['ph', { ph: 19 }, 'ph must be a number from 2.5 to 11, was 19'],
  ['fill', { volumeMl: 100, emptyG: -3, filledG: 5 }, 'emptyG must be a number from 0 to 50000, was -3'],
  ['fill', { volumeMl: 100, emptyG: 9, filledG: 5 }, 'filledG must be more than empty'],
  ['moisture', { dishG: 50, wetG: 60, dryG: 75 }, 'wetG must be at least dry'],
  ['air', { volumeMl: 100, drainedMl: 95 }, 'drainedMl must be nine tenths of pot'],
  ['screen', { sampleG: 10, overG: 11 }, 'overG must be most sample'],
  ['yield', { finishedL: 30 }, 'half of scooped'],
  ['drain', { pondS: 30, throughS: 4 }, 'throughS must be since it stood'],
  ['ec', { ec: 1 }, 'method must be one of saturated, displaced, oneToTwo, oneToFive, was "missing"'],
  ['ph', { ph: 6, mood: 3 }, 'mood must be one of ph'],
])('%s %j is refused by name', (id, values, message) => {
  expect(() => runBenchTest(id, values, context)).toThrow(message);
});

describe('order of work', () => {
  const work = (parts: Record<string, number>, litres: number, kit = usualKit, sketch = {}) => {
    const judgement = judgeMix(recipe(parts, { limeToPh: 5.8, ...sketch }));
    const sheet = batchSheet(judgement.evaluation, litres, 'sowing');
    return { sheet, steps: orderOfWork(judgement, sheet, 'sowing', kit) };
  };
  const text = (steps: ReturnType<typeof orderOfWork>, id: string): string =>
    read(steps.find((s) => s.id === id)!.text, metric);

  test('more than the tub holds goes in loads, and the loads are all of it', () => {
    const { sheet, steps } = work({ 'peat-fine': 3, 'perlite-fine': 1 }, 150);
    const loose = sheet.components.reduce((s, c) => s + c.looseLitres, 0);
    const loads = loadsOf(sheet, usualKit);
    expect(loads).toBe(Math.ceil(loose / 60));
    expect(steps.find((s) => s.id === 'layer')!.times).toBe(loads);
    const peat = Number(/four layers: ([\d.]+)/.exec(text(steps, 'layer'))![1]);
    expect(peat * 4 * loads).toBeCloseTo(sheet.components[0]!.looseLitres, 0);
    // Sand: the weight decides before the tub does.
    const heavy = work({ 'sand-sharp': 1 }, 50).sheet;
    expect(loadsOf(heavy, usualKit)).toBeGreaterThan(Math.ceil(50 / 60));
  });

  test('bricks get warm water, organic feed gets rest, lime a date, heat a clock', () => {
    const { steps } = work(
      { 'coir-pith': 3, 'perlite-fine': 1 },
      40,
      { ...usualKit, heat: 'boiling' },
      {
        stage: 'potting',
        doses: { 'blood-meal': 1, 'lime-dolomitic': 1 },
      },
    );
    expect(steps.find((s) => s.id === 'hydrate')!.timerMin).toBe(30);
    expect(steps.find((s) => s.id === 'rest')!.waitDays).toBe(14);
    expect(steps.find((s) => s.id === 're-test')).toMatchObject({ waitDays: 7, test: 'ph' });
    expect(steps.find((s) => s.id === 'heat')).toMatchObject({ timerMin: 30 });
    expect(text(steps, 'heat')).toMatch(/boiling water on it, about \d+\s+kettles?/);
  });
});
