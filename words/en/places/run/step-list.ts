import { type Filling, line, place } from '#words/place';

export const stepList = place('run/step-list', {
  done: 'Done: ',
  load: ', load ',
  loadOf: (load: Filling) => line`Load ${load} done`,
  isDone: 'Done',
  open: 'Open: ',
  fold: 'Fold it',
  foldDone: 'Fold what is done',
  moreDone: (count: Filling) => line`✓ ${count} more done`,
  soFar: 'So far',
  of: 'of',
  due: 'Due',
  toWeigh: 'To weigh',
  enterWhatItDid: (name: Filling) => line`${name}: enter what it did`,
  gToGo: (mass: Filling) => line`${mass} to go`,
  gTooMuch: (mass: Filling) => line`${mass} too much`,
  there: 'there',
});
