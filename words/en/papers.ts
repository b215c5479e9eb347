import { type LabelSizeFacts } from '#core/batch/label-sizes';
import { type WeatherFacts } from '#core/mix/dry-down';
import { type RestFacts } from '#core/package/rest';
import { type CostFacts, moneySaid } from '#core/units/money';
import { type Formats } from '#words/formats';
import { type Words } from '#words/catalog';

/** Both sides, the unit said once. */
const size = (acrossMm: number, downMm: number, f: Formats): string =>
  `${f.length(acrossMm).split('\u00a0')[0]} × ${f.length(downMm)}`;

const papers = { a4: 'A4', letter: 'Letter' } as const;

export const labelSizes: Words<LabelSizeFacts> = {
  'labels.sheet': ({ paper, count, acrossMm, downMm }, f) =>
    `${papers[paper]}, ${count} of ${size(acrossMm, downMm, f)}`,
  'labels.single': ({ acrossMm, downMm }, f) => `one label, ${size(acrossMm, downMm, f)}`,
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
