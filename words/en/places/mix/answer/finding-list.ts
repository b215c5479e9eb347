import { type Filling, line, place } from '#words/place';

export const findingList = place('mix/answer/finding-list', {
  whatToMind: 'What to mind',
  addsToIt: (what: Filling) => line`Adds to it: ${what}.`,
  otherWays: 'Other ways',
  looking: 'Looking for a way out…',
  openTheFinder: 'Open the finder',
  nothingToMind: 'Nothing to mind.',
  fewer: 'Fewer',
  moreToWatch: ' more to watch',
  knownToWorkHere: (count: Filling) => line`Known to work here: ${count}`,
  whyAndWhen: (why: Filling, day: Filling) => line`“${why}”, ${day}.`,
  sayItAgain: 'Say it again',
  handleWithCare: (careNames: Filling) => line`Handle with care: ${careNames}`,
  limeInTheEyes: 'lime in the eyes',
  compostAndItsGerms: 'compost and its germs',
  nitrateSalts: 'nitrate salts',
  oldVermiculite: 'old vermiculite',
  manureAndFood: 'manure and food',
  storingIt: 'storing it',
  dryPeatOrCoir: 'dry peat or coir',
});
