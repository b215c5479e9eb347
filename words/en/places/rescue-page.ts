import { type Filling, line, place } from '#words/place';

/** The one page that is shown where the data file cannot be opened. */
export const rescuePage = place('rescue-page', {
  title: (heading: Filling) => line`Welcome: ${heading}`,
  cannotWrite: 'The data folder takes nothing',
  cannotRead: 'The data file cannot be read',
  makeRoom: 'Make room on the disk, or let this user write in the folder, then start Welcome again.',
  stillThere: 'What was entered is there.',
  nothingChanged: 'Nothing was changed and nothing was filled in. The file lies in',
  movesItAside: 'putting a backup back moves it aside and keeps it.',
  wholeBackups: 'Backups that are whole',
  none: 'There is no whole backup in the folder.',
  elsewhere: 'If you have one elsewhere, stop Welcome and run',
  nothingInIt: 'nothing in it yet',
  putBackNewest: 'Put this newest one back',
  putBack: 'Put this one back',
});
