import { expect, field, test } from './bench';

test('a window of one’s own judges the next recipe, stays after a reload and has a way back', async ({
  page,
}) => {
  await page.goto('/settings');
  await page.getByRole('group', { name: 'Windows for' }).getByRole('button', { name: 'Germinate' }).click();
  const air = page.getByRole('group', { name: 'Air in the vessel' });
  await air.getByLabel('from').fill('30');
  await expect(air.getByRole('alert')).toContainText('30 to 20 is not a range');
  await air.getByLabel('from').fill('3');
  await air.getByLabel('to').fill('44');
  await air.getByLabel('from').fill('12');
  await expect(air).toContainText('Yours. Usual: 3 to 20');
  await page.goto('/mix');
  const ruler = page.locator('app-reading-ruler', { hasText: 'Air in the cell' });
  await expect(ruler).toContainText('12–44');
  await page.reload();
  await expect(ruler).toContainText('12–44');
  await page.goto('/settings');
  await air.getByRole('button', { name: /^Back to it/ }).click();
  await expect(air).toContainText('Bunt 1988');
  await page.goto('/mix');
  await expect(ruler).toContainText('3–20');
});

test('plants that want it sour are judged by their own pH', async ({ page }) => {
  await page.goto('/mix');
  const ruler = page.locator('app-reading-ruler', { hasText: 'pH' });
  await expect(ruler).toContainText('5.5–6');
  await page.getByLabel(/^For plants that need an acid mix/).check();
  await expect(ruler).toContainText('4.5–5.5');
  await page.reload();
  await expect(ruler).toContainText('4.5–5.5');
});

test('a part is screened, on the mix and on the card; pieces too large have a press for it', async ({
  page,
}) => {
  await page.goto('/mix?stage=germination&into=cell-288&parts=bark-pine:3,peat-fine:1&lime=none');
  await page.getByRole('button', { name: /Screen the aged pine bark at 3/ }).click();
  await expect(page.getByRole('button', { name: 'Swap Pine bark, aged' })).toContainText('screened at');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Swap Pine bark, aged' })).toContainText('screened at');
  await page.getByRole('button', { name: 'Swap Pine bark, aged' }).click();
  await field(page, 'Screened first, at, mm').fill('2');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.locator('summary', { hasText: 'Order of work' }).click();
  await expect(page.getByText(/Screen the aged pine bark through 2/)).toBeVisible();
});

test('the finder says why the first is first, and the mix what holds its odds down', async ({ page }) => {
  await page.goto('/mix');
  await expect(page.getByText(/Held down by pH, in range in \d+ of 100: a jar test/)).toBeVisible();
  await page.goto('/mix/finder');
  await expect(
    page.getByText(/^First: all in range \d in 10, with \d materials?, nothing in it is unusual\./),
  ).toBeVisible();
  await expect(page.getByText(/Your usual 4 .* would be as high/)).toBeVisible();
});
