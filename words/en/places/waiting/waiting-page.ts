import { type Filling, line, place } from '#words/place';

export const waitingPage = place('waiting/waiting-page', {
  waitingToBeSent: 'Waiting to be sent',
  entered: (at: Filling) => line`entered ${at}`,
  enterItHere: 'Enter it here',
  enterItUnderToday: 'Enter it under today',
  compareBoth: 'Compare both',
  sendItAgain: 'Send it again',
  everythingEnteredOnThisDevice: 'Everything entered on this device has been sent.',
  itWasEnteredBeforeA: 'It was entered before a backup was restored.',
  theLastEntryIsUndone: 'the last entry is undone',
  toBeSaved: 'to be saved',
  whatItIsAboutIs: 'What it is about is not in this nursery: it can only be deleted.',
  notEntered: (message: Filling) => line`Not entered: ${message}`,
  somethingNew: 'Something new',
  planting: (planting: Filling) => line`Planting ${planting}`,
  batch: (batch: Filling) => line`Batch ${batch}`,
});
