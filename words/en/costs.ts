import { type CostFacts, moneySaid } from '#core/units/money';
import { type Words } from '#words/catalog';

export const costs: Words<CostFacts> = {
  'cost.batch': ({ money, litres, unpriced, sign }, f) => {
    const missing =
      unpriced > 0
        ? `, without ${f.counted(unpriced, { one: 'thing', other: 'things' })} that had no price`
        : '';
    const each = moneySaid((money * f.priced.litres) / litres, sign);
    return `Cost ${moneySaid(money, sign)}, ${each} a ${f.priced.name}${missing}.`;
  },
};
