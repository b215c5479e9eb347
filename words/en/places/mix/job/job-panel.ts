import { type Filling, line, place } from '#words/place';

export const jobPanel = place('mix/job/job-panel', {
  theJob: 'The job',
  firmedBy: 'Firmed by',
  firmedByPercent: 'Firmed by, percent',
  forPlantsThatWantAcid: 'For plants that need an acid mix: heathers, camellias, blueberries',
  howMuch: 'How much',
  numberOf: 'Number of ',
  extra: 'Extra',
  ofAHundredBreak: 'Of 100 blocks break',
  pressFor: (press: Filling, left: Filling) => line`Press ${press} to have ${left}.`,
  extraPercent: 'Extra, percent',
  volumeOfFinishedMix: 'Volume of finished mix, ',
  ofFinishedMix: 'of finished mix',
  forS: (single: Filling, noun: Filling, alsoWords: Filling) => line`for ${single} ${noun}s${alsoWords}`,
  fillOtherVesselsToo: 'Fill other vessels too',
  anotherVessel: 'Another vessel',
  airAndWaterAreShown: (name: Filling) =>
    line`Air and water are shown for ${name}; choose another above to see it.`,
  thisOneIsItsOwn:
    'This one is its own mix: nothing is filled in. Soak it, and lay it under the next pot when you pot up.',
  partFilledOrVeryFine: 'Part filled, or very fine seed',
  filledNow: 'Filled now',
  filledNowPercentOfIts: 'Filled now, percent of its depth',
  topUpAsTheStem: 'Top up as the stem grows:',
  moreToEachNotCounted: 'more to each, not counted here.',
  seedAsFineAsDust: 'Seed as fine as dust: begonia, lobelia',
  approach: 'Approach',
  findAVessel: 'Find a vessel',
  makeAVessel: 'Make one of your own',
  byVolume: 'by volume',
  andOf: (count: Filling, nameOf: Filling) => line` and ${count} of ${nameOf}`,
  also: (vessel: Filling) => line`also ${vessel}`,
  countBy: 'count by',
  cube: (count: Filling, unit: Filling) => line`${count} ${unit} cube`,
  acrossDeep: (count: Filling, count2: Filling, unit: Filling) =>
    line`${count} across, ${count2} ${unit} deep`,
  deep: (count: Filling, count2: Filling, count3: Filling, unit: Filling) =>
    line`${count} × ${count2}, ${count3} ${unit} deep`,
});
