import { place } from '#words/place';

export const placeTitle = place('place-title', {
  welcome: 'Welcome',
});
