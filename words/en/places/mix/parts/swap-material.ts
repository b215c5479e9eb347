import { type Filling, line, place } from '#words/place';

export const swapMaterial = place('mix/parts/swap-material', {
  swap: 'Swap ',
  screenedAt: ', screened at ',
  screenedFirstAt: 'Screened first, at',
  inItsPlaceMadeTo: 'In its place, part for part:',
  orWithOtherShares: 'or with other shares:',
  onYourShelf: ', on your shelf',
  looking: 'Looking…',
  nothingCanStandInFor: 'Nothing can replace it.',
  behavesAlike: 'behaves alike',
  notMatched: (join: Filling) => line`not matched: ${join}`,
});
