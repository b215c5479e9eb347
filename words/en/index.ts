import { steps } from '#words/en/steps';
import { type Catalog } from '#words/catalog';

/** English. */
export const en: Catalog = { ...steps };
