import { type Filling, line, place } from '#words/place';

export const comparePage = place('plants/compare-page', {
  compare: 'Compare',
  by: 'By',
  allCrops: 'all crops',
  couldNotLoadTheCounts: (failed: Filling) => line`Could not load the counts. ${failed}`,
  nothingIsCountedYet: 'Nothing is counted yet',
  onlyOneIsCounted: 'Only one is counted',
  twoOrMoreAreNeeded: (onlyOneIsCounted: Filling) => line`${onlyOneIsCounted}: two or more are needed.`,
  everyPair: 'Every pair',
  moreThanLuck: 'more than luck',
  mayBeLuck: 'may be luck',
  over: (name: Filling, name2: Filling, mayBeLuck: Filling) => line`${name} over ${name2}: ${mayBeLuck}`,
  exactTestPForAll: (shown: Filling, shown2: Filling) =>
    line`exact test p = ${shown}, for all pairs ${shown2}`,
  whichToCompare: 'Which to compare',
  planting: 'planting',
  plantings: 'plantings',
  upAfter: ', up after ',
  days: ' days',
  theLastThreeYearsBatches:
    'The last three years. Batches differ in crops, vessels and place on the bench: a trial tells more.',
  mixes: 'Mixes',
  madeIt: 'Made it',
  cameUp: 'came up',
  rooted: 'rooted',
  grewOn: (grew: Filling, of: Filling, stalled: Filling) =>
    line`; planted out ${grew} of ${of} grew on, ${stalled} stalled`,
  yielded: (mass: Filling) => line`, ${mass} in all`,
  outIn: (minutes: Filling) => line`; planted out in ${minutes} minutes a hundred`,
  whichCrop: 'Which crop? Only crops counted twice or more can be compared.',
  madeIt2: 'made it',
  lost: (join: Filling) => line`; lost: ${join}`,
});
