import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Aim, type Aims } from '#core/finder/aims';
import { searchAll } from '#core/finder/formulate';
import { gathered } from '#core/finder/parts';
import { MOST_PARTS } from '#core/finder/search';
import { FastEvaluation } from '#core/finder/fast-evaluation';
import { noPreferences } from '#core/finder/fast-spec';
import { blendOf } from '#core/finder/starter';
import { judgeMix, type Judgement } from '#core/judge/judge';
import { type Reading } from '#core/judge/readings';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { isCoir } from '#core/material/families';
import { type Material } from '#core/material/material';
import { coirCalciumGPerL } from '#core/mix/leaching';
import { meanByShare } from '#core/mix/composition';
import { type MixInput } from '#core/mix/evaluate';
import { type Dose } from '#core/mix/ph';
import { OutOfRange } from '#core/units/check';

/** The nearest recipe in behaviour without a material, with another one in its place. */
export interface Swap {
  to: Material;
  components: { material: Material; parts: number }[];
  amendments: Dose[];
  limeToPh: { amendment: Amendment; ph: number } | null;
  judgement: Judgement;
  /** 0 where it behaves alike in everything; 1 is one reading off by half its window. */
  distance: number;
  /** The same parts of the other material, and nothing else changed: what a grower does first. */
  plain?: Swap;
  /** Readings that end up off by more than half their window, or leave it. */
  unmatched: { id: Reading['id']; was: number; is: number }[];
}

export interface SwapHelp {
  /** For a mix that had no lime and needs some now. */
  lime: Amendment;
  /** Calcium for coir; none is given where it is missing. */
  gypsum?: Amendment | undefined;
}

/** Half-width by which easily available water may differ, points of volume. Common practice, no source. */
const EASY_WATER_HALF = 5;
const COIR_SHARE = 0.3;

/**
 * Puts another material in the place of one. All sets of whole parts are tried; lime, starter and calcium are
 * solved again for each.
 * @throws OutOfRange when the material is not in the mix, or the other one already is it
 */
export function swapMaterial(now: Judgement, from: string, to: Material, help: SwapHelp): Swap {
  const { input, evaluation } = now;
  const others = input.components.filter((c) => c.material.id !== from);
  if (others.length === input.components.length)
    throw new OutOfRange(
      'from',
      from,
      allow('allowed.one-of', { ids: input.components.map((c) => c.material.id) }),
    );
  if (to.id === from) throw new OutOfRange('to', to.id, allow('allowed.another-material', none));
  const already = others.some((c) => c.material.id === to.id);
  const shelved = [...others.map((c) => c.material), ...(already ? [] : [to])];

  const limes = evaluation.doses.filter((d) => neutralisingMeqPerG(d.amendment) > 1 && d.gPerL > 0);
  const lime = input.limeToPh?.amendment ?? limes[0]?.amendment ?? help.lime;
  const feeds = input.amendments.filter((d) => d.gPerL > 0 && neutralisingMeqPerG(d.amendment) === 0);
  const charge = feeds.filter((d) => d.amendment.kind === 'salt' && d.amendment.nPct > 0);
  const rest = feeds.filter((d) => !charge.includes(d) && d.amendment.id !== help.gypsum?.id);
  const fast = new FastEvaluation({
    vessel: input.vessel,
    compaction: input.compaction,
    shelved: shelved.map((material) => ({ material })),
    aims: aimsLike(now),
    preferences: noPreferences,
    lime,
    starter:
      charge.length > 0 ? blendOf(charge.map((d) => ({ amendment: d.amendment, parts: d.gPerL }))) : null,
    fixedDoses: rest,
    usual: null,
  });
  const total = input.components.reduce((sum, c) => sum + c.parts, 0);
  const maxTotal = Math.min(MOST_PARTS, Math.max(10, Math.ceil(total)));
  // It stays the same mix but for the one material: each of the others keeps a part at least.
  const must = shelved.map(() => 1);
  const found = searchAll(
    fast,
    { maxTotal, min: must, max: must.map(() => maxTotal), materialsMax: shelved.length, peatMax: 1 },
    1,
  ).best[0];
  if (!found) throw new OutOfRange('to', to.id, allow('allowed.material-with-pores', none));

  const { members, amounts } = gathered(found.parts);
  fast.look(members, amounts);
  const components = members.map((i, k) => ({ material: shelved[i]!, parts: amounts[k]! }));
  const solved = fast.dosesLooked();
  const solvedLime = solved.find((d) => d.amendment === lime);
  const limeToPh = solvedLime ? { amendment: lime, ph: evaluation.ph } : null;
  const doses = solved.filter((d) => d !== solvedLime);
  const wanted: MixInput = {
    ...withoutTests(input),
    components,
    amendments: doses,
    ...(limeToPh && { limeToPh }),
  };
  const amendments = withCalcium(wanted, doses, help);
  const judgement = judgeMix({ ...wanted, amendments });
  const swap = { to, components, amendments, limeToPh, judgement, distance: found.score };
  return { ...swap, unmatched: unmatchedOf(now, judgement), plain: plainSwap(now, from, to) };
}

