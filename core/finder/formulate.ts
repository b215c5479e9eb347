import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { stageAims, type Aims, type ScoredId } from '#core/finder/aims';
import { gathered } from '#core/finder/parts';
import { Search, type Limits, type SearchResult } from '#core/finder/search';
import { FastEvaluation } from '#core/finder/fast-evaluation';
import { type Preferences, type Shelved } from '#core/finder/fast-spec';
import { blendOf, usualStarter } from '#core/finder/starter';
import { judgeMix, type Judgement } from '#core/judge/judge';
import { type Stage } from '#core/mix/stage';
import { type Amendment } from '#core/material/amendment';
import { type Library } from '#core/recipe/library';
import { type AskedWindows } from '#core/mix/windows-asked';
import { type Recipe } from '#core/recipe/recipe';
import { type OwnHabits } from '#core/recipe/habits';
import { type Unusual } from '#core/finder/usual-shares';
import { type Dose } from '#core/mix/ph';
import { OutOfRange } from '#core/units/check';
import { type Vessel } from '#core/vessel/vessel';

/** What is asked of the finder. */
export interface FinderJob {
  stage: Stage;
  vessel: Vessel;
  compaction: number;
  shelved: readonly Shelved[];
  maxTotal: number;
  /** By material id; ids not named go from 0 to everything. */
  minParts: Readonly<Record<string, number>>;
  maxParts: Readonly<Record<string, number>>;
  materialsMax: number;
  peatMax: number;
  preferences: Preferences;
  lime: Amendment | null;
  /** Products of the starter charge with their shares; empty for none. */
  starter: readonly { amendment: Amendment; parts: number }[];
  fixedDoses: readonly Dose[];
  /** Windows asked otherwise than the stage does, and what its approach finds usual. */
  windows?: AskedWindows;
  habits?: OwnHabits;
  /** Parts of a recipe by material id, on the shelf or not: of all that meet every window, those nearest to it. */
  nearTo?: Readonly<Record<string, number>> | undefined;
  /** To be like that, in the place of windows and habits. */
  like?: Aims | null;
  /** What remedies can reach for besides the shelf. */
  library?: Library;
}

/** One answer: whole parts, and all that is known of them. */
export interface Formulated {
  /** Parts by material id, shelf order. */
  parts: Record<string, number>;
  score: number;
  /** null where a price on the shelf is not known. */
  costPerL: number | null;
  /** Lime, starter and fixed doses, per litre of finished mix. */
  doses: Dose[];
  lime: Dose | null;
  judgement: Judgement;
  /** Shares beyond what the trade, or the approach, finds usual. */
  unusual: Unusual[];
}

/** The usual starter charge of a stage, of what the library holds. */
export function starterFor(
  stage: Stage,
  amendments: ReadonlyMap<string, Amendment>,
): { amendment: Amendment; parts: number }[] {
  return Object.entries(usualStarter[stage]).flatMap(([id, parts]) => {
    const amendment = amendments.get(id);
    return amendment ? [{ amendment, parts }] : [];
  });
}

/**
 * @param otherAims in the place of windows and habits
 * @throws OutOfRange for a material named twice, or a limit on one that is not there
 */
export function fastAndLimits(job: FinderJob, otherAims?: Aims): { fast: FastEvaluation; limits: Limits } {
  const other = otherAims ?? job.like ?? null;
  const ids = job.shelved.map((s) => s.material.id);
  ids.forEach((id, i) => {
    if (ids.indexOf(id) !== i) throw new OutOfRange(`materials.${i}`, id, allow('allowed.named-once', none));
  });
  for (const [name, limit] of [
    ['minParts', job.minParts],
    ['maxParts', job.maxParts],
  ] as const) {
    for (const id of Object.keys(limit)) {
      if (!ids.includes(id))
        throw new OutOfRange(`limits.${name}`, id, allow('allowed.of-the-shelf', { ids }));
    }
  }
  const fast = new FastEvaluation({
    vessel: job.vessel,
    compaction: job.compaction,
    shelved: job.shelved,
    aims: other ?? stageAims(job.stage, job.vessel, job.windows),
    preferences: job.preferences,
    nearTo: sharesOf(job),
    lime: job.lime,
    starter: job.starter.length > 0 ? blendOf(job.starter) : null,
    fixedDoses: job.fixedDoses,
    usual: other ? null : { stage: job.stage, habits: job.habits ?? {} },
  });
  const limits: Limits = {
    maxTotal: job.maxTotal,
    min: ids.map((id) => job.minParts[id] ?? 0),
    max: ids.map((id) => Math.min(job.maxTotal, job.maxParts[id] ?? job.maxTotal)),
    materialsMax: job.materialsMax,
    peatMax: job.peatMax,
    onlyMet: job.nearTo !== undefined,
  };
  return { fast, limits };
}

