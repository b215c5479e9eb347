import { type Filling, line, place } from '#words/place';

export const entryText = place('ui/words/entry-text', {
  done: 'Done',
  notDoneAfterAll: 'Not done after all',
  load: (value: Filling) => line`, load ${value}`,
  putRight: (join: Filling) => line`Put right: ${join}`,
  theRestFrom: (lot: Filling) => line`, the rest from ${lot}`,
  from: (item: Filling, lot: Filling, theRestFrom: Filling) => line`${item} from ${lot}${theRestFrom}`,
  usedForOn: (what: Filling, count: Filling, on: Filling) => line`Used for ${what}, ${count} on ${on}`,
  toppedUpOn: (what: Filling, on: Filling, litres: Filling) =>
    line`${what} topped up with ${litres} on ${on}`,
  made: 'It is mixed',
  undone: 'An earlier entry undone',
  same: 'Two fillings are the same: counted once',
  two: 'Two fillings are two: both counted',
  leftInTheTub: (volume: Filling) => line`${volume} left in the tub`,
});
