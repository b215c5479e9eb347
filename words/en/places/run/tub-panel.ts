import { type Filling, line, place } from '#words/place';

export const tubPanel = place('run/tub-panel', {
  leftOf: 'left of',
  howManyWouldItFill: 'How many would it fill',
  lookedThereIs: 'Looked: there is',
  enter: 'Enter',
  saveWhatIsLeftAs: 'Save what is left as a material',
  asALot: ', as a lot',
  fillsMoreOf: (count: Filling, noun: Filling, value: Filling, name: Filling) =>
    line`fills ${count} more ${noun}${value} of ${name}`,
  whatIsLeftOf: (name: Filling) => line`What is left of ${name}`,
  yoursLeftOfBatch: (id: Filling) => line`yours, left of batch ${id}`,
  yoursWhatStayedOnThe: 'yours, what stayed on the screen',
  isOnYourShelf: (name: Filling) => line`${name} is on your shelf.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
  saveThe: (material: Filling) => line`Save the ${material},`,
});
