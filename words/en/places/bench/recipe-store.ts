import { place } from '#words/place';

export const recipeStore = place('bench/recipe-store', {
  nothingIsInItYet: 'nothing is in it yet. Add a material',
  yourTestsWereOfThe: 'Your tests were of the mix before this change; they are set aside.',
});
