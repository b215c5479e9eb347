import { place } from '#words/place';

export const nowhere = place('ui/nowhere', {
  thereIsNothingHere: 'There is nothing here',
  theAddressMayBeMistyped: 'The address may be mistyped.',
  toTheMix: 'To the mix',
});
