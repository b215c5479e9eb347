// npm run docs: runs the core tests and writes what they compared with the world into docs/model.md.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, root } from './prepare.mjs';

const file = join(root, 'dist', 'checks.jsonl');
rmSync(file, { force: true });
const jest = spawnSync('npx', ['--no-install', 'jest', '--selectProjects', 'core', '--silent'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, CHECKS_FILE: file },
});
if (jest.status !== 0) process.exit(1);

const figure = (n) => String(Number(n.toPrecision(4)));
const rows = readFileSync(file, 'utf8')
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line))
  .sort((a, b) => a.source.localeCompare(b.source) || a.what.localeCompare(b.what))
  .map(({ what, source, published, ours, unit }) => {
    const range = Array.isArray(published);
    const theirs = range ? `${figure(published[0])}–${figure(published[1])}` : figure(published);
    const difference = range ? 'inside' : figure(ours - published);
    return `| ${what} | ${source} | ${theirs} ${unit} | ${figure(ours)} ${unit} | ${difference} |`;
  });
const table = [
  '| check | source | published | ours | difference |',
  '| --- | --- | --- | --- | --- |',
  ...rows,
].join('\n');

const page = join(root, 'docs', 'model.md');
const [start, end] = ['<!-- checks: written by npm run docs -->', '<!-- end of checks -->'];
const text = readFileSync(page, 'utf8');
const before = text.slice(0, text.indexOf(start) + start.length);
const after = text.slice(text.indexOf(end));
writeFileSync(page, `${before}\n\n${table}\n\n${after}`);
must('npx', ['--no-install', 'prettier', '--write', '--log-level=warn', page]);
console.log(`${rows.length} checks written to docs/model.md`);
