import { type Filling, line, place } from '#words/place';

export const bagForm = place('shelf/bag-form', {
  takeTheIngredientsInThe:
    'Take the ingredients in the order of the bag, the most first. Leave out what is not printed; the readings get a wider band.',
  nameOnTheBag: 'Name on the bag',
  nextIngredient: 'Next ingredient',
  ingredients: 'Ingredients',
  partsOf: 'Parts of ',
  ifTold: ', if told',
  remove: (name: Filling) => line`Remove ${name}`,
  thatCannotBe: (why: Filling) => line`That cannot be: ${why}.`,
  phOnTheBag: 'pH on the bag',
  nitrogenInIt: 'Nitrogen in it',
  phosphorusInIt: 'Phosphorus in it',
  potassiumInIt: 'Potassium in it',
  theBag: 'The bag',
  yoursByItsBag: 'yours, by its bag',
});
