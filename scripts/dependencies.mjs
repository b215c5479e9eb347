// npm run dependencies: licences of all packages that are installed, and their known faults where a registry answers.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';

const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
const by = new Map();
for (const [path, { license = 'not told', dev }] of Object.entries(packages)) {
  if (!path) continue;
  const known = by.get(license) ?? { run: 0, dev: 0 };
  known[dev ? 'dev' : 'run']++;
  by.set(license, known);
}
console.log('Licences (packages that run, packages that only build and test):');
for (const [license, { run, dev }] of [...by].sort((a, b) => b[1].run - a[1].run))
  console.log(`  ${String(license).padEnd(36)} ${String(run).padStart(4)} ${String(dev).padStart(5)}`);

const { stdout } = spawnSync('npm', ['audit', '--json'], { cwd: root, encoding: 'utf8' });
try {
  const { metadata, vulnerabilities, message } = JSON.parse(stdout);
  if (!metadata) throw new Error(message);
  const { total, critical, high, moderate, low } = metadata.vulnerabilities;
  console.log(
    `Known faults: ${total} (critical ${critical}, high ${high}, moderate ${moderate}, low ${low})`,
  );
  for (const [name, { severity, range }] of Object.entries(vulnerabilities))
    console.log(`  ${name} ${range}: ${severity}`);
} catch {
  console.log('Known faults: no registry answers that.');
}
