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
  notWateredItIsDry: (dull: Filling, bright: Filling, sun: Filling) =>
    line`Not watered, it is dry after ${dull} in dull weather, ${bright} in bright, ${sun} in sun and wind.`,
  smallBlocksAFineMist: (value: Filling) =>
    line`Small blocks: a fine mist, not a rose, about every ${value} hours of a day like these. A hard jet takes them apart.`,
  itsPoresHoldLittleAir: (noun: Filling, gone: Filling) =>
    line`Its pores hold little air once watered. Never water a ${noun} before ${gone} % of its water has gone, or roots drown.`,
  itsTopStaysWetAfter:
    'Its top stays wet after watering: in light it grows film and moss. Put sand or grit on top, water from below, keep nights drier.',
  hardlySettles: 'Firmed as it is, it hardly settles at the first soak.',
  soakUntilItSettles: (low: Filling, high: Filling, least: Filling, most: Filling, vessel: Filling) =>
    line`Soak it slowly until it settles: it sinks ${low} to ${high}. Top up ${least} to ${most} a ${vessel}.`,
  airBetween: (from: Filling, to: Filling) => line`${from} to ${to} %`,
  airOf: (pct: Filling) => line`${pct} %`,
  sunkByWeek: (week: Filling, low: Filling, high: Filling, air: Filling) =>
    line`By week ${week} it has sunk ${low} to ${high}, and holds ${air} of air. This band is wide: a record, not a promise.`,
  rarely: 'rarely',
  timesADay: (times: Filling) => line`${times} times a day`,
  wateredThroughout: (count: Filling, first: Filling, every: Filling) =>
    line`Watered ${count} times: first on day ${first}, ${every}.`,
  wateredTimesFirstOnDay: (count: Filling, first: Filling, begins: Filling, ends: Filling) =>
    line`Watered ${count} times: first on day ${first}, ${begins} at first, ${ends} at last.`,
  feedWeakerAndOftener: 'Feed weaker with every watering, from earlier on. Find a rule below.',
  otherWater: 'Use water with less salt, or mix rain into it; let more run through.',
  testItsPh: 'Test its pH every week before you change lime, acid or feed.',
});
