import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type APIRequestContext, type Page } from '@playwright/test';
import { expect, field, test } from './bench';
import { serve } from '#testing/serve';

/** Tells a stand-in what lies on it or in what it stands, and mends it. */
async function give(request: APIRequestContext, id: string, truth: number): Promise<void> {
  await request.post(`/api/instruments/${id}/put`, { data: { truth } });
  await request.post(`/api/instruments/${id}/fault`, { data: { fault: null } });
}

const tick = (page: Page, step: string) => page.getByRole('checkbox', { name: `Done: ${step}`, exact: true });

/** Opens a test at its step, which is a line unless it is the one at hand: its test is open then. */
async function openTest(page: Page, name: string, step: string): Promise<void> {
  const opener = page.getByRole('button', { name: `${name}: enter what it did` }).first();
  const line = page.getByRole('button', { name: `Open: ${step}`, exact: true });
  await expect(opener.or(line)).toBeVisible();
  if (await line.isVisible()) await line.click();
  await expect(async () => {
    if ((await opener.getAttribute('aria-expanded')) !== 'true') await opener.click();
    await expect(opener).toHaveAttribute('aria-expanded', 'true', { timeout: 500 });
  }).toPass();
}

/** Makes a batch from a link and opens its run. */
async function begin(page: Page, link: string, name: string, heat = false): Promise<void> {
  await page.goto(link);
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await field(page, 'Called').fill(name);
  if (heat) {
    await page.getByText('Tub, loads and heat').click();
    await page.getByLabel('Heat it through').selectOption('with boiling water');
  }
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await page.getByRole('link', { name: 'Make it, step by step' }).click();
  await page.waitForURL(/\/run$/);
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
}

test.beforeEach(async ({ request }) => {
  for (const [id, truth] of [
    ['scale', 0],
    ['pen-ph', 7],
    ['pen-ec', 0.3],
    ['probe', 16],
  ] as const)
    await give(request, id, truth);
});

