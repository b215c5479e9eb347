import { UNITS_HEADER } from '#contract/about';
import { type Request } from 'express';
import { type Language, languages, type Reader } from '#words/reader';

/**
 * Whom an answer's texts are for: by the headers `Accept-Language` and `Welcome-Units`; English and metric
 * where they say nothing that there is.
 */
export const readerOf = (req: Request): Reader => ({
  language: (req.acceptsLanguages([...languages]) || languages[0]) as Language,
  units: req.get(UNITS_HEADER)?.trim().toLowerCase() === 'us' ? 'us' : 'metric',
});
