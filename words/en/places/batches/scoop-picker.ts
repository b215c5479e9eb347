import { place } from '#words/place';

export const scoopPicker = place('batches/scoop-picker', {
  countedIn: 'Counted in',
});
