import { place } from '#words/place';

export const weeksSubject = place('weeks/weeks-subject', {
  itStandsInNoBatch: 'it stands in no batch that was kept: its mix is not known',
});
