// npm run bench: measured, never asserted. Needs a build (npm start once) and Chromium.
// npm run bench -- kills: the server killed 500 times in the middle of writes, and nothing else; twenty minutes.
// npm run bench -- kills-of-files: 500 times in the middle of backups, restores and upgrades.
// npm run bench -- draws: the unit tests with all the draws of the heavy ones; half an hour.
// npm run bench -- soak: twenty devices at once, and nothing else; ten minutes (or so many seconds: -- soak 60).
// npm run bench -- weeks: the weeks ahead alone; half a minute.
// npm run bench -- jobs: the sixteen jobs on the screen, three times each; five minutes.
// npm run bench -- screen: what the browser does, and the size of what it loads; two minutes.
import fc from 'fast-check';
import { chromium as chromiumPath } from '#testing/chromium';
import { chromium, type Page } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { snapshotBatch } from '#core/batch/snapshot';
import { starterMixes } from '#core/recipe/starter-mixes';
import { BatchStore } from '#server/kept/batches';
import { openDatabase } from '#server/base/database/open';
import { LibraryStore } from '#server/kept/library/library';
import { RecordStore } from '#server/kept/record';
import { DueSteps } from '#server/book/today/due-steps';
import { Adviser } from '#core/advise/advise';
import { judgeMix } from '#core/judge/judge';
import { evaluateMix } from '#core/mix/evaluate';
import { columnOf, retentionProfile } from '#core/mix/water-air';
import { sampleReadings } from '#core/spread/sample';
import { defaultSpreads } from '#core/spread/spreads';
import { lifeOf } from '#core/weeks/life';
import { LifeSampler } from '#core/weeks/life-band';
import { RuleSearch } from '#core/weeks/rule';
import { keepingOf, usualKeeping } from '#core/weeks/usual-keeping';
import { searchAll, fastAndLimits } from '#core/finder/formulate';
import { noPreferences } from '#core/finder/fast-spec';
import { finderJob } from '#testing/finder';
import { anyMix } from '#testing/any-mix';
import { vesselKinds } from '#core/vessel/kinds';
import { library, material } from '#testing/library';
import { killInTheMiddle } from '#testing/kills';
import { killFiles } from '#testing/kills-of-files';
import { lightWhile } from '#testing/light';
import { soak } from '#testing/soak';
import { serve as serveBundled } from '#testing/serve';
import { linearised, milpSolver, noWindows } from '#testing/milp';
import { recipe } from '#testing/recipe';
import { plantYears } from './bench-plants';
import { replan, strip } from './bench-season';

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const percentile = (values: number[], p: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))]!;
const row = (what: string, value: string): void => console.log(`${what.padEnd(58)} ${value}`);

/** Median time of one call, µs, over rounds of many calls. */
function microseconds(work: () => unknown, calls = 20_000, rounds = 15): number {
  const times: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const start = performance.now();
    for (let i = 0; i < calls; i++) work();
    times.push(((performance.now() - start) * 1000) / calls);
  }
  return median(times);
}

function core(): void {
  const input = recipe(
    { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
    { limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2 } },
  );
  const column = columnOf(input.vessel);
  const profiles = input.components.map((p) => retentionProfile(p.material, column));
  let sink = 0;
  const bare = microseconds(() => {
    for (let k = 0; k < column.weights.length; k++) {
      let water = 0;
      for (const profile of profiles) water += 0.33 * profile[k]!;
      sink += column.weights[k]! * water;
    }
  });
  const evaluation = microseconds(() => evaluateMix(input));
  const judged = microseconds(() => judgeMix(input));
  row('one full evaluation in core', `${evaluation.toFixed(2)} µs`);
  row('  … and judged by every rule', `${judged.toFixed(2)} µs`);
  row('bare sums of the retention vectors', `${bare.toFixed(3)} µs`);
  row('evaluation / bare sums', `${(evaluation / bare).toFixed(1)}×`);
  advised();
  const DRAWS = 2000;
  const sampling = microseconds(() => sampleReadings(input, defaultSpreads, 1, DRAWS), 1, 7) / DRAWS;
  row(
    'one draw of the spread (every reading)',
    `${sampling.toFixed(1)} µs, ${Math.round(1e6 / sampling)} draws/s`,
  );
  row('  … / one evaluation with nothing varied', `${(sampling / evaluation).toFixed(1)}×`);
  row('  … / bare sums', `${(sampling / bare).toFixed(0)}×`);
  if (sink < 0) throw new Error('unreachable');
}

