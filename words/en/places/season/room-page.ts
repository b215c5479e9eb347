import { type Filling, line, place } from '#words/place';

export const roomPage = place('season/room-page', {
  theLastFrostHere: 'The last frost here',
  enterThreeDaysFrostIs:
    'Enter three days: frost is over by the first in one year of ten, by the second in half. By the third it is over in nine years of ten. Local records know them best.',
  benches: 'Benches',
  bench: 'Bench',
  aBenchMustHaveA: 'A bench must have a name',
  room: 'Room',
  heated: 'heated',
  lights: 'lights',
  remove: (name: Filling) => line`Remove ${name}`,
  anotherBench: 'Another bench',
  whatThePlanCountsOn: 'What the plan counts on',
  mixWhereSeedComesUp: 'Mix where seed comes up',
  mixSpilled: 'Mix spilled, %',
  mixesWhereACropNames: 'Mixes where a crop names none',
  theUsualOnes: 'the usual ones',
  earlyOneYearOfTen: 'Early, one year of ten',
  usual: 'Usual',
  lateOneYearOfTen: 'Late, one year of ten after it',
  allThreeMustBeDays: 'All three must be days',
  theThreeDaysMustCome: (join: Filling) => line`The three days must follow one another: ${join} do not`,
  bench2: (value: Filling) => line`Bench ${value}`,
  savedTheSeasonNowCounts: 'Saved: the season now counts on it.',
  notKept: (message: Filling) => line`Not saved: ${message}`,
});
