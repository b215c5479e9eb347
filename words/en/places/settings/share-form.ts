import { type Filling, line, place } from '#words/place';

export const shareForm = place('settings/share-form', {
  mineAsAFile: 'Mine as a file',
  theirsFromAFile: 'Theirs from a file…',
  thereIsNothingInThis: 'There is nothing in this file.',
  takeOfThem: (size: Filling) => line`Take ${size} of them`,
  asHere: 'as here',
  hereWithOtherFiguresIt: 'here with other figures: it comes beside yours',
  thisFileIsNotUnderstood: (message: Filling) => line`This file is not understood: ${message}`,
  thisFileIsNotUnderstood2: 'This file is not understood: it is no JSON.',
  taken: (join: Filling) => line`Taken: ${join}.`,
  nothingWasTaken: (message: Filling) => line`Nothing was taken: ${message}`,
});
