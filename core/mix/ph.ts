import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { type Composition } from '#core/mix/composition';
import { CARBONATE_STOPS_PH, limeBetween, limedFrom } from '#core/mix/lime-curve';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** So many grams of a product to a litre of finished mix. */
export interface Dose {
  amendment: Amendment;
  gPerL: number;
  /** Share of the root volume into which it is strewn; left out where it is mixed through. */
  layer?: number | undefined;
}

/** pH at which a material has the buffer of its row; below it the buffer grows by its slope (model § 15). */
const ROW_PH = 5.5;

/**
 * How a mix answers lime. Q(p) = b p − a p²/2 − c is what it takes to reach a pH, meq per litre of finished mix.
 */
export interface Acidity {
  a: number;
  b: number;
  c: number;
  /** Of the whole mix at pH 5.5, meq per litre of finished mix per pH unit; it is more below, where there is a slope. */
  bufferMeqPerLPerPh: number;
  /** Before any lime that is dosed: free lime of the materials counts. */
  phBeforeLime: number;
  /** Free lime of the materials, meq/L, and the pH up to which it acts. */
  carbonateMeqPerL: number;
  carbonatePh: number;
}

/** What is given to a mix as it comes. */
const NOTHING: AgainstAcid = { lime: 0, whole: 0 };

/** Lime that the buffers take to reach a pH, meq/L; below 0 under their own pH. */
const takes = ({ a, b, c }: Acidity, ph: number): number => b * ph - (a * ph * ph) / 2 - c;

/** The mix that a jar test says: one buffer, its pH before lime, whatever was in it. */
export const linearAcidity = (bufferMeqPerLPerPh: number, phBeforeLime: number): Acidity => ({
  a: 0,
  b: bufferMeqPerLPerPh,
  bufferMeqPerLPerPh,
  c: bufferMeqPerLPerPh * phBeforeLime,
  phBeforeLime,
  carbonateMeqPerL: 0,
  carbonatePh: CARBONATE_STOPS_PH,
});

/** Sums of one loose litre, ready to become an acidity: see `acidityOf`. */
export interface AcidSums {
  a: number;
  b: number;
  c: number;
  carbonate: number;
  /** Σ f A pH of what carries it. */
  carbonatePh: number;
  /** Plain mean pH, for a mix in which nothing buffers. */
  ph: number;
}

/** Buffer, slope and free lime of one material, per loose litre. */
export function acidSumsOf(m: Material): AcidSums {
  const slope = m.bufferMeqPerLPerPh * m.bufferSlopePerPh;
  const buffer = m.bufferMeqPerLPerPh + slope * ROW_PH;
  return {
    a: slope,
    b: buffer,
    c: buffer * m.ph - (slope * m.ph * m.ph) / 2,
    carbonate: m.carbonateMeqPerL,
    carbonatePh: m.carbonateMeqPerL * m.ph,
    ph: m.ph,
  };
}

/**
 * What the sums of the parts make of a finished litre; written into `state`.
 * @param d loose litres in a litre of finished mix
 */
export function acidityOf(sums: AcidSums, d: number, state: Acidity): void {
  state.a = d * sums.a;
  state.b = d * sums.b;
  state.c = d * sums.c;
  state.bufferMeqPerLPerPh = state.b - ROW_PH * state.a;
  state.carbonateMeqPerL = d * sums.carbonate;
  state.carbonatePh =
    sums.carbonate > 0 ? Math.min(CARBONATE_STOPS_PH, sums.carbonatePh / sums.carbonate) : CARBONATE_STOPS_PH;
  state.phBeforeLime = sums.b > 0 ? limed(state, NOTHING) : sums.ph;
}

