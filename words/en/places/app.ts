import { type Filling, line, place } from '#words/place';

export const app = place('app', {
  toTheWork: 'To the work',
  welcomeToTheMix: 'Welcome, to the mix',
  welcome: 'Welcome',
  places: 'Places',
  units: 'Units',
  galOz: 'gal · oz',
  thisDeviceHasNoRoom:
    'This device has no room left to store entries. Keep this page open until everything is sent.',
  theNurseryIsOutOf: (kept: Filling) =>
    line`The nursery is out of reach: this is as it stood at ${kept}. Whatever you enter is stored on this device and sent later.`,
  aBackupWasPutBack:
    'A backup was restored while this page was open. The page still shows the nursery as it was before.',
  loadItAgain: 'Load it again',
  thisDeviceIsNotPaired: 'This device is no longer paired. What you entered stays on it.',
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
