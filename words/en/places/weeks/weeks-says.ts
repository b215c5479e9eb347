import { type Filling, line, place } from '#words/place';

export const weeksSays = place('weeks/weeks-says', {
  itDriesOut: 'it dries out',
  nitrogenRunsOut: 'nitrogen runs out',
  itIsTooSalty: 'it is too salty',
  itIsTooAcid: 'it is too acid',
  itIsTooAlkaline: 'it is too alkaline',
  waterSoonerOrFillA: 'Water sooner, or fill a larger vessel.',
  feedSoonerOrMoreOr: 'Feed sooner or more, or pot up by then.',
  feedLessOrLetMore: 'Feed less, or let more run through.',
  lessAcidInWaterOr: 'Less acid in water or feed, or a little more lime in the next mix.',
  acidInTheWaterRain: 'Acid in the water, rain water, or less lime in the next mix.',
  byThisRuleItIs: 'By this rule it is never watered.',
  everyDay: 'every day',
  everyDays: (gap: Filling) => line`every ${gap} days`,
  atFirst: (every: Filling) => line`, ${every} at first`,
  atLast: (every: Filling) => line`, ${every} at last`,
  wateredTimesFirstOnDay: (count: Filling, first: Filling, then: Filling, last: Filling) =>
    line`Watered ${count} times: first on day ${first}${then}${last}.`,
  hoursOfDay: (fixed: Filling) => line`${fixed} hours of day`,
  overAMonth: 'over a month',
  days: (fixed: Filling) => line`${fixed} days`,
  notWateredItIsDry: (dull: Filling, bright: Filling, sun: Filling) =>
    line`Not watered, it is dry after ${dull} in dull weather, ${bright} in bright, ${sun} in sun and wind.`,
  smallBlocksAFineMist: (value: Filling) =>
    line`Small blocks: a fine mist, not a rose, about every ${value} hours of a bright day. A hard jet takes them apart.`,
  itsPoresHoldLittleAir: (noun: Filling) =>
    line`Its pores hold little air once watered. Do not water before the ${noun} has lost half its water, or roots drown.`,
  itsTopStaysWetAfter:
    'Its top stays wet after watering: in light it grows film and moss. Put sand or grit on top, water from below, keep nights drier.',
  hardlySettles: 'Firmed as it is, it hardly settles at the first soak.',
  soakUntilItSettles: (low: Filling, high: Filling, least: Filling, most: Filling, vessel: Filling) =>
    line`Soak it slowly until it settles: it sinks ${low} to ${high}. Top up ${least} to ${most} a ${vessel}.`,
  sunkByWeek: (week: Filling, low: Filling, high: Filling, airFrom: Filling, airTo: Filling) =>
    line`By week ${week} it has sunk ${low} to ${high}, and holds ${airFrom} to ${airTo} % of air. This band is wide: a record, not a promise.`,
});
