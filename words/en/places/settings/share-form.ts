import { type Filling, line, place } from '#words/place';

export const shareForm = place('settings/share-form', {
  mineAsAFile: 'Mine as a file',
  theirsFromAFile: 'Theirs from a file…',
  thereIsNothingInThis: 'There is nothing in this file.',
  addOfThem: (size: Filling) => line`Add ${size} of them`,
  asHere: 'as here',
  hereWithOtherFiguresIt: 'here with other figures: it is added beside yours',
  thisFileCannotBeRead: (message: Filling) => line`This file cannot be read: ${message}`,
  thisFileCannotBeRead2: 'This file cannot be read: it is not JSON.',
  added: (join: Filling) => line`Added: ${join}.`,
  nothingWasTaken: (message: Filling) => line`Nothing was added: ${message}`,
});
