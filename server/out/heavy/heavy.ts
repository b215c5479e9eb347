import { fileURLToPath } from 'node:url';
import { type HeavyTasks as HeavyOf, Pool } from '#server/base/heavy/pool';
import { type tasks } from '#server/out/heavy/tasks';

/** All long work of the server. */
export type Heavy = HeavyOf<typeof tasks>;

/** Beside the bundled server lies a bundled worker; beside the source one that first learns TypeScript. */
export function startPool(): Pool<typeof tasks> {
  const isBundled = import.meta.url.endsWith('.mjs');
  const worker = new URL(isBundled ? './worker.mjs' : './start-worker.mjs', import.meta.url);
  return new Pool(fileURLToPath(worker));
}
