import { type Reader } from '#words/reader';

/** Readers for tests. */
export const metric: Reader = { language: 'en', units: 'metric' };
export const us: Reader = { language: 'en', units: 'us' };
