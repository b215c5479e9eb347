import { type MaterialRow } from '#core/material/material';

const IONS = [
  ...(['availableNMgPerL', 'availablePMgPerL', 'availableKMgPerL', 'availableCaMgPerL'] as const),
  ...(['availableMgMgPerL', 'nh4NMgPerL', 'naMgPerL', 'clMgPerL'] as const),
];
type Salts = Pick<MaterialRow, 'saltsMeqPerL' | (typeof IONS)[number]>;

/** As salty as that; what the salts are made of goes along. @param saltsMeqPerL of the loose heap, from 0 */
export function withSalts<T extends Salts>(material: T, saltsMeqPerL: number): T {
  const times = material.saltsMeqPerL > 0 ? saltsMeqPerL / material.saltsMeqPerL : 0;
  const ions = Object.fromEntries(IONS.map((ion) => [ion, material[ion] * times]));
  return { ...material, ...ions, saltsMeqPerL };
}
