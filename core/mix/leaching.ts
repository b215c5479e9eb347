import { checkRange } from '#core/units/check';

/** Salts left after leaching with v volumes of water per volume held: e^(−v), perfect mixing (common practice, no source). */
export function saltsLeft(volumes: number): number {
  return Math.exp(-checkRange('volumes', volumes, 0, 50));
}

/** Litres of water per litre of mix that bring salts from one level to another. @returns 0 when they are there already */
export function leachLitresPerL(from: number, to: number, waterHeld: number): number {
  checkRange('from', from, 0, 1000);
  checkRange('to', to, 1e-6, 1000);
  return from <= to ? 0 : Math.log(from / to) * waterHeld;
}

/**
 * Calcium nitrate that a litre of coir wants before use, g/L: its exchange sites hold potassium and sodium and take
 * calcium out of the first feeds. One meq of calcium for every meq of potassium it holds (common practice, no source).
 * @param coirShare fraction of the mix that is coir
 */
export function coirCalciumGPerL(
  coirShare: number,
  availableKMgPerL: number,
  calciumMeqPerL: number,
): number {
  checkRange('coirShare', coirShare, 0, 1);
  const wanted = (coirShare * availableKMgPerL) / 39.1;
  const missing = Math.max(0, wanted - calciumMeqPerL);
  // 19 % Ca: 190 mg per gram, 20.04 mg to the meq.
  return missing / (190 / 20.04);
}
