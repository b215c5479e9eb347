import { type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** A cup without holes: whatever the mix, it fills up. */
export const noHoles: Rule = ({ input: { vessel, undrained = [] } }) => {
  const [other] = undrained;
  const drains = vessel.shape === 'block' || vessel.holes !== false;
  if (drains && other === undefined) return null;
  return {
    code: 'no-holes',
    severity: 'stop',
    text: drains
      ? said`Water cannot leave ${other!}: it fills up from the foot, and the plants drown whatever the mix.`
      : said`Water cannot leave this vessel: it fills up from the foot, and the plants drown whatever the mix.`,
    remedy: said`Make a few holes of 5 mm through the foot, then tell it so on the Shelf.`,
  };
};
