import { type Filling, line, place } from '#words/place';

export const stepsForm = place('season/steps-form', {
  firstIn: 'First in',
  thenIn: 'Then in',
  removeStep: (value: Filling) => line`Remove step ${value}`,
  itsMix: 'Its mix',
  theApproachsOwn: "the approach's own",
  forIt: 'For',
  anotherPotUp: 'Another pot-up',
  toComeUp: 'to come up',
  toRoot: 'to root',
  toGrowOn: 'to grow on',
  toPlantingSize: 'to planting size',
  weeks: 'Weeks',
  lost: 'Lost, %',
  weeksAtMost: 'Weeks at most',
});
