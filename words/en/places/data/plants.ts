import { place } from '#words/place';

export const plants = place('data/plants', {
  aPicture: 'a picture',
});
