import { type Filling, line, place } from '#words/place';

export const materialList = place('shelf/material-list', {
  tickWhatYouHaveThe:
    'Tick what you have. The finder tries every recipe of it, and swaps offer it first. A price counts where you ask for a low one.',
  addYourOwn: 'Add one of your own',
  theMaterials: 'the materials',
  tests: 'tests',
  ofIt: (shortName: Filling) => line`of ${shortName}`,
});
