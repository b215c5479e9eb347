import { type Page } from '@playwright/test';
import { expect, field, notice, test } from './bench';
import { Hand } from './hand';

/** Everything begins on Today, as the day does. */
async function onToday(page: Page): Promise<Hand> {
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Tonight' })).toBeVisible();
  return new Hand(page);
}
const get = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(path)).json()) as T;
interface Line {
  id: number;
  name: string;
  mixId: number | null;
  mixName: string | null;
  leftLitres: number;
}
const batches = (page: Page): Promise<Line[]> => get(page, '/api/batches');

test('what is there to do today: no press, within 350 words and a screen and a half of a phone', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await onToday(page);
  await expect(page.locator('app-work-line').first()).toBeVisible();
  const words = (await page.locator('body').innerText()).split(/\s+/).length;
  expect(words).toBeLessThan(350);
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(1.5 * 844);
  // Work comes before weather.
  const [work, night] = await Promise.all(
    [page.locator('app-work-line').first(), page.getByRole('heading', { name: 'Tonight' })].map((at) =>
      at.boundingBox(),
    ),
  );
  expect(work!.y).toBeLessThan(night!.y);
});

test('the usual again: three presses, and it is of the same recipe under the same name', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Batches');
  await hand.tap(page.getByRole('link', { name: /First tomatoes|Seed mix, house/ }).first());
  await hand.tap(page.getByRole('button', { name: 'Mix the same again' }));
  await expect(page).toHaveURL(/\/batches\/\d+\/run$/);
  expect(hand.presses).toBeLessThanOrEqual(3);
  const [made, ...others] = await batches(page);
  expect(
    others.some(
      ({ name, mixId, mixName }) => name === made!.name && mixId === made!.mixId && mixName !== null,
    ),
  ).toBe(true);
  // It fills no tub before it is mixed.
  expect(made!.leftLitres).toBe(0);
  await expect(page.getByText(/Not mixed yet: 0 of/)).toBeVisible();
  await page.request.delete(`/api/batches/${made!.id}`);
});

test('three trays sown: four presses, and tub, trays and season know', async ({ page }) => {
  const hand = await onToday(page);
  const use = page.getByRole('link', { name: /^Use it ?: / }).first();
  const name = (await use.textContent())!.replace(/^\s*Use it ?: /, '').trim();
  const before = (await batches(page)).find((each) => each.name === name)!;
  await hand.tap(use);
  await expect(page.getByText(/^The tub still fills/)).toBeVisible();
  await hand.fill(page.getByLabel(/^Trays of/), '3');
  await hand.choose(page.getByLabel('Crop'), { label: 'Lettuce' });
  await hand.tap(page.getByRole('button', { name: 'Save' }));
  await expect(page).toHaveURL(/\/plants\/\d+$/);
  expect(hand.presses).toBeLessThanOrEqual(4);
  const after = (await batches(page)).find((each) => each.name === name)!;
  expect(after.leftLitres).toBeLessThan(before.leftLitres);
  const id = Number(page.url().split('/').at(-1));
  await page.request.delete(`/api/plants/${id}`);
  expect((await batches(page)).find((each) => each.name === name)!.leftLitres).toBeCloseTo(
    before.leftLitres,
    6,
  );
});

test('counted what came up: three presses', async ({ page }) => {
  const hand = await onToday(page);
  const line = page.locator('app-work-line', { hasText: 'Count what' }).first();
  const several = page.locator('summary', { hasText: /^Count \d+ crops/ }).first();
  await expect(line.or(several).first()).toBeVisible();
  if (!(await line.isVisible())) await hand.tap(several);
  const says = (await line.getByRole('link').first().innerText()).trim();
  await hand.fill(line.getByLabel('Counted'), '40');
  await hand.tap(line.getByRole('button', { name: /^Done/ }));
  expect(hand.presses).toBeLessThanOrEqual(3);
  await expect(page.getByText(`Done: ${says}.`)).toBeVisible();
  await expect(page.getByRole('link', { name: says })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Tonight' })).toBeVisible();
  await expect(page.getByRole('link', { name: says })).toHaveCount(0);
});

test('an EC read: four presses', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Plants');
  await hand.tap(page.locator('app-plant-list .rows a').first());
  await hand.fill(page.getByLabel(/^EC of what drains/), '1.1');
  await hand.key('Enter');
  expect(hand.presses).toBeLessThanOrEqual(4);
  await expect(page.getByText(/EC.*1\.1/).first()).toBeVisible();
});

