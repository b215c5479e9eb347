import { type Filling, line, place } from '#words/place';

export const flagList = place('mix/answer/flag-list', {
  whatToMind: 'What to mind',
  doThat: 'Do that',
  nothingToMind: 'Nothing to mind.',
  fewer: 'Fewer',
  moreToWatch: ' more to watch',
  handleWithCare: (careNames: Filling) => line`Handle with care: ${careNames}`,
  watchOut: 'Watch out',
  note: 'Note',
  limeInTheEyes: 'lime in the eyes',
  compostAndItsGerms: 'compost and its germs',
  nitrateSalts: 'nitrate salts',
  oldVermiculite: 'old vermiculite',
  manureAndFood: 'manure and food',
  storingIt: 'storing it',
});
