import { type Filling, line, place } from '#words/place';

export const stepList = place('run/step-list', {
  done: 'Done: ',
  load: ', load ',
  due: 'Due',
  toWeigh: 'To weigh',
  enterWhatItDid: (name: Filling) => line`${name}: enter what it did`,
  gToGo: (fixed: Filling) => line`${fixed} g to go`,
  gTooMuch: (fixed: Filling) => line`${fixed} g too much`,
});