test('a whole run: hydrate, dose, wet, squeeze, heat and cool, drain, correct, label; a reload and a fault between', async ({
  page,
  request,
}) => {
  test.setTimeout(90_000);
  await begin(
    page,
    '/mix?stage=germination&into=cell-72&parts=coir-pith:3,peat-fine:2,perlite-fine:1&lime=lime-dolomitic:5.8&dose=calcium-nitrate:0.2&make=4&spare=0',
    'Whole run',
    true,
  );
  await tick(page, 'damp down').check();
  await expect(page.getByText(/warm water and wait/)).toBeVisible();
  await page.getByRole('button', { name: 'Start 30 min' }).first().click();
  await expect(page.getByRole('timer')).toHaveText(/^(30:00|29:5\d)$/);
  await tick(page, 'hydrate').check();

  // Dosing: the scale shows what is still to go; then its battery dies, and nothing of the batch changes.
  // The doses wait for the cooled mix: their line is opened.
  await page.getByRole('button', { name: 'Open: pre blend' }).click();
  const toWeigh = page.getByRole('list', { name: 'To weigh' }).getByRole('listitem').first();
  await give(request, 'scale', 1);
  await expect(toWeigh).toContainText('g to go');
  await request.post('/api/instruments/scale/fault', { data: { fault: 'flat-battery' } });
  const instruments = page.getByRole('list', { name: 'Instruments' });
  await expect(instruments).toContainText('battery is flat');
  await expect(toWeigh).not.toContainText('to go');
  await expect(tick(page, 'pre blend')).not.toBeChecked();
  await give(request, 'scale', 0);
  await expect(instruments).not.toContainText('battery is flat');
  await tick(page, 'pre blend').check();
  await tick(page, 'layer').check();
  await tick(page, 'water').check();

  // Everything ticked is there after a reload, and the clock still runs.
  await page.reload();
  await page.getByRole('button', { name: /^✓ \d more done$/ }).click();
  for (const step of ['damp down', 'hydrate', 'pre blend', 'layer', 'water'])
    await expect(tick(page, step)).toBeChecked();
  await expect(page.getByRole('timer')).toHaveText(/^29:/);
  await expect(tick(page, 'heat')).not.toBeChecked();
  await expect(page.getByText(/Boiling water scalds/)).toBeVisible();
  await tick(page, 'heat').check();

  // Cooling by two readings of the probe: 60 to 50 in an hour at 20 °C around it leaves 3.8 h to 30 °C.
  await openTest(page, 'Cooling', 'cool');
  await give(request, 'probe', 59.3);
  await expect(instruments.getByRole('listitem').filter({ hasText: 'Probe' })).toContainText(/(59|60)\.\d/);
  await page.getByRole('button', { name: 'Take First reading from the instrument' }).first().click();
  await expect(field(page, 'First reading, °C').first()).toHaveValue(/^(5|6)\d/);
  await field(page, 'First reading, °C').first().fill('60');
  await field(page, 'Later reading, °C').first().fill('50');
  await field(page, 'Minutes between, min').first().fill('60');
  await field(page, 'Around it, °C').first().fill('20');
  await page.getByRole('button', { name: 'Enter cooling' }).first().click();
  await expect(page.getByText('3.8 h until 30 °C.').first()).toBeVisible();
  await tick(page, 'cool').check();

  await openTest(page, 'Squeeze', 'squeeze');
  await page.getByText('holds a clump and crumbs open', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Enter squeeze' }).first().click();
  await expect(page.getByText(/holds a clump and crumbs open: right/).first()).toBeVisible();
  await tick(page, 'squeeze').check();

  await openTest(page, 'Drain', 'drain test');
  await field(page, 'Water stood for, s').first().fill('2');
  await field(page, 'Ran through after, s').first().fill('7');
  await page.getByRole('button', { name: 'Enter drain' }).first().click();
  await expect(page.getByText('Goes in at once: it drains.').first()).toBeVisible();
  await tick(page, 'drain test').check();

  // Sour by the pen: the reading is taken, judged, and the correction goes into the record.
  await give(request, 'pen-ph', 5.1);
  await expect(instruments).toContainText(/5\.[012]\d/);
  await openTest(page, 'pH', 're test');
  await page.getByRole('button', { name: 'Take pH from the instrument' }).first().click();
  await page.getByRole('button', { name: 'Enter pH', exact: false }).first().click();
  await expect(page.getByText(/^5\.\d+\. Too acid\./).first()).toBeVisible();
  await page.getByText('Put it right').click();
  await expect(page.getByText(/Blend in .*\sg\sof ground dolomitic limestone/)).toBeVisible();
  await page.getByRole('button', { name: 'Enter it in the record' }).click();
  const record = page.getByRole('list', { name: 'Record' });
  await expect(record.getByText(/^.*Put right: Blend in/).first()).toBeVisible();

  // Labels: the file comes, and is one.
  const address = await page.getByRole('link', { name: 'Labels to print' }).getAttribute('href');
  const labels = await request.get(address!);
  expect(labels.headers()['content-type']).toContain('application/pdf');
  expect((await labels.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.locator('summary', { hasText: 'This week' }).click();
  const several = page.locator('summary', { hasText: /Test \d+ batches/ });
  await expect(page.getByText(/Test (pH on day 7|\d+ batches)/).first()).toBeVisible();
  if (await several.isVisible()) await several.click();
  await expect(page.getByRole('link', { name: /Test pH on day 7/ }).first()).toBeVisible();
});

test('two devices on one batch: no tick is lost, and what differs is shown, not overwritten', async ({
  page,
  browser,
  baseURL,
}) => {
  await begin(page, '/mix', 'Two tabs');
  const device = await browser.newContext({ baseURL: baseURL! });
  const other = await device.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: 'Two tabs' })).toBeVisible();
  await tick(page, 'damp down').check();
  await tick(other, 'water, load 1').check();
  for (const tab of [page, other]) {
    await expect(tick(tab, 'damp down')).toBeChecked();
    await expect(tick(tab, 'water, load 1')).toBeChecked();
  }
  // The other tab goes deaf, both enter a pH.
  await other.route('**/stream*', (route) => route.abort());
  await other.route('**/entries', (route) => route.abort());
  await other.locator('summary', { hasText: /^\s*pH/ }).click();
  await field(other, 'pH').first().fill('6.6');
  await other.getByRole('button', { name: 'Enter pH' }).first().click();
  await expect(other.getByText('1 waiting to be sent').first()).toBeVisible();
  await page.locator('summary', { hasText: /^\s*pH/ }).click();
  await field(page, 'pH').first().fill('5.9');
  await page.getByRole('button', { name: 'Enter pH' }).first().click();
  await expect(page.getByText(/^5\.9\. Right\./).first()).toBeVisible();
  // Back again: what waited is sent, is seen to differ, and stays until somebody decides.
  await other.unroute('**/stream*');
  await other.unroute('**/entries');
  await expect(other.getByRole('alert')).toContainText('Another device entered something else', {
    timeout: 15_000,
  });
  await other.getByRole('button', { name: 'Enter mine after it' }).click();
  for (const tab of [page, other]) {
    await expect(tab.getByRole('list', { name: 'Record' })).toContainText('pH: 6.6');
    await expect(tab.getByRole('list', { name: 'Record' })).toContainText('pH: 5.9');
  }
  await device.close();
});

