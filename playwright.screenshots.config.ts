import base from './playwright.config';

/** The pictures of docs/screenshots, made from the demo data. */
export default { ...base, testDir: './scripts', testMatch: 'screenshots.ts', reporter: 'list' };
