import { type Filling, line, place } from '#words/place';

export const trayPicture = place('plants/tray-picture', {
  pressEachThatStandsEmpty: (noun: Filling) => line`Press each ${noun} that is empty.`,
  tray: 'Tray ',
  rowPlaceEmpty: (value: Filling, value2: Filling) => line`Row ${value}, place ${value2}, empty`,
});
