import { type Filling, line, place } from '#words/place';

export const fewPage = place('season/few-page', {
  aBaseIsMixedAnd: (parts: Filling, materials: Filling) =>
    line`A base is mixed and bought once; lime and fertiliser go in for each step. Every recipe of up to ${parts} parts and ${materials} materials from your shelf is tried. It is tried in every kind of step of the season. The fewest bases that keep all of them in range are found.`,
  lookingRecipesTried: (tried: Filling) => line`Looking: ${tried} recipes tried.`,
  howFarTheSearchIs: 'How far the search is',
  findTheFewestMixesFor: (count: Filling) => line`Find the fewest mixes for ${count} kinds of steps`,
  nothingToSearchForYet: 'Nothing to search for yet:',
  addACropToThe: 'add a crop to the season',
  and: ', and',
  tickWhatIsOnThe: 'tick what is on the shelf',
  nothingOnTheShelfDoes: 'Nothing on the shelf works',
  oneBaseWorksForAll: 'One base works for all that can be done',
  basesAreEnoughAndNo: (count: Filling) => line`${count} bases are enough, and no fewer`,
  recipesWereTriedInEach: (tried: Filling) => line`${tried} recipes were tried in each.`,
  comeOutRight: 'come out right',
  nothingOnTheShelfStands: (name: Filling, crops: Filling) =>
    line`nothing on the shelf is in range for ${name} (${crops}). The`,
  finder: 'finder',
  showsWhatIsMissing: 'shows what is missing.',
  whatOneMoreWouldGain: 'What one more would gain',
  furtherInsideTheWindowsWith: 'Further inside the windows, with the same odds.',
  acidLovers: ', acid lovers',
  asItIs: 'as it is',
  withIt: (join: Filling) => line`with ${join}`,
  in10: (round: Filling) => line`${round} in 10`,
});
