import { place } from '#words/place';

export const doseList = place('mix/doses/dose-list', {
  howMuchInYourHand: 'How much lime have you measured out?',
  theDoses: 'The doses',
  lime: 'Lime',
  toPh: 'to pH',
  limeToPh: 'Lime to pH',
  limeWhereFrom: 'Lime: where from?',
  noLimeToAPh: 'No lime to a pH. Doses set by hand are below.',
  noLimeGoesIn: 'No lime goes in.',
  doseOf: 'Dose of ',
});
