import { type TestContext } from '#core/batch/tests/bench-test';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { type Family } from '#core/material/family';
import { type AmendmentForm } from '#core/material/amendment';
import { targetSaturation } from '#core/mix/moisture';
import { volumeL } from '#core/vessel/vessel';

/** A batch as it was frozen before materials had families and tests a context of their own. */
export type SnapshotFormat1 = Omit<BatchSnapshot, 'format' | 'materials' | 'amendments' | 'context'> & {
  format: 1;
  materials: Omit<BatchSnapshot['materials'][number], 'family'>[];
  amendments: Omit<BatchSnapshot['amendments'][number], 'form'>[];
};

/** As it was frozen before its steps were messages: they are sentences, and stay what they were. */
export type SnapshotFormat2 = Omit<BatchSnapshot, 'format'> & { format: 2 };
/** Of any format that ever was. */
export type StoredSnapshot = BatchSnapshot | SnapshotFormat2 | SnapshotFormat1;

/**
 * Lifts a frozen batch to the newest format. Every number is taken or worked out from what was frozen, none from
 * the model as it is today: a batch tells what it told on its day.
 */
export function liftSnapshot(stored: StoredSnapshot): BatchSnapshot {
  if (stored.format === 2) return { ...stored, format: 3 };
  if (stored.format !== 1) return stored;
  return {
    ...stored,
    format: 3,
    materials: stored.materials.map((m) => ({ ...m, family: familyOfId(m.id) })),
    amendments: stored.amendments.map((a) => ({ ...a, form: formOfId(a.id) })),
    context: contextOf(stored),
  };
}

/** What the tests of a batch are judged against, by sums over what was scooped, weighed and read. */
function contextOf(stored: SnapshotFormat1): TestContext {
  const { recipe, vessel, materials, sheet, readings, moisture, wetWeightG } = stored;
  const perLitre = (of: (i: number) => number): number =>
    sheet.components.reduce((sum, c, i) => sum + c.looseLitres * of(i), 0) / sheet.litres;
  const dryBulkDensityGPerL = perLitre((i) => materials[i]!.dryBulkDensityGPerL);
  const ph = readings.find((r) => r.id === 'ph')!;
  return {
    stage: recipe.stage,
    ph: { low: ph.low, high: ph.high },
    totalPorosity: 1 - perLitre((i) => 1 - materials[i]!.totalPorosity),
    // A drained vessel weighs its dry matter and its water.
    drainedWater: (wetWeightG / volumeL(vessel.vessel) - dryBulkDensityGPerL) / 1000,
    dryBulkDensityGPerL,
    targetSaturation: targetSaturation[moisture],
    looseLitres: sheet.components.reduce((sum, c) => sum + c.looseLitres, 0),
  };
}

/** Families of the ids that the starter library had at the time; nothing else could be in a batch of format 1. */
const families: [start: string, family: Family][] = [
  ['peat-black', 'black-peat'],
  ['peat', 'peat'],
  ['coir', 'coir'],
  ['perlite', 'perlite'],
  ['vermiculite', 'vermiculite'],
  ['sand', 'sand'],
  ['grit', 'grit'],
  ['pumice', 'pumice'],
  ['scoria', 'pumice'],
  ['bark', 'bark'],
  ['compost', 'compost'],
  ['castings', 'castings'],
  ['leaf', 'leaf-mould'],
  ['loam', 'loam'],
  ['rice', 'hulls'],
  ['wood', 'wood'],
  ['mix', 'spent-mix'],
];

/** For stored rows from before families. */
export const familyOfId = (id: string): Family =>
  families.find(([start]) => id.startsWith(start))?.[1] ?? 'other';

/** For stored rows from before forms. */
export const formOfId = (id: string): AmendmentForm =>
  id.endsWith('-pellet') ? 'pellet' : id === 'wood-ash' ? 'ash' : '';
