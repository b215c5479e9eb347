import { type Filling, line, place } from '#words/place';

export const fewPage = place('season/few-page', {
  aBaseIsMixedAnd: (parts: Filling, materials: Filling) =>
    line`A base is mixed and bought once; lime and charge go in for each step. Every recipe of your shelf of up to ${parts} parts and ${materials} materials is tried in every kind of step of the season, and the smallest set that keeps them all inside their windows is found.`,
  lookingRecipesTried: (tried: Filling) => line`Looking: ${tried} recipes tried.`,
  howFarTheSearchIs: 'How far the search is',
  lookForTheFewestMixes: (count: Filling) => line`Look for the fewest mixes for ${count} kinds of steps`,
  nothingToLookForYet: 'Nothing to look for yet:',
  putACropInThe: 'put a crop in the season',
  and: ', and',
  sayWhatStandsOnThe: 'say what stands on the shelf',
  nothingOnTheShelfDoes: 'Nothing on the shelf does',
  oneBaseDoesForAll: 'One base does for all that can be done',
  basesDoAndNoFewer: (count: Filling) => line`${count} bases do, and no fewer`,
  recipesWereTriedInEach: (tried: Filling) => line`${tried} recipes were tried in each.`,
  comeOutRight: 'come out right',
  nothingOnTheShelfStands: (name: Filling, crops: Filling) =>
    line`nothing on the shelf stands inside every window for ${name} (${crops}). The`,
  finder: 'finder',
  saysWhatIsMissing: 'says what is missing.',
  whatAFurtherOneWould: 'What a further one would gain',
  furtherInsideTheWindowsWith: 'Further inside the windows, with the same odds.',
  acidLovers: ', acid lovers',
  asItIs: 'as it is',
  withIt: (join: Filling) => line`with ${join}`,
  in10: (round: Filling) => line`${round} in 10`,
});
