import { type Filling, line, place } from '#words/place';

export const bagForm = place('shelf/bag-form', {
  enterTheIngredientsInThe:
    'Enter the ingredients in the order on the bag, largest share first. Leave out what is not printed; the readings get a wider band.',
  nameOnTheBag: 'Name on the bag',
  nextIngredient: 'Next ingredient',
  ingredients: 'Ingredients',
  partsOf: 'Parts of ',
  ifGiven: ', if given',
  remove: (name: Filling) => line`Remove ${name}`,
  notPossible: (why: Filling) => line`Not possible: ${why}.`,
  phOnTheBag: 'pH on the bag',
  nitrogenInIt: 'Nitrogen in it',
  phosphorusInIt: 'Phosphorus in it',
  potassiumInIt: 'Potassium in it',
  theBag: 'The bag',
  yoursByItsBag: 'yours, by its bag',
});
