import { type RestFacts } from '#core/package/rest';
import { type Words } from '#words/catalog';

export const rests: Words<RestFacts> = {
  'rest.bark': () => 'fresh bark heats: let it cool and settle three to four weeks, and smell it',
  'rest.spent-mix': () => 'it rots down fully before it is screened and used again',
  'rest.heap': () =>
    'a heap rots three to four months; with manure and food crops local rules on waiting come first',
};
