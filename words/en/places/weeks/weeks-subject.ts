import { place } from '#words/place';

export const weeksSubject = place('weeks/weeks-subject', {
  itIsInNoSaved: 'it is in no saved batch: its mix is not known',
});
