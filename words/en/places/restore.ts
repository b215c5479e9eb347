import { type Filling, line, place } from '#words/place';

/** What the command line says when a backup is put back. */
export const restore = place('restore', {
  nothingYet: 'nothing yet',
  putOneBack: 'Put one back: npm run restore -- file',
  noneIn: (folder: Filling) => line`No backup lies in ${folder}.`,
  holds: (counts: Filling) => line`It holds ${counts}.`,
  nothingMissing: 'Nothing that is there now is missing in it.',
  inPlace: (folder: Filling) => line`It is in place in ${folder}.`,
  keptIn: (folder: Filling) => line`What was there is kept in ${folder}.`,
  start: 'Start Welcome.',
  unchanged: (why: Filling) => line`Nothing was changed: ${why}`,
});
