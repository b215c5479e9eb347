import { type Filling, line, place } from '#words/place';

export const app = place('app', {
  toTheWork: 'To the work',
  welcomeToTheMix: 'Welcome, to the mix',
  welcome: 'Welcome',
  places: 'Places',
  units: 'Units',
  galOz: 'gal · oz',
  thisDeviceHasNoRoom:
    'This device has no room to keep what you enter. Leave this page open until nothing waits to be sent.',
  theNurseryIsOutOf: (kept: Filling) =>
    line`The nursery is out of reach: this is as it stood at ${kept}. What happens on a run and to plants, a recipe, a batch or a sowing can be entered: it is kept on this device and sent later.`,
  aBackupWasPutBack:
    'A backup was put back while this page was open. It still shows the nursery as it was before.',
  loadItAgain: 'Load it again',
  thisDeviceIsNotPaired: 'This device is not paired any more. What you entered stays on it.',
  pairItAgain: 'Pair it again',
  waitingToBeSentSince: (waiting: Filling, since: Filling, toMake: Filling) =>
    line`${waiting} waiting to be sent since ${since}${toMake}.`,
  seeWhatWaits: 'See what waits',
  notEntered: (count: Filling) => line`${count} not entered.`,
  it: 'it',
  them: 'them',
  decideOn: (them: Filling) => line`Decide on ${them}`,
  closeThisMessage: 'Close this message',
});
