import { place } from '#words/place';

export const doseList = place('mix/doses/dose-list', {
  theDoses: 'The doses',
  lime: 'Lime',
  toPh: 'to pH',
  limeToPh: 'Lime to pH',
  limeWhereFrom: 'Lime: where from?',
  noneToAPhWhat: 'None to a pH: what is dosed by hand stands below.',
  noLimeGoesIn: 'No lime goes in.',
  doseOf: 'Dose of ',
  addAFeedOrDose: 'Add a feed or dose',
  findAFeedOrDose: 'Find a feed or dose',
  nothingIsCalledSo: 'Nothing is called so.',
  feedsAtOnce: 'feeds at once',
  helpsWetting: 'helps wetting',
  feedsSlowly: 'feeds slowly',
  feedsAfterItRots: 'feeds after it rots',
  slowMineral: 'slow mineral',
});
