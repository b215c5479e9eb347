import { type Filling, line, place } from '#words/place';

export const ownWindows = place('settings/own-windows', {
  yourWindows: 'your windows',
  windowsFor: 'Windows for',
  yoursUsual: (usual: Filling, source: Filling) => line`Yours. Usual: ${usual} (${source}).`,
  backToIt: 'Back to it',
  airInTheVessel: 'Air in the vessel',
  airInABlockOnce: 'Air in a block once half dried',
  holdsTogether0To1: 'Holds together, 0 to 1',
  saltsSaturatedExtract: 'Salts, saturated extract',
  easyWaterForTheFinder: 'Easy water, for the finder',
  weightWhenWetForThe: 'Weight when wet, for the finder',
  waterIs1: 'water is 1',
  acidLovers: 'Acid lovers',
  to: (low: Filling, high: Filling, unit: Filling) => line`${low} to ${high}${unit}`,
  toIsNotARange: (name: Filling, low: Filling, high: Filling) =>
    line`${name}: ${low} to ${high} is not a range. The low end must be below the high end.`,
  notKept: (why: Filling) => line`Not saved: ${why}`,
  fromLabel: 'from',
  toLabel: 'to',
});
