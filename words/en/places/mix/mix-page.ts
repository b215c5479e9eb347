import { type Filling, line, place } from '#words/place';

export const mixPage = place('mix/mix-page', {
  into: (name: Filling) => line`into ${name},`,
  close: 'Close',
  theJob: 'The job',
  theRecipe: 'The recipe',
  whatItComesTo: 'What it comes to',
  belowIsTheLastThat: ' Below is the last that worked.',
  thisCannotBeMade: (impossible: Filling, belowIsTheLastThat: Filling) =>
    line`This cannot be made: ${impossible}.${belowIsTheLastThat}`,
  afterTheTub: 'After the tub',
  readingsInBrief: 'Readings in brief',
  findABetterOne: 'Find a better one',
  makeThisBatch: 'Make this batch',
  theMaterials: 'the materials',
  partOfTheLinkCould: (join: Filling) => line`Part of the link could not be read. ${join}`,
});