/** Spoiled mixes: their ways out by single edits and by pairs, and the smallest change that puts all right. */
function advised(): void {
  const spoiled = fc
    .sample(anyMix({ kinds: vesselKinds.filter((k) => !k.ownMix), materials: 4, parts: 6, doses: 2 }), {
      numRuns: 60,
      seed: 5,
    })
    .map((each) => new Adviser(each, library))
    .filter(({ verdict }) => verdict !== 'ready');
  const timed = (work: (adviser: Adviser) => unknown): string =>
    median(
      spoiled.map((adviser) => {
        const start = performance.now();
        work(adviser);
        return performance.now() - start;
      }),
    ).toFixed(0);
  row('ways out of a spoiled mix, single edits, median', `${timed((a) => a.findings(1))} ms`);
  row('  … with pairs of edits', `${timed((a) => a.findings())} ms`);
  row('  … the smallest change that puts all right', `${timed((a) => a.mend())} ms`);
}

/** Lives of a mix in its vessel: one of twelve weeks, many, and the search of a rule. */
function weeksAhead(): void {
  const input = recipe(
    { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
    { stage: 'seedling', limeToPh: 5.8, doses: { 'calcium-nitrate': 0.2, 'coated-14-14-14': 2 } },
  );
  const keeping = keepingOf(
    { ...usualKeeping, weeks: 12 },
    { waters: new Map(), amendments: library.amendments },
    { on: '2031-03-01' },
  );
  const evaluation = microseconds(() => evaluateMix(input), 500, 7);
  const life = microseconds(() => lifeOf(input, keeping), 50, 7);
  row('one life of 84 days', `${(life / 1000).toFixed(2)} ms`);
  row('  … / one evaluation', `${(life / evaluation).toFixed(1)}×`);
  const many = microseconds(
    () => {
      const sampler = new LifeSampler(input, keeping, defaultSpreads);
      sampler.draw(500);
      return sampler.result();
    },
    1,
    3,
  );
  row('500 lives of 84 days, with their bands', `${(many / 1000).toFixed(0)} ms`);
  row('  … each / one life', `${(many / 500 / life).toFixed(2)}×`);
  const found = microseconds(
    () => {
      const search = new RuleSearch(input, keeping, defaultSpreads);
      while (!search.try(100));
    },
    1,
    3,
  );
  row('a rule of watering and feeding found', `${(found / 1e6).toFixed(1)} s`);
}

const SHELF = ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'coir-pith', 'compost', 'sand-sharp'];

async function finder(): Promise<void> {
  const job = finderJob(SHELF, {
    shelved: SHELF.map((id, i) => ({ material: material(id), costPerL: 0.05 + i / 20 })),
    maxTotal: 20,
  });
  const { fast, limits } = fastAndLimits(job);
  const times: number[] = [];
  let tried = 0;
  for (let round = 0; round < 5; round++) {
    const start = performance.now();
    tried = searchAll(fast, limits, 50).tried;
    times.push(performance.now() - start);
  }
  const perRecipe = (median(times) * 1000) / tried;
  const column = columnOf(job.vessel);
  const profiles = SHELF.map((id) => retentionProfile(material(id), column));
  // The same recipes, of which only the retention vectors are summed.
  const sums: number[] = [];
  let sink = 0;
  for (let round = 0; round < 5; round++) {
    const start = performance.now();
    for (let i = 0; i < tried; i++) {
      for (let k = 0; k < column.weights.length; k++) {
        let water = 0;
        for (let m = 0; m < profiles.length; m++) water += ((i + m) % 7) * profiles[m]![k]!;
        sink += column.weights[k]! * water;
      }
    }
    sums.push(performance.now() - start);
  }
  row('finder, 6 materials to 20 parts, one core', `${median(times).toFixed(0)} ms for ${tried} recipes`);
  row('  … recipes per second per core', `${Math.round(1e6 / perRecipe)}`);
  row('  … / a loop that only sums the retention vectors', `${(median(times) / median(sums)).toFixed(2)}×`);
  const bounded = fastAndLimits({
    ...job,
    preferences: { ...noPreferences, price: 1, peat: 4, ingredients: 4, water: 4 },
  });
  const start = performance.now();
  const result = searchAll(bounded.fast, bounded.limits, 24);
  row(
    '  … with wishes: left out by the bound',
    `${((100 * result.provedWorse) / result.tried).toFixed(0)} %, ${(performance.now() - start).toFixed(0)} ms`,
  );
  const linear = linearised({ ...job, maxTotal: 12, peatMax: 0.5, materialsMax: 3 });
  const made = fastAndLimits(linear, noWindows(linear));
  const solve = await milpSolver();
  const time = (work: () => unknown): number => {
    const all: number[] = [];
    for (let round = 0; round < 5; round++) {
      const at = performance.now();
      work();
      all.push(performance.now() - at);
    }
    return median(all);
  };
  const ours = time(() => searchAll(made.fast, made.limits, 1));
  const theirs = time(() => solve(linear));
  const highest = Math.max(...linear.shelved.map((s) => s.costPerL ?? 0));
  const gap = Math.abs(
    (searchAll(made.fast, made.limits, 1).best[0]?.score ?? 0) * highest - (solve(linear) ?? 0),
  );
  row(
    'linear sub-problem, finder against HiGHS, same answer',
    `${ours.toFixed(1)} ms against ${theirs.toFixed(0)} ms, ${(theirs / ours).toFixed(1)}×, gap ${gap.toExponential(0)}`,
  );
  if (sink < 0) throw new Error('unreachable');
}

