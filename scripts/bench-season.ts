import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Page } from '@playwright/test';
import { needsOf } from '#core/season/needs';
import { lineSeason, seasonOf, seasonOfLines } from '#core/season/season';
import { seasonSays } from '#core/season/season-says';
import { openDatabase } from '#server/base/database/open';
import { Folder } from '#server/base/database/folder';
import { LibraryStore } from '#server/kept/library/library';
import { CropStore } from '#server/kept/season/crops';
import { SeasonStore } from '#server/kept/season/season';
import { library } from '#testing/library';
import { aLine, crops, someSettings } from '#testing/season';
import { serve } from '#testing/serve';

const LINES = 200;
const SOWINGS = 10;
const ids = [...crops.keys()];
const lines = Array.from({ length: LINES }, (_, i) =>
  aLine({ id: i + 1, crop: ids[i % ids.length]!, plants: 100 + i, count: SOWINGS, name: `No ${i}` }),
);

/** What a change of one line of a large season makes reckon anew. */
export function replan(
  milliseconds: (work: () => unknown) => number,
  row: (what: string, value: string) => void,
): void {
  let n = 0;
  const changed = () => lines.map((line, i) => (i === 3 ? { ...line, plants: 100 + (++n % 50) } : line));
  const season = seasonOf(someSettings, lines, crops, library.vessels);
  const counted = milliseconds(() => seasonOf(someSettings, changed(), crops, library.vessels));
  const before = lines.map((line) => lineSeason(someSettings, line, crops, library.vessels));
  const touched = milliseconds(() => {
    const one = lineSeason(someSettings, changed()[3]!, crops, library.vessels);
    return seasonOfLines(
      someSettings,
      before.map((line, i) => (i === 3 ? one : line)),
    );
  });
  const told = milliseconds(() => seasonSays(season.sowings, someSettings, '2027-01-01', () => false));
  const needed = milliseconds(() =>
    needsOf(season, new Map(), null, library, '2027-01-01', { made: () => false, begun: () => false }),
  );
  row(`a season of ${LINES} crops × ${SOWINGS}, one changed: counted back`, `${counted.toFixed(1)} ms`);
  row('  … only what changed, as the page does', `${touched.toFixed(1)} ms`);
  row('  … what speaks up; mixing days and what it takes', `${told.toFixed(1)}, ${needed.toFixed(1)} ms`);
}

/** That season in a folder of its own, so that a browser can open it. */
export function largeSeason(): string {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-bench-season-'));
  const db = openDatabase(folder);
  new LibraryStore(db).refreshStarter();
  new CropStore(db).refreshStarter();
  const store = new SeasonStore(db, new Folder(db));
  db.transaction(() => {
    for (const { id: _, ...line } of lines) store.add({ ...line, key: randomUUID() }, '2027-01-02T08:00:00Z');
  })();
  db.close();
  return folder;
}

/** The strip of it: opened, moved by arrow keys and scrolled, with the frames that took longer than they should. */
export async function strip(page: Page, row: (what: string, value: string) => void): Promise<void> {
  const server = await serve(largeSeason());
  const start = performance.now();
  await page.goto(`${server.address}/season/plan`);
  await page
    .locator('.bar')
    .nth(LINES * SOWINGS - 1)
    .waitFor({ state: 'attached' });
  row(`the strip of ${LINES * SOWINGS} sowings, opened`, `${(performance.now() - start).toFixed(0)} ms`);
  await page.waitForTimeout(2000);
  const frames = (): Promise<number[]> =>
    page.evaluate(async () => {
      const gaps: number[] = [];
      let last = performance.now();
      for (let i = 0; i < 120; i++) {
        await new Promise((done) => requestAnimationFrame(done));
        const now = performance.now();
        gaps.push(now - last);
        last = now;
      }
      return gaps;
    });
  const say = (what: string, gaps: number[]): void => {
    const worst = Math.max(...gaps);
    const dropped = gaps.filter((gap) => gap > 25).length;
    row(what, `${dropped} of ${gaps.length} frames late, the worst ${worst.toFixed(0)} ms`);
  };
  say('  … at rest', await frames());
  const scrolled = frames();
  for (let i = 0; i < 12; i++) await page.mouse.wheel(0, 300);
  say('  … scrolled through', await scrolled);
  await page.evaluate(() => scrollTo({ top: 0 }));
  await page.locator('.bar').nth(5).focus();
  const keyed = frames();
  for (let i = 0; i < 10; i++) {
    await page.keyboard.press(i % 2 ? 'ArrowLeft' : 'ArrowRight');
    await page.waitForTimeout(150);
  }
  say('  … a bar moved ten times', await keyed);
  server.process.kill('SIGTERM');
}
