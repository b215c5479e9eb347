import { bindingWindow, differences, missingMaterial, neighboursOf } from '#core/finder/compare';
import { correctBatch, type BatchState } from '#core/batch/correct';
import { STEP } from '#core/finder/aims';
import { formulated, searchAll, fastAndLimits, type FinderJob } from '#core/finder/formulate';
import { swapMaterial, swapsFor } from '#core/finder/swap';
import { judgeMix } from '#core/judge/judge';
import { limeNeededMeqPerL } from '#core/mix/ph';
import { evaluateMix } from '#core/mix/evaluate';
import { finderJob } from '#testing/finder';
import { amendment, library, material, materials, vesselKind } from '#testing/library';
import { recipe } from '#testing/recipe';

const job = (ids: string[], vessel = 'cell-72'): FinderJob =>
  finderJob(ids, { maxTotal: 8, vessel: vesselKind(vessel).vessel });
const help = { lime: amendment('lime-dolomitic'), gypsum: amendment('gypsum') };

describe('why a recipe is where it is', () => {
  const j = job(['peat-fine', 'perlite-fine', 'vermiculite-fine']);
  const { fast, limits } = fastAndLimits(j);
  const best = searchAll(fast, limits, 5).best;
  const first = formulated(j, fast, best[0]!.parts);

  test('the best of all has no better neighbour within its limits', () => {
    const total = best[0]!.parts.reduce((a, b) => a + b, 0);
    const neighbours = neighboursOf(j, fast, best[0]!.parts);
    expect(neighbours.length).toBeGreaterThan(3);
    for (const n of neighbours) {
      if (total + n.by <= j.maxTotal) expect(n.scoreChange).toBeGreaterThan(-1e-9);
      const changed: Record<string, number> = { ...first.parts };
      changed[n.material] = (changed[n.material] ?? 0) + n.by;
      if (changed[n.material] === 0) delete changed[n.material];
      // Told by the model itself: the same one part changed.
      if (n.moves.id === 'air')
        expect(n.moves.by).toBeCloseTo(
          (evaluateMix(recipe(changed)).drained.air - first.judgement.evaluation.drained.air) * 100,
          6,
        );
    }
  });

  test('the window that binds costs most', () => {
    expect(bindingWindow(j, first)).toBeNull();
    const wet = formulated(j, fast, [1, 0, 0]);
    expect(bindingWindow(j, wet)).toMatchObject({ id: 'air' });
    expect(bindingWindow(j, wet)!.costs).toBeLessThanOrEqual(wet.score + STEP);
  });

  test('what is missing: coarse air for a fast that has none', () => {
    const wet = job(['peat-fine', 'vermiculite-fine']);
    const rooting = { ...wet, stage: 'rooting' as const };
    const made = fastAndLimits(rooting);
    const only = formulated(rooting, made.fast, searchAll(made.fast, made.limits, 1).best[0]!.parts);
    const missing = missingMaterial(rooting, only, materials)!;
    expect(['air', 'weight']).toContain(missing.material.role);
    expect(missing.score).toBeLessThan(missing.was);
    expect(missingMaterial(rooting, only, [])).toBeNull();
  });

  test('what is missing: the finer grade in place of the coarse one', () => {
    const coarse = job(['peat-medium', 'perlite-coarse'], 'cell-288');
    const made = fastAndLimits(coarse);
    const only = formulated(coarse, made.fast, [2, 1]);
    const missing = missingMaterial(coarse, only, materials)!;
    expect(missing.instead?.id).toBe('peat-medium');
    expect(missing.material.maxParticleMm).toBeLessThanOrEqual(6);
  });

  test('differences: changed verdicts first', () => {
    const a = judgeMix(recipe({ 'peat-fine': 1 }, { vessel: 'cell-288' })).readings;
    const b = judgeMix(recipe({ 'peat-fine': 1, 'perlite-coarse': 2 }, { vessel: 'pot-15' })).readings;
    const d = differences(a, b);
    expect(d.length).toBeGreaterThan(1);
    const turned = d.map((x) => x.from.verdict !== x.to.verdict);
    expect(turned).toEqual([...turned].sort((x, y) => Number(y) - Number(x)));
    expect(differences(a, a)).toEqual([]);
  });
});

