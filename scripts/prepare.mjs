// What both commands need: installed packages and a fresh build. Plain Node, since nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';

export const root = join(import.meta.dirname, '..');

export function run(command, args, options = {}) {
  const shell = process.platform === 'win32';
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', shell, ...options }).status ?? 1;
}

export function must(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) {
    console.error(`\nThis step failed: ${command} ${args.join(' ')}`);
    process.exit(status);
  }
}

export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Welcome needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex');

const readStamp = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

/** Installs what the lock file says, unless that is done already for this lock and this Node. */
export function install() {
  const stamp = join(root, 'node_modules', '.welcome-installed');
  const wanted = hashOf(
    readFileSync(join(root, 'package-lock.json'), 'utf8') + process.version + process.arch,
  );
  if (readStamp(stamp) === wanted) return;
  console.log(
    'Installing packages. The first time this takes a few minutes: the database driver is compiled here.',
  );
  must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

function* files(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* files(path);
    else if (!entry.name.endsWith('.spec.ts')) yield path;
  }
}

/** Has the browser read all of the program in the background as it comes, not each function when it is first called. */
function readAhead(folder) {
  for (const name of readdirSync(folder).filter((one) => /^main-.*\.js$/.test(one))) {
    const path = join(folder, name);
    writeFileSync(path, `//# allFunctionsCalledOnLoad\n${readFileSync(path, 'utf8')}`);
  }
}

/** Scripts and styles packed as small as can be, beside themselves; the server sends them so. */
function pack(folder) {
  for (const name of readdirSync(folder).filter((one) => /\.(js|css)$/.test(one)))
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(readFileSync(join(folder, name))));
}

/** What keeps the page on a device, with the names of all that it consists of. */
async function keeper(folder) {
  const { build: bundle } = await import('esbuild');
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((one) => one.isFile() && /\.(js|css|woff2|svg|png|json|webmanifest)$/.test(one.name))
    .map((one) => join(one.parentPath, one.name).slice(folder.length).replaceAll('\\', '/'))
    .sort();
  await bundle({
    absWorkingDir: root,
    entryPoints: ['web/src/app/workers/keeper.worker.ts'],
    outfile: join(folder, 'service-worker.js'),
    bundle: true,
    minify: true,
    target: 'es2022',
    define: {
      FILES: JSON.stringify(files),
      VERSION: JSON.stringify(
        hashOf(files.join() + readFileSync(join(folder, 'index.html'), 'utf8')).slice(0, 12),
      ),
    },
  });
}

/** Builds the interface when a source file has changed since the last build. */
export async function build() {
  const sources = [
    'core',
    'words',
    'contract',
    'web',
    'package-lock.json',
    'angular.json',
    'tsconfig.json',
    'scripts/prepare.mjs',
  ];
  const hash = createHash('sha256');
  for (const source of sources) {
    const path = join(root, source);
    const all = statSync(path).isDirectory() ? [...files(path)].sort() : [path];
    for (const file of all) hash.update(file.slice(root.length)).update(readFileSync(file));
  }
  const wanted = hash.digest('hex');
  const stamp = join(root, 'dist', 'web.stamp');
  if (readStamp(stamp) === wanted && existsSync(join(root, 'dist', 'web', 'browser', 'index.html'))) return;
  console.log('Building the interface (about half a minute)…');
  must('npx', ['--no-install', 'ng', 'build', '--progress=false'], {
    // Small shared pieces are joined: sixty of them cost a kilobyte of headers each.
    env: { ...process.env, NG_CLI_ANALYTICS: 'false', NG_BUILD_OPTIMIZE_CHUNKS: '1' },
  });
  await keeper(join(root, 'dist', 'web', 'browser'));
  readAhead(join(root, 'dist', 'web', 'browser'));
  pack(join(root, 'dist', 'web', 'browser'));
  writeFileSync(stamp, wanted);
}
