import { place } from '#words/place';

export const choiceField = place('ui/fields/choice-field', {
  aChoiceFromThisList: 'a choice from this list',
});
