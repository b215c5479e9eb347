import { type Filling, line, place } from '#words/place';

export const fixWords = place('ui/words/fix-words', {
  limeTo: (product: Filling, ph: Filling) => line`${product} to pH ${ph}`,
  noLime: 'no lime',
  without: (product: Filling) => line`without ${product}`,
  doseOf: (dose: Filling, product: Filling) => line`${dose} of ${product}`,
  inPlaceOf: (to: Filling, from: Filling) => line`${to} in place of ${from}`,
  morePart: (parts: Filling, material: Filling) => line`${parts} part more of ${material}`,
  moreParts: (parts: Filling, material: Filling) => line`${parts} parts more of ${material}`,
  screenedAt: (material: Filling, mesh: Filling) => line`${material} screened at ${mesh}`,
  into: (vessel: Filling) => line`into the ${vessel}`,
});
