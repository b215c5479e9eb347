import { type Filling, line, place } from '#words/place';

export const mixes = place('data/mixes', {
  theRecipe: (name: Filling) => line`the recipe ${name}`,
});
