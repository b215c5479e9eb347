import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { testDay } from '#testing/day';
import { serve, type Served } from '#testing/serve';
import { expect, field, test } from './bench';

test.use({ brought: /ERR_|Failed to load resource|EventSource/ });

let folder: string;
let served: Served;
test.beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'welcome-waiting-'));
  served = await serve(folder);
});
test.afterEach(() => {
  served.process.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

interface Planting {
  id: number;
  key: string;
  tally: { lost: { cause: string; count: number }[]; alive: number };
}
const api = async <T>(page: Page, method: 'get' | 'post', path: string, data?: object): Promise<T> => {
  const sent = method === 'post' ? { data: data ?? {} } : undefined;
  const answer = await page.request[method](`${served.address}/api${path}`, sent);
  const text = await answer.text();
  return (text === '' ? null : JSON.parse(text)) as T;
};
const pot = (page: Page, crop: string): Promise<Planting> =>
  api(page, 'post', '/plants', {
    ...{ key: crypto.randomUUID(), start: 'pot', crop, vessel: 'pot-9', cells: 40, on: testDay(-1) },
  });

async function lose(page: Page, id: number, count: number): Promise<void> {
  await page.goto(`${served.address}/plants/${id}`);
  await page.getByRole('button', { name: 'Lost', exact: true }).click();
  await field(page, 'So many').fill(String(count));
  await page.getByRole('button', { name: 'Save' }).click();
}

test('entries that wait when a backup is put back land on nothing else: they are seen, and entered here or discarded', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await api(page, 'post', '/backups');
  const basil = await pot(page, 'basil');
  await page.route('**/api/plants/*/events', (route) => route.abort());
  await lose(page, basil.id, 25);
  await lose(page, 1, 3);
  await expect(page.getByText(/2 waiting to be sent since/)).toBeVisible();

  // Meanwhile at the machine: the older backup is put back, and cabbages get the number of the basil.
  const { list } = await api<{ list: { name: string; why: string }[] }>(page, 'get', '/backups');
  const { name } = list.find(({ why }) => why === 'asked')!;
  await api(page, 'post', '/backups/restore', { name });
  const cabbage = await pot(page, 'cabbage');
  expect(cabbage.id).toBe(basil.id);
  const before = await api<Planting>(page, 'get', '/plants/1');

  await page.unroute('**/api/plants/*/events');
  await page.goto(`${served.address}/today`);
  await page.getByRole('link', { name: 'Decide on them' }).click();
  await expect(page.getByRole('heading', { name: 'Waiting to be sent' })).toBeVisible();
  const row = (what: RegExp) => page.getByRole('listitem').filter({ hasText: what });
  await expect(row(/Basil/)).toContainText('25 lost');
  await expect(row(/Basil/)).toContainText('before a backup was restored');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  // Still there after a reload.
  await page.reload();
  await row(/Basil/)
    .getByRole('button', { name: /Enter it here/ })
    .click();
  await expect(row(/Basil/)).toContainText('What it is about is not in this nursery');
  await row(/Basil/)
    .getByRole('button', { name: /Delete/ })
    .click();
  await row(/Tomato/)
    .getByRole('button', { name: /Enter it here/ })
    .click();
  await expect(page.getByText('Everything entered on this device has been sent.')).toBeVisible();
  const lost = (one: Planting): number => one.tally.lost.reduce((sum, { count }) => sum + count, 0);
  expect(lost(await api<Planting>(page, 'get', `/plants/${cabbage.id}`))).toBe(0);
  expect(lost(await api<Planting>(page, 'get', '/plants/1'))).toBe(lost(before) + 3);
});

test('an undo is not lost when the answer was lost, nor when the page is closed', async ({ page }) => {
  const basil = await pot(page, 'basil');
  // The server takes the entry; its answer does not arrive.
  await page.route('**/api/plants/*/events', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await lose(page, basil.id, 25);
  await expect
    .poll(async () => (await api<Planting>(page, 'get', `/plants/${basil.id}`)).tally.alive)
    .toBe(15);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/waiting to be sent since/)).toBeVisible();
  // The page is closed; another is opened, in reach.
  const context = page.context();
  await page.close();
  const next = await context.newPage();
  await next.goto(`${served.address}/plants/${basil.id}`);
  await expect(next.getByText('40 potted, 40 stand.')).toBeVisible();
  const { tally } = (await (
    await next.request.get(`${served.address}/api/plants/${basil.id}`)
  ).json()) as Planting;
  expect([tally.alive, tally.lost]).toEqual([40, []]);
});

test('a page that stays open over a restore says so, and enters nothing until it is loaded again', async ({
  page,
}) => {
  await api(page, 'post', '/backups');
  const basil = await pot(page, 'basil');
  await page.goto(`${served.address}/plants/${basil.id}`);
  await expect(page.getByRole('heading', { name: 'Basil' })).toBeVisible();
  const { list } = await api<{ list: { name: string; why: string }[] }>(page, 'get', '/backups');
  await api(page, 'post', '/backups/restore', { name: list.find(({ why }) => why === 'asked')!.name });
  const cabbage = await pot(page, 'cabbage');
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByText('A backup was restored while this page was open')).toBeVisible();
  const away = await api<Planting[]>(page, 'get', '/plants?finished=away');
  expect(away.map(({ id }) => id)).not.toContain(cabbage.id);
  await page.getByRole('button', { name: 'Load it again' }).click();
  await expect(page.getByRole('heading', { name: 'Cabbage' })).toBeVisible();
});
