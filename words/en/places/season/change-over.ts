import { type Filling, line, place } from '#words/place';

export const changeOver = place('season/change-over', {
  changeOver: 'Or use something else',
  goOverTo: 'Change over to',
  from: (on: Filling, before: Filling, after: Filling) =>
    line`From ${on}: ${before} made as it is until then, ${after} changed.`,
  openIt: 'Open it so',
  isOpen: 'It is open, changed part for part.',
  noMixTakesIt: 'No mix of the season needs to change.',
});
