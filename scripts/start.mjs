// npm start: install, build what is stale, serve with the demo nursery.
import { spawn } from 'node:child_process';
import { build, checkNode, install, root } from './prepare.mjs';

checkNode();
install();
build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));