/** Buffers, their slopes and free lime add by share (model § 15); a plain mean of pH where nothing buffers. */
export function acidity(composition: Composition): Acidity {
  const sums: AcidSums = { a: 0, b: 0, c: 0, carbonate: 0, carbonatePh: 0, ph: 0 };
  composition.parts.forEach(({ material }, i) => {
    const acidSums = acidSumsOf(material);
    for (const name of Object.keys(sums) as (keyof AcidSums)[])
      sums[name] += composition.shares[i]! * acidSums[name];
  });
  const state = linearAcidity(0, 0);
  acidityOf(sums, composition.densification, state);
  return state;
}

/**
 * The same with a material mixed in, per litre of what comes of both.
 * @param litres of the mix; loose litres of the material; litres that both make
 */
export function acidityWith(
  state: Acidity,
  litres: number,
  added: { material: Material; looseL: number } | null,
  makesLitres: number,
): Acidity {
  const [old, more] = [litres / makesLitres, (added?.looseL ?? 0) / makesLitres];
  const its = added && acidSumsOf(added.material);
  const both = (name: 'a' | 'b' | 'c'): number => old * state[name] + more * (its?.[name] ?? 0);
  const mixed = linearAcidity(0, 0);
  const carbonate = old * state.carbonateMeqPerL + more * (its?.carbonate ?? 0);
  const carbonatePh = old * state.carbonateMeqPerL * state.carbonatePh + more * (its?.carbonatePh ?? 0);
  const sums = { a: both('a'), b: both('b'), c: both('c'), carbonate, carbonatePh };
  acidityOf({ ...sums, ph: state.phBeforeLime }, 1, mixed);
  return mixed;
}

/** The same buffers at a pH that was measured: whatever brought them there has acted. */
export function acidityAt(state: Acidity, ph: number): Acidity {
  const c = state.b * ph - (state.a * ph * ph) / 2;
  return { ...state, c, phBeforeLime: ph, carbonateMeqPerL: 0 };
}

/** pH at which the buffers have taken so many meq/L. */
function phTaking({ a, b, c }: Acidity, meqPerL: number): number {
  if (a <= 0) return (c + meqPerL) / b;
  const root = b * b - 2 * a * (c + meqPerL);
  // Past the top of the curve the buffers are used up: the ceiling holds it.
  return root <= 0 ? b / a : (b - Math.sqrt(root)) / a;
}

/** What is given against acid, meq/L: carbonates act by their share (`lime-curve`), caustic ones whole. */
export interface AgainstAcid {
  lime: number;
  whole: number;
}

/** Hydrated lime and wood ash act whole. */
const actsWhole = (product: Amendment): boolean => product.caution === 'caustic';

/** What all doses give (limes, ash, rock dusts), once they have reacted as far as they do. */
export function givenBy(doses: readonly Dose[]): AgainstAcid {
  const given: AgainstAcid = { lime: 0, whole: 0 };
  for (const { amendment, gPerL } of doses)
    given[actsWhole(amendment) ? 'whole' : 'lime'] += gPerL * neutralisingMeqPerG(amendment);
  return given;
}

/** Both of them together, meq/L. */
export function limedMeqPerL(doses: readonly Dose[]): number {
  const { lime, whole } = givenBy(doses);
  return lime + whole;
}

/** Carbonate to bring the mix to a pH, meq/L, beside the free lime that is in it; 0 where it is there or above. */
export function limeNeededMeqPerL(state: Acidity, ph: number, whole = 0): number {
  if (ph <= phAfter(state, { lime: 0, whole })) return 0;
  const to = Math.min(ph, HIGHEST_DOSED_PH);
  const from = Math.min(to, phTaking(state, whole));
  return Math.max(
    0,
    limeBetween(state.a, state.b, from, to) - (ph <= state.carbonatePh ? state.carbonateMeqPerL : 0),
  );
}

/** What one pH takes on the way from the mix's own to another, meq/L: its buffer, where that is the same throughout. */
export function bufferOnTheWay(state: Acidity, ph: number): number {
  const way = ph - state.phBeforeLime;
  return way > 1e-9 ? (takes(state, ph) - takes(state, state.phBeforeLime)) / way : state.bufferMeqPerLPerPh;
}

