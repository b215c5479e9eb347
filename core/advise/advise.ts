import { adviseSay, type AdviseMessage, waySays } from '#core/advise/advise-facts';
import { type Finding, findingsOf, type MixVerdict, verdictOf } from '#core/advise/findings';
import { mendOf } from '#core/advise/mend';
import { type AskedBy, Attempts } from '#core/advise/attempts';
import { isOutOf, type Way, waysOut } from '#core/advise/ways';
import { type Flag } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { intoVessel } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { named } from '#core/units/message';
import { OutOfRange } from '#core/units/check';
import { volumeL } from '#core/vessel/vessel';

/** A way out with what it says. */
export interface WayOut extends Way {
  says: AdviseMessage;
}

/** One finding with its ways out; where there are none for a stop or a warning, what would put it right. */
export interface Advised extends Finding {
  ways: readonly WayOut[];
  would: AdviseMessage | null;
}

export interface Advice {
  verdict: MixVerdict;
  findings: readonly Advised[];
  care: readonly Flag[];
  mend: WayOut | null;
}

/** One adviser for every place: each subject once, with ways out that were tried. What takes a moment is asked for by itself. */
export class Adviser {
  private readonly attempts: Attempts;
  readonly verdict: MixVerdict;
  readonly care: readonly Flag[];
  /** Of the recipe as it is. */
  readonly judgement: Judgement;
  private readonly found: readonly Finding[];

  /** @throws OutOfRange where the recipe cannot be computed */
  constructor(recipe: Recipe, library: Library, by: AskedBy = {}) {
    this.attempts = new Attempts(recipe, library, by);
    const { judgement } = this.attempts.first;
    this.judgement = judgement;
    const { findings, care } = findingsOf(judgement);
    this.found = findings;
    this.care = care;
    this.verdict = verdictOf(judgement);
  }

  /**
   * Findings with their ways out, the loudest first.
   * @param most edits of a way; with one alone, what has no way yet is not told that it has none
   */
  findings(most: 1 | 2 = 2): Advised[] {
    const { attempts } = this;
    return this.found.map((finding) => {
      const ways = waysOut(finding, attempts, most).map((way) => ({
        ...way,
        says: waySays(attempts, way.attempt, finding.subject),
      }));
      return { ...finding, ways, would: ways.length > 0 || most === 1 ? null : wouldOf(finding, attempts) };
    });
  }

  /** The smallest change that puts all of it right; null where it is, or where none within reach does. */
  mend(): WayOut | null {
    const mend = mendOf(this.attempts);
    return mend && { ...mend, says: waySays(this.attempts, mend.attempt) };
  }
}

/** All of it at once. @throws OutOfRange where the recipe cannot be computed */
export function adviseOn(recipe: Recipe, library: Library, by: AskedBy = {}): Advice {
  const adviser = new Adviser(recipe, library, by);
  const { verdict, care } = adviser;
  return { verdict, care, findings: adviser.findings(), mend: adviser.mend() };
}

/** Another vessel that does it, the nearest in size; else the finder. */
function wouldOf(finding: Finding, attempts: Attempts): AdviseMessage | null {
  if (finding.severity === 'note') return null;
  const { recipe, library, first } = attempts;
  const was = library.vessels.get(recipe.vessel);
  const isBlock = was?.vessel.shape === 'block';
  const size = was ? volumeL(was.vessel) : 1;
  const others = [...library.vessels.values()]
    .filter((kind) => kind.id !== recipe.vessel && kind.ownMix !== true)
    .filter((kind) => (kind.vessel.shape === 'block') === isBlock)
    .sort(
      (a, b) => Math.abs(Math.log(volumeL(a.vessel) / size)) - Math.abs(Math.log(volumeL(b.vessel) / size)),
    );
  for (const kind of others) {
    try {
      const after = attempts.judged(intoVessel(recipe, kind.id, library));
      if (isOutOf(finding, first.judgement, after))
        return adviseSay('advise.would-vessel', { vessel: named(kind) });
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
    }
  }
  return adviseSay('advise.would-finder', {});
}
