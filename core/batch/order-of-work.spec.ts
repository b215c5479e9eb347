import { metric } from '#testing/readers';
import { read } from '#words/read';
import fc from 'fast-check';
import { type Heat, heats, usualKit } from '#core/batch/kit';
import { orderOfWork } from '#core/batch/order-of-work';
import { wetKg } from '#core/batch/work';
import { batchSheet, type BatchSheet } from '#core/batch/sheet';
import { type Step } from '#core/batch/step';
import { judgeMix } from '#core/judge/judge';
import { usualMoisture } from '#core/mix/moisture';
import { type Stage, stages } from '#core/mix/stage';
import { recipe, type RecipeSketch } from '#testing/recipe';

function work(
  parts: Record<string, number>,
  sketch: RecipeSketch = {},
  heat: Heat = 'none',
): { steps: Step[]; sheet: BatchSheet; at: (id: string) => number; text: (id: string) => string } {
  const judgement = judgeMix(recipe(parts, sketch));
  const moisture = usualMoisture(judgement.input.vessel);
  const sheet = batchSheet(judgement.evaluation, 40, moisture);
  const steps = orderOfWork(judgement, sheet, moisture, { ...usualKit, heat });
  return {
    steps,
    sheet,
    at: (id) => steps.findIndex((s) => s.id === id),
    text: (id) => read(steps.find((s) => s.id === id)?.text ?? [], metric).replaceAll('\u00a0', ' '),
  };
}
const litresIn = (text: string): number[] => [...text.matchAll(/([\d.]+) L\b/g)].map((m) => Number(m[1]));

test('boiling water is taken off the water that is poured on: together they are what the sheet says', () => {
  const { text, sheet } = work({ 'peat-medium': 4, 'perlite-coarse': 2 }, {}, 'boiling');
  const [hot] = litresIn(text('heat'));
  const cold = litresIn(text('water'))[0] ?? 0;
  expect(hot).toBeGreaterThan(0);
  if (cold > 0) expect(hot! + cold).toBeCloseTo(sheet.waterLitres, 1);
  else {
    expect(hot).toBeGreaterThan(sheet.waterLitres * 0.98);
    if (hot! > sheet.waterLitres * 1.02) expect(text('heat')).toContain('too wet');
  }
  expect(text('heat')).not.toContain('in place of');
});

test.each(heats)('heat by %s has its own words; feed goes in when all is cool', (heat) => {
  const { at, text } = work(
    { 'peat-medium': 4, compost: 1 },
    { stage: 'potting', doses: { 'blood-meal': 1 } },
    heat,
  );
  expect(at('heat') >= 0).toBe(heat !== 'none');
  if (heat === 'none') return;
  expect(text('heat')).toMatch({ boiling: /boiling water/, oven: /oven/, steam: /Steam it/ }[heat]);
  expect([at('layer') < at('heat'), at('heat') < at('cool'), at('cool') < at('pre-blend')]).toEqual([
    true,
    true,
    true,
  ]);
  expect(text('layer')).not.toContain('blend');
});

test('what is screened is screened dry, before anything is sprinkled; the carrier of the doses is kept back', () => {
  const { at, text } = work(
    { 'peat-coarse': 4, 'perlite-coarse': 2 },
    { vessel: 'cell-288', doses: { gypsum: 1 } },
  );
  expect(at('screen')).toBeGreaterThanOrEqual(0);
  expect(at('screen')).toBeLessThan(at('damp-down'));
  expect(text('damp-down')).toContain('Save one dry scoop');
  expect(text('pre-blend')).toContain('one dry scoop');
});

test('bricks never take more water than the batch does, and what they take is said off the rest', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 0, max: 9 }),
      fc.constantFrom('cell-72', 'block-50', 'pot-15'),
      (coir, perlite, vessel) => {
        const parts = { 'coir-pith': coir, ...(perlite > 0 && { 'perlite-fine': perlite }) };
        const { text, sheet } = work(parts, { vessel });
        const [bricks, off = 0] = litresIn(text('hydrate'));
        const loose = sheet.components.find((c) => c.material === 'coir-pith')!;
        const all = sheet.waterLitres + loose.massKg;
        expect(bricks!).toBeLessThanOrEqual(all * 1.01);
        expect(off).toBeLessThanOrEqual((litresIn(text('water'))[0] ?? 0) * 1.01 + 0.01);
      },
    ),
  );
});

test('pH is asked on two days, each with its own box; lifting is a caution, no step to tick', () => {
  const { steps } = work({ 'peat-fine': 4, 'sand-sharp': 2 }, { limeToPh: 5.8 });
  expect(steps.filter((s) => s.test === 'ph').map((s) => s.waitDays)).toEqual([7, 14]);
  expect(steps.map((s) => s.id)).not.toContain('lift');
  expect(read(steps.find((s) => s.id === 'layer')!.caution!, metric)).toContain('Lift at most');
});

test('the weight that is lifted has the doses in it', () => {
  const { sheet } = work({ 'peat-fine': 1 }, { doses: { 'lime-dolomitic': 50 } });
  const without = { ...sheet, amendments: [] };
  expect(wetKg(sheet) - wetKg(without)).toBeCloseTo(2, 9);
});

test('no step says what another forbids', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<Stage>(...stages),
      fc.constantFrom('cell-288', 'cell-72', 'pot-9', 'block-50'),
      fc.constantFrom(...heats),
      fc.integer({ min: 0, max: 30 }),
      fc.uniqueArray(fc.constantFrom('peat-fine', 'coir-pith', 'perlite-coarse', 'compost', 'sand-sharp'), {
        minLength: 1,
      }),
      (stage, vessel, heat, firm, ids) => {
        const { steps } = work(
          Object.fromEntries(ids.map((id, i) => [id, i + 1])),
          { stage, vessel, compaction: firm / 100, doses: { 'blood-meal': 1, 'lime-dolomitic': 1 } },
          heat,
        );
        const all = steps.map((s) =>
          [s.text, s.why ?? [], s.caution ?? []].map((t) => read(t, metric)).join(' '),
        );
        const whole = all.join('\n');
        expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
        if (/firm by [1-9]|push several times/.test(whole)) expect(whole).not.toContain('Do not press');
        if (stage !== 'germination') expect(whole).not.toContain('before you sow');
        if (ids.length === 1) expect(whole).not.toContain('fill the gaps');
        expect(whole).not.toMatch(/\b1 (kettles|loads|parts)\b|NaN|Infinity|undefined/);
      },
    ),
  );
});
