import { type Edit } from '#core/advise/edit';
import { type Attempts, voices } from '#core/advise/attempts';
import { type Reading, type ReadingId } from '#core/judge/readings';
import { isSpentMix } from '#core/material/families';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { aimPhOf } from '#core/mix/windows';
import { downToScale, enoughGPerL } from '#core/judge/flags/enough';
import { type FlagCode, subjectOf } from '#core/recipe/flag-code';
import { type Recipe } from '#core/recipe/recipe';
import { usual } from '#core/recipe/usual';

/** Rules that speak of too much of a dose. */
const ofAmount: ReadonlySet<FlagCode> = new Set([
  ...(['over-ceiling', 'layer-strong', 'salts-high', 'nitrogen-high'] as const),
]);

/** From here to there: what stands on the shelf, or what else the library has. */
export type FoundOn = 'shelf' | 'library';

const MOST_PARTS = 4;
/** What a sieve of the trade has, mm. */
const APERTURES = [3, 6, 10, 12];
const FIRM_PCT = [0, 5, 10, 25];
/** Lime is looked for around its aim, pH. */
const AROUND_AIM = [0, -0.2, -0.4, 0.2, 0.4];
/** Of a dose that is too strong: by these shares down to the one that binds. */
const STEPS_DOWN = 10;
/** Doses to begin with, g/L. */
const FIRST_DOSES = [0.1, 0.2, 0.3, 0.45, 0.6, 0.8, 1, 1.5];

/** Every single edit within reach, nothing that changes nothing. */
export function singlesOf(attempts: Attempts, reach: FoundOn): Edit[] {
  const { recipe } = attempts;
  return reach === 'shelf'
    ? [
        ...recipe.components.flatMap((c) => partsOf(recipe, c.material, c.parts)),
        ...screens(attempts),
        ...doses(attempts),
        ...lime(attempts),
        ...firmings(recipe),
        ...materials(attempts, reach),
      ]
    : materials(attempts, reach);
}

/** Parts are changed by one, or by the smallest that is in it. */
const unitOf = ({ components }: Recipe): number => Math.min(1, ...components.map((c) => c.parts));

function partsOf(recipe: Recipe, material: string, was: number): Edit[] {
  const unit = unitOf(recipe);
  const others: Edit[] = [];
  for (let n = 1; n <= MOST_PARTS; n++) {
    others.push({ kind: 'parts', material, parts: was + n * unit });
    if (was - n * unit > 1e-9) others.push({ kind: 'parts', material, parts: was - n * unit });
  }
  if (recipe.components.length > 1) others.push({ kind: 'dropMaterial', material });
  return others;
}

/** New materials, and what could take the place of one that is in it, with the same parts. */
function materials({ recipe, library, by, isHere }: Attempts, reach: FoundOn): Edit[] {
  const inIt = new Set(recipe.components.map((c) => c.material));
  const fits = (m: Material): boolean =>
    !inIt.has(m.id) &&
    !isSpentMix(m) &&
    !by.never?.includes(m.family) &&
    isHere(m.id) === (reach === 'shelf');
  const others = [...library.materials.values()].filter(fits);
  const unit = unitOf(recipe);
  const added = others.flatMap(({ id }) =>
    Array.from({ length: MOST_PARTS }, (_, i): Edit => ({
      kind: 'parts',
      material: id,
      parts: (i + 1) * unit,
    })),
  );
  const swapped = recipe.components.flatMap(({ material }) => {
    const from = library.materials.get(material);
    return others
      .filter((m) => m.role === from?.role)
      .map((m): Edit => ({ kind: 'swapMaterial', from: material, to: m.id }));
  });
  return [...swapped, ...added];
}

const screens = ({ recipe, library }: Attempts): Edit[] =>
  recipe.components.flatMap(({ material, screenedMm }) => {
    const largest = Math.min(library.materials.get(material)?.maxParticleMm ?? 0, screenedMm ?? Infinity);
    return APERTURES.filter((mm) => mm < largest).map((mm): Edit => ({ kind: 'screen', material, mm }));
  });

const firmings = ({ compactionPct }: Recipe): Edit[] =>
  FIRM_PCT.filter((pct) => pct !== compactionPct).map((pct) => ({ kind: 'firm', pct }));

