import { type Filling, line, place } from '#words/place';

export const waterWords = place('ui/words/water-words', {
  itLimesTheMixA: (alkalinityMgPerL: Filling, mg: Filling) =>
    line`It limes the mix a little more with each watering. Over ${alkalinityMgPerL} ${mg} of alkalinity needs acid, rain water in it, or less lime in the mix.`,
  itHoldsSoLittleThat:
    'It holds so little that feed and roots move the pH of the mix quickly: read it more often.',
  overOfSodiumSaltsStay: (naMgPerL: Filling, mg: Filling) =>
    line`Over ${naMgPerL} ${mg} of sodium: salts stay in the mix and push potassium and calcium aside. Water from before a softener, or rain.`,
  overOfChlorideTipsOf: (clMgPerL: Filling, mg: Filling) =>
    line`Over ${clMgPerL} ${mg} of chloride: tips of tender seedlings burn. Let more run through, or dilute it with rain.`,
  saltyBeforeAnyFeedOver: (ecMSPerCm: Filling) =>
    line`Salty before any feed: over EC ${ecMSPerCm} seedlings need it diluted.`,
  tooSaltyForSeedlings: (ecMSPerCm: Filling) =>
    line`Too salty for seedlings: over EC ${ecMSPerCm} dilute it with rain, and let more run through.`,
  doNotWaterWithIt: (ecMSPerCm: Filling) =>
    line`Do not water young plants with it: over EC ${ecMSPerCm} no rule keeps their salts in range.`,
  theReportDoesNotAdd:
    'The report does not add up. Alkalinity and chloride exceed what its calcium, magnesium and sodium can carry. Check the figures and their units.',
  theEcDoesNotFit:
    'The EC does not fit the calcium, magnesium and sodium. It is usually a tenth of their sum in meq/L, in mS/cm. Check the units.',
});
