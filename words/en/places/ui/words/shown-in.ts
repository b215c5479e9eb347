import { place } from '#words/place';

export const shownIn = place('ui/words/shown-in', {
  flOz: 'fl oz',
  perGal: 'per gal',
});