function lime({ recipe, library, first, isHere }: Attempts): Edit[] {
  const limes = recipe.amendments.filter(({ amendment }) => {
    const product = library.amendments.get(amendment);
    return product?.kind === 'lime' && neutralisingMeqPerG(product) > 0;
  });
  const given = [...(recipe.lime ? [recipe.lime.amendment] : []), ...limes.map((d) => d.amendment)];
  const sound = given.filter((id) => library.amendments.get(id)?.caution !== 'caustic');
  const products = [...new Set([...sound.slice(0, 1), usual.groundLime])].filter(
    (id) => library.amendments.has(id) && (sound.includes(id) || isHere(id) || given.length > 0),
  );
  const aim = aimPhOf(first.judgement.input, first.judgement.evaluation);
  const others = products.flatMap((amendment) =>
    AROUND_AIM.map((off): Edit => ({
      ...{ kind: 'limeToPh', amendment },
      ph: Math.round(10 * (aim + off)) / 10,
    })),
  );
  const same = (edit: Edit): boolean =>
    edit.kind === 'limeToPh' &&
    limes.length === 0 &&
    recipe.lime?.amendment === edit.amendment &&
    Math.abs(recipe.lime.ph - edit.ph) < 1e-9;
  return [
    ...(given.length > 0 ? [{ kind: 'noLime' } as const] : []),
    ...others.filter((each) => !same(each)),
  ];
}

/**
 * Doses less, out, or new. Of a dose that is too strong only one smaller: the largest at which nothing speaks of it any more
 * as loudly, so that one number stands on every screen.
 */
function doses(attempts: Attempts): Edit[] {
  const { recipe, library } = attempts;
  const down = recipe.amendments.flatMap(({ amendment, gPerL }): Edit[] => {
    // Lime is dosed to a pH.
    const isLime = library.amendments.get(amendment)?.kind === 'lime';
    const right = isLime ? null : rightDose(attempts, amendment, gPerL);
    const out: Edit = { kind: 'dropAmendment', amendment };
    return right === null || right <= 0 ? [out] : [out, { kind: 'dose', amendment, gPerL: right }];
  });
  const feeds = [usual.nitrogen, usual.phosphorus, usual.potassium, usual.calcium, usual.traces];
  const here = feeds.filter((id) => library.amendments.has(id) && attempts.isHere(id));
  const up = here.flatMap((amendment) => {
    const was = recipe.amendments.find((d) => d.amendment === amendment)?.gPerL ?? 0;
    return FIRST_DOSES.filter((gPerL) => gPerL > was + 0.04).map((gPerL): Edit => ({
      ...{ kind: 'dose', amendment, gPerL },
    }));
  });
  return [...down, ...up];
}

/** The largest dose at which all that its absence silences is silent; null where it silences nothing. */
function rightDose(attempts: Attempts, amendment: string, was: number): number | null {
  const without = attempts.with([{ kind: 'dropAmendment', amendment }]);
  if (!without) return null;
  const { input, evaluation, readings } = attempts.first.judgement;
  const before = [...voices(attempts.first.judgement).keys()].filter((code) => subjectOf[code] !== 'care');
  const after = voices(without.judgement);
  const its = before.filter((code) => !after.has(code));
  if (its.length === 0) return null;
  // What speaks of the amount sets it; what is short beside it, or not ready yet, is put right otherwise.
  const amounts = its.filter((code) => ofAmount.has(code));
  const binding = amounts.length > 0 ? amounts : its;
  const isSilent = (gPerL: number): boolean => {
    const attempt = attempts.with([{ kind: 'dose', amendment, gPerL }]);
    if (!attempt) return false;
    const now = voices(attempt.judgement);
    return binding.every((code) => !now.has(code));
  };
  // The number that the rules name, where it does it.
  const dose = evaluation.doses.find((d) => d.amendment.id === amendment);
  const reading = (id: ReadingId): Reading | undefined => readings.find((r) => r.id === id);
  const enough = dose ? enoughGPerL({ input, evaluation, reading }, dose) : was;
  if (enough < was && (amounts.length === 0 || isSilent(enough))) return enough;
  let [low, high] = [0, was];
  for (let i = 0; i < STEPS_DOWN; i++) {
    const middle = downToScale((low + high) / 2);
    if (middle <= low || middle >= high) break;
    if (isSilent(middle)) low = middle;
    else high = middle;
  }
  return low > 0 ? low : null;
}
