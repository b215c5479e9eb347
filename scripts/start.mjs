// npm start: install, build what is stale, serve with the demo nursery.
import { spawn } from 'node:child_process';
import { build, checkNode, install, root } from './prepare.mjs';

checkNode();
install();
await build();
// Loaded only now: the packages were not there before.
const { buildServer } = await import('./build-server.mjs');
const server = spawn(process.execPath, [await buildServer(), ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));
