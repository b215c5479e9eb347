import { type Locator, type Page } from '@playwright/test';
import { expect, field, test } from './bench';

const choice = (page: Page, label: string): Locator => page.getByLabel(label, { exact: true });

test('bales come, a batch takes of them, the tub counts down, and what is left becomes a part', async ({
  page,
}) => {
  await page.goto('/shelf/lots');
  await choice(page, 'Of which').selectOption({ label: 'Sphagnum peat, medium' });
  await field(page, 'Name on the bag, bale or heap').fill('Bales of the week');
  await page.getByRole('button', { name: 'Bales' }).click();
  await choice(page, 'Volume in').selectOption({ label: 'cubic feet' });
  await field(page, 'How many').fill('2');
  await field(page, 'Volume of one, pressed').fill('3.8');
  await field(page, 'Price of all of it').fill('38');
  // 2 × 3.8 ft³ × 28.3168 × 2 loose, by hand.
  await expect(page.getByRole('status').filter({ hasText: '430' })).toContainText('0.088 for a litre');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: 'Bales of the week' })).toBeVisible();

  await page.goto(
    '/mix?stage=potting&into=pot-9&parts=peat-medium:3,perlite-coarse:1&lime=lime-dolomitic:5.8&make=100x',
  );
  await expect(page.locator('app-shed-says')).toContainText('Costs');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.getByLabel('Called').fill('Stock run');
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await page.getByRole('link', { name: 'Make it' }).click();
  const picker = page.locator('app-lot-picker');
  const peat = picker.getByLabel(/^Sphagnum peat, medium/);
  await peat.selectOption({ label: 'Bales of the week (430 L left)' });
  await expect(picker).toContainText(/404\sL left/);
  await page.reload();
  await expect(picker.getByRole('link', { name: /L left/ }).first()).toBeVisible();
  await picker
    .getByRole('link', { name: /L left/ })
    .first()
    .click();
  await expect(page.getByRole('link', { name: 'Stock run' })).toBeVisible();
  await page.goBack();

  const tub = page.locator('app-tub-panel');
  await page.locator('summary', { hasText: 'Used for' }).click();
  const use = page.locator('app-use-form');
  await use.getByLabel('Sowing, cuttings or pots').fill('Peppers');
  await use.getByLabel('How many').fill('40');
  await use.getByRole('button', { name: 'Enter' }).click();
  await expect(tub).toContainText('fills 60 more pots');
  await tub.getByRole('button', { name: 'Save what is left as a material' }).click();
  await expect(page.getByRole('heading', { name: 'What is left of Stock run' })).toBeVisible();
  await page.goto(
    '/mix?stage=potting&into=pot-9&parts=own-what-is-left-of-stock-run:1,bark-pine:1&lime=none&make=10x',
  );
  await expect(page.locator('app-part-list')).toContainText('What is left of Stock run');
  await expect(page.locator('app-cut-through')).toContainText('%');
});

test.use({ brought: /status of 400/ });
test('a test of the heap moves it, is shown against the book, and can be laid aside', async ({ page }) => {
  await page.goto('/shelf/materials/leaf-mould');
  await expect(page.getByText('Typical figures so far')).toBeVisible();
  await page.getByRole('button', { name: 'pH' }).click();
  await field(page, 'pH').fill('5');
  await page.getByRole('button', { name: 'Enter it' }).click();
  const row = page.getByRole('row', { name: /^pH/ });
  await expect(row).toContainText('6.00 ± 0.40');
  await expect(row).toContainText('5.06');
  await page.getByRole('button', { name: 'Set it aside' }).click();
  await expect(page.getByRole('button', { name: 'Use it again' })).toBeVisible();
  await expect(page.getByText('Typical figures so far')).toBeVisible();
  // What cannot be stays typed and is named.
  await page.getByRole('button', { name: 'Moisture' }).click();
  await field(page, 'Wet, g').fill('100');
  await field(page, 'Dry, g').fill('130');
  await page.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByRole('alert')).toContainText(
    'Dry must be above 0 and at most the 100 g that it weighed wet',
  );
  await expect(field(page, 'Dry, g')).toHaveValue('130');
});

test('a feed by its label, a blend by cups, a bag of mix, and a CSV that is taken whole or not at all', async ({
  page,
}) => {
  await page.goto('/shelf/products');
  await page.getByText('One of your own').click();
  await field(page, 'Name on the bag').fill('Blue grains');
  await field(page, 'N, %').fill('12');
  await field(page, 'P, %').fill('5');
  await field(page, 'K, %').fill('17');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Blue grains' })).toContainText('12-5-17');
  await page.getByRole('button', { name: 'A dry blend' }).click();
  await field(page, 'Called').fill('Four to one');
  await choice(page, 'Next product').selectOption({ label: 'Feather meal' });
  await choice(page, 'Next product').selectOption({ label: 'Kelp meal' });
  await field(page, 'Feather meal, cups').fill('4');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Change Four to one' })).toBeVisible();

  await page.goto('/shelf/materials');
  await page.getByRole('button', { name: 'A bag of mix' }).click();
  await field(page, 'Name on the bag').fill('The blue bag');
  for (const one of ['Sphagnum peat, medium', 'Perlite, coarse'])
    await choice(page, 'Next ingredient').selectOption({ label: one });
  await field(page, 'pH on the bag').fill('6');
  await expect(page.getByRole('status', { name: 'By itself' })).toContainText('pH');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('checkbox', { name: /The blue bag/ })).toBeVisible();
  await page.goto('/mix/finder');
  await choice(page, 'Find one like').selectOption({ label: 'The blue bag' });
  await expect(page.getByText(/recipes looked at in/)).toBeVisible();
  await expect(page.getByText('as close to it as whole parts come')).toBeVisible();
  const found = page.locator('.found li');
  await expect(found.nth(4)).toBeVisible();
  await expect(found.filter({ hasText: 'The blue bag' })).toHaveCount(0);

  await page.goto('/shelf/vessels');
  await page.getByText('One of your own').click();
  await page.getByText('This table as a file').click();
  const head = 'name,noun,shape,top_mm,depth_mm,per_tray';
  const give = (text: string) =>
    page
      .locator('input[type=file]')
      .setInputFiles({ name: 'v.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give(`${head}\nTable cup,cup,round,90,80,1\nBad,cup,round,9000,80,1\n`);
  await expect(page.getByRole('alert')).toContainText(
    'line 3, top_mm: must be a number from 5 to 2000, was 9000',
  );
  await give(`${head}\nTable cup,cup,round,90,80,1\n`);
  await expect(page.getByText('1 row: 1 new, 0 changed, 0 as they are.')).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Table cup' })).toBeVisible();
});

test('a dose is typed as people say it', async ({ page }) => {
  await page.goto(
    '/mix?stage=potting&into=pot-9&parts=peat-medium:3,perlite-coarse:1&lime=none&dose=gypsum:1&make=80L',
  );
  await page.getByText('Enter it another way').click();
  const ways = page.locator('app-dose-ways');
  await ways.getByLabel('So much').fill('2');
  await ways.getByLabel('of', { exact: true }).selectOption({ label: 'lb/yd³' });
  await ways.getByRole('button', { name: 'Dose it so' }).click();
  await expect(page).toHaveURL(/dose=gypsum:1\.187/);
  await ways.getByLabel(/^Its share of the mix/).fill('10');
  await expect(page).toHaveURL(/dose=gypsum:1\.187:10/);
});