describe('swap', () => {
  const now = judgeMix(
    recipe(
      { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
      { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 } },
    ),
  );

  test('peat to coir: lime goes down, calcium comes in, pH and nitrogen stay', () => {
    const swap = swapMaterial(now, 'peat-fine', material('coir-pith'), help);
    const after = swap.judgement.evaluation;
    expect(swap.components.map((c) => c.material.id)).not.toContain('peat-fine');
    expect(swap.components.map((c) => c.material.id)).toContain('coir-pith');
    const lime = after.lime?.gPerL ?? 0;
    expect(lime).toBeLessThan(0.3 * now.evaluation.lime!.gPerL);
    // Parts of coir stand at 6.2 with vermiculite: lime cannot lower it.
    expect(Math.abs(after.ph - 5.8)).toBeLessThan(0.6);
    expect(Math.abs(after.elementsMgPerL.n - now.evaluation.elementsMgPerL.n)).toBeLessThan(20);
  });

  test('coir that brings more potassium than there is calcium gets gypsum', () => {
    const fed = judgeMix(
      recipe({ 'peat-fine': 4, 'perlite-coarse': 1 }, { doses: { 'potassium-nitrate': 0.2 } }),
    );
    const swap = swapMaterial(fed, 'peat-fine', material('coir-pith'), help);
    const gypsum = swap.amendments.find((d) => d.amendment.id === 'gypsum')!;
    expect(gypsum.gPerL).toBeGreaterThan(0);
    expect(swap.judgement.flags.map((f) => f.code)).not.toContain('coir-calcium');
  });

  test('perlite to rice hulls or pumice: air as before', () => {
    for (const to of ['rice-hulls', 'pumice']) {
      const swap = swapMaterial(now, 'perlite-coarse', material(to), help);
      expect(Math.abs(swap.judgement.evaluation.drained.air - now.evaluation.drained.air)).toBeLessThan(0.04);
      expect(swap.judgement.evaluation.ph).toBeCloseTo(now.evaluation.ph, 6);
    }
  });

  test('out of it: the most alike first, and what could not be matched is told', () => {
    const all = swapsFor(now, 'perlite-coarse', materials, help);
    expect(all[0]!.to.role).not.toBe('food');
    expect(all[0]!.unmatched).toEqual([]);
    const counts = all.map((s) => s.unmatched.length);
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    const loam = all.find((s) => s.to.id === 'compost')!;
    expect(loam.unmatched.length).toBeGreaterThan(0);
  });

  test('part for part: two parts of perlite are two of pumice, all else as it was, and what comes of it is told', () => {
    const { plain } = swapMaterial(now, 'perlite-coarse', material('pumice'), help);
    expect(plain!.components.map((c) => [c.material.id, c.parts])).toEqual([
      ['peat-fine', 4],
      ['pumice', 2],
      ['vermiculite-medium', 1],
    ]);
    expect(plain!.amendments).toEqual(now.input.amendments);
    const made = judgeMix(
      recipe(
        { 'peat-fine': 4, pumice: 2, 'vermiculite-medium': 1 },
        { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 } },
      ),
    );
    expect(plain!.judgement.evaluation.drained.air).toBeCloseTo(made.evaluation.drained.air, 9);
    for (const { id, value } of plain!.judgement.readings)
      expect([id, value]).toEqual([id, made.readings.find((r) => r.id === id)!.value]);
    const off = plain!.unmatched.map(({ id }) => id);
    for (const r of now.readings) {
      const is = made.readings.find(({ id }) => id === r.id)!;
      if (r.verdict === 'ok' && is.verdict !== 'ok') expect(off).toContain(r.id);
    }
  });

  test('what is not in the mix cannot be swapped', () => {
    expect(() => swapMaterial(now, 'loam', material('coir-pith'), help)).toThrow(
      'from must be one of peat-fine',
    );
    expect(() => swapMaterial(now, 'peat-fine', material('peat-fine'), help)).toThrow(
      'to must be another material',
    );
  });
});

