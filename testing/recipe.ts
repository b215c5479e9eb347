import { type Stage } from '#core/mix/stage';
import { type Measured, type MixInput } from '#core/mix/evaluate';
import { vesselKind, amendment, material } from '#testing/library';
import { type Vessel } from '#core/vessel/vessel';

export interface RecipeSketch {
  stage?: Stage;
  vessel?: Vessel | string;
  compaction?: number;
  doses?: Record<string, number>;
  limeToPh?: number;
  lime?: string;
  litres?: number;
  measured?: Measured;
}

/** A recipe in short: recipe({ 'peat-fine': 5, 'perlite-coarse': 2 }, { stage: 'germination' }). */
export function recipe(parts: Record<string, number>, sketch: RecipeSketch = {}): MixInput {
  const vessel =
    typeof sketch.vessel === 'object' ? sketch.vessel : vesselKind(sketch.vessel ?? 'cell-72').vessel;
  return {
    stage: sketch.stage ?? 'germination',
    vessel,
    ...(sketch.litres !== undefined && { litres: sketch.litres }),
    ...(sketch.measured && { measured: sketch.measured }),
    compaction: sketch.compaction ?? (vessel.shape === 'block' ? 0.25 : 0),
    components: Object.entries(parts).map(([id, n]) => ({ material: material(id), parts: n })),
    amendments: Object.entries(sketch.doses ?? {}).map(([id, gPerL]) => ({
      amendment: amendment(id),
      gPerL,
    })),
    ...(sketch.limeToPh !== undefined && {
      limeToPh: { amendment: amendment(sketch.lime ?? 'lime-dolomitic'), ph: sketch.limeToPh },
    }),
  };
}