/** pH with so much given, free lime of the parts acting as far as it does. */
function limed(state: Acidity, { lime, whole }: AgainstAcid): number {
  const { a, b, carbonateMeqPerL } = state;
  // Acid takes free lime first, and from the buffers what is left of it.
  const acid = Math.max(0, -lime);
  const own = Math.min(HIGHEST_PH, phTaking(state, whole - Math.max(0, acid - carbonateMeqPerL)));
  const dosed = limedFrom(a, b, own, lime);
  if (carbonateMeqPerL <= acid) return dosed;
  const free = Math.max(0, lime) + carbonateMeqPerL - acid;
  return Math.max(dosed, Math.min(limedFrom(a, b, own, free), state.carbonatePh));
}
/** Ash and hydrated lime go past what carbonate does; in the air of a mix they turn to carbonate and stop here. */
const HIGHEST_PH = 8.2;
/** Doses are worked out up to here. */
const HIGHEST_DOSED_PH = 7.4;

/**
 * pH once what was given has reacted. A mix above what lime can do stays there.
 * @param given lime below 0 is acid: it takes from the buffers
 */
export function phAfter(state: Acidity, given: AgainstAcid): number {
  const { lime, whole } = given;
  if (lime === 0 && whole === 0) return state.phBeforeLime;
  if (state.b <= 0)
    return lime + whole > 0 ? Math.max(state.phBeforeLime, CARBONATE_STOPS_PH) : state.phBeforeLime;
  const ph = limed(state, given);
  return lime < 0 ? ph : Math.max(state.phBeforeLime, ph);
}

/**
 * Grams per litre of a liming product that bring the mix to a pH, on top of what other doses do already.
 * @param targetPh 3.5–8.0; over 7.4 it is dosed to that
 * @returns 0 where the mix is there or above: lime cannot lower pH
 * @throws RangeError when the product does not neutralise acid
 */
export function limeDoseGPerL(
  state: Acidity,
  product: Amendment,
  targetPh: number,
  other: AgainstAcid = { lime: 0, whole: 0 },
): number {
  checkRange('limeToPh.ph', targetPh, ...limits.limeToPh);
  const strength = neutralisingMeqPerG(product);
  if (!(strength > 0))
    throw new OutOfRange('limeToPh.amendment', product.id, allow('allowed.neutralises-acid', none));
  if (!actsWhole(product))
    return Math.max(0, limeNeededMeqPerL(state, targetPh, other.whole) - other.lime) / strength;
  if (targetPh <= phAfter(state, other)) return 0;
  // What acts whole comes first: as much as leaves to the others what they can do.
  const free = targetPh <= state.carbonatePh ? state.carbonateMeqPerL : 0;
  return Math.max(0, takes(state, whereLimed(state, targetPh, other.lime + free)) - other.whole) / strength;
}

/** From which pH so much lime comes to another, by halving. */
function whereLimed({ a, b }: Acidity, to: number, meqPerL: number): number {
  if (meqPerL <= 0 || to >= CARBONATE_STOPS_PH) return to;
  let [low, high] = [0, to];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (limeBetween(a, b, middle, to) > meqPerL) low = middle;
    else high = middle;
  }
  return high;
}

/** Up to here the alkalinity of water acts whole; above it as lime does. */
const WHOLE_UP_TO_PH = 6;

/** pH from another once so much alkalinity of water has come to a litre of mix, meq/L, at least 0. */
export function phWatered(state: Acidity, from: number, meqPerL: number): number {
  const { a, b } = state;
  if (b <= 0 || meqPerL <= 0) return from;
  const whole =
    from < WHOLE_UP_TO_PH ? Math.min(meqPerL, takes(state, WHOLE_UP_TO_PH) - takes(state, from)) : 0;
  const lifted = whole > 0 ? phTaking(state, takes(state, from) + whole) : from;
  return limedFrom(a, b, lifted, meqPerL - whole);
}
