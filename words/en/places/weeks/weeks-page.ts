import { type Filling, line, place } from '#words/place';

export const weeksPage = place('weeks/weeks-page', {
  theOpenRecipeInstead: 'the open recipe instead',
  changeItOnTheMix: 'change it on the mix',
  whatTheWeeksBring: 'What the weeks bring',
  notPossible: (why: Filling) => line`Not possible: ${why}.`,
  workingItOut: 'Working it out…',
  computing: 'Computing',
  theLineIsTheMiddle:
    'The line is the middle of 500 simulated crops with other bags, scoops and weather. Nine in ten lie in the grey; green is right. Drying follows FAO 56, uptake Sonneveld and Voogt (both from memory); the rest is common practice, no source.',
  houseWaterAndFeed: 'House, water and feed',
  findMeARule: 'Find me a rule',
  acidBringsMuchNitrogen: (most: Filling, mg: Filling) =>
    line`The acid alone brings over ${most} ${mg} of nitrogen: take it off the feed, or use another acid.`,
  acidBringsMuchPhosphorus: (most: Filling, mg: Filling) =>
    line`The acid alone brings over ${most} ${mg} of phosphorus: it stretches plants and locks up iron. Use another acid.`,
  acidLeavesNoBuffer: (least: Filling, mg: Filling) =>
    line`Under ${least} ${mg} of alkalinity stays: nothing holds the pH any more. Acidify less.`,
  theseTwoTogetherHaveFrom: (fixed: Filling, fixed2: Filling, unit: Filling, fixed3: Filling) =>
    line`These two together can have ${fixed} to ${fixed2} ${unit}, not ${fixed3}.`,
  withEachWateringItBrings: (fixed: Filling, unit: Filling, fixed2: Filling) =>
    line`; with each watering it brings ${fixed} ${unit} of calcium and ${fixed2} of magnesium`,
  alkalinityEc: (fixed: Filling, unit: Filling, fixed2: Filling, brings: Filling) =>
    line`Alkalinity ${fixed} ${unit}, EC ${fixed2}${brings}.`,
  andBringsOfNitrogen: (fixed: Filling, mg: Filling) => line`, and brings ${fixed} ${mg} of nitrogen`,
  andBringsOfPhosphorus: (fixed: Filling, mg: Filling) => line`, and brings ${fixed} ${mg} of phosphorus`,
  takesItToPhOf: (fixed: Filling, fixed2: Filling, mg: Filling, brings: Filling, more: Filling) =>
    line` takes it to pH ${fixed}: ${fixed2} ${mg} of alkalinity stay${brings}${more}.`,
  rightForAllWeeks: (weeks: Filling, replace: Filling) => line`Right for all ${weeks} weeks, ${replace}`,
  aboutDay: (first: Filling, dateOf: Filling) => line`about day ${first}${dateOf}`,
  liftItWaterAAt: (noun: Filling) => line`Lift it: water a ${noun} at`,
  orATrayOfAt: (perTray: Filling) => line`Or a tray of ${perTray} at`,
  fromBelowPour: 'From below, pour',
  youTimedIt: 'you timed it',
  timingsOfYoursSay: (times: Filling) => line`${times} timings of yours say`,
  minutesAs: (fixed: Filling, timingsOfYoursSay: Filling) => line`${fixed} minutes, as ${timingsOfYoursSay}`,
  halfAnHour: 'half an hour',
  noPhOrEcReading: 'No pH or EC reading of them yet: one reading pulls the lines to what is there.',
  theOneReading: 'the one reading',
  theReadings: (inside: Filling) => line`the ${inside} readings`,
  theLinesGoThroughOf: (theReadings: Filling) =>
    line`The lines go through ${theReadings} of what drains, within their error.`,
  waterInEach: (noun: Filling) => line`Water in each ${noun}`,
  saltsSaturatedExtract: 'Salts, saturated extract',
  acidTo: (acid: Filling, water: Filling) => line`${acid} to ${water} of water`,
  wetItWeighs: (mass: Filling) => line`wet it weighs ${mass}; its own weight not counted`,
  wetTrayWeighs: (mass: Filling) => line`wet it weighs ${mass}`,
  pouredDeep: (depth: Filling, time: Filling) => line`${depth} deep under it; taken up in about ${time}`,
  sinceIn: (day: Filling, vessel: Filling, mix: Filling) => line`, since ${day} in ${vessel}, mix ${mix}:`,
  ofTheOpenRecipe: (stage: Filling, vessel: Filling) => line`${stage}, ${vessel}, the open recipe:`,
  aboutDayFromTo: (day: Filling, date: Filling, early: Filling, late: Filling) =>
    line`about day ${day}${date} (day ${early} to ${late})`,
  theMixItself: 'The mix itself:',
  mendTheMixFirst: 'Change the mix first: it is wrong from the start.',
  withoutFeedItLasts: (weeks: Filling) => line`Without liquid feed its nitrogen lasts all ${weeks} weeks.`,
  withoutFeedFrom: (day: Filling, date: Filling) =>
    line`Without liquid feed nitrogen runs out about day ${day}${date}: feed by then.`,
  staysRight: (odds: Filling) => line`${odds} all stays right with this rule:`,
  asTheNurseryKeepsIt: 'As you usually keep plants.',
  changeItForAll: 'Change it for all',
  keptOtherwise: 'This planting is kept differently.',
  asItsRecipeIsKept: 'Kept as its recipe is, differently from usual.',
  recipeKeptOtherwise: 'Plants in this recipe are kept differently.',
  triedHereOnly: 'Tried here only.',
  keepForThisPlanting: 'Keep for this planting',
  keepForThisRecipe: 'Keep for this recipe',
  makeItUsual: 'Make it the usual',
  backToUsual: 'Back to the usual',
  asBefore: 'As before',
  itsTraysDryBy: (factor: Filling) =>
    line`Your weighings show that it dries ${factor} times as fast as computed. The lines follow them.`,
  useThisRule: 'Use this rule',
  dry: 'dry',
  short: 'short',
});
