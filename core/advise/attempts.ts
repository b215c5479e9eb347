import { type Edit } from '#core/advise/edit';
import { type Severity } from '#core/judge/flag';
import { type JudgedBy, type Judgement, judgeRecipe } from '#core/judge/judge';
import { type Bill, billOf, takesOf } from '#core/mix/takes';
import { UsualShares } from '#core/finder/usual-shares';
import { type Family } from '#core/material/family';
import { applyFix } from '#core/recipe/fix';
import { type FlagCode } from '#core/recipe/flag-code';
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

/** A recipe with its edits done, and judged whole. */
export interface Attempt {
  edits: readonly Edit[];
  recipe: Recipe;
  judgement: Judgement;
}

const loud: Record<Severity, number> = { stop: 3, warn: 2, note: 1 };
/** How loudly each rule speaks, 1 to 3. */
export const voices = ({ flags }: Judgement): ReadonlyMap<FlagCode, number> =>
  new Map(flags.map((flag) => [flag.code, loud[flag.severity]]));
export const loudnessOf = (severity: Severity): number => loud[severity];

/** How far all readings lie outside their windows, in widths of these, and how loudly rules speak: 0 where all is right. */
export function badness({ readings, flags }: Judgement): number {
  let sum = 0;
  for (const { value, low, high } of readings) {
    const off = Math.max(0, low - value, value - high) / Math.max(high - low, 1e-9);
    sum += Math.min(off, 2 + Math.log1p(off));
  }
  for (const { severity } of flags) sum += severity === 'stop' ? 6 : severity === 'warn' ? 2 : 0;
  return sum;
}

/** Shares further beyond the usual than this are no way out, in points of cost (a fifth to the point of a share). */
const UNUSUAL = 0.5;

/** Tries edits on one recipe: each set is judged once. */
export class Attempts {
  private readonly tried = new Map<string, Attempt | null>();
  readonly first: Attempt;
  private readonly unusualAtFirst: number;

  /** @throws OutOfRange where the recipe cannot be computed */
  constructor(
    readonly recipe: Recipe,
    readonly library: Library,
    readonly by: AskedBy = {},
  ) {
    this.first = { edits: [], recipe, judgement: this.judged(recipe) };
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
      return { edits, recipe, judgement: this.judged(recipe) };
    } catch (error) {
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  }

  /** As who asks hears it. @throws OutOfRange where it cannot be computed */
  judged(recipe: Recipe): Judgement {
    const { library, by } = this;
    return judgeRecipe(recipe, library, by.loudness);
  }

  private unusual({ judgement: { input } }: Attempt): number {
    const all = new Set(
      [...this.first.judgement.input.components, ...input.components].map((c) => c.material),
    );
    // What was in it still stands there: a base that is left out is missed.
    const shelf = [...all];
    const parts = input.components.map((c) => c.parts);
    return new UsualShares(input.stage, input.vessel, shelf, this.by.habits ?? {}).cost(
      input.components.map((c) => shelf.indexOf(c.material)),
      parts,
      parts.reduce((a, b) => a + b, 0),
    );
  }
}
