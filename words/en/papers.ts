import { type LabelSizeFacts } from '#core/batch/label-sizes';
import { type WeatherFacts } from '#core/mix/dry-down';
import { type RestFacts } from '#core/package/rest';
import { type CostFacts, moneySaid } from '#core/units/money';
import { type Words } from '#words/catalog';

const papers = { a4: 'A4', letter: 'Letter' } as const;

export const labelSizes: Words<LabelSizeFacts> = {
  'labels.sheet': ({ paper, count, acrossMm, downMm }, f) =>
    `${papers[paper]}, ${count} of ${f.length(acrossMm)} × ${f.length(downMm)}`,
  'labels.single': ({ acrossMm, downMm }, f) => `one label, ${f.length(acrossMm)} × ${f.length(downMm)}`,
};

export const weathers: Words<WeatherFacts> = {
  'weather.dull': () => 'dull and still',
  'weather.bright': () => 'bright house',
  'weather.sun': () => 'sun and wind',
};

export const rests: Words<RestFacts> = {
  'rest.bark': () => 'fresh bark heats: let it cool and settle three to four weeks, and smell it',
  'rest.spent-mix': () => 'it rots down fully before it is screened and used again',
  'rest.heap': () =>
    'a heap rots three to four months; with manure and food crops local rules on waiting come first',
};

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
