import { readFileSync } from 'node:fs';
import { materialRowsFromCsv } from '#contract/starter-tables';
import { batchSheetRequestSchema, evaluateRequestSchema } from '#contract/evaluate';
import { materialFromRow } from '#core/material/material';
import { amendments, materials } from '#testing/library';

const csv = readFileSync('core/material/materials.csv', 'utf8');

test('the starter tables are read whole', () => {
  expect(materials).toHaveLength(31);
  expect(amendments).toHaveLength(36);
  expect(materials[0]).toMatchObject({
    id: 'peat-fine',
    totalPorosity: 0.915,
    waterAt10Cm: 0.755,
    moistureWetBasis: 0.45,
    peatFree: false,
    dusty: true,
  });
});

test.each([
  [
    (line: string) => line.replace(',95,91.5,', ',95,194,'),
    'line 2, total_porosity_pct: must be a number from 5 to 99.5, was 194',
  ],
  [(line: string) => line.replace(',95,91.5,', ',95,,'), 'line 2, total_porosity_pct'],
  [
    (line: string) => line.replace(',organic,', ',plastic,'),
    'line 2, make: must be one of organic, mineral, was "plastic"',
  ],
  [
    (line: string) => line.replace(',75.5,46,', ',40,46,'),
    'waterAt10CmPct, waterAt50CmPct and waterAt100CmPct must be falling water',
  ],
])('a bad cell is named with line, column and range (%#)', (spoil, message) => {
  const [head, first] = csv.split('\n') as [string, string];
  expect(() => materialRowsFromCsv(`${head}\n${spoil(first)}\n`).map(materialFromRow)).toThrow(message);
});

const vessel = { shape: 'block', edgeMm: [50, 50], depthMm: 50 };
const request = { stage: 'germination', vessel, components: [{ material: 'peat-fine', parts: 1 }] };

test.each<[object, string]>([
  [{ ...request, components: [] }, 'components'],
  [{ ...request, components: [{ parts: 1 }] }, 'components.0'],
  [{ ...request, components: [{ material: 'a', parts: 0 }] }, 'components.0.parts'],
  [{ ...request, components: [{ material: 'a', parts: '2' }] }, 'components.0.parts'],
  [{ ...request, stage: 'sprouting' }, 'stage'],
  [{ ...request, vessel: { ...vessel, headspaceMm: 3 } }, 'vessel'],
  [{ ...request, vessel: { shape: 'cone' } }, 'vessel.shape'],
  [{ ...request, extra: 1 }, ''],
  [{ ...request, compactionPct: 60 }, 'compactionPct'],
])('a bad request is pointed at (%#)', (bad, path) => {
  const result = evaluateRequestSchema.safeParse(bad);
  expect(result.success).toBe(false);
  expect(result.error?.issues.map((i) => i.path.join('.'))).toContain(path);
});

test('a batch is litres or vessels, not both and not neither', () => {
  const ok = (extra: object): boolean => batchSheetRequestSchema.safeParse({ ...request, ...extra }).success;
  expect([
    ok({}),
    ok({ litres: 10 }),
    ok({ vessels: 5 }),
    ok({ vessels: 5, sparePct: 8 }),
    ok({ litres: 1, vessels: 1 }),
    ok({ litres: 1, sparePct: 5 }),
  ]).toEqual([false, true, true, true, false, false]);
});
