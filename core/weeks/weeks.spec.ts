import fc from 'fast-check';
import { evaluateMix } from '#core/mix/evaluate';
import { stages } from '#core/mix/stage';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { defaultSpreads, type Spreads } from '#core/spread/spreads';
import { type Keeping } from '#core/weeks/keeping';
import { lifeOf, Living, troubles } from '#core/weeks/life';
import { LifeSampler, lines, READ_SD, staysInside } from '#core/weeks/life-band';
import { liftAt } from '#core/weeks/lift';
import { luckOf } from '#core/weeks/weather';
import { library } from '#testing/library';

const usual: Keeping = {
  days: 56,
  seed: 5,
  weather: { potentialMmPerDay: 3.5, tempC: 20 },
  water: { alkalinityMgPerL: 80, ecMSPerCm: 0.4 },
  rule: { waterAt: 0.5, leachPct: 10, feedNMgPerL: 75, feedFromDay: 14 },
  plant: { leafCoverFrom: 0.1, leafCoverTo: 1 },
};
const inputOf = (stage: (typeof stages)[number]) => mixInputOf(starterMixes[stage], library);

describe('many lives', () => {
  const none = Object.fromEntries(Object.keys(defaultSpreads).map((name) => [name, 0])) as unknown as Spreads;

  test.each(stages)(
    'where nothing of the mix scatters the band is that life in the same weather: %s',
    (stage) => {
      const sampler = new LifeSampler(inputOf(stage), usual, none);
      sampler.draw(1);
      const { days, allRight, troubles: came } = sampler.result();
      const life = new Living(inputOf(stage)).under(usual, luckOf(usual.seed, 0, usual.days));
      days.forEach((day, i) => {
        for (const line of lines)
          for (const at of ['low', 'middle', 'high'] as const)
            expect(day[line][at]).toBeCloseTo(life.days[i]![line], 9);
      });
      for (const trouble of troubles) expect(came[trouble].first).toBe(life.first[trouble]);
      expect(allRight).toBe(staysInside(life) ? 1 : 0);
    },
  );

  test('the middle lies near the one life, nine in ten lie between, and more scatter is a wider band', () => {
    const band = (by: number) => {
      const wide = Object.fromEntries(
        Object.entries(defaultSpreads).map(([name, v]) => [name, v * by]),
      ) as unknown as Spreads;
      const sampler = new LifeSampler(inputOf('seedling'), usual, wide);
      sampler.draw(200);
      return sampler.result();
    };
    const [narrow, wide] = [band(0.5), band(1)];
    const life = lifeOf(inputOf('seedling'), usual);
    const last = wide.days.at(-1)!;
    expect(Math.abs(last.ph.middle - life.days.at(-1)!.ph)).toBeLessThan(0.2);
    for (const line of ['ph', 'ecSaturatedMSPerCm'] as const) {
      expect(last[line].low).toBeLessThan(last[line].middle);
      expect(last[line].middle).toBeLessThan(last[line].high);
    }
    expect(last.ph.high - last.ph.low).toBeGreaterThan(
      narrow.days.at(-1)!.ph.high - narrow.days.at(-1)!.ph.low,
    );
  });

  test('in pieces it is the same as at once', () => {
    const [pieces, once] = [0, 1].map(() => new LifeSampler(inputOf('rooting'), usual, defaultSpreads));
    for (let i = 0; i < 4; i++) pieces!.draw(5);
    once!.draw(20);
    expect(pieces!.result()).toEqual(once!.result());
    expect(() => new LifeSampler(inputOf('rooting'), usual, defaultSpreads).result()).toThrow(
      'draws must be at least 1, was 0',
    );
  });
});

test('lifted: model section 21, water again at V (density + water after draining − half the easy water)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...stages),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      fc.integer({ min: 1, max: 300 }),
      (stage, share, perTray) => {
        const e = evaluateMix(inputOf(stage));
        const litres = e.column.volumeL;
        const byHand =
          litres * (e.composition.dryBulkDensityGPerL + 1000 * e.drained.water) -
          (1000 * litres * e.easilyAvailableWater) / 2;
        const half = (500 * litres * e.easilyAvailableWater) / e.availableWaterMl;
        if (half >= 0.05) expect(liftAt(e, half, 1).cellG).toBeCloseTo(byHand, 6);
        const it = liftAt(e, share, perTray, 0.1);
        // What is poured brings a tray back to its wet weight, and stands on its footprint.
        expect(it.trayG + it.missingMl).toBeCloseTo(perTray * e.wetWeightG, 6);
        expect(it.depthMm! * 0.1 * 1000).toBeCloseTo(it.missingMl, 6);
      },
    ),
  );
  expect(() => liftAt(evaluateMix(inputOf('potting')), 0, 1)).toThrow(
    'waterAt must be a number from 0.05 to 1, was 0',
  );
});

test('own tests of the mix are where its lines start', () => {
  const input = { ...inputOf('seedling'), measured: { ph: 6.4, ecSaturatedMSPerCm: 0.9, air: 0.11 } };
  const still = {
    ...usual,
    water: { alkalinityMgPerL: 0, ecMSPerCm: 0 },
    plant: { leafCoverFrom: 0, leafCoverTo: 0 },
  };
  const { days } = lifeOf(input, { ...still, rule: { ...usual.rule, feedNMgPerL: 0, leachPct: 0 } });
  expect(days[0]!.ph).toBeCloseTo(6.4, 9);
  expect(days[0]!.ecSaturatedMSPerCm).toBeCloseTo(0.9, 9);
  const looked = lifeOf(input, { ...still, looks: 1, rule: { ...usual.rule, feedNMgPerL: 0, leachPct: 0 } });
  expect(looked.days.find((day) => day.watered)!.airPct).toBeCloseTo(11, 9);
});

test('with readings the band is as narrow as their error on their day', () => {
  const sampler = (readings: Keeping['readings']) => {
    const lifeSampler = new LifeSampler(
      inputOf('seedling'),
      { ...usual, readings: readings! },
      defaultSpreads,
    );
    lifeSampler.draw(300);
    return lifeSampler.result().days[20]!;
  };
  const [open, read] = [sampler([]), sampler([{ day: 21, of: 'ph', value: 6.4 }])];
  expect(read.ph.middle).toBeCloseTo(6.4, 1);
  // Nine in ten of a normal lie within 1.645 deviations.
  expect((read.ph.high - read.ph.low) / (2 * 1.645 * READ_SD.ph)).toBeGreaterThan(0.8);
  expect((read.ph.high - read.ph.low) / (2 * 1.645 * READ_SD.ph)).toBeLessThan(1.2);
  expect(open.ph.high - open.ph.low).toBeGreaterThan(read.ph.high - read.ph.low);
});
