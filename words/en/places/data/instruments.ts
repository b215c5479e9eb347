import { place } from '#words/place';

export const instruments = place('data/instruments', {
  batteryIsFlat: 'battery is flat',
  outOfItsRange: 'out of its range',
  notConnected: 'not connected',
});
