import { type Filling, line, place } from '#words/place';

export const mixPage = place('mix/mix-page', {
  into: (name: Filling) => line`into ${name},`,
  close: 'Close',
  theJob: 'The job',
  theRecipe: 'The recipe',
  whatItComesTo: 'What it comes to',
  belowIsTheLastThat: ' Below is the last that could.',
  thisCannotBeMade: (impossible: Filling, belowIsTheLastThat: Filling) =>
    line`This cannot be made: ${impossible}.${belowIsTheLastThat}`,
  chanceThatAllIsIn: 'Chance that all is in range:',
  asMaterialsScoopsAndLime: (draws: Filling) =>
    line`as materials, scoops and lime scatter; ${draws} such batches tried`,
  afterTheTub: 'After the tub',
  readingsInBrief: 'Readings in brief',
  findABetterOne: 'Find a better one',
  makeThisBatch: 'Make this batch',
  theMaterials: 'the materials',
  theLinkWasNotRead: (join: Filling) => line`The link was not read whole. ${join}.`,
});
