import { OutOfRange } from '#core/units/check';
import { type Judgement, judgeRecipe } from '#core/judge/judge';
import { type Severity } from '#core/judge/flag';
import { type ReadingId } from '#core/judge/readings';
import { type CauseWeights, rankCauses, type Taught } from '#core/plants/causes';
import { type CauseId } from '#core/plants/cause-table';
import { foundOf, type Surroundings } from '#core/plants/found';
import { type KeptEvent, type Planting, standing, tallyOf } from '#core/plants/planting';
import { type Family } from '#core/material/family';
import { applyFix, type Fix, type SingleFix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { usual } from '#core/recipe/usual';

/** What the plants of a batch tell against its mix. */
export interface Suspect {
  cause: CauseId;
  /** Sum over the plantings, each from 0 to 1. */
  weight: number;
  /** So many of them tell of it. */
  plantings: number;
}

/** A planting with its record and where it stands. */
export interface PlantRecord {
  planting: Planting;
  events: readonly KeptEvent[];
  about: Surroundings;
}

/** Told for less than this is not told; a reading out of its window without a sign; so many rotted: common practice, no source. */
const LEAST = 0.2;
const READING_ALONE = 0.5;
const ROTTED = 0.1;
const MOST_CHANGES = 3;

/** Causes that the plantings of a mix speak of, by signs, readings, losses and what helped, most told first. */
export function suspectsOf(records: readonly PlantRecord[], taught?: Taught, odds?: CauseWeights): Suspect[] {
  const sums = new Map<CauseId, Suspect>();
  for (const { planting, events, about } of records) {
    const all = standing(events);
    const found = foundOf(planting, events, about);
    const own = new Map<CauseId, number>();
    const say = (cause: CauseId, weight: number): void => {
      if (weight >= LEAST) own.set(cause, Math.max(own.get(cause) ?? 0, weight));
    };
    if (found.ph === 'low') say('sour', READING_ALONE);
    if (found.ph === 'high') say('sweet', READING_ALONE);
    if (found.ec === 'high') say('salty', READING_ALONE);
    if (found.ec === 'low' && found.feed === 'due') say('hungry', READING_ALONE);
    const { begun, lost } = tallyOf(planting, events);
    if ((lost.get('damped off') ?? 0) + (lost.get('stem rot') ?? 0) > ROTTED * begun)
      say('damping', READING_ALONE);
    for (const event of all)
      if (event.kind === 'sign')
        for (const { cause, share } of rankCauses(event.sign, found, taught, odds)) say(cause, share);
    // What was tried and helped, or did not, has the last word.
    for (const event of all)
      if (event.kind === 'helped') {
        if (event.helped) own.set(event.cause, 1);
        else own.delete(event.cause);
      }
    for (const [cause, weight] of own) {
      const existing = sums.get(cause) ?? { cause, weight: 0, plantings: 0 };
      sums.set(cause, { cause, weight: existing.weight + weight, plantings: existing.plantings + 1 });
    }
  }
  return [...sums.values()].sort((a, b) => b.weight - a.weight);
}

/** One change of the recipe, tried: what it would do, and why. */
export interface NextTime {
  cause: CauseId;
  fix: Fix;
  changes: { id: ReadingId; from: number; to: number }[];
}

/** What a cause asks of the readings: which of them, and whither. */
const wants: Partial<Record<CauseId, readonly [id: ReadingId, way: 1 | -1][]>> = {
  sour: [['ph', 1]],
  sweet: [['ph', -1]],
  salty: [['ecSaturated', -1]],
  hungry: [['n', 1]],
  drowned: [
    ['air', 1],
    ['airAfterDrydown', 1],
  ],
  damping: [
    ['air', 1],
    ['airAfterDrydown', 1],
  ],
  'gnat-larvae': [
    ['air', 1],
    ['airAfterDrydown', 1],
  ],
  ammonia: [['ecSaturated', -1]],
  loose: [['cohesion', 1]],
};

/** Changes that could answer a cause, the gentlest first. */
function candidates(cause: CauseId, recipe: Recipe, before: Judgement, library: Library): Fix[] {
  const add = (...materials: string[]): SingleFix[] =>
    [1, 2].flatMap((parts) => materials.map((material): SingleFix => ({ kind: 'addPart', material, parts })));
  const feeds = before.input.amendments.filter(
    ({ amendment, gPerL }) => amendment.kind !== 'lime' && gPerL > 0,
  );
  const scaled = (by: number, of = feeds): SingleFix[] =>
    of.map(({ amendment, gPerL }) => ({ kind: 'dose', amendment: amendment.id, gPerL: by * gPerL }));
  const together = (fixes: SingleFix[]): Fix[] => (fixes.length > 0 ? [{ kind: 'all', fixes }] : []);
  const opens = library.materials.get(usual.coarseOpener)?.role;
  const lime = recipe.lime?.amendment ?? usual.groundLime;
  const now = before.readings.find(({ id }) => id === 'ph')?.value ?? 6;
  const limed = (by: readonly number[]): Fix[] =>
    by.map((step) => ({ kind: 'limeToPh', amendment: lime, ph: now + step }));
  switch (cause) {
    case 'sour':
      return limed([0.5, 0.3, 0.2]);
    case 'sweet':
      return [...limed([-0.5, -0.3, -0.2]), ...add(usual.sourPeat)];
    case 'salty':
      return [...together(scaled(0.5)), ...together(scaled(0.75)), ...add(usual.sourPeat, usual.fineOpener)];
    case 'hungry':
      return [
        ...together(scaled(1.5)),
        ...together(scaled(1.25)),
        ...(feeds.length === 0 ? [{ kind: 'dose', amendment: usual.nitrogen, gPerL: 0.3 } as const] : []),
      ];
    case 'drowned':
    case 'damping':
    case 'gnat-larvae':
      // The usual ones first; another that opens where an approach does not use them.
      return [
        ...add(usual.coarseOpener, usual.fineOpener),
        ...add(...[...library.materials.values()].filter(({ role }) => role === opens).map(({ id }) => id)),
      ];
    case 'ammonia':
      return together(
        scaled(
          0.5,
          feeds.filter(({ amendment }) => amendment.kind === 'organic'),
        ),
      );
    case 'loose':
      return add(usual.bindingPeat);
    default:
      return [];
  }
}

/**
 * Up to three changes of a recipe for next time, for what its plants told most of. Each is tried: it moves the reading
 * that the cause is about, and puts no other out of its window nor raises a stop or a warning.
 * @param never families that the approach does not use
 */
export function nextTime(
  recipe: Recipe,
  suspects: readonly Suspect[],
  library: Library,
  never: readonly Family[] = [],
): NextTime[] {
  const before = judgeRecipe(recipe, library);
  const found: NextTime[] = [];
  for (const { cause } of suspects) {
    if (found.length === MOST_CHANGES) break;
    for (const fix of candidates(cause, recipe, before, library)) {
      const added = fix.kind === 'addPart' ? library.materials.get(fix.material) : undefined;
      if (added && never.includes(added.family)) continue;
      const change = tried(fix, cause, recipe, before, library);
      if (!change) continue;
      if (!found.some((each) => JSON.stringify(each.fix) === JSON.stringify(fix))) found.push(change);
      break;
    }
  }
  return found;
}

const wrong = ({ readings }: Judgement): number => readings.filter((r) => r.verdict !== 'ok').length;
const count = ({ flags }: Judgement, severity: Severity): number =>
  flags.filter((f) => f.severity === severity).length;

/** From too much to too little, or the other way: no remedy. */
const tipsOver = (before: Judgement, after: Judgement): boolean =>
  before.readings.some(({ id, verdict }) => {
    const now = after.readings.find((r) => r.id === id)?.verdict ?? 'ok';
    return verdict !== 'ok' && now !== 'ok' && now !== verdict;
  });

/** Fewer readings right than before, one tipped from too little to too much, or more stops or warnings. */
const makesWorse = (before: Judgement, after: Judgement): boolean =>
  wrong(after) > wrong(before) ||
  tipsOver(before, after) ||
  (['stop', 'warn'] as const).some((severity) => count(after, severity) > count(before, severity));

function changesOf(before: Judgement, after: Judgement): NextTime['changes'] {
  return before.readings.flatMap(({ id, value }) => {
    const to = after.readings.find((r) => r.id === id)?.value;
    return to === undefined || Math.abs(to - value) < 1e-9 ? [] : [{ id, from: value, to }];
  });
}

function tried(
  fix: Fix,
  cause: CauseId,
  recipe: Recipe,
  before: Judgement,
  library: Library,
): NextTime | null {
  try {
    const after = judgeRecipe(applyFix(recipe, fix, library), library);
    const changes = changesOf(before, after);
    const moves = (wants[cause] ?? []).some(([id, way]) =>
      changes.some((change) => change.id === id && (change.to - change.from) * way > 1e-6),
    );
    return moves && !makesWorse(before, after) ? { cause, fix, changes } : null;
  } catch (error) {
    if (error instanceof OutOfRange) return null;
    throw error;
  }
}

/** What a cause asks for that no change of the mix gives. */
export const besideTheMix = (suspects: readonly Suspect[]): CauseId[] =>
  suspects.filter(({ cause }) => wants[cause] === undefined).map(({ cause }) => cause);

/**
 * What was read of plants in a mix differs from what is reckoned of it by more than this: pH, and times the EC. What is
 * poured through reads about half as much again as the saturated extract: common practice, no source.
 */
const PH_OFF = 0.5;
const EC_TIMES = 2.5;

/**
 * Readings that the mix does not explain: its materials or the water are other than the library says, and are tested
 * before the mix is changed.
 * @param read medians of what was read, null where nothing was
 */
export function unexplained(
  reckoned: { ph: number; ec: number },
  read: { ph: number | null; ec: number | null },
): ('ph' | 'ec')[] {
  const off: ('ph' | 'ec')[] = [];
  if (read.ph !== null && Math.abs(read.ph - reckoned.ph) > PH_OFF) off.push('ph');
  // Feed and leaching move salts: only more than was ever in it is unexplained.
  if (read.ec !== null && read.ec > EC_TIMES * reckoned.ec) off.push('ec');
  return off;
}

/** The middle one of what was read of a kind, null where nothing was. */
export function medianRead(records: readonly PlantRecord[], kind: 'ph' | 'ec'): number | null {
  const values = records
    .flatMap(({ events }) => standing(events))
    .flatMap((event) => (event.kind === kind ? [event.value] : []))
    .sort((a, b) => a - b);
  return values.length > 0 ? values[values.length >> 1]! : null;
}
