import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { type Composition } from '#core/mix/composition';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** So many grams of a product to a litre of finished mix. */
export interface Dose {
  amendment: Amendment;
  gPerL: number;
  /** Share of the root volume into which it is strewn; left out where it is mixed through. */
  layer?: number | undefined;
}

/** Carbonate holds the mix here; lime past it stays undissolved (Argo & Fisher 2002 (m)). */
export const CARBONATE_CEILING_PH = 8.2;

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
  carbonatePh: CARBONATE_CEILING_PH,
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
    sums.carbonate > 0
      ? Math.min(CARBONATE_CEILING_PH, sums.carbonatePh / sums.carbonate)
      : CARBONATE_CEILING_PH;
  state.phBeforeLime = sums.b > 0 ? limed(state, 0) : sums.ph;
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

/** pH at which the buffers have taken so many meq/L. */
function phTaking({ a, b, c }: Acidity, meqPerL: number): number {
  if (a <= 0) return (c + meqPerL) / b;
  const root = b * b - 2 * a * (c + meqPerL);
  // Past the top of the curve the buffers are used up: the ceiling holds it.
  return root <= 0 ? b / a : (b - Math.sqrt(root)) / a;
}

/** Lime to bring the mix to a pH, meq/L, beside the free lime that is in it; 0 where it is there or above. */
export function limeNeededMeqPerL(state: Acidity, ph: number): number {
  if (ph <= state.phBeforeLime) return 0;
  return Math.max(0, takes(state, ph) - (ph <= state.carbonatePh ? state.carbonateMeqPerL : 0));
}

/** What one pH takes on the way from the mix's own to another, meq/L: its buffer, where that is the same throughout. */
export function bufferOnTheWay(state: Acidity, ph: number): number {
  const way = ph - state.phBeforeLime;
  return way > 1e-9 ? limeNeededMeqPerL(state, ph) / way : state.bufferMeqPerLPerPh;
}

/** pH with so much lime dosed if all of it dissolved. */
export const uncappedPh = (state: Acidity, meqPerL: number): number =>
  state.b > 0 ? Math.max(state.phBeforeLime, limed(state, meqPerL, Infinity)) : state.phBeforeLime;

/** pH with so much lime dosed, free lime of the parts acting as far as it does. */
function limed(state: Acidity, meqPerL: number, ceiling = CARBONATE_CEILING_PH): number {
  const own = phTaking(state, 0);
  const dosed = Math.max(own, Math.min(ceiling, phTaking(state, meqPerL)));
  if (state.carbonateMeqPerL <= 0) return dosed;
  return Math.max(dosed, Math.min(phTaking(state, meqPerL + state.carbonateMeqPerL), state.carbonatePh));
}

/** Acid neutralised by all doses that do so (limes, ash, rock dusts), meq/L, once they have reacted. */
export function limedMeqPerL(doses: readonly Dose[]): number {
  return doses.reduce((sum, d) => sum + d.gPerL * neutralisingMeqPerG(d.amendment), 0);
}

/** pH once `meqPerL` of lime has reacted, held at the carbonate ceiling. A mix above it already stays there. */
export function phAfter(state: Acidity, meqPerL: number): number {
  if (meqPerL <= 0) return state.phBeforeLime;
  if (state.b <= 0) return Math.max(state.phBeforeLime, CARBONATE_CEILING_PH);
  return Math.max(state.phBeforeLime, limed(state, meqPerL));
}

/**
 * Grams per litre of a liming product that bring the mix to a pH, on top of what other doses do already.
 * @param targetPh 3.5–8.0
 * @returns 0 where the mix is there or above: lime cannot lower pH
 * @throws RangeError when the product does not neutralise acid
 */
export function limeDoseGPerL(
  state: Acidity,
  product: Amendment,
  targetPh: number,
  otherMeqPerL = 0,
): number {
  checkRange('limeToPh.ph', targetPh, ...limits.limeToPh);
  const strength = neutralisingMeqPerG(product);
  if (!(strength > 0))
    throw new OutOfRange('limeToPh.amendment', product.id, allow('allowed.neutralises-acid', none));
  return Math.max(0, (limeNeededMeqPerL(state, targetPh) - otherMeqPerL) / strength);
}
