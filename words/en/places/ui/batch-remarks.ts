import { type Filling, line, place } from '#words/place';

export const batchRemarks = place('ui/batch-remarks', {
  madeAnyway: 'Made anyway: somebody read the stop and chose to go on.',
  knownHere: (why: Filling, day: Filling) => line`Known to work here: “${why}”, ${day}.`,
});
