import { type Filling, line, many, place } from '#words/place';

export const plantWords = place('plants/plant-words', {
  sownOrStruck: (begun: Filling) => line`${begun} sown or struck`,
  nothingCounted: 'nothing counted yet',
  cameUp: 'came up',
  ofIt: (entered: Filling, begun: Filling, rooted: Filling, percent: Filling) =>
    line`${entered} of ${begun} ${rooted} (${percent})`,
  movedOn: (moved: Filling) => line`${moved} moved on`,
  out: (out: Filling) => line`${out} out`,
  stand: (alive: number) => line`${alive} ${many(alive, 'stands', 'stand')}`,
  setApart: 'set apart',
});