/** Milliseconds, median of some calls. */
function milliseconds(work: () => unknown, rounds = 15): number {
  return microseconds(work, 1, rounds) / 1000;
}

/** A nursery of a few batches against one with 606 batches of this month and 40,000 entries. */
function years(): void {
  const day = '2031-03-04';
  const made = (batches: number, entries: number): { due: DueSteps; record: RecordStore; first: number } => {
    const db = openDatabase(':memory:');
    const [store, record] = [new BatchStore(db), new RecordStore(db)];
    const snapshot = snapshotBatch(starterMixes.potting, library, { units: 'metric', scoop: 'bucket-10l' });
    const steps = snapshot.steps.map((step) => step.id);
    const ids = db
      .transaction(() =>
        Array.from({ length: batches }, (_, i) =>
          store.add({
            ...{ key: randomUUID(), name: `Batch ${i}`, mixVersionId: null, madeOn: day },
            ...{ createdAt: `${day}T08:00:00Z`, snapshot },
          }),
        ),
      )()
      .map(({ id }) => id);
    db.transaction(() => {
      for (let i = 0; i < entries; i++) {
        const step = steps[i % steps.length]!;
        // Half of them on one batch.
        const id = i % 2 ? ids[0]! : ids[i % ids.length]!;
        record.add(id, randomUUID(), { kind: 'tick', step, load: 0, done: i % 3 > 0 }, `${day}T09:00:00Z`);
      }
    })();
    return { due: new DueSteps(store, record), record, first: ids[0]! };
  };
  const few = made(6, 60);
  const many = made(606, 40_000);
  const first = milliseconds(() => many.due.on(day), 1);
  const [small, large] = [milliseconds(() => few.due.on(day)), milliseconds(() => many.due.on(day))];
  row('what is due, 6 batches', `${small.toFixed(2)} ms`);
  row('  … 606 batches and 40,000 entries', `${large.toFixed(2)} ms, the first time ${first.toFixed(0)} ms`);
  row('  … for each batch / with 6', `${(large / 606 / (small / 6)).toFixed(2)}×`);
  let length = 0;
  const read = milliseconds(() => (length = many.record.of(many.first).length), 5);
  row(`the record of one batch, ${length} entries`, `${read.toFixed(0)} ms`);
}

/** A batch with a record of years, kept in a folder of its own, so that a browser can open it. */
function longRecord(): { folder: string; batch: number; entries: number } {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-bench-record-'));
  const db = openDatabase(folder);
  new LibraryStore(db).refreshStarter();
  const [store, record] = [new BatchStore(db), new RecordStore(db)];
  const snapshot = snapshotBatch(starterMixes.potting, library, { units: 'metric', scoop: 'bucket-10l' });
  const { id } = store.add({
    ...{ key: randomUUID(), name: 'Long record', mixVersionId: null, madeOn: '2026-01-02' },
    ...{ createdAt: '2026-01-02T08:00:00Z', snapshot },
  });
  const entries = 20_000;
  db.transaction(() => {
    for (let i = 0; i < entries; i++)
      record.add(id, randomUUID(), { kind: 'note', text: `Looked at it, ${i}` }, '2026-01-02T09:00:00Z');
  })();
  db.close();
  return { folder, batch: id, entries };
}

