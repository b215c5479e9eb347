import { clash, type Edit } from '#core/advise/edit';
import { singlesOf } from '#core/advise/candidates';
import { verdictOf } from '#core/advise/findings';
import { badness, type Attempt, type Attempts, outside } from '#core/advise/attempts';
import { ranked, type Way } from '#core/advise/ways';

/** At most so many edits make a mend. */
export const MOST_EDITS = 4;
/** So many single edits are gone on with: all of a small shelf, else those that leave least wrong. */
const SINGLES = 64;
/** So many times more, those whose readings lie nearest, are judged by every rule. */
const JUDGED_WHOLE = 12;
/** From so many sets of two, and of three, it is gone on. */
const KEPT = [16, 8];

/**
 * The fewest edits that leave no stop and no warning, the smallest of as many: level by level, each level whole on small
 * shelves up to two edits, else from what comes nearest. null where it is ready, or where four do not do it.
 */
export function mendOf(attempts: Attempts): Way | null {
  if (verdictOf(attempts.first.judgement) === 'ready') return null;
  const nearest = (level: readonly Attempt[], count: number): Attempt[] =>
    level.length <= count
      ? [...level]
      : sortedBy(
          sortedBy(level, ({ readings }) => outside(readings)).slice(0, JUDGED_WHOLE * count),
          ({ judgement }) => badness(judgement),
        ).slice(0, count);
  const loud = attempts.loudRules();
  let level = singlesOf(attempts, 'shelf').flatMap((edit) => attempts.with([edit]) ?? []);
  const singles = nearest(level, SINGLES).map(({ edits }) => edits[0]!);
  for (let n = 1; ; n++) {
    const mended = level.filter((attempt) => attempt.isReady(loud) && attempts.isUsual(attempt));
    const [attempt] = ranked(attempts, mended);
    if (attempt) return { edits: attempt.edits, attempt };
    if (n === MOST_EDITS) return null;
    level = oneMore(nearest(level, KEPT[n - 2] ?? SINGLES), singles, attempts);
  }
}

function sortedBy(level: readonly Attempt[], far: (attempt: Attempt) => number): Attempt[] {
  return level
    .map((attempt) => ({ attempt, by: far(attempt) }))
    .sort((a, b) => a.by - b.by)
    .map(({ attempt }) => attempt);
}

/** Each with one edit more, none twice. */
function oneMore(level: readonly Attempt[], singles: readonly Edit[], attempts: Attempts): Attempt[] {
  const next = new Set<Attempt>();
  for (const { edits } of level)
    for (const edit of singles) {
      if (edits.some((other) => clash(other, edit))) continue;
      const attempt = attempts.with([...edits, edit]);
      if (attempt) next.add(attempt);
    }
  return [...next];
}