describe('correct a batch', () => {
  const input = recipe(
    { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
    { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 } },
  );
  const e = evaluateMix(input);
  const fast = ['perlite-coarse', 'peat-fine', 'sand-sharp'].map(material);
  const plan = (measured: Partial<BatchState>) =>
    correctBatch({ input, litres: 100, ...measured }, fast, amendment('lime-dolomitic'), 'sowing');

  test('nothing wrong, nothing to do', () => {
    expect(plan({ airPct: 6.5, ph: 5.8, ecSaturatedMSPerCm: 0.32, saturation: 0.45 })).toMatchObject({
      doNotSave: null,
      steps: [],
      litresAfter: 100,
    });
  });

  test('too sour: lime by the buffer, by hand', () => {
    const { steps } = plan({ ph: 5.2 });
    // Middle of 5.5–6.0, to a tenth, is 5.8; the sum of buffer over lime's share (model § 23) × 100 L at 16.3 meq/g.
    const { a, b } = e.acidity;
    const meqPerL = Array.from({ length: 600 }, (_, i) => 5.2 + (i + 0.5) / 1000)
      .map((ph) => ((b - a * ph) * 0.001) / (1 - 10 ** (-0.5 * (7.5 - ph))))
      .reduce((sum, each) => sum + each, 0);
    const grams = (meqPerL * 100) / ((1000 / 50.04) * 1.02 * 0.8);
    expect(steps).toEqual([expect.objectContaining({ kind: 'addLime', grams: expect.closeTo(grams, 2) })]);
  });

  test('a little too sweet: sour peat, and the batch grows', () => {
    const p = plan({ ph: 6.4 });
    expect(p.steps[0]).toMatchObject({ kind: 'addMaterial', material: { id: 'peat-fine' } });
    expect(p.after.ph).toBeLessThanOrEqual(6);
    expect(p.litresAfter).toBeGreaterThan(105);
    expect(p.litresAfter).toBeLessThan(200);
  });

  test('over-limed: the litres of peat are those that Mix says, and made so from scratch it is right', () => {
    const over = recipe(
      { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
      { doses: { 'lime-dolomitic': 7 } },
    );
    const is = evaluateMix(over);
    const { flags } = judgeMix(over, { library });
    const overdose = flags.find(({ code }) => code === 'lime-overdose')!;
    const said = overdose.remedy.flatMap((piece) =>
      typeof piece === 'object' && 'volumeL' in piece ? [piece.volumeL] : [],
    );
    expect(said[0]).toBe(10);
    const cut = correctBatch(
      { input: over, litres: 100, ph: is.ph },
      [material('peat-fine')],
      amendment('lime-dolomitic'),
      'sowing',
    );
    const step = cut.steps[0]!;
    if (step.kind !== 'addMaterial') throw new Error(step.kind);
    // Mix says litres to the very aim, the tub in steps of a twentieth.
    const steps = 0.05 * 100 * is.composition.densification;
    expect(step.looseLitres).toBeGreaterThanOrEqual(10 * said[1]! - 1e-6);
    expect(step.looseLitres).toBeLessThan(10 * said[1]! + steps);
    // 7 loose litres of the recipe's parts to each litre-part; the lime stays as many grams.
    const perPart = (100 * is.composition.densification) / 7;
    const remade = evaluateMix(
      recipe(
        {
          'peat-fine': 4 + step.looseLitres / perPart,
          'perlite-coarse': 2,
          'vermiculite-medium': 1,
        },
        { doses: { 'lime-dolomitic': (7 * 100) / cut.litresAfter } },
      ),
    );
    expect(remade.ph).toBeCloseTo(cut.after.ph!, 2);
    expect(remade.ph).toBeLessThanOrEqual(5.81);
    expect(remade.ph).toBeGreaterThan(5.6);
  });

  test('on the carbonate plateau: do not save it', () => {
    expect(plan({ ph: 7.9 })).toMatchObject({
      doNotSave: { say: 'correct.plateau' },
      steps: [],
    });
  });

  test('over twice the lime that it takes: make it anew; under that it is cut with peat', () => {
    const needs = (ph: number) => limeNeededMeqPerL(e.acidity, ph) / limeNeededMeqPerL(e.acidity, 5.8);
    expect([needs(6.4), needs(7.42)].map((times) => times > 2)).toEqual([false, true]);
    expect(plan({ ph: 6.4 }).doNotSave).toBeNull();
    expect(plan({ ph: 7.42 }).doNotSave).toMatchObject({ say: 'correct.over-limed', with: { ph: 7.42 } });
  });

  test('too salty: leached by e^−v', () => {
    const { steps, after } = plan({ ecSaturatedMSPerCm: 1.5 });
    expect(after.ecSaturatedMSPerCm).toBeCloseTo(0.6, 9);
    expect(steps).toEqual([
      { kind: 'leach', litres: expect.closeTo(Math.log(1.5 / 0.6) * e.drained.water * 100, 6) },
    ]);
  });

  test('too little air: the least perlite that helps, and the model agrees from scratch', () => {
    const p = plan({ airPct: 2 });
    expect(p.steps).toHaveLength(1);
    const step = p.steps[0]!;
    if (step.kind !== 'addMaterial') throw new Error(step.kind);
    const share = step.looseLitres / (100 * e.composition.densification);
    const remade = evaluateMix(
      recipe({
        'peat-fine': 4,
        'perlite-coarse': 2 + (step.material.id === 'perlite-coarse' ? 7 * share : 0),
        'vermiculite-medium': 1,
        ...(step.material.id === 'sand-sharp' && { 'sand-sharp': 7 * share }),
      }),
    );
    // What the test said was missing thins out with what is added.
    const missing = 0.02 - e.drained.air;
    expect(p.after.airPct! / 100).toBeCloseTo(remade.drained.air + (missing * 100) / p.litresAfter, 6);
    expect(p.after.airPct).toBeGreaterThanOrEqual(3);
  });

  test('too wet: dry mix by mass balance; too dry: water', () => {
    const wet = plan({ saturation: 0.52 });
    const x = (wet.steps[0] as { litres: number }).litres;
    const { totalPorosity: tp, waterAsBought } = e.composition;
    expect(wet.steps[0]!.kind).toBe('addDryMix');
    expect((0.52 * tp * 100 + waterAsBought * x) / (tp * (100 + x))).toBeCloseTo(0.45, 9);
    expect(wet.litresAfter).toBeCloseTo(100 + x, 9);
    // Far too wet is spread out to dry, not doubled.
    expect(plan({ saturation: 0.7 })).toMatchObject({ steps: [{ kind: 'spreadOut' }], litresAfter: 100 });
    const dry = plan({ saturation: 0.2 });
    expect(dry.steps).toEqual([{ kind: 'addWater', litres: expect.closeTo(0.25 * tp * 100, 9) }]);
  });

  test('hopeless: says what cannot be put right', () => {
    expect(plan({ airPct: 0, ecSaturatedMSPerCm: 40 }).doNotSave).toMatchObject({
      ...{ say: 'correct.out-of-reach', with: { faults: expect.arrayContaining(['salty']) } },
    });
    expect(() => plan({ ph: 19 })).toThrow('ph must be a number from 2.5 to 11, was 19');
    expect(() => plan({ saturation: -1 })).toThrow('saturation must be a number from 0 to 1.2');
  });
});