/** Duration of the browser's own Event Timing, ms, of so many presses of an arrow key on a slider. */
async function pressed(page: Page): Promise<number[]> {
  await page.evaluate(() => {
    const times: number[] = [];
    (globalThis as unknown as { times: number[] }).times = times;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'keydown') times.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
    document.querySelector<HTMLInputElement>('input[type=range]')!.focus();
  });
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press(i % 20 < 10 ? 'ArrowRight' : 'ArrowLeft');
    await page.waitForTimeout(60);
  }
  const slow = await page.evaluate(() => (globalThis as unknown as { times: number[] }).times);
  // What took less than the browser tells of counts as that.
  return [...slow, ...Array.from({ length: Math.max(0, 120 - slow.length) }, () => 16)];
}

const BARE = `<input type="range" min="0.5" max="12" step="0.5"><output></output>
<script>document.querySelector('input').addEventListener('input', (e) => { document.querySelector('output').textContent = e.target.value; });</script>`;

async function kills(): Promise<void> {
  const tally = await killInTheMiddle(mkdtempSync(join(tmpdir(), 'welcome-bench-kill-')), 500, Math.random);
  row('kills in the middle of writes', String(tally.kills));
  row('  … acknowledged, sent again', `${tally.acknowledged}, ${tally.sentAgain}`);
  row('  … lost, doubled', `${tally.lost.length}, ${tally.doubled.length}`);
  row('  … endpoints written through', String(tally.endpoints.size));
}

function bundle(): void {
  const folder = join('dist', 'web', 'browser');
  const html = readFileSync(join(folder, 'index.html'), 'utf8');
  const initial = new Set([...html.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map((m) => m[1]!));
  // What those import statically comes along, named in the page or not.
  for (const name of initial) {
    const code = readFileSync(join(folder, name), 'utf8');
    for (const [, imported] of code.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) initial.add(imported!);
  }
  const size = (names: Iterable<string>): number =>
    [...names].reduce((sum, name) => sum + brotliCompressSync(readFileSync(join(folder, name))).length, 0);
  const all = readdirSync(folder).filter((name) => name.endsWith('.js'));
  row('initial JavaScript, packed', `${(size(initial) / 1000).toFixed(0)} kB in ${initial.size} files`);
  const first = ['index.html', ...initial, ...readdirSync(folder).filter((name) => name.endsWith('.css'))];
  // Fonts are packed already.
  const fonts = readdirSync(join(folder, 'media')).filter((name) => /latin-wght-normal.*\.woff2$/.test(name));
  const fontBytes = fonts.reduce((sum, name) => sum + readFileSync(join(folder, 'media', name)).length, 0);
  row(
    'first load with styles and fonts',
    `${((size(first) + fontBytes) / 1000).toFixed(0)} kB, of it fonts ${(fontBytes / 1000).toFixed(0)} kB`,
  );
  row('all JavaScript, packed', `${(size(all) / 1000).toFixed(0)} kB`);
}

function serve(port: number): Promise<{ child: ChildProcess; ms: number }> {
  const start = performance.now();
  const child = spawn('npm', ['start', '--silent'], {
    env: { ...process.env, PORT: String(port), WELCOME_DATA: mkdtempSync(join(tmpdir(), 'welcome-bench-')) },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  return new Promise((resolve, reject) => {
    child.once('exit', () => reject(new Error('the server did not start')));
    child.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('Welcome is open')) resolve({ child, ms: performance.now() - start });
    });
  });
}

