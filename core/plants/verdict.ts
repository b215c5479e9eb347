import { allow } from '#core/units/allowed';
import { type Count, eachToTell, type CountedShare, shareOf } from '#core/stats/compare';
import { fisher } from '#core/stats/counts';
import { OutOfRange } from '#core/units/check';
import { type MessageOf, messages } from '#core/units/message';

/** So many of so many, under a name: a batch, a mix, a vessel, a lot of seed. */
export interface Arm extends Count {
  name: string;
}

export interface Pair {
  /** Places in the list of arms; the first has the larger share. */
  better: number;
  worse: number;
  /** Fisher's exact test, and after Holm for all pairs together. */
  p: number;
  holm: number;
  differs: boolean;
}

export interface ArmComparison {
  shares: CountedShare[];
  pairs: Pair[];
  /** One honest sentence. */
  says: MessageOf<VerdictFacts>;
  /** So many more each would tell the two that differ most, at four chances in five; null where they are told, or alike. */
  moreEach: number | null;
}

/** A share of an arm that was counted. */
interface ShareFacts {
  name: string;
  pct: number;
  of: number;
}
interface Compared {
  what: string;
  best: ShareFacts;
  last: ShareFacts;
}
/** What a comparison comes to: one is better by more than chance, ahead of the other, or they are alike. */
export interface VerdictFacts {
  'verdict.better': Compared & { byChancePerMille: number };
  'verdict.ahead': Compared & { moreEach: number | null };
  'verdict.alike': Compared;
}
const say = messages<VerdictFacts>();

/** Share of seeds that is worth telling: common practice, no source. */
const WORTH = 0.1;

/**
 * Holm's adjustment: S. Holm, Scand. J. Stat. 6:65 (1979).
 * @returns adjusted p values in the order given
 * @example holm([0.01, 0.04, 0.03]) // [0.03, 0.06, 0.06]
 */
export function holm(ps: readonly number[]): number[] {
  const order = ps.map((p, i) => ({ p, i })).sort((a, b) => a.p - b.p);
  const adjusted = new Array<number>(ps.length);
  let least = 0;
  order.forEach(({ p, i }, rank) => {
    least = Math.max(least, Math.min(1, (ps.length - rank) * p));
    adjusted[i] = least;
  });
  return adjusted;
}

/** How a verdict is come by. */
export interface VerdictBy {
  confidence?: number;
  /** Chance of as large a difference of two arms, where it is not that of counted cells; null for none. */
  chance?: (a: number, b: number) => number | null;
}

/**
 * Which did better, and whether that is more than luck (model § 20): shares with Wilson's interval, every pair by
 * Fisher's exact test, Holm for all pairs together.
 * @param what what the shares are of: "came up"
 * @throws OutOfRange for fewer than two arms, or an arm of which nothing is counted
 */
export function verdictOf(
  arms: readonly Arm[],
  what: string,
  { confidence = 0.95, chance }: VerdictBy = {},
): ArmComparison {
  if (arms.length < 2)
    throw new OutOfRange('arms', arms.length, allow('allowed.number', { low: 2, high: Infinity }));
  const alpha = 1 - confidence;
  const shares = arms.map((arm) => shareOf(arm, confidence));
  const raw: Omit<Pair, 'holm' | 'differs'>[] = [];
  for (let i = 0; i < arms.length; i++)
    for (let j = i + 1; j < arms.length; j++) {
      const [a, b] = [arms[i]!, arms[j]!];
      const [better, worse] = shares[i]!.share >= shares[j]!.share ? [i, j] : [j, i];
      raw.push({ better, worse, p: chance ? (chance(i, j) ?? 1) : fisher(a.alive, a.of, b.alive, b.of) });
    }
  const adjusted = holm(raw.map(({ p }) => p));
  const pairs = raw
    .map((pair, i): Pair => ({ ...pair, holm: adjusted[i]!, differs: adjusted[i]! <= alpha }))
    .sort((a, b) => a.holm - b.holm || a.p - b.p);
  const order = shares.map((_, i) => i).sort((a, b) => shares[b]!.share - shares[a]!.share);
  const [best, last] = [order[0]!, order.at(-1)!];
  const share = (i: number): ShareFacts => ({
    ...{ name: arms[i]!.name, pct: 100 * shares[i]!.share, of: arms[i]!.of },
  });
  const result = pairs.find((pair) => pair.differs);
  const worth = shares[best]!.share - shares[last]!.share >= WORTH - 1e-9;
  const moreEach =
    result || chance
      ? null
      : more(shares[best]!.share, shares[last]!.share, Math.min(arms[best]!.of, arms[last]!.of), alpha);
  const says = ((): ArmComparison['says'] => {
    if (result) {
      const compared = { what, best: share(result.better), last: share(result.worse) };
      return say('verdict.better', { ...compared, byChancePerMille: 1000 * result.holm });
    }
    const compared = { what, best: share(best), last: share(last) };
    return worth ? say('verdict.ahead', { ...compared, moreEach }) : say('verdict.alike', compared);
  })();
  return { shares, pairs, moreEach, says };
}

/** @returns null where the shares are alike, or there are enough already */
function more(p1: number, p2: number, of: number, alpha: number): number | null {
  if (p1 === p2) return null;
  const each = eachToTell(p1, p2, alpha, 0.8);
  return each > of ? each - of : null;
}
