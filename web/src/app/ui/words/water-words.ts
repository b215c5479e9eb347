import { type WaterKind, type WaterRemark, waterHigh } from '#core/water/own-water';

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
      return `It limes the mix a little more with each watering: over ${waterHigh.alkalinityMgPerL} ${mg} of alkalinity wants acid, rain water in it, or less lime in the mix.`;
    case 'soft':
      return 'It holds so little that feed and roots move the pH of the mix quickly: read it more often.';
    case 'sodium':
      return `Over ${waterHigh.naMgPerL} ${mg} of sodium: salts stay in the mix and push potassium and calcium aside. Water from before a softener, or rain.`;
    case 'chloride':
      return `Over ${waterHigh.clMgPerL} ${mg} of chloride: tips of tender seedlings burn. Let more run through, or thin it with rain.`;
    case 'salty':
      return `Salty before any feed: over EC ${waterHigh.ecMSPerCm} seedlings want it thinned.`;
    case 'balance':
      return 'The report does not add up: alkalinity and chloride are more than calcium, magnesium and sodium together can carry. Look at the figures and their units again.';
    case 'ec':
      return 'The EC does not fit the calcium, magnesium and sodium: it is usually a tenth of their sum in meq/L, in mS/cm. Look at the units again.';
  }
}
