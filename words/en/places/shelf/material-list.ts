import { type Filling, line, place } from '#words/place';

export const materialList = place('shelf/material-list', {
  tickWhatYouHaveThe:
    'Tick what you have. The finder tries every recipe of it, swaps offer it first, and a price counts where you wish for a low one.',
  theMaterials: 'the materials',
  atMostAreSearchedTake: (most: Filling) =>
    line`${most} at most are searched: take one off to put another on.`,
  tests: 'tests',
  ofIt: (shortName: Filling) => line`of ${shortName}`,
});
