import { type Filling, line, place } from '#words/place';

export const shareRulers = place('plants/share-rulers', {
  ofIt: (alive: Filling, of: Filling) => line`${alive} of ${of}`,
  to: (pct: Filling, pct2: Filling) => line`${pct} to ${pct2}`,
});
