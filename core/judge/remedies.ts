import { OutOfRange } from '#core/units/check';
import { type Flag, severities, type Severity } from '#core/judge/flag';
import { aimPhOf } from '#core/mix/windows';
import { judgeMix, type JudgedBy, type Judgement } from '#core/judge/judge';
import { type ReadingId } from '#core/judge/readings';
import { applyFix, type Fix, type SingleFix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { isSpentMix } from '#core/material/families';
import { type Family } from '#core/material/family';
import { type Material } from '#core/material/material';
import { usual } from '#core/recipe/usual';

/** A remedy that was tried on the recipe and makes it better, and what it changes. */
export interface Remedy {
  fix: Fix;
  changes: { id: ReadingId; from: number; to: number }[];
}

const MOST_PARTS = 4;
/** More kinds than these are not tried. */
const MOST_KINDS = 5;

/** Who presses: how loudly their approach speaks, what they have, and what they would never use. */
export interface PressedBy {
  loudness?: JudgedBy['loudness'];
  /** Ids of what stands on the shelf; undefined where nobody knows. */
  shelf?: ReadonlySet<string> | undefined;
  never?: readonly Family[];
}

/**
 * The press that goes with a flag: the remedy of the rule where it helps, else the nearest like it that does: more
 * parts of it, another of its kind, the same with the lime set anew. null where none was found: words only.
 *
 * What helps never lowers the number of readings that are right, brings no louder flag, and takes the flag away or
 * brings the readings nearer to their windows.
 */
export function remedyOf(
  flag: Flag,
  recipe: Recipe,
  before: Judgement,
  library: Library,
  by: PressedBy = {},
): Remedy | null {
  if (!flag.fix) return null;
  for (const fix of candidates(flag.fix, before, library, by)) {
    const after = tried(fix, recipe, library, by.loudness);
    if (after && helps(flag, before, after)) return { fix, changes: changesOf(before, after) };
  }
  return null;
}

/** The fix of the rule first, then what is like it, nearest first; what stands on the shelf before what does not. */
function candidates(fix: SingleFix, before: Judgement, library: Library, by: PressedBy): Fix[] {
  const lime = limeAnew(before);
  if (fix.kind === 'screen') return [{ kind: 'all', fixes: screenedAll(fix, before) }, fix];
  if (fix.kind === 'swapMaterial' && forbidden(library.materials.get(fix.to), by)) return [];
  const alone: SingleFix[] = fix.kind === 'addPart' ? moreParts(fix.material, library, by) : [fix];
  const withLime = fix.kind === 'limeToPh' || fix.kind === 'noLime' ? [] : alone;
  return [...alone, ...withLime.map((singleFix): Fix => ({ kind: 'all', fixes: [singleFix, lime] }))];
}

/** All that is too coarse goes through the same screen. */
const screenedAll = ({ mm }: { mm: number }, { evaluation }: Judgement): SingleFix[] =>
  evaluation.composition.parts
    .filter((p) => p.material.maxParticleMm > mm)
    .map((p) => ({ kind: 'screen', material: p.material.id, mm }));

const forbidden = (material: Material | undefined, { never = [] }: PressedBy): boolean =>
  material !== undefined && never.includes(material.family);

/** More of it, or of its kin: what opens for what opens, what holds water for what holds water. */
function moreParts(id: string, library: Library, by: PressedBy): SingleFix[] {
  const asked = library.materials.get(id);
  if (!asked) return [];
  const onShelf = (m: Material): number => (by.shelf?.has(m.id) ? 0 : 1);
  const near = (m: Material): number => (m.id === id ? 0 : m.family === asked.family ? 1 : 2);
  const order = [...library.materials.values()]
    .filter((m) => m.role === asked.role && !forbidden(m, by) && !isSpentMix(m))
    // From elsewhere only what the rule names, and its family; what is not known to be there is not guessed at.
    .filter((m) => m.id === id || by.shelf?.has(m.id) || m.family === asked.family || forbidden(asked, by))
    .sort((a, b) => onShelf(a) - onShelf(b) || near(a) - near(b))
    .slice(0, MOST_KINDS);
  return Array.from({ length: MOST_PARTS }, (_, i) => i + 1).flatMap((parts) =>
    order.map((m): SingleFix => ({ kind: 'addPart', material: m.id, parts })),
  );
}

/** Lime to the middle of the window, with the lime that is there or the usual one. */
function limeAnew({ input, evaluation }: Judgement): SingleFix {
  const amendment = input.limeToPh?.amendment.id ?? usual.groundLime;
  return { kind: 'limeToPh', amendment, ph: aimPhOf(input, evaluation) };
}

function tried(fix: Fix, recipe: Recipe, library: Library, loudness: JudgedBy['loudness']): Judgement | null {
  try {
    return judgeMix(mixInputOf(applyFix(recipe, fix, library), library), {
      library,
      ...(loudness && { loudness }),
    });
  } catch (error) {
    if (error instanceof OutOfRange) return null;
    throw error;
  }
}

const loudnessOf = (severity: Severity): number => severities.length - severities.indexOf(severity);
const wrong = ({ readings }: Judgement): number => readings.filter((r) => r.verdict !== 'ok').length;
const count = ({ flags }: Judgement, severity: Severity): number =>
  flags.filter((f) => f.severity === severity).length;

/** How far all readings lie outside their windows, in widths of these. */
const outside = ({ readings }: Judgement): number =>
  readings.reduce((sum, { value, low, high }) => {
    const off = Math.max(0, low - value, value - high);
    return sum + off / Math.max(high - low, 1e-9);
  }, 0);

/** From too much to too little, or the other way: no remedy. */
const tipsOver = (before: Judgement, after: Judgement): boolean =>
  before.readings.some(({ id, verdict }) => {
    const now = after.readings.find((r) => r.id === id)?.verdict ?? 'ok';
    return verdict !== 'ok' && now !== 'ok' && now !== verdict;
  });

/** Fewer readings right than before, one tipped from too little to too much, or more stops or warnings. */
export const makesWorse = (before: Judgement, after: Judgement): boolean =>
  wrong(after) > wrong(before) ||
  tipsOver(before, after) ||
  (['stop', 'warn'] as const).some((severity) => count(after, severity) > count(before, severity));

function helps(flag: Flag, before: Judgement, after: Judgement): boolean {
  if (makesWorse(before, after)) return false;
  const was = new Map(before.flags.map((f) => [f.code, loudnessOf(f.severity)]));
  const louder = after.flags.some((f) => {
    const loud = loudnessOf(f.severity);
    return loud > (was.get(f.code) ?? 0) && loud > loudnessOf(flag.severity);
  });
  if (louder) return false;
  const still = after.flags.find((f) => f.code === flag.code);
  return (
    !still ||
    loudnessOf(still.severity) < loudnessOf(flag.severity) ||
    outside(after) < outside(before) - 1e-6
  );
}

export function changesOf(before: Judgement, after: Judgement): Remedy['changes'] {
  return before.readings.flatMap(({ id, value }) => {
    const to = after.readings.find((r) => r.id === id)?.value;
    return to === undefined || Math.abs(to - value) < 1e-9 ? [] : [{ id, from: value, to }];
  });
}
