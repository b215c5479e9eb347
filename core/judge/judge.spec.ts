import { judgeMix } from '#core/judge/judge';
import { type Severity } from '#core/judge/flag';
import { stages } from '#core/judge/stage';
import { stageWindows } from '#core/judge/windows';
import { recipe, type RecipeSketch } from '#core/testing/recipe';
import { readOut } from '#core/units/said';

type Case = [code: string, severity: Severity, parts: Record<string, number>, sketch: RecipeSketch];
const good: Record<string, number> = { 'peat-fine': 5, 'perlite-fine': 2, 'vermiculite-fine': 1 };
const flags = (parts: Record<string, number>, sketch: RecipeSketch) => judgeMix(recipe(parts, sketch)).flags;

/** Plain cases of the field: each raises its flag, and the sound recipe below raises none of them. */
const raised: Case[] = [
  ['lime-overdose', 'stop', good, { doses: { 'lime-dolomitic': 12 } }],
  ['lime-overdose', 'warn', good, { doses: { 'lime-dolomitic': 5.2 } }],
  ['carbonate-ceiling', 'warn', good, { doses: { 'lime-dolomitic': 40 } }],
  ['lime-underdose', 'stop', { 'peat-fine': 1 }, {}],
  ['lime-underdose', 'warn', good, { doses: { 'lime-dolomitic': 2 } }],
  ['lime-wrong-direction', 'stop', { 'vermiculite-fine': 1, 'perlite-fine': 1 }, { doses: { chalk: 1 } }],
  ['lime-wrong-direction', 'warn', { compost: 1, 'perlite-fine': 1 }, { stage: 'potting', limeToPh: 5.8 }],
  ['lime-hydrated', 'stop', good, { doses: { 'lime-hydrated': 2 } }],
  ['wood-ash', 'warn', good, { doses: { 'wood-ash': 5 } }],
  ['lime-pellets', 'warn', good, { limeToPh: 5.8, lime: 'lime-dolomitic-pellet' }],
  ['lime-pellets', 'note', good, { limeToPh: 5.8, lime: 'lime-dolomitic-pellet', vessel: 'pot-15' }],
  ['no-magnesium', 'warn', { 'coir-pith': 1, 'peat-fine': 1 }, { limeToPh: 5.8, lime: 'chalk' }],
  ['ph-high', 'stop', { 'vermiculite-fine': 1, 'perlite-fine': 1 }, {}],
  ['air-low', 'stop', { 'peat-fine': 1 }, { vessel: 'cell-288', limeToPh: 5.8 }],
  ['air-high', 'warn', { 'perlite-coarse': 3, 'peat-coarse': 1 }, { vessel: 'pot-15', limeToPh: 5.8 }],
  ['block-air-high', 'warn', { 'perlite-coarse': 1 }, { vessel: 'block-50' }],
  ['block-air-low', 'warn', { loam: 1 }, { vessel: 'block-40', compaction: 0.15 }],
  ['cohesion-low', 'stop', { 'perlite-coarse': 2, 'peat-fine': 1 }, { vessel: 'block-50' }],
  ['particles-large', 'stop', { 'peat-coarse': 1 }, { vessel: 'cell-288' }],
  ['particles-large', 'warn', { 'peat-medium': 1 }, {}],
  ['salts-high', 'stop', good, { limeToPh: 5.8, doses: { 'calcium-nitrate': 3 } }],
  ['salts-high', 'stop', { compost: 1 }, {}],
  ['nitrogen-high', 'warn', good, { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.5 } }],
  ['nitrogen-high', 'stop', good, { limeToPh: 5.8, doses: { 'calcium-nitrate': 3 } }],
  ['nitrogen-low', 'note', good, { stage: 'potting', limeToPh: 5.8 }],
  ['living-at-germination', 'warn', { 'peat-fine': 3, castings: 1 }, { limeToPh: 5.8 }],
  ['dust', 'note', good, {}],
  ['oxidiser', 'note', good, { doses: { 'potassium-nitrate': 0.1 } }],
  ['legionella', 'note', { 'peat-fine': 3, compost: 1 }, {}],
];

test.each(raised)('%s is raised as %s (%#)', (code, severity, parts, sketch) => {
  expect(flags(parts, sketch)).toContainEqual(expect.objectContaining({ code, severity }));
});

test('a sound seed mix raises only the note on dust', () => {
  expect(flags(good, { limeToPh: 5.8 }).map((f) => f.code)).toEqual(['dust']);
});

test('damp mineral grit raises no dust, lime or living flag', () => {
  const codes = flags({ 'peat-black': 3 }, { stage: 'rooting', vessel: 'pot-11' }).map((f) => f.code);
  for (const silent of ['dust', 'legionella', 'oxidiser', 'lime-overdose', 'living-at-germination'])
    expect(codes).not.toContain(silent);
});

test('thirty times too much lime is a stop that says thirty', () => {
  const right = judgeMix(recipe(good, { limeToPh: 5.8 })).evaluation.lime!.gPerL;
  const over = flags(good, { doses: { 'lime-dolomitic': right * 30 } }).find(
    (f) => f.code === 'lime-overdose',
  )!;
  expect(over.severity).toBe('stop');
  expect(readOut(over.text, 'metric')).toContain('30 times');
  expect(over.fix).toEqual({ kind: 'limeToPh', amendment: 'lime-dolomitic', ph: 5.8 });
});

test('every flag says why and offers a way out; the worst come first', () => {
  for (const [, , parts, sketch] of raised) {
    const all = flags(parts, sketch);
    const order = all.map((f) => ['stop', 'warn', 'note'].indexOf(f.severity));
    expect(order).toEqual([...order].sort());
    for (const f of all) {
      expect(readOut(f.text, 'us').length).toBeGreaterThan(15);
      expect(readOut(f.remedy, 'us').length).toBeGreaterThan(10);
      expect(readOut(f.text, 'metric') + readOut(f.remedy, 'metric')).not.toMatch(/NaN|undefined|Infinity/);
    }
  }
});

test('a pressed block is judged by air after dry-down and by binding, not by air when fresh', () => {
  const ids = judgeMix(recipe({ 'peat-black': 1 }, { vessel: 'block-50' })).readings.map((r) => r.id);
  expect(ids).toEqual(['airAfterDrydown', 'cohesion', 'ph', 'ecSaturated', 'n', 'largestParticle']);
});

test('more than a quarter compost moves the pH window', () => {
  const ph = (parts: Record<string, number>) =>
    judgeMix(recipe(parts, { stage: 'potting' })).readings.find((r) => r.id === 'ph')!;
  expect([ph({ 'peat-fine': 2, compost: 1 }).low, ph({ 'peat-fine': 3, compost: 1 }).low]).toEqual([
    6.0, 5.5,
  ]);
});

test('windows open upwards and name their source', () => {
  for (const stage of stages) {
    for (const window of Object.values(stageWindows[stage])) {
      expect(window.low).toBeLessThan(window.high);
      expect(window.source.length).toBeGreaterThan(5);
    }
  }
});
