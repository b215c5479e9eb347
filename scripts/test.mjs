// npm test: install, then every check there is; the last line counts.
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, install, root, run } from './prepare.mjs';

/** Debian's browsers: the one without windows is half as much work for the machine. */
const shell = '/usr/bin/chromium-headless-shell';
const chromiumPaths = [shell, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** The browser of the tests: CHROMIUM, or Debian's headless one, installed when it is missing; any other where that cannot be. */
function chromium() {
  const named = process.env.CHROMIUM;
  if (named && existsSync(named)) return named;
  if (!existsSync(shell)) {
    console.log('Installing Chromium through apt…');
    const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
    const apt = (...args) => {
      const [command, ...rest] = [...sudo, 'apt-get', ...args];
      return spawnSync(command, rest, {
        stdio: 'inherit',
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status;
    };
    apt('update', '-qq');
    // Debian before 12 has it in one package with the windows.
    if (
      apt('install', '-y', '-qq', 'chromium-headless-shell') !== 0 &&
      !chromiumPaths.some((path) => existsSync(path))
    )
      apt('install', '-y', '-qq', 'chromium');
  }
  const found = chromiumPaths.find((path) => existsSync(path));
  if (found) return found;
  console.error(
    'Chromium could not be installed. Install it yourself, or name one: CHROMIUM=/path/to/chromium npm test',
  );
  process.exit(1);
}

checkNode();
install();
const browser = chromium();
mkdirSync(join(root, 'dist'), { recursive: true });
// Servers bundled for the tests of before.
rmSync(join(root, 'dist', 'served'), { recursive: true, force: true });

let passed = 0;
let failed = 0;
/** One after the other; what each says is printed when it is done, so that two lanes do not mix. */
async function lane(...checks) {
  for (const [name, command, ...args] of checks) {
    const child = spawn(command, args, {
      cwd: root,
      shell: process.platform === 'win32',
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    const [status] = await once(child, 'close');
    console.log(`\n== ${name}\n${said.trimEnd()}`);
    if (status === 0) passed++;
    else failed++;
  }
}
const script = (name) => ['npm', 'run', '--silent', name];

// Two lanes for two cores: Jest keeps one busy about as long as all else but the browser does the other.
const jestReport = join(root, 'dist', 'jest-report.json');
rmSync(jestReport, { force: true });
console.log('Types, lint, imports, OpenAPI and the build beside the unit tests: about three minutes…');
await Promise.all([
  lane([
    'unit tests',
    'npx',
    '--no-install',
    'jest',
    '--maxWorkers=2',
    '--json',
    `--outputFile=${jestReport}`,
    '--silent',
  ]),
  lane(
    ['types', ...script('types')],
    ['imports', ...script('imports')],
    ['lint and format', ...script('lint')],
    ['OpenAPI', ...script('openapi')],
    // Compiles the page with its templates checked, as `npm run typecheck` does.
    ['build', process.execPath, join(root, 'scripts', 'build.mjs')],
  ),
]);
if (existsSync(jestReport)) {
  const report = JSON.parse(readFileSync(jestReport, 'utf8'));
  passed += report.numPassedTests;
  failed += report.numFailedTests + report.numRuntimeErrorTestSuites;
}

console.log('\n== browser tests');
const e2eReport = join(root, 'dist', 'e2e-report.json');
rmSync(e2eReport, { force: true });
const e2eOk =
  run('npx', ['--no-install', 'playwright', 'test'], { env: { ...process.env, CHROMIUM: browser } }) === 0;
if (existsSync(e2eReport)) {
  const { stats } = JSON.parse(readFileSync(e2eReport, 'utf8'));
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
}
if (!e2eOk && failed === 0) failed++;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