test('a label printed: two presses', async ({ page }) => {
  const hand = await onToday(page);
  await hand.tap(page.getByRole('region', { name: 'In the tubs' }).getByRole('link').first());
  const link = page.getByRole('link', { name: 'Print labels' });
  const address = (await link.getAttribute('href'))!;
  const opened = page.waitForEvent('popup');
  await hand.tap(link);
  await (await opened).close();
  expect(hand.presses).toBeLessThanOrEqual(2);
  const labels = await page.request.get(address);
  expect((await labels.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('bags by the month: two presses', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Season');
  await hand.tap(page.getByRole('link', { name: 'To buy' }));
  expect(hand.presses).toBeLessThanOrEqual(2);
  await expect(page.getByRole('heading', { name: /^[A-Z][a-z]+ \d{4}$/ }).first()).toBeVisible();
  await expect(
    page.getByText(/\d+ (bags?|bales?|loads?|sacks?|boxes|bricks?|packets?) of /).first(),
  ).toBeVisible();
});

test('a material exchanged: three presses', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Mix');
  await hand.tap(page.getByRole('button', { name: /^Swap / }).first());
  await hand.tap(page.getByRole('button', { name: /^Sphagnum peat, medium, on your shelf/ }));
  expect(hand.presses).toBeLessThanOrEqual(3);
  await expect(field(page, 'Parts of Sphagnum peat, medium')).toBeVisible();
  await expect(field(page, 'Parts of Sphagnum peat, fine')).toHaveCount(0);
});

test('which did better: three presses, and of one crop', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Plants');
  await hand.tap(page.getByRole('link', { name: 'Compare results' }));
  await hand.tap(
    page
      .getByRole('group', { name: /^Which crop/ })
      .getByRole('button')
      .first(),
  );
  await expect(page.locator('.verdict[role="status"]')).toBeVisible();
  expect(hand.presses).toBeLessThanOrEqual(3);
});

test('two bales came: six presses, as they came last time', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Shelf');
  await hand.tap(page.getByRole('link', { name: 'Deliveries and stock' }));
  await hand.choose(page.locator('app-new-lot').getByLabel('Of which'), { label: 'Sphagnum peat, fine' });
  await hand.fill(page.getByLabel(/^Bales of/), '2');
  await hand.fill(page.locator('app-new-lot').getByLabel('Price of all of it'), '38');
  await hand.tap(page.locator('app-new-lot').getByRole('button', { name: 'Save' }));
  expect(hand.presses).toBeLessThanOrEqual(6);
  await expect(notice(page)).toContainText('is saved');
  const lots = await get<{ item: string; quantity: number; name: string }[]>(page, '/api/lots');
  expect(lots.find(({ name, item }) => item === 'peat-fine' && name.startsWith('Delivery'))!.quantity).toBe(
    300,
  );
});

test('what is left in a tub, and a batch of weeks ago: two presses', async ({ page }) => {
  const hand = await onToday(page);
  await hand.go('Batches');
  const row = page.getByRole('link', { name: /First tomatoes/ });
  await expect(row).toContainText(/\d.*of/);
  expect(hand.presses).toBeLessThanOrEqual(2);
  await hand.tap(row);
  await expect(page).toHaveURL(/\/batches\/\d+$/);
  expect(hand.presses).toBeLessThanOrEqual(2);
});
