import { type Edit } from '#core/advise/edit';
import { type Flag, type Rule, type Severity } from '#core/judge/flag';
import { excludes, type JudgedBy, type Judgement, type Judging, judgingOf, rules } from '#core/judge/judge';
import { type Reading } from '#core/judge/readings';
import { type MixInput } from '#core/mix/evaluate';
import { type Bill, billOf, takesOf } from '#core/mix/takes';
import { UsualShares } from '#core/finder/usual-shares';
import { type Family } from '#core/material/family';
import { applyFix } from '#core/recipe/fix';
import { type FlagCode, subjectOf } from '#core/recipe/flag-code';
import { type OwnHabits } from '#core/recipe/habits';
import { type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { OutOfRange } from '#core/units/check';

/** Who asks: how loudly their approach speaks, what they have, what they would never use, and what they find usual. */
export interface AskedBy {
  loudness?: JudgedBy['loudness'];
  /** Ids of what stands on the shelf; undefined where nobody knows: then all of the library is. */
  shelf?: ReadonlySet<string> | undefined;
  never?: readonly Family[];
  habits?: OwnHabits;
  /** Money for a loose litre of a material or a kilogram of a product, of those whose price is known. */
  prices?: ReadonlyMap<string, number>;
}

/** Where one is silent only because another is said, a rule by itself does not tell. */
const silenced: ReadonlySet<FlagCode> = new Set(excludes.map(([, silent]) => silent));
const isLoud = ({ code, severity }: Flag): boolean => severity !== 'note' && subjectOf[code] !== 'care';

/** A recipe with its edits done. Judged whole only where that is asked: most are turned down by one rule. */
export class Attempt {
  private whole: Judgement | null = null;
  private ready: boolean | null = null;

  constructor(
    readonly edits: readonly Edit[],
    readonly recipe: Recipe,
    private readonly judging: Judging,
  ) {}

  get judgement(): Judgement {
    return (this.whole ??= this.judging.whole());
  }
  get input(): MixInput {
    return this.judging.input;
  }
  get readings(): readonly Reading[] {
    return this.judging.readings;
  }

  /** Whether one of these still is said, by the rules that said them. */
  stillSays(codes: readonly FlagCode[], asked: readonly Rule[]): boolean {
    if (this.whole) return this.whole.flags.some((flag) => codes.includes(flag.code));
    return asked.some((rule) => {
      const flag = this.judging.says(rule);
      return (
        flag !== null &&
        codes.includes(flag.code) &&
        !silenced.has(flag.code) &&
        this.judging.knownOf(flag) === undefined
      );
    });
  }

  /** Whether there is no stop and no warning. @param first rules that are likely to have one */
  isReady(first: readonly Rule[]): boolean {
    return (this.ready ??= this.whole ? !this.whole.flags.some(isLoud) : this.isReadyByRules(first));
  }

  private isReadyByRules(first: readonly Rule[]): boolean {
    for (const rule of [...first, ...rules]) {
      const flag = this.judging.says(rule);
      if (!flag || !isLoud(flag) || this.judging.knownOf(flag)) continue;
      return silenced.has(flag.code) ? !this.judgement.flags.some(isLoud) : false;
    }
    return true;
  }
}

const loud: Record<Severity, number> = { stop: 3, warn: 2, note: 1 };
/** How loudly each rule speaks, 1 to 3. */
export const voices = ({ flags }: Judgement): ReadonlyMap<FlagCode, number> =>
  new Map(flags.map((flag) => [flag.code, loud[flag.severity]]));
export const loudnessOf = (severity: Severity): number => loud[severity];

/** How far all readings lie outside their windows, in widths of these, and how loudly rules speak: 0 where all is right. */
export const badness = ({ readings, flags }: Judgement): number =>
  flags.reduce(
    (sum, { severity }) => sum + (severity === 'stop' ? 6 : severity === 'warn' ? 2 : 0),
    outside(readings),
  );

/** How far all readings lie outside their windows, in widths of these. */
export function outside(readings: readonly Reading[]): number {
  let sum = 0;
  for (const { value, low, high } of readings) {
    const off = Math.max(0, low - value, value - high) / Math.max(high - low, 1e-9);
    sum += Math.min(off, 2 + Math.log1p(off));
  }
  return sum;
}

/** Shares further beyond the usual than this are no way out, in points of cost (a fifth to the point of a share). */
const UNUSUAL = 0.5;

/** Tries edits on one recipe: each set is judged once. */
export class Attempts {
  private readonly tried = new Map<string, Attempt | null>();
  readonly first: Attempt;
  /** Which rule said what of the recipe as it is. */
  private readonly speakers: ReadonlyMap<FlagCode, Rule>;
  private readonly unusualAtFirst: number;

  /** @throws OutOfRange where the recipe cannot be computed */
  constructor(
    readonly recipe: Recipe,
    readonly library: Library,
    readonly by: AskedBy = {},
  ) {
    const judging = this.judging(recipe);
    this.first = new Attempt([], recipe, judging);
    this.speakers = new Map(
      rules.flatMap((rule) => {
        const flag = judging.says(rule);
        return flag ? [[flag.code, rule]] : [];
      }),
    );
    this.unusualAtFirst = this.unusual(this.first);
  }

  /** null where it cannot be made. */
  with(edits: readonly Edit[]): Attempt | null {
    const key = edits
      .map((edit) => JSON.stringify(edit))
      .sort()
      .join();
    let attempt = this.tried.get(key);
    if (attempt === undefined) this.tried.set(key, (attempt = this.make(edits)));
    return attempt;
  }

  /** No share goes further beyond what is usual than it was. */
  isUsual(attempt: Attempt): boolean {
    return this.unusual(attempt) <= this.unusualAtFirst + UNUSUAL;
  }

  /** Products are there unless the shelf names some. */
  isHere = (id: string): boolean => {
    const { shelf } = this.by;
    if (shelf === undefined || shelf.has(id)) return true;
    this.namesProducts ??= [...this.library.amendments.keys()].some((each) => shelf.has(each));
    return !this.namesProducts && this.library.amendments.has(id);
  };
  private namesProducts: boolean | null = null;

  /** Below 0 where the first is the cheaper: fewer things without a known price, then less money for a litre. */
  cheaper(a: Attempt, b: Attempt): number {
    const { prices } = this.by;
    if (!prices) return 0;
    const [x, y] = [a, b].map(({ judgement }) =>
      billOf(takesOf(judgement.evaluation), (id) => prices.get(id) ?? null),
    ) as [Bill, Bill];
    return x.unpriced.length - y.unpriced.length || x.perLitre - y.perLitre;
  }

  private make(edits: readonly Edit[]): Attempt | null {
    const { library } = this;
    try {
      const recipe = edits.reduce<Recipe>((changed, edit) => applyFix(changed, edit, library), this.recipe);
      return new Attempt(edits, recipe, this.judging(recipe));
    } catch (error) {
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  }

  /** As who asks hears it. @throws OutOfRange where it cannot be computed */
  judged(recipe: Recipe): Judgement {
    return this.judging(recipe).whole();
  }

  private judging(recipe: Recipe): Judging {
    return judgingOf(recipe, this.library, this.by.loudness);
  }

  /** The rules that said these of the recipe as it is. */
  rulesOf(codes: readonly FlagCode[]): Rule[] {
    return codes.flatMap((code) => this.speakers.get(code) ?? []);
  }
  /** Those that had a stop or a warning. */
  loudRules(): Rule[] {
    return this.rulesOf(this.first.judgement.flags.filter(isLoud).map(({ code }) => code));
  }

  private unusual({ input: { stage, vessel, components } }: Attempt): number {
    const all = new Set([...this.first.input.components, ...components].map((c) => c.material));
    // What was in it still stands there: a base that is left out is missed.
    const shelf = [...all];
    const parts = components.map((c) => c.parts);
    return new UsualShares(stage, vessel, shelf, this.by.habits ?? {}).cost(
      components.map((c) => shelf.indexOf(c.material)),
      parts,
      parts.reduce((a, b) => a + b, 0),
    );
  }
}
