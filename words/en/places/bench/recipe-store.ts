import { type Filling, line, place } from '#words/place';

export const recipeStore = place('bench/recipe-store', {
  itIsItsOwnMix: 'this vessel is its own mix, and takes none. Choose another',
  nothingIsInItYet: 'nothing is in it yet. Add a material',
  stillSoMany: (count: Filling, litres: Filling) => line`Still ${count} of them: now ${litres} of mix.`,
  yourTestsWereOfThe: 'Your tests were of the mix before this change; they are set aside.',
});
