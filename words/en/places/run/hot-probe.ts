import { type Filling, line, place } from '#words/place';

export const hotProbe = place('run/hot-probe', {
  probeReads: 'The probe reads',
  pourMore: (volume: Filling, celsius: Filling) => line`Pour ${volume} more boiling water for ${celsius}.`,
  warmEnough: 'Warm enough: hold it there.',
  countOn: (pct: Filling) => line`Tub and air took ${pct} %: count on it from now on`,
});
