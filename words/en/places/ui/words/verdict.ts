import { type Filling, line, place } from '#words/place';

export const verdict = place('ui/words/verdict', {
  stopWord: 'Stop:',
  readyToMix: 'Ready to mix.',
  stop: (what: Filling) => line`Stop: ${what}.`,
  watchOut: (what: Filling) => line`Watch out: ${what}.`,
});
