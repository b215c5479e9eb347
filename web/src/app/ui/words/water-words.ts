import { saltyWater, type WaterKind, type WaterRemark, waterHigh } from '#core/weeks/own-water';
import { waterWords as texts } from '#words/en/places/ui/words/water-words';

export const waterKindNames: Record<WaterKind, string> = {
  mains: 'mains',
  well: 'well',
  rain: 'rain',
  blend: 'blend',
};

/** @param mg the word for mg/L */
export function waterRemarkSays(remark: WaterRemark, mg: string): string {
  switch (remark) {
    case 'hard':
      return texts.itLimesTheMixA(waterHigh.alkalinityMgPerL, mg);
    case 'soft':
      return texts.itHoldsSoLittleThat;
    case 'sodium':
      return texts.overOfSodiumSaltsStay(waterHigh.naMgPerL, mg);
    case 'chloride':
      return texts.overOfChlorideTipsOf(waterHigh.clMgPerL, mg);
    case 'salty':
      return texts.saltyBeforeAnyFeedOver(waterHigh.ecMSPerCm);
    case 'saltier':
      return texts.tooSaltyForSeedlings(saltyWater.warn);
    case 'brackish':
      return texts.doNotWaterWithIt(saltyWater.stop);
    case 'balance':
      return texts.theReportDoesNotAdd;
    case 'ec':
      return texts.theEcDoesNotFit;
  }
}
