import { type Request } from 'express';
import { type Reader } from '#words/reader';

/** Whom an answer's texts are for: by the header `Welcome-Units` (metric, us); metric where it says nothing else. */
export const readerOf = (req: Request): Reader => ({
  language: 'en',
  units: req.get('welcome-units')?.trim().toLowerCase() === 'us' ? 'us' : 'metric',
});