test('lots both ways, uses, and impossible entries', async ({ page }) => {
  await begin(page, '/mix', 'Traced');
  await page.getByText('A new lot').click();
  await page.getByLabel('Name on the bag, bale or heap').fill('Bale 17');
  await page.getByRole('button', { name: 'of fine sphagnum peat' }).click();
  await expect(page.getByRole('list', { name: 'Record' })).toContainText('Sphagnum peat, fine from Bale 17');
  await page.locator('summary', { hasText: 'Used for' }).click();
  await page.getByLabel('Sowing, cuttings or pots').fill('Leeks');
  await page.locator('app-use-form').getByLabel('How many').fill('400');
  await page.locator('app-use-form').getByRole('button', { name: 'Enter' }).click();
  await expect(page.getByRole('list', { name: 'Record' })).toContainText('Used for Leeks, 400');
  await page.getByRole('link', { name: 'where it went' }).first().click();
  await expect(page.getByRole('heading', { name: 'Bale 17' })).toBeVisible();
  await expect(page.getByText(/Leeks: 400/)).toBeVisible();
  await page.goBack();
  await page.locator('summary', { hasText: 'Fill weight' }).click();
  await field(page, 'The vessel holds, mL').fill('500');
  await field(page, 'Empty, g').fill('-20');
  await expect(page.getByRole('alert')).toHaveText('Empty, g: must be a number from 0 to 50000');
  await field(page, 'Empty, g').fill('20');
  await field(page, 'Filled, g').fill('5');
  await expect(page.getByRole('button', { name: 'Enter fill weight' })).toBeDisabled();
  await expect(page.getByRole('alert')).toHaveText('Filled must be more than the empty vessel, 20 g');
});

test('a measured yield stands for the mix from now on', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /Rosemary under mist/ }).click();
  await page.getByRole('link', { name: 'Make it, step by step' }).click();
  await page.locator('summary', { hasText: 'Yield' }).click();
  const asked = /from ([\d.]+)\sL to ([\d.]+)\sL/;
  await field(page, 'Finished mix, L').fill('1');
  const [, , all] = asked.exec(await page.getByRole('alert').innerText())!;
  await field(page, 'Finished mix, L').fill(String(0.9 * Number(all)));
  await page.getByRole('button', { name: 'Enter yield' }).click();
  await page.getByRole('button', { name: 'Use this yield for the mix' }).click();
  await expect(page.getByRole('status').last()).toContainText('Saved in Cutting mix, open, version 2');
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Open a saved recipe' }).click();
  await page.getByRole('button', { name: /Cutting mix, open/ }).click();
  await expect(page.getByText('1 in use')).toBeVisible();
});

test('instruments: calibrated, and a fault is said', async ({ page, request }) => {
  await give(request, 'pen-ph', 5.8);
  await page.goto('/shelf/instruments');
  const pen = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'pH pen' }) });
  await pen.getByRole('button', { name: /Calibrate the pH pen/ }).click();
  await expect(pen).toContainText(/calibrated .* in 4.01 it read/);
  await expect(pen.locator('.value')).toContainText(/5\.[78]/);
  await pen.getByLabel('Stand-in: fault of the pH pen').selectOption('disconnected');
  await expect(pen.locator('.value')).toContainText('not connected');
  await pen.getByLabel('Stand-in: fault of the pH pen').selectOption('');
  await expect(pen.locator('.value')).toContainText(/5\.\d/);
  const weather = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Weather' }) });
  await weather.getByRole('checkbox').check();
  await expect(weather).toContainText('does not answer');
  await weather.getByRole('checkbox').uncheck();
  await expect(weather).toContainText('mm rain');
});

test('an own bucket counts on the card', async ({ page }) => {
  await page.goto('/shelf/measures');
  await page.getByLabel('A bucket, cup or tub').fill('Blue bucket');
  await field(page, 'Holds, struck, L').fill('7.5');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Archive Blue bucket' })).toBeVisible();
  await page.goto('/batches');
  await page.getByRole('link', { name: /First tomatoes/ }).click();
  await page.getByLabel('Counted in').selectOption('Blue bucket');
  // 49 L of peat: six and a half of 7.5 L.
  await expect(page.getByRole('row', { name: /Sphagnum peat, fine/ }).locator('.big')).toContainText(
    /^\s*6 ½/,
  );
  await page.goto('/shelf/measures');
  await page.getByRole('button', { name: 'Archive Blue bucket' }).click();
  await expect(page.getByRole('status').last()).toContainText('is archived');
});

