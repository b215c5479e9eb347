import { type Locator, type Page } from '@playwright/test';
import { expect, field, notice, numberOf, reading, test } from './bench';

const ruler = (page: Page, name: string): Locator => page.locator('app-reading-ruler', { hasText: name });

/** Width of "likely 5.4–6.4". */
async function width(page: Page, name: string): Promise<number> {
  const likely = ruler(page, name).locator('.likely');
  await expect(likely).toContainText('likely');
  const [low, high] = (await likely.innerText()).replace('likely ', '').split('–').map(Number);
  return high! - low!;
}

test('each reading says how sure it is; a pen reading narrows it and is undone with the parts', async ({
  page,
}) => {
  await page.goto('/mix');
  const untested = await width(page, 'pH');
  expect(untested).toBeGreaterThan(0.4);
  await expect(page.getByText(/Ready to mix\..*chance that it stays so: \d+ in 10/)).toBeVisible();
  await expect(page.getByText(/2000 such batches tried/)).toBeVisible();
  await page.getByText('Your own tests of this mix').click();
  await field(page, 'pH by pen, a week after liming').fill('5,6');
  await expect(reading(page, 'pH')).toHaveText('5.6');
  await expect(ruler(page, 'pH')).toContainText('by your own test');
  await expect.poll(() => width(page, 'pH')).toBeLessThan(0.8 * untested);
  await expect(page).toHaveURL(/tests=ph:5.6/);
  await page.reload();
  await expect(reading(page, 'pH')).toHaveText('5.6');
  // Other parts are another mix: the test no longer holds, and undo brings it back.
  await page.getByRole('button', { name: 'More: Parts of Perlite, coarse' }).click();
  await expect(notice(page)).toContainText('set aside');
  await expect(reading(page, 'pH')).toHaveText('5.8');
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(reading(page, 'pH')).toHaveText('5.6');
});

test('an impossible test is kept as typed and told beside the field', async ({ page }) => {
  await page.goto('/mix');
  await page.getByText('Your own tests of this mix').click();
  await field(page, 'pH by pen, a week after liming').fill('19');
  await expect(page.getByRole('alert')).toHaveText(
    'pH by pen, a week after liming: must be a number from 2.5 to 11',
  );
  await expect(reading(page, 'pH')).toHaveText('5.8');
  await field(page, 'Scooped in all, any unit').fill('10');
  await field(page, 'Settled to, same unit').fill('12');
  await expect(page.getByText('It must settle to between half and all')).toBeVisible();
});

test('a measured yield and a jar test take the place of the book', async ({ page }) => {
  await page.goto('/mix');
  const lime = page.getByRole('button', { name: 'Lime: where from?' });
  const before = await numberOf(lime);
  await page.getByText('Your own tests of this mix').click();
  await field(page, 'Scooped in all, any unit').fill('100');
  await field(page, 'Settled to, same unit').fill('95');
  await expect(page.getByRole('button', { name: /97\.4\sL scooped settles to/ })).toBeVisible();
  // 92.58 L of mix at 5 % shrinkage.
  for (const [dose, ph] of [
    ['0', '4.4'],
    ['2', '5.2'],
    ['4', '6.0'],
  ] as const)
    await field(page, `${dose} g/L, pH`).fill(ph);
  await expect(page.getByText(/lie within 0\.0\d pH of the curve/)).toBeVisible();
  expect(await numberOf(lime)).toBeLessThan(before);
  await page.getByRole('button', { name: 'Delete these tests' }).click();
  await expect.poll(() => numberOf(lime)).toBeCloseTo(before, 2);
});

test('a number says where it is from, and the sum fits', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Air in the cell: where from?' }).click();
  const from = page.locator('app-where-from');
  const row = async (name: string): Promise<number> =>
    Number((await from.getByRole('row', { name }).locator('.n').innerText()).replace(/[^\d.]/g, ''));
  const air = (await row('pores')) - (await row('water held over'));
  expect(Math.abs(air - (await numberOf(reading(page, 'Air in the cell'))))).toBeLessThan(0.11);
  await expect(from).toContainText('van Genuchten 1980');
  await expect(from).toContainText('What moves it most');
});

test('a mix of another approach is opened and no more; another approach changes what a recipe starts from, and stays', async ({
  page,
}) => {
  await page.goto('/mix');
  await page.getByRole('link', { name: /Approach/ }).click();
  const coir = page.getByRole('listitem').filter({ has: page.getByRole('radio', { name: 'Coir' }) });
  await coir.getByRole('button', { name: 'germinate' }).click();
  await expect(field(page, 'Parts of Coir pith, washed')).toHaveValue('1');
  await expect(page.getByText(/Opened\. Your approach stays: Limed peat/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Approach/ })).not.toContainText('Coir');
  await page.getByRole('link', { name: /Approach/ }).click();
  await coir.getByRole('radio', { name: 'Coir' }).check();
  // It asks, and names what changes; until then the old one counts.
  await expect(coir.getByRole('alert')).toContainText(/^Coir: new recipes to /);
  await coir.getByRole('button', { name: 'Work by this one' }).click();
  await page.goto('/mix');
  await expect(page.getByRole('link', { name: /Approach/ })).toContainText('Coir');
  await page.locator('app-job-panel').getByText('Pot up').click();
  await expect(page.getByText('Pine bark, aged').first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: /Approach/ })).toContainText('Coir');
});

test('"Use a different product": as much nitrogen, and what else changes', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: /Use a different product than Calcium nitrate/ }).click();
  const other = page.getByRole('button', { name: /Potassium nitrate/ });
  await expect(other).toContainText(/Ca 38 → 0 mg\/L/);
  await other.click();
  // 0.2 g/L of 15.5 % is 0.23 g/L of 13.5 %.
  await expect(field(page, 'Dose of Potassium nitrate, g/L')).toHaveValue('0.23');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'Dose of Calcium nitrate, g/L')).toHaveValue('0.2');
});

test('over days and weeks: drying, lime, and the week in which feed must start', async ({ page }) => {
  await page.goto('/mix');
  await page.getByText('Weeks ahead, in short').click();
  await expect(page.getByText(/runs out about day \d+: feed by then|lasts all \d+ weeks/)).toBeVisible();
  await expect(page.getByText(/day 28 5\.[78]/)).toBeVisible();
  // What the mix itself comes to are numbers, and no dates.
  await expect(page.locator('app-over-time').getByText(/in week \d|week \d+ /)).toHaveCount(0);
});
