import { allow } from '#core/units/allowed';
import {
  type CauseId,
  causes,
  evidence,
  type EvidenceId,
  type Found,
  signs,
  type SignId,
  type Drench,
} from '#core/plants/cause-table';
import { OutOfRange } from '#core/units/check';

export interface Ranked {
  cause: CauseId;
  /** 0–1, of all causes of the sign together. */
  share: number;
  /** What of the record speaks for it. */
  because: EvidenceId[];
}

/** How often the cause was behind a sign by what helped here; adds to the table. */
export type Taught = ReadonlyMap<CauseId, number>;

/** Weights of causes by sign that the nursery set for itself, in place of the table's; 0 leaves a cause out. */
export type CauseWeights = Partial<Record<SignId, Partial<Record<CauseId, number>>>>;

/** Weights of a sign's causes, the nursery's own before the table's; those above 0. */
export function weightsOf(sign: SignId, own: CauseWeights = {}): [CauseId, number][] {
  const all = Object.entries({ ...signs[sign].from, ...own[sign] }) as [CauseId, number | undefined][];
  return all.flatMap(([cause, weight]): [CauseId, number][] =>
    weight !== undefined && weight > 0 ? [[cause, weight]] : [],
  );
}

/** A table's weights count as so many cases of one's own. */
const BOOK_CASES = 10;

const chance = (cause: CauseId, id: EvidenceId, state: string): number => {
  const said = (causes[cause].likely as Record<string, Record<string, number> | undefined>)[id]?.[state];
  return said ?? (evidence[id] as Record<string, number>)[state]!;
};

const entries = (found: Found): [EvidenceId, string][] =>
  (Object.entries(found) as [EvidenceId, string | undefined][]).flatMap(([id, state]) =>
    state === undefined ? [] : [[id, state]],
  );

/**
 * Causes of a sign, likeliest first, by Bayes: the table's weight times the likelihood of all that the record holds
 * (model § 20).
 * @throws OutOfRange for a sign that there is not
 */
export function rankCauses(
  sign: SignId,
  found: Found,
  taught: Taught = new Map(),
  own: CauseWeights = {},
): Ranked[] {
  if (!(sign in signs))
    throw new OutOfRange('sign', sign, allow('allowed.one-of', { ids: Object.keys(signs) }));
  // Where everything was set to nothing there is the table.
  const weighed = weightsOf(sign, own);
  const from = weighed.length > 0 ? weighed : weightsOf(sign);
  const book = from.reduce((sum, [, weight]) => sum + weight, 0);
  const seen = entries(found);
  const weights = from.map(([cause, weight]) => ({
    cause,
    weight: seen.reduce(
      (product, [id, state]) => product * chance(cause, id, state),
      (BOOK_CASES * weight) / book + (taught.get(cause) ?? 0),
    ),
    because: seen
      .filter(
        ([id, state]) => chance(cause, id, state) > 1.5 * (evidence[id] as Record<string, number>)[state]!,
      )
      .map(([id]) => id),
  }));
  const all = weights.reduce((sum, { weight }) => sum + weight, 0);
  return weights
    .map(({ cause, weight, because }) => ({ cause, share: weight / all, because }))
    .sort((a, b) => b.share - a.share);
}

const entropy = (ranked: readonly Ranked[]): number =>
  ranked.reduce((sum, { share }) => (share > 0 ? sum - share * Math.log2(share) : sum), 0);

/**
 * The test that would tell most: the largest expected fall in entropy of those that the record does not hold.
 * @returns null where none would tell a twentieth of a bit
 */
export function tellingTest(
  sign: SignId,
  found: Found,
  taught: Taught = new Map(),
  own: CauseWeights = {},
): { id: EvidenceId; bits: number } | null {
  const now = rankCauses(sign, found, taught, own);
  const before = entropy(now);
  let best: { id: EvidenceId; bits: number } | null = null;
  for (const id of Object.keys(evidence) as EvidenceId[]) {
    if (found[id] !== undefined) continue;
    let after = 0;
    for (const state of Object.keys(evidence[id])) {
      const p = now.reduce((sum, { cause, share }) => sum + share * chance(cause, id, state), 0);
      after += p * entropy(rankCauses(sign, { ...found, [id]: state }, taught, own));
    }
    const bits = before - after;
    if (bits > 0.05 && (best === null || bits > best.bits)) best = { id, bits };
  }
  return best;
}

/** What the amounts of a remedy are for. */
export interface Amounts {
  cells: number;
  /** Of one vessel. */
  volumeL: number;
}

/** Leached with one and a half volumes of the mix, watered with a fifth: common practice, no source. */
const LEACH = 1.5;
const DRENCH = 0.2;

/**
 * What to do about the likeliest cause. What would harm under the second is not offered; nothing then is done before
 * the test.
 */
export function remedyFor(
  ranked: readonly Ranked[],
  { cells, volumeL }: Amounts,
): { cause: CauseId; withheld: CauseId | null; drench: Drench } {
  const [first, second] = ranked as [Ranked, Ranked | undefined];
  const harmful = second && causes[first.cause].harms.includes(second.cause);
  return {
    cause: first.cause,
    withheld: harmful ? second.cause : null,
    drench: { litres: DRENCH * cells * volumeL, leachLitres: LEACH * cells * volumeL },
  };
}
