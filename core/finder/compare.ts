import { readingPenalties, stageAims, type ScoredId } from '#core/finder/aims';
import { fastAndLimits, type FinderJob, type Formulated } from '#core/finder/formulate';
import { gathered } from '#core/finder/parts';
import { type FastEvaluation } from '#core/finder/fast-evaluation';
import { MOST_SEARCHED, type Preferences, wishNames } from '#core/finder/fast-spec';
import { type Reading, type ReadingId } from '#core/judge/readings';
import { isMixAlready } from '#core/material/families';
import { type Material } from '#core/material/material';

/** A reading of two recipes, side by side. */
export interface Difference {
  id: ReadingId;
  from: Reading;
  to: Reading;
}

/** The window that costs a recipe most: what it would be better without. Null where all lie in the middle. */
export function bindingWindow(job: FinderJob, found: Formulated): { id: ReadingId; costs: number } | null {
  const costs = readingPenalties(found.judgement.readings);
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

/** One part more and one part less of everything on the fast, as far as limits of zero allow. */
export function neighboursOf(job: FinderJob, fast: FastEvaluation, parts: ArrayLike<number>): Neighbour[] {
  const aims = stageAims(job.stage, job.vessel, job.windows);
  const look = (changed: number[]): { score: number; values: number[] } | null => {
    const { members, amounts } = gathered(changed);
    if (members.length === 0 || !fast.look(members, amounts)) return null;
    return { score: fast.looked.score, values: [...fast.looked.values] };
  };
  const here = look([...Array.from(parts)]);
  if (!here) return [];
  return job.shelved.flatMap(({ material }, i) =>
    ([1, -1] as const).flatMap((by): Neighbour[] => {
      const changed = Array.from(parts);
      changed[i]! += by;
      if (changed[i]! < 0) return [];
      const present = look(changed);
      if (!present) return [];
      const moves = fast.scored
        .map((id, r) => ({
          id,
          by: present.values[r]! - here.values[r]!,
          width: aims[id]!.high - aims[id]!.low,
        }))
        .reduce((a, b) => (Math.abs(b.by / b.width) > Math.abs(a.by / a.width) ? b : a));
      return [
        {
          material: material.id,
          by,
          scoreChange: present.score - here.score,
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

/** The material that is not on the fast and would help most, added or in the place of another one. */
export interface Missing {
  material: Material;
  parts: number;
  /** The one that it takes the place of; null where it is added. */
  instead: Material | null;
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
  // Without prices: what is not on the fast has none.
  const base = { ...job, minParts: {}, maxParts: {}, preferences: { ...job.preferences, price: 0 } };
  const scoreOf = (parts: readonly { material: Material; parts: number }[]): number => {
    const { fast } = fastAndLimits({ ...base, shelved: parts.map(({ material }) => ({ material })) });
    const possible = fast.look(
      parts.map((_, i) => i),
      parts.map((p) => p.parts),
    );
    return possible ? fast.looked.score : Infinity;
  };
  const now = job.shelved.flatMap(({ material }) => {
    const parts = found.parts[material.id];
    return parts === undefined ? [] : [{ material, parts }];
  });
  const was = scoreOf(now);
  let best: Missing | null = null;
  const offer = (candidate: Omit<Missing, 'score' | 'was'>, score: number): void => {
    if (score < 0.95 * was && score < (best?.score ?? Infinity)) best = { ...candidate, score, was };
  };
  for (const material of elsewhere) {
    if (job.shelved.some((s) => s.material.id === material.id)) continue;
    for (let parts = 1; parts <= MOST_TRIED && now.length < MOST_SEARCHED; parts++)
      offer({ material, parts, instead: null }, scoreOf([...now, { material, parts }]));
    for (const out of now) {
      const swapped = now.map((p) => (p === out ? { material, parts: p.parts } : p));
      offer({ material, parts: out.parts, instead: out.material }, scoreOf(swapped));
    }
  }
  return best;
}

/** Odds within this of the best are ties: other things decide. */
const TIED_ODDS = 0.1;

/** Best odds first; of those that tie, in the order in which they came. What has no odds yet keeps its place behind. */
export function rankedByOdds<T extends { odds: number | null }>(list: readonly T[]): T[] {
  const best = Math.max(...list.map((each) => each.odds ?? 0));
  const step = (each: T): number =>
    each.odds === null ? Infinity : Math.floor((best - each.odds) / TIED_ODDS + 1e-9);
  return [...list].sort((a, b) => {
    const [x, y] = [step(a), step(b)];
    return x === y ? 0 : x - y;
  });
}

/** A recipe of one material that is no mix itself, bought or made. */
function isNeat({ judgement }: Formulated): boolean {
  const { components } = judgement.input;
  const [only] = components;
  return components.length === 1 && only !== undefined && !isMixAlready(only.material);
}
const MOST_OF_FEW = 3;
const isRight = ({ judgement }: Formulated): boolean => judgement.readings.every((r) => r.verdict === 'ok');
const hasStop = ({ judgement }: Formulated): boolean => judgement.flags.some((f) => f.severity === 'stop');

/**
 * Two is better than one: a recipe of a single material comes after the best of two or three that has at least half its
 * odds (or, while odds are not known, meets every window), and nothing with a stop of its own comes first. Model § 27.
 * @param list best first
 */
export function twoBeforeOne<T>(
  list: readonly T[],
  of: (each: T) => { found: Formulated; odds: number | null },
): T[] {
  const order = [...list];
  const enough = (few: T, neat: T): boolean => {
    const { found, odds } = of(few);
    const many = found.judgement.input.components.length;
    if (many < 2 || many > MOST_OF_FEW || hasStop(found)) return false;
    const other = of(neat).odds;
    return odds === null || other === null ? isRight(found) : odds >= other / 2;
  };
  for (let i = order.length - 1; i >= 0; i--) {
    const neat = order[i]!;
    if (!isNeat(of(neat).found)) continue;
    const after = order.findIndex((each, at) => at > i && enough(each, neat));
    if (after < 0) continue;
    order.splice(i, 1);
    order.splice(after, 0, neat);
  }
  const first = order.findIndex((each) => !hasStop(of(each).found));
  if (first > 0) order.unshift(...order.splice(first, 1));
  return order;
}

/** What sets two recipes apart most, in the eyes of the search. */
export type Lead =
  | { by: 'window'; id: ScoredId }
  | { by: 'unusual' }
  | { by: 'wish'; wish: keyof Preferences }
  | { by: 'fewer' }
  | { by: 'rounder' };

/** What one recipe has over another; null where nothing is worse in the other. */
export function edgeOver(
  fast: FastEvaluation,
  better: ArrayLike<number>,
  other: ArrayLike<number>,
): Lead | null {
  const costs = (parts: ArrayLike<number>): { edge: Lead; cost: number }[] | null => {
    const { members, amounts } = gathered(parts);
    if (members.length === 0 || !fast.look(members, amounts)) return null;
    const { penalties, unusual, wishes } = fast.looked;
    return [
      ...fast.scored.map((id, r) => ({ edge: { by: 'window' as const, id }, cost: penalties[r]! })),
      { edge: { by: 'unusual' as const }, cost: unusual },
      ...wishNames.map((wish, w) => ({ edge: { by: 'wish' as const, wish }, cost: wishes[w]! })),
    ];
  };
  const [here, there] = [costs(better), costs(other)];
  if (!here) return null;
  if (!there) return { by: 'unusual' };
  const worst = there
    .map(({ edge, cost }, i) => ({ edge, more: cost - here[i]!.cost }))
    .reduce((a, b) => (b.more > a.more ? b : a));
  if (worst.more > 0.05) return worst.edge;
  const count = (parts: ArrayLike<number>): number => gathered(parts).members.length;
  if (count(other) > count(better)) return { by: 'fewer' };
  const total = (parts: ArrayLike<number>): number => gathered(parts).amounts.reduce((a, b) => a + b, 0);
  return total(other) > total(better) ? { by: 'rounder' } : null;
}
