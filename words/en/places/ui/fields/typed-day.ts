import { place } from '#words/place';

export const typedDay = place('ui/fields/typed-day', {
  theDayMustNotBe: 'The day must not be later than today',
});
