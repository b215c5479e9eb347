import fc from 'fast-check';
import { vesselKinds } from '#core/vessel/kinds';
import { published } from '#testing/published';
import { jobLitres } from '#core/vessel/tray';
import {
  areaAtMm2,
  checkVessel,
  exposedAreaMm2,
  fillDepthMm,
  narrowestSideMm,
  volumeL,
  type Vessel,
} from '#core/vessel/vessel';

const size = fc.integer({ min: 10, max: 500 });

test('a round pot has the volume of a cone frustum', () => {
  fc.assert(
    fc.property(size, size, size, (topMm, baseMm, depthMm) => {
      const closed = (Math.PI * depthMm * (topMm ** 2 + topMm * baseMm + baseMm ** 2)) / 12 / 1e6;
      expect(volumeL({ shape: 'round', topMm, baseMm, depthMm, headspaceMm: 0 })).toBeCloseTo(closed, 9);
    }),
  );
});

test('a cell has the volume of a prismatoid', () => {
  fc.assert(
    fc.property(size, size, size, size, size, (a, b, c, d, depthMm) => {
      // Obelisk formula (Bronshtein & Semendyayev, Handbook of Mathematics (from memory)).
      const closed = ((depthMm / 6) * (2 * a * b + a * d + c * b + 2 * c * d)) / 1e6;
      expect(volumeL({ shape: 'rect', topMm: [a, b], baseMm: [c, d], depthMm, headspaceMm: 0 })).toBeCloseTo(
        closed,
        9,
      );
    }),
  );
});

test('a worked example: 150 mm pot, 110 mm base, 150 mm deep, 10 mm headspace', () => {
  const vessel: Vessel = { shape: 'round', topMm: 150, baseMm: 110, depthMm: 150, headspaceMm: 10 };
  const d = 110 + (40 * 140) / 150;
  published({
    what: 'volume of a 15 cm pot',
    source: 'closed form of the cone frustum',
    published: (Math.PI * 140 * (d * d + d * 110 + 110 * 110)) / 12 / 1e6,
    ours: volumeL(vessel),
    unit: 'L',
    within: 1e-9,
  });
});

test('headspace, narrowest side and exposed area', () => {
  const cell: Vessel = { shape: 'rect', topMm: [55, 55], baseMm: [40, 40], depthMm: 57, headspaceMm: 3 };
  expect(fillDepthMm(cell)).toBe(54);
  expect(narrowestSideMm(cell)).toBe(40);
  expect(exposedAreaMm2(cell)).toBeCloseTo(areaAtMm2(cell, 54), 9);
  expect(exposedAreaMm2({ shape: 'block', edgeMm: [50, 50], depthMm: 50 })).toBe(5 * 2500);
});

test('a job is vessels plus spare', () => {
  const block: Vessel = { shape: 'block', edgeMm: [50, 50], depthMm: 40 };
  expect(jobLitres(block, 1000, 0.08)).toBeCloseTo(0.1 * 1080, 9);
  expect(() => jobLitres(block, 0, 0)).toThrow('vessels must be a number from 1 to 1000000, was 0');
});

test('the usual vessels are possible and differ', () => {
  for (const kind of vesselKinds) expect(() => checkVessel(kind.vessel)).not.toThrow();
  expect(new Set(vesselKinds.map((k) => k.id)).size).toBe(vesselKinds.length);
});

test.each<[Vessel, string]>([
  [{ shape: 'block', edgeMm: [0, 50], depthMm: 50 }, 'vessel.edgeMm.0'],
  [{ shape: 'round', topMm: 100, baseMm: NaN, depthMm: 90, headspaceMm: 0 }, 'vessel.baseMm'],
  [{ shape: 'round', topMm: 100, baseMm: 80, depthMm: 90, headspaceMm: 90 }, 'vessel.headspaceMm'],
  [{ shape: 'rect', topMm: [50, 5000], baseMm: [40, 40], depthMm: 50, headspaceMm: 0 }, 'vessel.topMm.1'],
])('an impossible vessel is refused by name (%#)', (vessel, name) => {
  expect(() => checkVessel(vessel)).toThrow(name);
});

test('walls that breathe dry too: a cylinder’s and a box’s by plain geometry, a cone’s more than its height says', () => {
  const can: Vessel = {
    shape: 'round',
    topMm: 100,
    baseMm: 100,
    depthMm: 110,
    headspaceMm: 10,
    walls: 'fabric',
  };
  expect(exposedAreaMm2(can)).toBeCloseTo(Math.PI * 2500 + Math.PI * 100 * 100, 6);
  const box: Vessel = {
    shape: 'rect',
    topMm: [80, 60],
    baseMm: [80, 60],
    depthMm: 50,
    headspaceMm: 0,
    walls: 'fibre',
  };
  expect(exposedAreaMm2(box)).toBeCloseTo(80 * 60 + 2 * (80 + 60) * 50, 6);
  const cone: Vessel = { ...can, baseMm: 60, headspaceMm: 0 };
  expect(exposedAreaMm2(cone)).toBeGreaterThan(Math.PI * 2500 + Math.PI * 80 * 110);
  expect(exposedAreaMm2({ ...can, walls: undefined })).toBeCloseTo(Math.PI * 2500, 6);
});
