import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** The folder of the project, found from wherever this code runs: its source, or the bundle made of it. */
export const root = ((): string => {
  let folder = import.meta.dirname;
  while (!existsSync(join(folder, 'package.json'))) folder = dirname(folder);
  return folder;
})();
