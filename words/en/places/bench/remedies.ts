import { place } from '#words/place';

export const remedies = place('bench/remedies', {
  noSinglePressPutsThat: 'No single press puts that right; follow the words beside it.',
});
