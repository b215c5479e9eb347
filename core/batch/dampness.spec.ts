import fc from 'fast-check';
import { dampnesses, usualKit } from '#core/batch/kit';
import { snapshotBatch } from '#core/batch/snapshot';
import { moistureAs } from '#core/batch/dampness';
import { library, materials } from '#testing/library';
import { starterMixes } from '#core/recipe/starter-mixes';

test('dry is no wetter than usual, wet no drier, and neither is over what it holds', () => {
  fc.assert(
    fc.property(fc.constantFrom(...materials), (m) => {
      const [usual, dry, damp, wet, brick] = dampnesses.map((as) => moistureAs(m, as));
      expect(dry).toBeLessThanOrEqual(usual!);
      expect(brick).toBeLessThanOrEqual(usual!);
      expect(damp).toBeGreaterThanOrEqual(usual!);
      expect(wet).toBeGreaterThanOrEqual(damp!);
      const waterGPerL = (wet! / (1 - wet!)) * m.dryBulkDensityGPerL;
      const most = Math.max(0.75 * m.waterAt10Cm, (usual! / (1 - usual!)) * (m.dryBulkDensityGPerL / 1000));
      expect(waterGPerL).toBeLessThanOrEqual(1000 * most + 1e-6);
    }),
  );
});

test('what comes dry takes as much more water as it brings less: the mix is as wet in the end', () => {
  const recipe = { ...starterMixes.germination, job: { litres: 40 } };
  const made = (comes: Record<string, (typeof dampnesses)[number]>) =>
    snapshotBatch(recipe, library, { units: 'metric', scoop: 'jug-1l' }, { ...usualKit, comes });
  const waterIn = (snapshot: ReturnType<typeof made>): number =>
    snapshot.sheet.waterLitres +
    snapshot.sheet.components.reduce(
      (sum, { massKg }, i) => sum + massKg * snapshot.materials[i]!.moistureWetBasis,
      0,
    );
  const first = recipe.components[0]!.material;
  const [usual, dry] = [made({}), made({ [first]: 'dry' })];
  expect(dry.sheet.waterLitres).toBeGreaterThan(usual.sheet.waterLitres);
  expect(waterIn(dry)).toBeCloseTo(waterIn(usual), 6);
  // Its litres are as many: it is scooped by volume.
  expect(dry.sheet.components[0]!.looseLitres).toBeCloseTo(usual.sheet.components[0]!.looseLitres, 9);
  expect(dry.sheet.components[0]!.massKg).toBeLessThan(usual.sheet.components[0]!.massKg);
});

test('water is said once: what bricks drink and what follows are the water of the sheet, over all loads', () => {
  const recipe = {
    ...starterMixes.potting,
    components: [
      { material: 'coir-pith', parts: 3 },
      { material: 'perlite-coarse', parts: 1 },
    ],
    amendments: [],
    lime: null,
    job: { litres: 150 },
  };
  const { steps, sheet } = snapshotBatch(
    recipe,
    library,
    { units: 'metric', scoop: 'bucket-10l' },
    { ...usualKit, comes: { 'coir-pith': 'bricks' } },
  );
  const facts = (id: string) =>
    (
      steps.find((step) => step.id === id)?.text as
        { with: { litres: number; beforeLitres?: number; loads?: number } } | undefined
    )?.with;
  const bricks = facts('hydrate')!;
  const poured = facts('water');
  expect(bricks.litres + (poured?.litres ?? 0)).toBeCloseTo(sheet.waterLitres, 9);
  if (poured) expect(poured.beforeLitres).toBeCloseTo(bricks.litres, 9);
  expect(steps.find((step) => step.id === 'water')?.times ?? poured?.loads).toBe(poured?.loads);
  // Nobody asked about coir that comes loose and damp: no step of bricks.
  const loose = snapshotBatch(
    recipe,
    library,
    { units: 'metric', scoop: 'bucket-10l' },
    { ...usualKit, comes: { 'coir-pith': 'damp' } },
  );
  expect(loose.steps.map(({ id }) => id)).not.toContain('hydrate');
});
