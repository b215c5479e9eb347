import { type Filling, line, place } from '#words/place';

export const cutThrough = place('bench/cut-through', {
  oneAfterWateringAndDraining: (noun: Filling) => line`One ${noun} after watering and draining`,
  air: 'air',
  water: 'water',
  solid: 'solid',
  aWetWeighs: (foot: Filling, noun: Filling, weight: Filling) =>
    line`${foot} A wet ${noun} weighs ${weight}.`,
  drainsRightDownToThe: 'Drains right to the bottom.',
  saturatedFromBottomToTop: 'Saturated from bottom to top: almost nothing drains at this depth.',
  theBottomStaysSaturatedOnly: (count: Filling) =>
    line`The bottom stays saturated. Only the top ${count} drains.`,
  oneAfterWateringAndDraining2: (
    noun: Filling,
    air: Filling,
    water: Filling,
    solid: Filling,
    foot: Filling,
  ) =>
    line`One ${noun} after watering and draining: ${air} % air, ${water} % water, ${solid} % solid. ${foot}`,
});
