// npm run restore -- file: puts a backup back; without a file it lists those that there are. Welcome must be stopped.
import { spawnSync } from 'node:child_process';
import { checkNode, install, root } from './prepare.mjs';
import { dirname, join } from 'node:path';

checkNode();
install();
const { buildServer } = await import('./build-server.mjs');
const script = join(dirname(await buildServer()), 'restore.mjs');
const { status } = spawnSync(process.execPath, [script, ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
process.exit(status ?? 1);