test('the server is killed while streaming: the page says so, keeps the tick, and recovers by itself', async ({
  browser,
}) => {
  test.setTimeout(60_000);
  const folder = mkdtempSync(join(tmpdir(), 'welcome-kill-'));
  const first = await serve(folder);
  // Refused connections are what this test is about: a page of its own, without the check for console errors.
  const page = await browser.newPage();
  await page.goto(`${first.address}/batches/6/run`);
  await expect(page.getByRole('list', { name: 'Instruments' })).toContainText('Bench scale');
  first.process.kill('SIGKILL');
  await expect(page.getByText('no answer from the server, trying again')).toBeVisible();
  await tick(page, 'damp down').check();
  await expect(page.getByText('1 waiting to be sent').first()).toBeVisible();
  const second = await serve(folder, Number(new URL(first.address).port));
  await expect(page.getByText('waiting to be sent')).toHaveCount(0, { timeout: 20_000 });
  await expect(page.getByText('no answer from the server')).toHaveCount(0, { timeout: 20_000 });
  await page.reload();
  await expect(tick(page, 'damp down')).toBeChecked();
  await page.close();
  second.process.kill('SIGTERM');
});

test('eight tabs on one run: one stream for all, and another tab takes over when its page goes', async ({
  page,
  context,
}) => {
  await begin(
    page,
    '/mix?stage=germination&into=cell-72&parts=peat-fine:3,perlite-coarse:1&make=2',
    'Many tabs',
  );
  await expect(page.getByRole('list', { name: 'Instruments' })).toContainText(/\d\s°C/);
  const streams: string[] = [];
  context.on('request', (request) => {
    // The first page may still be opening its own.
    if (request.url().endsWith('/stream') && request.frame().page() !== page) streams.push(request.url());
  });
  const tabs = await Promise.all(Array.from({ length: 7 }, () => context.newPage()));
  for (const tab of tabs) {
    await tab.goto(page.url());
    await expect(tick(tab, 'layer')).not.toBeChecked();
  }
  expect(streams).toEqual([]);
  await tick(page, 'layer').check();
  for (const tab of tabs) await expect(tick(tab, 'layer')).toBeChecked();
  // The page that held the stream goes; another one carries on, for all.
  await page.goto('about:blank');
  await tick(tabs[0]!, 'water').check();
  for (const tab of tabs) await expect(tick(tab, 'water')).toBeChecked();
  expect(new Set(streams).size).toBe(2);
  expect(streams).toHaveLength(2);
});

test('many papers at once: some are printed, the rest are asked to wait, and the page is answered meanwhile', async ({
  request,
}) => {
  const [batch] = (await (await request.get('/api/batches')).json()) as { id: number }[];
  const papers = Array.from({ length: 24 }, () =>
    request.get(`/api/batches/${batch!.id}/labels.pdf?count=40&units=metric`, {
      timeout: 60_000,
    }),
  );
  const health = await request.get('/api/health');
  expect(health.ok()).toBe(true);
  const answers = await Promise.all(papers);
  const statuses = answers.map((answer) => answer.status());
  expect(new Set(statuses)).toEqual(new Set([200, 429]));
  const refused = answers.find((answer) => answer.status() === 429)!;
  expect(await refused.json()).toMatchObject({ status: 429, detail: expect.stringContaining('try again') });
  const printed = answers.find((answer) => answer.status() === 200)!;
  expect((await printed.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('two tabs of a device that went offline: what both entered is sent once, by whichever page is open', async ({
  page,
  context,
}) => {
  await begin(page, '/mix', 'Offline tabs');
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: 'Offline tabs' })).toBeVisible();
  await context.route('**/entries', (route) => route.abort());
  await tick(page, 'damp down').check();
  await tick(page, 'squeeze').check();
  await tick(other, 'water, load 1').check();
  await tick(other, 'fill').check();
  await tick(other, 'fill').uncheck();
  await expect(page.getByText('5 waiting to be sent').first()).toBeVisible();
  await expect(other.getByText('5 waiting to be sent').first()).toBeVisible();
  // Closed while offline; another page of the device finds them, whatever it shows.
  const address = page.url();
  await other.close();
  await page.goto('/shelf');
  await expect(page.getByText('5 waiting to be sent')).toBeVisible();
  await context.unroute('**/entries');
  await expect(page.getByText('waiting to be sent')).toHaveCount(0, { timeout: 15_000 });
  await page.goto(address);
  for (const step of ['damp down', 'squeeze', 'water, load 1']) await expect(tick(page, step)).toBeChecked();
  await expect(tick(page, 'fill')).not.toBeChecked();
  await expect(page.getByRole('list', { name: 'Record' }).getByRole('listitem')).toHaveCount(5);
});

test('tick and untick within a moment: the untick is not lost', async ({ page }) => {
  await begin(page, '/mix', 'Quick hands');
  await page.route('**/entries', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 400));
    await route.continue();
  });
  await tick(page, 'label').check();
  await tick(page, 'label').uncheck();
  await expect(page.getByText('waiting to be sent')).toHaveCount(0, { timeout: 10_000 });
  await page.reload();
  await expect(page.getByRole('list', { name: 'Record' }).getByRole('listitem')).toHaveCount(2);
  await expect(tick(page, 'label')).not.toBeChecked();
});
