import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type EndpointName, routes } from '#contract/routes';
import { draws, seeded } from '#testing/draws';
import { killInTheMiddle } from '#testing/kills';

/** Nothing of the data folder changes by what computes, and by what stands on the bench. */
const WRITES_NOTHING = new Set<EndpointName>([
  ...(['evaluate', 'batchSheet', 'formulate', 'hotWater', 'sowing', 'season'] as const),
  ...([
    'package',
    'makeOrBuy',
    'compare',
    'learn',
    'water',
    'liquidFeed',
    'life',
    'lifeRule',
    'advise',
    'lookAtShare',
  ] as const),
  // Of files, not rows: they have kills of their own.
  ...(['makeBackup', 'bringBackup', 'restoreBackup'] as const),
  // Of the door to the network: no record hangs on it.
  ...(['setSharing', 'pairDevice', 'renameDevice', 'takeAwayDevice'] as const),
  ...(['letWeatherAnswer', 'calibrate', 'putOnInstrument', 'failInstrument'] as const),
]);

const KILLS = draws(20, 12);
test(`${KILLS} kills in the middle of writes: nothing acknowledged is lost, nothing is doubled`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-kill-'));
  const tally = await killInTheMiddle(folder, KILLS, seeded(20_310_304));
  expect([tally.lost, tally.doubled]).toEqual([[], []]);
  expect(tally.acknowledged).toBeGreaterThan(5 * KILLS);
  expect(tally.sentAgain).toBeGreaterThan(0);
  const writing = (Object.keys(routes) as EndpointName[]).filter(
    (name) => routes[name][0] !== 'GET' && !WRITES_NOTHING.has(name),
  );
  expect([...tally.endpoints].sort()).toEqual(writing.sort());
  rmSync(folder, { recursive: true });
}, 240_000);
