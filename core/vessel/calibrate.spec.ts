import fc from 'fast-check';
import { bagSoldAs, byWaterWeight, firmingOfBlocks } from '#core/vessel/calibrate';
import { litresIn } from '#core/units/factors';
import { type Vessel, volumeL } from '#core/vessel/vessel';

const mm = fc.double({ min: 40, max: 400, noNaN: true });

test('a vessel weighed with its water gets the base that it has', () => {
  fc.assert(
    fc.property(
      mm,
      mm,
      fc.double({ min: 0.3, max: 1.3, noNaN: true }),
      fc.boolean(),
      (top, depth, share, round) => {
        const walls = { depthMm: depth, headspaceMm: 10 };
        const truth: Vessel = round
          ? { shape: 'round', topMm: top, baseMm: top * share, ...walls }
          : { shape: 'rect', topMm: [top, 2 * top], baseMm: [top * share, 2 * top * share], ...walls };
        const kg = volumeL({ ...truth, headspaceMm: 0 });
        if (kg < 0.005 || kg > 500) return;
        const guess = round
          ? ({ ...truth, baseMm: 20 } as Vessel)
          : ({ ...truth, baseMm: [20, 20] } as Vessel);
        expect(volumeL(byWaterWeight(guess, kg))).toBeCloseTo(volumeL(truth), 6);
      },
    ),
  );
});

test('blocks from a bucket say how hard they are pressed', () => {
  const block: Vessel = { shape: 'block', edgeMm: [50, 50], depthMm: 50 };
  expect(firmingOfBlocks(block, 60, 10)).toBeCloseTo(0.25, 12);
  expect(() => firmingOfBlocks(block, 90, 10)).toThrow('blocks must be blocks of mix {"fewest":40,"most":80');
});

test('water that no such cup holds is refused with what it can hold', () => {
  const cup: Vessel = { shape: 'round', topMm: 80, baseMm: 60, depthMm: 90, headspaceMm: 0 };
  expect(() => byWaterWeight(cup, 5)).toThrow(/waterKg must be water of mouth .*, was 5/);
});

test('a bag sold as four gallons holds four gallons to its rim, and less when it is filled', () => {
  const bag = bagSoldAs(4 * litresIn.gallon);
  const { topMm, baseMm, depthMm } = bag;
  const brim = volumeL({ shape: 'round', topMm, baseMm, depthMm, headspaceMm: 0 });
  expect(brim / litresIn.gallon).toBeCloseTo(4, 1);
  expect(volumeL({ shape: 'round', ...bag }) / brim).toBeCloseTo(0.9, 2);
  expect(() => bagSoldAs(0)).toThrow('soldAs');
});
