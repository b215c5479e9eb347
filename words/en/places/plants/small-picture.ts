import { place } from '#words/place';

export const smallPicture = place('plants/small-picture', {
  noPicture: 'this file is no picture that the browser can read',
  tooLarge: 'this picture stays too large however small it is made',
});
