import { type Filling, line, place } from '#words/place';

export const findingList = place('mix/answer/finding-list', {
  whatToMind: 'What to mind',
  otherWays: 'Other ways',
  looking: 'Looking for a way out…',
  openTheFinder: 'Open the finder',
  nothingToMind: 'Nothing to mind.',
  fewer: 'Fewer',
  moreToWatch: ' more to watch',
  handleWithCare: (careNames: Filling) => line`Handle with care: ${careNames}`,
  limeInTheEyes: 'lime in the eyes',
  compostAndItsGerms: 'compost and its germs',
  nitrateSalts: 'nitrate salts',
  oldVermiculite: 'old vermiculite',
  manureAndFood: 'manure and food',
  storingIt: 'storing it',
});
