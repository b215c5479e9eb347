import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { soak } from '#testing/soak';

test('some seconds of twenty devices with streams, papers and searches: nothing fails, and memory does not run away', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-soak-'));
  const soaked = await soak(folder, 8);
  expect(soaked.failed).toEqual([]);
  expect(soaked.requests).toBeGreaterThan(200);
  // A server at work takes what it needs at first: ten minutes of it are measured by `npm run bench -- soak`.
  expect(soaked.lateMb).toBeLessThan(600);
  rmSync(folder, { recursive: true, force: true });
}, 60_000);
