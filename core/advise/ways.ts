import { clash, type Edit, sizeOf } from '#core/advise/edit';
import { singlesOf } from '#core/advise/candidates';
import { type Finding, tells } from '#core/advise/findings';
import { badness, loudnessOf, type Attempt, type Attempts, voices } from '#core/advise/attempts';
import { type Judgement } from '#core/judge/judge';
import { type FlagCode, subjectOf } from '#core/recipe/flag-code';

/** A way out, proved: what it changes, and what it comes to. */
export interface Way {
  edits: readonly Edit[];
  /** The recipe with them done, judged whole. */
  attempt: Attempt;
}

/** Of care at work, whatever the mix is like. */
const isReminder = (code: FlagCode): boolean => subjectOf[code] === 'care';

/** At most so many are offered. */
const MOST_WAYS = 3;
/** Firsts of a pair, seconds of a pair. */
const FIRSTS = 16;
const SECONDS = 40;

/** Whether a finding is gone, and nothing has come that is as loud. */
export function isOutOf({ subject, codes, severity }: Finding, before: Judgement, after: Judgement): boolean {
  const [was, now] = [voices(before), voices(after)];
  if (codes.some((code) => now.has(code)) || movesAway(subject, before, after)) return false;
  const loud = loudnessOf(severity);
  return [...now].every(([code, voice]) => voice < loud || voice <= (was.get(code) ?? 0) || isReminder(code));
}

/** Sand and loam move a window with them: what only moves the window to a reading puts nothing right. */
function movesAway(subject: Finding['subject'], before: Judgement, after: Judgement): boolean {
  return (tells[subject] ?? []).some((id) => {
    const was = before.readings.find((r) => r.id === id);
    const now = after.readings.find((r) => r.id === id);
    if (!was || !now || was.verdict === 'ok') return false;
    return was.verdict === 'low' ? now.value < was.value : now.value > was.value;
  });
}

export function sizeOfAll(attempt: Attempt, { recipe, isHere }: Attempts): number {
  return attempt.edits.reduce((sum, edit) => sum + sizeOf(edit, recipe, isHere), 0);
}

/** Sizes of edits that differ by less are the same size: a hand does not tell them apart. */
const SAME_SIZE = 0.02;

const sizeStep = (attempt: Attempt, attempts: Attempts): number =>
  Math.round(sizeOfAll(attempt, attempts) / SAME_SIZE);

/** Ways that turn the same handles are one: the smallest of them is offered. */
const handles = ({ edits }: Attempt): string =>
  edits
    .map((edit) =>
      edit.kind === 'swapMaterial'
        ? `swap ${edit.from}`
        : 'material' in edit
          ? edit.material
          : edit.kind === 'dose' || edit.kind === 'dropAmendment'
            ? edit.amendment
            : edit.kind === 'firm'
              ? 'firm'
              : 'lime',
    )
    .sort()
    .join();

/**
 * Fewest edits first, then the smallest, then the cheapest, then what comes nearest to right; of those that turn the same
 * handles only that which comes nearest. A price chooses among materials, never how far a handle is turned.
 */
export function ranked(attempts: Attempts, found: readonly Attempt[]): Attempt[] {
  const by =
    (...orders: ((a: Attempt, b: Attempt) => number)[]) =>
    (a: Attempt, b: Attempt): number =>
      orders.reduce((order, next) => order || next(a, b), 0);
  const edits = (a: Attempt, b: Attempt): number => a.edits.length - b.edits.length;
  const size = (a: Attempt, b: Attempt): number => sizeStep(a, attempts) - sizeStep(b, attempts);
  const price = (a: Attempt, b: Attempt): number => attempts.cheaper(a, b);
  const right = (a: Attempt, b: Attempt): number => badness(a.judgement) - badness(b.judgement);
  const seen = new Set<string>();
  return [...found]
    .sort(by(edits, size, right))
    .filter((attempt) => {
      const key = handles(attempt);
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .sort(by(edits, size, price, right));
}

const offered = (attempts: Attempts, found: readonly Attempt[]): Way[] =>
  ranked(attempts, found)
    .slice(0, MOST_WAYS)
    .map((attempt) => ({ edits: attempt.edits, attempt }));

/**
 * Ways out of a finding: single edits on what is on the shelf, then pairs of them, then what else the library has. Each is
 * judged whole, and kept where its finding is gone and nothing as loud has come.
 * @param most edits of a way: single ones are found at once, pairs take a moment
 * @returns none where nothing within reach does it, and of a note that only says how to work
 */
export function waysOut(finding: Finding, attempts: Attempts, most: 1 | 2 = 2): Way[] {
  const before = attempts.first.judgement;
  const isNote = finding.severity === 'note';
  if (isNote && !before.flags.some((f) => f.fix !== undefined && finding.codes.includes(f.code))) return [];
  const speakers = attempts.rulesOf(finding.codes);
  const good = (attempt: Attempt | null): attempt is Attempt =>
    attempt !== null &&
    !attempt.stillSays(finding.codes, speakers) &&
    isOutOf(finding, before, attempt.judgement) &&
    attempts.isUsual(attempt);
  const singles = singlesOf(attempts, 'shelf').map((edit) => attempts.with([edit]));
  const found = singles.filter(good);
  if (found.length > 0 || isNote || most === 1) return offered(attempts, found);
  const pairs = pairsOf(
    finding,
    attempts,
    singles.filter((each) => each !== null),
  ).filter(good);
  if (pairs.length > 0) return offered(attempts, pairs);
  const bought = singlesOf(attempts, 'library').map((edit) => attempts.with([edit]));
  return offered(attempts, bought.filter(good));
}

/** What brings it nearest to right, with what keeps the rest right. */
function pairsOf(finding: Finding, attempts: Attempts, singles: readonly Attempt[]): (Attempt | null)[] {
  const still = ({ judgement }: Attempt): number => {
    const now = voices(judgement);
    return finding.codes.reduce((sum, code) => sum + (now.get(code) ?? 0), 0);
  };
  const firsts = [...singles]
    .sort((a, b) => still(a) - still(b) || badness(a.judgement) - badness(b.judgement))
    .slice(0, FIRSTS);
  const seconds = [...singles].sort((a, b) => badness(a.judgement) - badness(b.judgement)).slice(0, SECONDS);
  return firsts.flatMap((a) =>
    seconds.flatMap((b) => {
      const [one, other] = [a.edits[0]!, b.edits[0]!];
      return clash(one, other) ? [] : [attempts.with([one, other])];
    }),
  );
}
