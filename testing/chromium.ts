import { existsSync } from 'node:fs';

const paths = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** The browser of the tests, the bench and the pictures: CHROMIUM, or Debian's; the one without windows first. */
export const chromium = process.env['CHROMIUM'] ?? paths.find((path) => existsSync(path)) ?? paths[0]!;
