import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Page } from '@playwright/test';
import { serve, type Served } from '#testing/serve';
import { expect, field, test } from './bench';

test.use({ serviceWorkers: 'allow', brought: /ERR_|Failed to load resource|EventSource/ });

let folder: string;
let served: Served;
const port = (): number => Number(new URL(served.address).port);
test.beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'welcome-offline-'));
  served = await serve(folder);
});
test.afterEach(() => {
  served.process.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** Out of reach, and back under the same address. */
async function goOut(): Promise<void> {
  const gone = new Promise((done) => served.process.once('exit', done));
  served.process.kill('SIGKILL');
  await gone;
}
const comeBack = async (): Promise<void> => void (served = await serve(folder, port()));
/** Until the device keeps the page. */
async function kept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}

test('out of reach a run is made to its end and a tray is counted; back in reach all of it is there, once', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${served.address}/today`);
  await kept(page);
  const { address } = served;
  const [{ id }] = (await (await page.request.get(`${address}/api/batches?away=no`)).json()) as [
    { id: number },
  ];
  const run = `/batches/${id}/run`;
  for (const path of ['/today', '/batches', run, '/plants/growing', '/plants/1', '/mix']) {
    await page.goto(address + path);
    await page.waitForLoadState('networkidle').catch(() => undefined);
  }
  // A run keeps what it knows a moment after it was told.
  await page.goto(address + run);
  await expect(page.getByRole('list', { name: 'Record' }).getByRole('listitem').first()).toBeVisible();
  await page.waitForTimeout(1500);
  const before = (await (await page.request.get(`${address}/api/plants/1`)).json()) as { events: unknown[] };

  await goOut();
  await page.goto(`${address}/today`);
  await expect(page.getByText('The nursery is out of reach')).toBeVisible();
  await page.goto(address + run);
  await expect(page.getByRole('list', { name: 'Record' }).getByRole('listitem').first()).toBeVisible();
  const boxes = page.getByRole('region', { name: 'Steps' }).getByRole('checkbox');
  const showDone = async (): Promise<void> => {
    const fold = page.getByRole('button', { name: /^✓ \d+ more done$/ });
    await fold.click();
    await expect(page.getByRole('button', { name: 'Fold what is done' })).toBeVisible();
  };
  const open = page.getByRole('region', { name: 'Steps' }).getByRole('checkbox', { checked: false });
  await expect(open.first()).toBeVisible();
  for (let left = await open.count(); left > 0; left--) {
    await open.first().click();
    await expect(open).toHaveCount(left - 1);
  }
  await showDone();
  const steps = await boxes.count();
  expect(steps).toBeGreaterThan(5);
  await expect(page.getByText(/waiting to be sent since/).first()).toBeVisible();
  await page.goto(`${address}/plants/1`);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Counted in the tunnel');
  await page.getByRole('button', { name: 'Save' }).click();
  // Closed and opened again, still out of reach.
  await page.goto(`${address}/batches`);
  await page.goto(`${address}/plants/1`);
  await expect(page.getByText('Counted in the tunnel').first()).toBeVisible();
  await expect(page.getByText('not sent yet')).toBeVisible();
  await page.goto(address + run);
  await expect(boxes.first()).toBeVisible();
  await showDone();
  for (let i = 0; i < steps; i++) await expect(boxes.nth(i)).toBeChecked();

  await comeBack();
  await expect(page.getByText(/waiting to be sent since/)).toHaveCount(0, { timeout: 30_000 });
  await page.goto(`${address}/today`);
  await expect(page.getByText('The nursery is out of reach')).toHaveCount(0);
  const after = (await (await page.request.get(`${address}/api/plants/1`)).json()) as {
    events: { event: { text?: string } }[];
  };
  expect(after.events.length).toBe(before.events.length + 1);
  expect(after.events.filter(({ event }) => event.text === 'Counted in the tunnel')).toHaveLength(1);
  await page.goto(address + run);
  await expect(boxes.first()).toBeVisible();
  await showDone();
  for (let i = 0; i < steps; i++) await expect(boxes.nth(i)).toBeChecked();
});

test('a device that saw one page goes out at once: the daily pages open all the same', async ({ page }) => {
  const { address } = served;
  await page.goto(`${address}/settings`);
  await kept(page);
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const pages = (await (await fetch('/first-asked.json')).json()) as Record<string, string[]>;
          const cache = await caches.open('welcome-answers');
          const asked = Object.values(pages).flat();
          const kept = await Promise.all(asked.map((ask) => cache.match(`/api/${ask}`)));
          return asked.filter((_, index) => !kept[index]);
        }),
      { timeout: 30_000 },
    )
    .toEqual([]);
  await goOut();
  for (const [path, name] of [
    ['/today', 'Today'],
    ['/batches', 'Batches'],
    ['/plants/growing', 'Plants'],
    ['/mix', 'Mix'],
  ] as const) {
    await page.goto(address + path);
    await expect(page.getByRole('heading', { level: 1, name })).toBeAttached();
    await expect(page.getByText('The nursery is out of reach')).toBeVisible();
    await expect(page.getByText(/Could not load/)).toHaveCount(0);
  }
});

test('out of reach a sowing, a recipe and a batch are entered; back in reach each is there, once', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  const { address } = served;
  await page.goto(`${address}/mix`);
  await kept(page);
  for (const path of ['/plants/new', '/batches', '/batches/new', '/mix', '/plants/growing']) {
    await page.goto(address + path);
    await page.waitForLoadState('networkidle').catch(() => undefined);
  }
  await goOut();
  await page.goto(`${address}/plants/new?crop=basil&vessel=cell-72&cells=72&name=Out there`);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Out of reach: Basil “Out there” is stored on this device')).toBeVisible();
  await page.goto(`${address}/mix`);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await field(page, 'Name of the recipe').fill('Tunnel mix');
  await page.getByRole('button', { name: 'Save under this name' }).click();
  await expect(page.getByText('Out of reach: this recipe is stored on this device')).toBeVisible();
  await page.goto(`${address}/batches/new`);
  await field(page, 'Called').fill('Tunnel batch');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByText('Out of reach: batch Tunnel batch is stored on this device')).toBeVisible();
  // Closed and opened again, still out of reach.
  await page.goto(`${address}/today`);
  await expect(page.getByText(/3 waiting to be sent since .*: Basil “Out there”, /)).toBeVisible();

  await comeBack();
  await expect(page.getByText(/waiting to be sent since/)).toHaveCount(0, { timeout: 30_000 });
  const names = async (path: string): Promise<string[]> =>
    ((await (await page.request.get(`${address}/api/${path}`)).json()) as { name: string }[]).map(
      ({ name }) => name,
    );
  expect((await names('plants?finished=no')).filter((name) => name === 'Out there')).toHaveLength(1);
  expect((await names('mixes?away=no')).filter((name) => name === 'Tunnel mix')).toHaveLength(1);
  expect((await names('batches?away=no')).filter((name) => name === 'Tunnel batch')).toHaveLength(1);
});

/** The built page as another build would name its pieces, with a mark in it. */
function laterBuild(folder: string): void {
  cpSync('dist/web/browser', folder, { recursive: true, filter: (from) => !from.endsWith('.br') });
  const names = readdirSync(folder).flatMap(
    (name) => /^(?:chunk|main)-([\w-]{8})\.js$/.exec(name)?.[1] ?? [],
  );
  const renamed = (text: string): string =>
    names.reduce((all, hash) => all.replaceAll(hash, [...hash].reverse().join('')), text);
  for (const name of readdirSync(folder))
    if (/\.(js|html|json)$/.test(name)) {
      const text = renamed(readFileSync(join(folder, name), 'utf8'))
        .replace('<head>', '<head><meta name="later-build" content="yes">')
        .replace(/"[0-9a-f]{12}"/g, '"0123456789ab"');
      rmSync(join(folder, name));
      writeFileSync(join(folder, renamed(name)), text);
    }
}

test('a new version takes over without losing what is open: the old page goes on with its own pieces', async ({
  page,
}) => {
  const { address } = served;
  await page.goto(`${address}/plants/new?crop=basil&vessel=cell-72&cells=72`);
  await kept(page);
  await field(page, 'Sort, or what it is for').fill('Half typed');
  await goOut();
  const later = join(folder, 'later');
  laterBuild(later);
  served = await serve(folder, Number(new URL(address).port), { WELCOME_WEB: later });
  // Until the new one has taken over wholly.
  await page.evaluate(async () => {
    const before = navigator.serviceWorker.controller;
    const over = new Promise<void>((done) =>
      navigator.serviceWorker.addEventListener('controllerchange', () => {
        const now = navigator.serviceWorker.controller!;
        const look = (): void => void (now !== before && now.state === 'activated' && done());
        now.addEventListener('statechange', look);
        look();
      }),
    );
    await (await navigator.serviceWorker.getRegistration())!.update();
    await over;
  });
  expect(await page.evaluate(() => caches.keys())).toContain('welcome-page-0123456789ab');
  await expect(field(page, 'Sort, or what it is for')).toHaveValue('Half typed');
  // What the browser holds besides may be gone at any time.
  await (await page.context().newCDPSession(page)).send('Network.clearBrowserCache');
  // A place that this page never opened: its piece has another name by now.
  await page.getByRole('link', { name: 'Season', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Season' })).toBeAttached();
  await expect(page.locator('meta[name=later-build]')).toHaveCount(0);
  await page.goto(`${address}/plants/new?crop=basil&vessel=cell-72&cells=72`);
  await expect(page.locator('meta[name=later-build]')).toHaveCount(1);
  await expect(field(page, 'Sort, or what it is for')).toHaveValue('Half typed');
});

test('it can be installed: named, with pictures that are there, and it starts with today', async ({
  page,
}) => {
  await page.goto(served.address);
  const href = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(new URL(href!, served.address).href)).json()) as {
    name: string;
    start_url: string;
    icons: { src: string; sizes: string }[];
  };
  expect([manifest.name, manifest.start_url]).toEqual(['Welcome', '/today']);
  for (const { src } of manifest.icons) {
    const icon = await page.request.get(served.address + src);
    expect([src, icon.status(), icon.headers()['content-type']]).toEqual([
      src,
      200,
      expect.stringMatching(/^image\//),
    ]);
  }
});

test('what this device kept is gone from it once it is shut out', async ({ page }) => {
  await page.goto(`${served.address}/plants/growing`);
  await kept(page);
  await page.reload();
  await page.waitForLoadState('networkidle');
  const held = (): Promise<number> =>
    page.evaluate(async () => (await (await caches.open('welcome-answers')).keys()).length);
  expect(await held()).toBeGreaterThan(2);
  // As the door answers a device that was taken away.
  await page.context().route('**/api/nursery', (route) => route.fulfill({ status: 401, json: {} }));
  await page.reload();
  await page.waitForTimeout(1500);
  await page.evaluate(() => fetch('/api/nursery'));
  await expect.poll(held).toBeLessThan(10);
});
