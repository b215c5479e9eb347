import { place } from '#words/place';

export const takeOut = place('mix/take-out', {
  remove: 'Remove ',
});
