import { type Filling, line, place } from '#words/place';

export const changeOver = place('season/change-over', {
  changeOver: 'Or use something else',
  goOverTo: 'Change over to',
  from: (on: Filling, before: Filling, after: Filling) =>
    line`From ${on} ${after} changed${before ? `, ${before} before as it is` : ''}.`,
  openIt: 'Open it so',
  isOpen: 'It is open, changed part for part.',
  noMixTakesIt: 'No mix of the season needs to change.',
});
