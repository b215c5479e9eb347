import { type Count, eachToTell, type Share, shareOf } from '#core/stats/compare';
import { fisher } from '#core/stats/counts';
import { OutOfRange } from '#core/units/check';

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
  told: boolean;
}

export interface Verdict {
  shares: Share[];
  pairs: Pair[];
  /** One honest sentence. */
  says: string;
  /** So many more each would tell the two that differ most, at four chances in five; null where they are told, or alike. */
  moreEach: number | null;
}

/** Share of seeds that is worth telling: common practice, no source. */
const WORTH = 0.1;
const percent = (share: number): string => `${Math.round(100 * share)} %`;

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

/**
 * Which did better, and whether that is more than luck (model § 20): shares with Wilson's interval, every pair by
 * Fisher's exact test, Holm for all pairs together.
 * @param what what the shares are of: "came up"
 * @throws OutOfRange for fewer than two arms, or an arm of which nothing is counted
 */
export function verdictOf(arms: readonly Arm[], what: string, confidence = 0.95): Verdict {
  if (arms.length < 2) throw new OutOfRange('arms', arms.length, 'two or more');
  const alpha = 1 - confidence;
  const shares = arms.map((arm) => shareOf(arm, confidence));
  const raw: Omit<Pair, 'holm' | 'told'>[] = [];
  for (let i = 0; i < arms.length; i++)
    for (let j = i + 1; j < arms.length; j++) {
      const [a, b] = [arms[i]!, arms[j]!];
      const [better, worse] = shares[i]!.share >= shares[j]!.share ? [i, j] : [j, i];
      raw.push({ better, worse, p: fisher(a.alive, a.of, b.alive, b.of) });
    }
  const adjusted = holm(raw.map(({ p }) => p));
  const pairs = raw
    .map((pair, i): Pair => ({ ...pair, holm: adjusted[i]!, told: adjusted[i]! <= alpha }))
    .sort((a, b) => a.holm - b.holm || a.p - b.p);
  const order = shares.map((_, i) => i).sort((a, b) => shares[b]!.share - shares[a]!.share);
  const [best, last] = [order[0]!, order.at(-1)!];
  const share = (i: number): string => `${percent(shares[i]!.share)} of ${arms[i]!.of}`;
  const told = pairs.find((pair) => pair.told);
  const worth = shares[best]!.share - shares[last]!.share >= WORTH - 1e-9;
  const moreEach = told
    ? null
    : more(shares[best]!.share, shares[last]!.share, Math.min(arms[best]!.of, arms[last]!.of), alpha);
  if (told) {
    const { better, worse } = told;
    const odds =
      told.holm < 0.001 ? 'less than once in 1000' : `about ${Math.round(1000 * told.holm)} times in 1000`;
    return {
      ...{ shares, pairs, moreEach },
      says: `${arms[better]!.name} did better than ${arms[worse]!.name}: ${share(better)} ${what}, against ${share(worse)}. Chance alone would show as much ${odds}.`,
    };
  }
  const says = worth
    ? `Too few to say: ${arms[best]!.name} is ahead, ${share(best)} ${what}, against ${share(last)} with ${arms[last]!.name}, but chance alone shows as much.`
    : `No difference to speak of: ${share(best)} ${what} with ${arms[best]!.name}, ${share(last)} with ${arms[last]!.name}.`;
  return {
    ...{ shares, pairs, moreEach },
    says: worth && moreEach !== null ? `${says} ${moreEach} more of each would tell.` : says,
  };
}

/** @returns null where the shares are alike, or there are enough already */
function more(p1: number, p2: number, of: number, alpha: number): number | null {
  if (p1 === p2) return null;
  const each = eachToTell(p1, p2, alpha, 0.8);
  return each > of ? each - of : null;
}