function sharesOf({ nearTo, shelved }: FinderJob): number[] | undefined {
  if (!nearTo) return undefined;
  const total = Object.values(nearTo).reduce((a, b) => a + b, 0);
  // Near to nothing is near to none.
  return shelved.map(({ material: { id } }) => (nearTo[id] ?? 0) / (total || 1));
}

/** How much of a recipe another one keeps, 0–1: the share of its parts that is the same in both. */
export function keptOf(was: Readonly<Record<string, number>>, is: Readonly<Record<string, number>>): number {
  const total = (parts: Readonly<Record<string, number>>): number =>
    Object.values(parts).reduce((a, b) => a + b, 0);
  const [all, now] = [total(was), total(is)];
  return Object.entries(is).reduce((sum, [id, n]) => sum + Math.min(n / now, (was[id] ?? 0) / all), 0);
}

/** A found recipe in full, judged by every rule. */
export function formulated(job: FinderJob, fast: FastEvaluation, parts: ArrayLike<number>): Formulated {
  const { members, amounts } = gathered(parts);
  fast.look(members, amounts);
  const { score, costPerL } = fast.looked;
  const doses = fast.dosesLooked();
  const judgement = judgeMix(
    {
      stage: job.stage,
      vessel: job.vessel,
      compaction: job.compaction,
      components: members.map((i, k) => ({ material: job.shelved[i]!.material, parts: amounts[k]! })),
      amendments: doses,
      ...(job.windows && { windows: job.windows }),
    },
    { library: job.library ?? null },
  );
  return {
    parts: Object.fromEntries(members.map((i, k) => [job.shelved[i]!.material.id, amounts[k]!])),
    score,
    costPerL: Number.isNaN(costPerL) ? null : costPerL,
    doses,
    lime: doses.find((d) => d.amendment === job.lime) ?? null,
    judgement,
    unusual: fast.unusual(members, amounts),
  };
}

/** A found recipe on the bench, in the place of the one that is there: doses as a scale can follow them. */
export function takenAs({ parts, doses, lime, judgement }: Formulated, onto: Recipe): Recipe {
  return {
    ...onto,
    components: Object.entries(parts).map(([material, n]) => ({ material, parts: n })),
    lime: lime && {
      amendment: lime.amendment.id,
      ph: Math.round(judgement.evaluation.ph * 100) / 100,
    },
    amendments: doses
      .filter((d) => d !== lime)
      .map((d) => ({ amendment: d.amendment.id, gPerL: Math.round(d.gPerL * 1000) / 1000 })),
  };
}

/** Why nothing meets every window, and what would come nearest. */
export interface Conflict {
  /** How many recipes meet each window by itself. */
  metAlone: Partial<Record<ScoredId, number>>;
  /** Windows that no recipe meets, even alone. */
  never: ScoredId[];
  /** Pairs of windows, each of which is met, that no recipe meets together. */
  pairs: [ScoredId, ScoredId][];
  /** The least change that opens one: this window moved to this value would let this recipe in. */
  nearest: { id: ScoredId; value: number; parts: ArrayLike<number> } | null;
}

/** @returns null where some recipe meets every window, or none was looked at */
export function conflictOf(fast: FastEvaluation, result: SearchResult): Conflict | null {
  const { scored } = fast;
  const metBy = (mask: number): number =>
    result.metCounts.reduce((sum, count, met) => ((met & mask) === mask ? sum + count : sum), 0);
  if (result.feasible > 0 || metBy(0) === 0) return null;
  const alone = scored.map((_, r) => metBy(1 << r));
  const never = scored.filter((_, r) => alone[r] === 0);
  const pairs: [ScoredId, ScoredId][] = [];
  for (let a = 0; a < scored.length; a++) {
    for (let b = a + 1; b < scored.length; b++) {
      if (alone[a]! > 0 && alone[b]! > 0 && metBy((1 << a) | (1 << b)) === 0)
        pairs.push([scored[a]!, scored[b]!]);
    }
  }
  const nearest = result.nearest.flatMap((miss, r) => (miss ? [{ id: scored[r]!, ...miss }] : []));
  nearest.sort((a, b) => a.beyond - b.beyond);
  return {
    metAlone: Object.fromEntries(scored.map((id, r) => [id, alone[r]!])),
    never,
    pairs,
    nearest: nearest[0] ? { id: nearest[0].id, value: nearest[0].value, parts: nearest[0].parts } : null,
  };
}

/** The whole search at once, for tests and small shelves. */
export function searchAll(fast: FastEvaluation, limits: Limits, keep: number): SearchResult {
  const search = new Search(fast, limits, keep);
  while (!search.step(100_000));
  return search.result();
}
