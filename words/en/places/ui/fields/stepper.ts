import { place } from '#words/place';

export const stepper = place('ui/fields/stepper', {
  less: 'Less: ',
  more: 'More: ',
});