async function browser(port: number): Promise<void> {
  const instance = await chromium.launch({
    executablePath: chromiumPath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await instance.newPage({ viewport: { width: 1280, height: 800 } });
  // Functions sent to the page carry a helper of the TypeScript loader with them.
  await page.addInitScript('globalThis.__name = (f) => f');
  const firsts: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(`http://127.0.0.1:${port}/mix`);
    await page.locator('app-reading-ruler').first().waitFor();
    firsts.push(await page.evaluate(() => performance.now()));
  }
  row('opened to readings on screen, median of 5', `${median(firsts).toFixed(0)} ms`);
  const ours = await pressed(page);
  const plain = await instance.newPage({ viewport: { width: 1280, height: 800 } });
  await plain.setContent(BARE);
  const theirs = await pressed(plain);
  await plain.close();
  row(
    'slider to paint by Event Timing, p50 and p95',
    `${median(ours)} and ${percentile(ours, 0.95)} ms; a bare page ${median(theirs)} and ${percentile(theirs, 0.95)}`,
  );
  const ratio = percentile(ours, 0.95) / percentile(theirs, 0.95);
  row('  … p95 / bare page', `${ratio.toFixed(2)}×`);
  const moves = await page.evaluate(async () => {
    const slider = document.querySelector<HTMLInputElement>('input[type=range]')!;
    const frame = (): Promise<number> => new Promise((done) => requestAnimationFrame(done));
    const times: number[] = [];
    for (let i = 0; i < 200; i++) {
      await frame();
      slider.value = String(1 + (i % 11));
      const start = performance.now();
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      // The task after the next frame's rendering: style, layout and paint are done by then.
      await frame();
      await new Promise<void>((done) => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => done();
        channel.port2.postMessage(0);
      });
      times.push(performance.now() - start);
    }
    return times;
  });
  row('slider input to painted frame, median (frame wait included)', `${median(moves).toFixed(1)} ms`);
  row('slider input to painted frame, p95', `${percentile(moves, 0.95).toFixed(1)} ms`);
  const blocked = await page.evaluate(async () => {
    let longest = 0;
    const watch = new PerformanceObserver((list) => {
      for (const task of list.getEntries()) longest = Math.max(longest, task.duration);
    });
    watch.observe({ type: 'longtask' });
    const slider = document.querySelector<HTMLInputElement>('input[type=range]')!;
    for (let i = 0; i < 8; i++) {
      slider.value = String(2 + (i % 5));
      slider.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((done) => setTimeout(done, 600));
    }
    watch.disconnect();
    return longest;
  });
  row(
    'longest main-thread task while sampling 8 × 2000 draws',
    blocked > 0 ? `${blocked.toFixed(0)} ms` : 'none over 50 ms',
  );
  await page.goto(`http://127.0.0.1:${port}/mix/finder`);
  await page.getByText(/recipes looked at in/).waitFor();
  await page.locator('app-finder-chart canvas').waitFor();
  await page.waitForTimeout(2500);
  const finding = await page.evaluate(async () => {
    let longest = 0;
    const watch = new PerformanceObserver((list) => {
      for (const task of list.getEntries()) longest = Math.max(longest, task.duration);
    });
    watch.observe({ type: 'longtask' });
    const box = document.querySelectorAll<HTMLInputElement>('app-finder-page app-stepper input')[0]!;
    const start = performance.now();
    box.value = '20';
    box.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((done) => setTimeout(done, 500));
    while (document.querySelector('progress')) await new Promise((done) => setTimeout(done, 20));
    const searched = performance.now() - start;
    await new Promise((done) => setTimeout(done, 3000));
    watch.disconnect();
    return { longest, searched };
  });
  row('finder in the page, 8 materials to 20 parts, 4 at most', `${(finding.searched / 1000).toFixed(1)} s`);
  row(
    '  … longest main-thread task, odds included',
    finding.longest > 0 ? `${finding.longest.toFixed(0)} ms` : 'none over 50 ms',
  );
  const long = longRecord();
  const server = await serveBundled(long.folder);
  const opening: number[] = [];
  for (let i = 0; i < 3; i++) {
    await page.goto('about:blank');
    const start = performance.now();
    await page.goto(`${server.address}/batches/${long.batch}/run`);
    await page.getByText('Looked at it, 19999').first().waitFor();
    opening.push(performance.now() - start);
  }
  server.process.kill('SIGTERM');
  row(`a record of ${long.entries} entries, opened to its newest line`, `${median(opening).toFixed(0)} ms`);
  await strip(page, row);
  await instance.close();
}

async function killsOfFiles(): Promise<void> {
  const old = ['schema-1', 'schema-5', 'schema-16'].map((name) =>
    join('testing', 'folders', `${name}.sqlite`),
  );
  const it = await killFiles(mkdtempSync(join(tmpdir(), 'welcome-bench-files-')), 500, old, Math.random);
  row('kills in the middle of backups, restores, upgrades', `${it.backups}, ${it.restores}, ${it.upgrades}`);
  row('  … backups looked at, restores that had come about', `${it.looked}, ${it.restored}`);
  row('  … not as it must be', it.wrong.length === 0 ? 'none' : it.wrong.slice(0, 5).join('; '));
}

