import { type Filling, line, many, place } from '#words/place';

export const tubPanel = place('run/tub-panel', {
  itIsMixed: 'It is mixed',
  toldTwice: 'Perhaps told twice',
  looksTwice: (count: Filling, what: Filling, on: Filling) =>
    line`${count} for ${what}, ${on}, is entered twice, here and under Plants. It counts once.`,
  theSame: 'They are the same',
  two: 'They are two',
  filled: 'Filled from it',
  reckoned: ', from before',
  topped: ', topped up',
  thePlants: 'The plants',
  leftOf: 'left of',
  howManyWouldItFill: 'How many would it fill',
  lookedThereIs: 'Looked: there is',
  enter: 'Enter',
  saveWhatIsLeftAs: 'Save what is left as a material',
  asALot: ', as a lot',
  fillsMoreOf: (count: number, noun: string, name: Filling) =>
    line`fills ${count} more ${many(count, noun, `${noun}s`)} of ${name}`,
  whatIsLeftOf: (name: Filling) => line`What is left of ${name}`,
  yoursLeftOfBatch: (id: Filling) => line`yours, left of batch ${id}`,
  yoursWhatStayedOnThe: 'yours, what stayed on the screen',
  isOnYourShelf: (name: Filling) => line`${name} is on your shelf.`,
  notKept: (message: Filling) => line`Not saved: ${message}`,
  saveThe: (material: Filling) => line`Save the ${material},`,
});
