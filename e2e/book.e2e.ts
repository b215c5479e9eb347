import { type Page } from '@playwright/test';
import { expect, field, test } from './bench';

interface Line {
  id: number;
  name: string;
  leftLitres: number;
}
const tubs = async (page: Page): Promise<Line[]> =>
  (await (await page.request.get('/api/batches?only=holds')).json()) as Line[];
const leftIn = async (page: Page, id: number): Promise<number> =>
  (await tubs(page)).find((each) => each.id === id)?.leftLitres ?? 0;

test('a packet by its weight, trays that come back, pots filled half and topped up: each is told once', async ({
  page,
}) => {
  await page.goto('/shelf/lots');
  await page.getByRole('button', { name: 'Seed', exact: true }).click();
  await field(page, 'Crop and variety').fill('Lettuce, bronze');
  await field(page, 'Name on the bag, bale or heap').fill('Packet by weight');
  await field(page, 'Or it weighs, g').fill('2');
  await field(page, 'Or it weighs, g').blur();
  await expect(page.getByRole('status').filter({ hasText: 'how many seeds go to a gram' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
  await field(page, 'Seeds in a gram').fill('300');
  await expect(page.getByText('600 seeds.')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Packet by weight' })).toBeVisible();

  const [tub] = await tubs(page);
  await page.goto(`/plants/new?start=sow&batch=${tub!.id}`);
  await page.getByLabel('Crop', { exact: true }).selectOption({ label: 'Lettuce' });
  await page.getByLabel('Into', { exact: true }).selectOption({ label: '72-cell tray' });
  await field(page, 'Trays of 72').fill('2');
  await page
    .getByLabel('Packet of seed')
    .selectOption({ label: 'Lettuce, bronze, Packet by weight, 600 seeds left' });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('144 out of')).toBeVisible();
  const sown = page.url();
  await page.getByRole('button', { name: 'Came back empty' }).click();
  await expect(page.getByText('144 came back empty')).toBeVisible();
  await page.reload();
  await expect(page.getByText('144 came back empty')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Came back empty' })).toHaveCount(0);
  await page.goto('/shelf/lots');
  await expect(page.getByRole('listitem').filter({ hasText: 'Packet by weight' })).toContainText('456');

  const before = await leftIn(page, tub!.id);
  await page.goto(`/plants/new?start=pot&crop=tomato&vessel=pot-9&batch=${tub!.id}`);
  await field(page, 'How many pots').fill('10');
  await page.getByText('Part filled for now').click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page).toHaveURL(/\/plants\/\d+$/);
  const potted = page.url();
  const half = before - (await leftIn(page, tub!.id));
  await page.getByRole('button', { name: 'Topped up', exact: true }).click();
  // What the half that is missing takes stands there already.
  await expect(field(page, 'With, L')).not.toHaveValue('');
  expect(Number(await field(page, 'With, L').inputValue())).toBeCloseTo(half, 2);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/topped up with/).first()).toBeVisible();
  await expect.poll(async () => before - (await leftIn(page, tub!.id))).toBeCloseTo(2 * half, 1);
  await page.goto(`/batches/${tub!.id}/run`);
  await expect(page.locator('app-tub-panel')).toContainText(', topped up');
  for (const url of [sown, potted]) await page.request.delete(`/api/plants/${url.split('/').at(-1)}`);
});

test('a year by recipe: made against bought, a batch and in all, with what was bought first', async ({
  page,
}) => {
  await page.goto('/shelf/money');
  const year = page.getByRole('region', { name: 'What a year made' });
  await expect(year.getByText('Type what a bag of the bought mix holds')).toBeVisible();
  const typed: [string, string][] = [
    ['A bag of the bought mix holds', '35'],
    ['It costs', '9'],
    ['Minutes to make a batch', '30'],
    ['An hour costs', '20'],
  ];
  for (const [label, text] of typed) await field(page, label).fill(text);
  await field(page, 'An hour costs').blur();
  const { mixes } = (await (await page.request.get('/api/made-in-year')).json()) as {
    mixes: { mixName: string; batches: number; litres: number; money: number; pricedLitres: number }[];
  };
  const bills = mixes.map(({ batches, litres, money, pricedLitres }) => {
    const made = (money / pricedLitres) * litres + 10 * batches;
    const bags = Math.ceil(litres / 35);
    return { made, bags, saved: 9 * bags - made };
  });
  const row = year.getByRole('row').filter({ hasText: mixes[0]!.mixName });
  await expect(row).toContainText(bills[0]!.made.toFixed(2));
  await expect(row).toContainText(`${bills[0]!.bags} bag`);
  const saved = bills.reduce((sum, each) => sum + each.saved, 0);
  await expect(year.getByRole('row').filter({ hasText: 'All of it' })).toContainText(
    Math.abs(saved).toFixed(2),
  );
  await field(page, 'To buy first: mixer, screen').fill('5000');
  await field(page, 'To buy first: mixer, screen').blur();
  await expect(year.getByText('not paid back yet')).toContainText((5000 - saved).toFixed(2));
  await page.reload();
  await expect(row).toContainText(bills[0]!.made.toFixed(2));
});