/** Part for part: the same shares, the same doses, limed to the same pH. */
function plainSwap({ input, ...now }: Judgement, from: string, to: Material): Swap {
  const { measured: _, ...mix } = input;
  const components = input.components.map((c) =>
    c.material.id === from ? { material: to, parts: c.parts } : c,
  );
  const judgement = judgeMix({ ...mix, components });
  return {
    ...{ to, components, judgement, distance: 0 },
    amendments: [...input.amendments],
    limeToPh: input.limeToPh ?? null,
    unmatched: unmatchedOf(now, judgement),
  };
}

const unmatchedOf = ({ readings }: Pick<Judgement, 'readings'>, after: Judgement): Swap['unmatched'] =>
  readings.flatMap((r) => {
    const is = after.readings.find((x) => x.id === r.id)!;
    const far = Math.abs(is.value - r.value) > (r.high - r.low) / 2;
    const left = r.verdict === 'ok' && is.verdict !== 'ok';
    return far || left ? [{ id: r.id, was: r.value, is: is.value }] : [];
  });

/** "I am out of this": every candidate in its place, the most alike first. */
export function swapsFor(
  now: Judgement,
  from: string,
  candidates: readonly Material[],
  help: SwapHelp,
): Swap[] {
  const inMix = new Set(now.input.components.map((c) => c.material.id));
  return candidates
    .filter((m) => !inMix.has(m.id))
    .flatMap((to) => {
      try {
        return [swapMaterial(now, from, to, help)];
      } catch (error) {
        if (error instanceof OutOfRange) return [];
        throw error;
      }
    })
    .sort((a, b) => a.unmatched.length - b.unmatched.length || a.distance - b.distance);
}

/** Windows as wide as those of the stage, with the present readings in their middle. */
/** To behave like that, whatever the windows: each reading within half its window of what it is there. */
export function aimsLike(now: Judgement): Aims {
  const around = (value: number, half: number): Aim => ({
    low: value - half,
    high: value + half,
    kind: 'between',
  });
  const aims: Partial<Record<string, Aim>> = {};
  for (const r of now.readings) {
    aims[r.id] =
      r.id === 'overSize'
        ? { low: 0, high: Math.max(r.high, r.value), kind: 'atMost' }
        : around(valueOf(now, r), (r.high - r.low) / 2);
  }
  const ph = aims['ph']!;
  const easilyAvailableWater = around(now.evaluation.easilyAvailableWater * 100, EASY_WATER_HALF);
  return { ...aims, ph, slides: null, easilyAvailableWater };
}

/** What the model says, also where a test stands in for it: the other recipe has no test. */
function valueOf({ evaluation: e }: Judgement, r: Reading): number {
  switch (r.id) {
    case 'air':
      return e.drained.air * 100;
    case 'ph':
      return e.ph;
    case 'ecSaturated':
      return e.ecSaturatedMSPerCm;
    default:
      return r.value;
  }
}

function withoutTests(input: MixInput): MixInput {
  const bare = { ...input };
  delete bare.measured;
  delete bare.limeToPh;
  return bare;
}

/** Gypsum for what coir takes out of the first feeds. */
function withCalcium(input: MixInput, doses: readonly Dose[], { gypsum }: SwapHelp): Dose[] {
  if (!gypsum) return [...doses];
  const { evaluation } = judgeMix(input);
  const coir = (m: Material): number => (isCoir(m) ? 1 : 0);
  const share = meanByShare(evaluation.composition, coir);
  if (share < COIR_SHARE) return [...doses];
  const k = meanByShare(evaluation.composition, (m) => coir(m) * m.availableKMgPerL) / share;
  // The dose is reckoned as calcium nitrate of 19 % Ca; gypsum holds its own share.
  const gPerL = (coirCalciumGPerL(share, k, evaluation.elementsMgPerL.ca / 20.04) * 19) / gypsum.caPct;
  return gPerL < 0.05 ? [...doses] : [...doses, { amendment: gypsum, gPerL: Math.ceil(gPerL * 100) / 100 }];
}
