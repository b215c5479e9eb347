import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { meanByShare, type Composition } from '#core/mix/composition';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** So many grams of a product to a litre of finished mix. */
export interface Dose {
  amendment: Amendment;
  gPerL: number;
}

/** Carbonate holds the mix here; lime past it stays undissolved (Argo & Fisher 2002 (m)). */
export const CARBONATE_CEILING_PH = 8.2;

export interface Acidity {
  /** B, meq per litre of finished mix per pH unit. */
  bufferMeqPerLPerPh: number;
  /** Before any lime. */
  phBeforeLime: number;
}

/** Buffers add by share; pH is their buffer-weighted mean (plain mean where nothing buffers). */
export function acidity(composition: Composition): Acidity {
  const buffer = meanByShare(composition, (m) => m.bufferMeqPerLPerPh);
  const phBeforeLime =
    buffer > 0
      ? meanByShare(composition, (m) => m.bufferMeqPerLPerPh * m.ph) / buffer
      : meanByShare(composition, (m) => m.ph);
  return { bufferMeqPerLPerPh: composition.densification * buffer, phBeforeLime };
}

/** Acid neutralised by all doses that do so (limes, ash, rock dusts), meq/L, once they have reacted. */
export function limedMeqPerL(doses: readonly Dose[]): number {
  return doses.reduce((sum, d) => sum + d.gPerL * neutralisingMeqPerG(d.amendment), 0);
}

/** pH once `meqPerL` of lime has reacted, held at the carbonate ceiling. A mix above it already stays there. */
export function phAfter(state: Acidity, meqPerL: number): number {
  if (meqPerL <= 0) return state.phBeforeLime;
  const raised =
    state.bufferMeqPerLPerPh > 0 ? state.phBeforeLime + meqPerL / state.bufferMeqPerLPerPh : Infinity;
  return Math.max(state.phBeforeLime, Math.min(CARBONATE_CEILING_PH, raised));
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
    throw new OutOfRange('limeToPh.amendment', product.id, 'a product that neutralises acid');
  const need = state.bufferMeqPerLPerPh * (targetPh - state.phBeforeLime) - otherMeqPerL;
  return Math.max(0, need / strength);
}
