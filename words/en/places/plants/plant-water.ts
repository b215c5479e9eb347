import { type Filling, line, place } from '#words/place';

export const plantWater = place('plants/plant-water', {
  liftIt: (vessel: Filling, dry: Filling, wet: Filling) =>
    line`Lift it: water when a ${vessel} weighs ${dry}; wet it weighs ${wet}, its own weight not counted.`,
  atTheLastWeighing: (percent: Filling) =>
    line` At the last weighing about ${percent} % of its water was gone.`,
});
