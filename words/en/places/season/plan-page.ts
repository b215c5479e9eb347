import { type Filling, line, many, place } from '#words/place';

export const planPage = place('season/plan-page', {
  sayWhatYouWillPlant:
    'Say what you will plant out or sell, and when. Welcome counts back to sowing, mixing and buying.',
  addACrop: 'Add a crop',
  next: (day: Filling) => line`Next, ${day}`,
  next2: 'Next',
  nothingIsLeftToBe: 'Nothing is left to do.',
  overdue: 'overdue',
  mixNext: (day: Filling) => line`Mix next, ${day}`,
  ofIt: (amount: Filling, mixName: Filling) => line`${amount} of ${mixName}`,
  mixNext2: 'Mix next',
  allIsMixed: 'All is mixed.',
  fullest: (weekName: Filling) => line`Fullest, ${weekName}`,
  ofIt2: (area: Filling) => line`of ${area}`,
  oneWeek: 'one week',
  weeks: ' weeks',
  theBenchIsTooSmall: (weeks: Filling) => line`the bench is too small in ${weeks}.`,
  fitTheBench: 'Fit the bench',
  looking: 'Looking…',
  overInItFitsWith: (over: Filling, plantDays: Filling) =>
    line`Over in ${over}. It fits with ${plantDays} plant-days moved:`,
  everyChoiceWasLookedThrough: 'Every choice was tried: nothing that moves fewer fits.',
  theBestThatWasFound: 'The best that was found; not every choice could be tried.',
  withinWhatEachCropAllows: (theBestThatWasFound: Filling) =>
    line`${theBestThatWasFound} Within what each crop allows; blocks in place of cells count as one day a plant.`,
  moveThem: 'Move them',
  noMoveThatTheCrops: (over: Filling) =>
    line`No move that the crops allow makes it fit. Sow fewer, sow in smaller cells, or find ${over} more room.`,
  whatSpeaksUp: 'What speaks up',
  mixInVessel: (mix: Filling, vessel: Filling) => line`${mix} in the ${vessel}.`,
  changeIt: 'Change it',
  fewer: 'Fewer',
  more: ' more',
  mixingDays: 'Mixing days',
  overdue2: 'Overdue',
  shouldHaveBeenMixedBy: 'should have been mixed by',
  noLaterThan: 'no later than',
  forIt: (forWhat: Filling, noLaterThan: Filling, day: Filling, why: Filling) =>
    line`for ${forWhat}; ${noLaterThan} ${day}: ${why}.`,
  movedToADryAnd: 'Moved to a dry and still day.',
  rainOrWindIsForecast: 'Rain or wind is forecast: mix under a roof, or keep light materials covered.',
  makeIt: 'Make it',
  on: (mixName: Filling, day: Filling) => line`, ${mixName} on ${day}`,
  nothingToMix: 'Nothing to mix.',
  more2: (moreDays: Filling) => line`${moreDays} more`,
  onPaperAndInThe: 'On paper and in the calendar',
  thisWeekForTheWall: 'This week for the wall',
  calendarFile: 'Calendar file',
  toSubscribeGiveYourCalendar: (subscribe: Filling) =>
    line`To subscribe, give your calendar this address: ${subscribe}. Labels are with each crop.`,
  aLineIsLeftOut: (why: Filling) => line`a line is left out: ${why}.`,
  needsInThereIs: (what: Filling, area: Filling, kind: Filling, weekName: Filling, area2: Filling) =>
    line`${what} needs ${area} ${kind} in ${weekName}; there is ${area2}.`,
  whatComesUpRootsOr: 'what comes up, roots or dislikes cold',
  ofHeatedBench: 'of heated bench',
  whatIsSownInThe: 'what is sown in the dark weeks',
  underLights: 'under lights',
  weekOf: (Number: Filling, slice: Filling) => line`week ${Number} of ${slice}`,
  forIt2: (name: Filling, forWhat: Filling) => line`${name} for ${forWhat}`,
  it: 'It',
  movedBy: (crop: Filling, days: number) =>
    line`${crop} moved by ${days} ${many(Math.abs(days), 'day', 'days')}.`,
  notMoved: (message: Filling) => line`Not moved: ${message}`,
  by: (weekName: Filling, area: Filling) => line`${weekName} by ${area}`,
  theBenchFits: 'The bench fits.',
});

/** Why a mix rests before it is filled, in two words. */
export const restWhy = place('rest-why', {
  bark: 'bark settles',
  organic: 'organic feed starts',
  lime: 'lime acts',
  coir: 'coir soaks',
  none: 'needs no rest',
});