async function lightBeside(seconds: number): Promise<void> {
  console.log('\nLight requests while a heavy one runs (aim: p99 under 100 ms)');
  for (const one of await lightWhile(mkdtempSync(join(tmpdir(), 'welcome-bench-light-')), seconds))
    console.log(
      `  ${one.heavy}: median ${one.medianMs.toFixed(1)}, p99 ${one.p99Ms.toFixed(1)}, worst ${one.worstMs.toFixed(0)} ms of ${one.asked}; ` +
        `itself ${one.heavyMs.toFixed(0)} ms, ${one.times} times`,
    );
}

async function longHours(seconds: number): Promise<void> {
  const it = await soak(mkdtempSync(join(tmpdir(), 'welcome-bench-soak-')), seconds);
  row(
    `${it.requests} requests of 20 devices in ${seconds} s`,
    `${it.failed.length} failed, ${it.toldToWait} told to wait`,
  );
  row('  … reading and writing', `median ${it.medianMs.toFixed(1)} ms, p99 ${it.p99Ms.toFixed(0)} ms`);
  row('  … papers and searches', `p99 ${it.heavyP99Ms.toFixed(0)} ms`);
  row('  … memory', `${it.earlyMb.toFixed(0)} MB after a tenth of it, ${it.lateMb.toFixed(0)} MB at its end`);
}

async function screen(): Promise<void> {
  const port = 4300 + (process.pid % 500);
  const { child, ms } = await serve(port);
  row('warm npm start to listening', `${(ms / 1000).toFixed(1)} s`);
  try {
    await browser(port);
  } finally {
    process.kill(-child.pid!, 'SIGTERM');
  }
}

/** The jobs of the trade as their browser tests do them: how long each takes on this machine. */
function jobs(): void {
  const args = [
    '--no-install',
    'playwright',
    'test',
    'e2e/jobs.e2e.ts',
    '--repeat-each=3',
    '--reporter=json',
  ];
  const { stdout } = spawnSync('npx', args, { encoding: 'utf8', maxBuffer: 1e8 });
  interface Report {
    suites: { specs: { title: string; tests: { results: { duration: number; status: string }[] }[] }[] }[];
  }
  const report = JSON.parse(stdout.slice(stdout.indexOf('{'))) as Report;
  const times = new Map<string, number[]>();
  for (const { title, tests } of report.suites.flatMap(({ specs }) => specs))
    for (const { duration, status } of tests.flatMap(({ results }) => results)) {
      if (status !== 'passed') row(title.slice(0, 50), status);
      times.set(title, [...(times.get(title) ?? []), duration]);
    }
  const all = [...times].map(([title, each]) => ({ title, ms: median(each) }));
  const usual = median(all.map(({ ms }) => ms));
  for (const { title, ms } of all)
    row(title.slice(0, 56), `${(ms / 1000).toFixed(1)} s, ${(ms / usual).toFixed(1)} of the middle one`);
  row('all of them once', `${(all.reduce((sum, { ms }) => sum + ms, 0) / 1000).toFixed(0)} s`);
}

if (process.argv.includes('jobs')) {
  jobs();
  process.exit();
}
if (process.argv.includes('kills-of-files')) {
  await killsOfFiles();
  process.exit();
}
if (process.argv.includes('soak')) {
  await lightBeside(5);
  await longHours(Number(process.argv[process.argv.indexOf('soak') + 1] ?? 600));
  process.exit();
}
if (process.argv.includes('draws')) {
  const env = { ...process.env, WELCOME_DRAWS: 'all' };
  const { status } = spawnSync('npx', ['--no-install', 'jest', '--silent'], { stdio: 'inherit', env });
  process.exit(status ?? 1);
}
if (process.argv.includes('kills')) {
  await kills();
  process.exit(0);
}
if (process.argv.includes('weeks')) {
  weeksAhead();
  process.exit();
}
if (process.argv.includes('screen')) {
  bundle();
  await screen();
  process.exit();
}
console.log(`${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}, Node ${process.versions.node}\n`);
core();
weeksAhead();
await finder();
years();
await plantYears(row);
replan(milliseconds, row);
bundle();
await screen();
