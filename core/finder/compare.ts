import { penalty, stageAims, type ScoredId } from '#core/finder/aims';
import { formulated, shelfAndLimits, type FinderJob, type Formulated } from '#core/finder/formulate';
import { gathered } from '#core/finder/parts';
import { type Shelf } from '#core/finder/shelf';
import { type Reading, type ReadingId } from '#core/judge/readings';
import { type Material } from '#core/material/material';

/** A reading of two recipes, side by side. */
export interface Difference {
  id: ReadingId;
  from: Reading;
  to: Reading;
}

/** The window that costs a recipe most: what it would be better without. Null where all lie in the middle. */
export function bindingWindow(job: FinderJob, found: Formulated): { id: ReadingId; costs: number } | null {
  const aims = stageAims(job.stage, job.vessel, job.weights);
  const costs = found.judgement.readings.map((r) => {
    const aim = aims[r.id];
    const here = aim && { ...aim, low: r.low, high: r.high };
    return { id: r.id, costs: here ? here.weight * penalty(r.value, here) : 0 };
  });
  const worst = costs.reduce((a, b) => (b.costs > a.costs ? b : a));
  return worst.costs > 1e-6 ? worst : null;
}

/** What one part more or less of a material does. */
export interface Neighbour {
  material: string;
  by: 1 | -1;
  scoreChange: number;
  /** The reading that moves furthest, as a share of its window. */
  moves: { id: ScoredId; by: number };
}

/** One part more and one part less of everything on the shelf, as far as limits of zero allow. */
export function neighboursOf(job: FinderJob, shelf: Shelf, parts: ArrayLike<number>): Neighbour[] {
  const aims = stageAims(job.stage, job.vessel, job.weights);
  const look = (changed: number[]): { score: number; values: number[] } | null => {
    const { members, amounts } = gathered(changed);
    if (members.length === 0 || !shelf.look(members, amounts)) return null;
    return { score: shelf.looked.score, values: [...shelf.looked.values] };
  };
  const here = look([...Array.from(parts)]);
  if (!here) return [];
  return job.shelved.flatMap(({ material }, i) =>
    ([1, -1] as const).flatMap((by): Neighbour[] => {
      const changed = Array.from(parts);
      changed[i]! += by;
      if (changed[i]! < 0) return [];
      const there = look(changed);
      if (!there) return [];
      const moves = shelf.scored
        .map((id, r) => ({
          id,
          by: there.values[r]! - here.values[r]!,
          width: aims[id]!.high - aims[id]!.low,
        }))
        .reduce((a, b) => (Math.abs(b.by / b.width) > Math.abs(a.by / a.width) ? b : a));
      return [
        {
          material: material.id,
          by,
          scoreChange: there.score - here.score,
          moves: { id: moves.id, by: moves.by },
        },
      ];
    }),
  );
}

/** Readings that differ by more than a hundredth of their window, those that change their verdict first. */
export function differences(from: readonly Reading[], to: readonly Reading[]): Difference[] {
  return from
    .flatMap((a): Difference[] => {
      const b = to.find((r) => r.id === a.id);
      return b && Math.abs(b.value - a.value) > 0.01 * (a.high - a.low) ? [{ id: a.id, from: a, to: b }] : [];
    })
    .sort((x, y) => Number(y.from.verdict !== y.to.verdict) - Number(x.from.verdict !== x.to.verdict));
}

/** The material that is not on the shelf and would help most: so many parts of it bring the score down to this. */
export interface Missing {
  material: Material;
  parts: number;
  score: number;
  was: number;
}

const MOST_TRIED = 3;

/** @returns null where nothing from elsewhere makes the recipe better by a twentieth or more */
export function missingMaterial(
  job: FinderJob,
  found: Formulated,
  elsewhere: readonly Material[],
): Missing | null {
  const used = job.shelved.filter((s) => found.parts[s.material.id] !== undefined);
  // Without prices: what is not on the shelf has none.
  const base = { ...job, minParts: {}, maxParts: {}, preferences: { ...job.preferences, price: 0 } };
  const scoreOf = (extra: Material | null, parts: number): number => {
    const shelved = extra ? [...used.slice(0, 9), { material: extra }] : used;
    const { shelf } = shelfAndLimits({ ...base, shelved });
    const amounts = shelved.map((s) => found.parts[s.material.id] ?? parts);
    return shelf.look(
      amounts.map((_, i) => i),
      amounts,
    )
      ? shelf.looked.score
      : Infinity;
  };
  const was = scoreOf(null, 0);
  let best: Missing | null = null;
  for (const material of elsewhere) {
    if (job.shelved.some((s) => s.material.id === material.id)) continue;
    for (let parts = 1; parts <= MOST_TRIED; parts++) {
      const score = scoreOf(material, parts);
      if (score < 0.95 * was && score < (best?.score ?? Infinity)) best = { material, parts, score, was };
    }
  }
  return best;
}

/** A found recipe by its parts, again with all that is known of it. */
export function recipeAt(job: FinderJob, parts: ArrayLike<number>): Formulated {
  return formulated(job, shelfAndLimits(job).shelf, parts);
}
