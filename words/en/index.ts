import { steps } from '#words/en/steps';
import { movers, origins, sums, terms } from '#words/en/sums';
import { type Catalog } from '#words/catalog';

/** English. */
export const en: Catalog = { ...steps, ...sums, ...terms, ...origins, ...movers };
