// The server as one file, so that it starts at once: packages stay where they are installed.
import { build } from 'esbuild';
import { join } from 'node:path';
import { root } from './prepare.mjs';

/** @returns the path of what Node runs */
export async function buildServer(folder = join(root, 'dist', 'server')) {
  const from = (room) => join(root, room);
  await build({
    absWorkingDir: root,
    entryPoints: ['server/main.ts', 'server/restore.ts', 'server/out/heavy/worker.ts'],
    entryNames: '[name]',
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    packages: 'external',
    alias: {
      '#core': from('core'),
      '#contract': from('contract'),
      '#words': from('words'),
      '#server': from('server'),
    },
    logLevel: 'warning',
  });
  return join(folder, 'main.mjs');
}

// By hand: node scripts/build-server.mjs [folder]
if (process.argv[1] === import.meta.filename) await buildServer(process.argv[2]);
