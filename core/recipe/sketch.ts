import { type Stage } from '#core/mix/stage';
import { type HowMuch, type Recipe } from '#core/recipe/recipe';

export interface SketchMore {
  /** Lime to this pH; left out for none. */
  ph?: number;
  /** g/L by product id. */
  doses?: Readonly<Record<string, number>>;
  firmPct?: number;
  job?: HowMuch;
}

const LIME = 'lime-dolomitic';

/**
 * A recipe in short.
 * @example sketch('rooting', 'cell-24', { 'perlite-coarse': 3, 'peat-medium': 2 }, { ph: 6 })
 */
export function sketch(
  stage: Stage,
  vessel: string,
  parts: Readonly<Record<string, number>>,
  { ph, doses = {}, firmPct = 0, job }: SketchMore = {},
): Recipe {
  return {
    stage,
    vessel,
    compactionPct: firmPct,
    components: Object.entries(parts).map(([material, n]) => ({ material, parts: n })),
    lime: ph === undefined ? null : { amendment: LIME, ph },
    amendments: Object.entries(doses).map(([amendment, gPerL]) => ({ amendment, gPerL })),
    job: job ?? { trays: vessel.startsWith('pot') ? 100 : 10, sparePct: 8 },
  };
}
