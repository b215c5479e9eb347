import { expect, field, numberOf, reading, test } from './bench';

test('a reload on the new card, on the finder and on the bare mix finds the very recipe and its name', async ({
  page,
}) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Open a saved recipe' }).click();
  await page.getByRole('button', { name: /Cutting mix, open/ }).click();
  await page.getByRole('button', { name: 'More: Parts of Perlite, coarse' }).click();
  await expect(field(page, 'Parts of Perlite, coarse')).toHaveValue('8');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await expect(page.getByLabel('Called')).toHaveValue('Cutting mix, open');
  const peat = page.getByRole('row', { name: /Perlite, coarse/ });
  const litres = await peat.innerText();
  await page.reload();
  await expect(page.getByLabel('Called')).toHaveValue('Cutting mix, open');
  expect(await peat.innerText()).toBe(litres);
  await page.goto('/mix/finder');
  await expect(page.getByText('Root, ')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Root, ')).toBeVisible();
  await page.goto('/mix');
  await expect(field(page, 'Parts of Perlite, coarse')).toHaveValue('8');
  await expect(page.getByRole('button', { name: 'Open a saved recipe' })).toContainText(
    'Based on Cutting mix, open',
  );
});

test('a name does not stick to another recipe', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Open a saved recipe' }).click();
  await page.getByRole('button', { name: /Seed mix, no peat/ }).click();
  const name = page.getByRole('button', { name: 'Open a saved recipe' });
  await expect(name).toContainText('Seed mix, no peat');
  await page.getByRole('button', { name: 'Add a material' }).click();
  await page.getByRole('button', { name: /Pumice/ }).click();
  await expect(name).toContainText('Based on Seed mix, no peat');
  for (const gone of ['Coir pith, washed', 'Perlite, fine'])
    await page.getByRole('button', { name: new RegExp(`Remove ${gone}`) }).click();
  await expect(name).toContainText('A recipe without a name');
});

test('the scoop that was chosen stays when the tub is typed and after a reload', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.getByLabel('Counted in').selectOption('1 L jug');
  await page.getByText('Tub, loads and heat').click();
  await field(page, 'The tub turns, loose, L').fill('40');
  await expect(page.getByLabel('Counted in')).toHaveValue('jug-1l');
  await page.reload();
  await expect(page.getByLabel('Counted in')).toHaveValue('jug-1l');
});

test('Enter in a field does not keep the batch', async ({ page }) => {
  await page.goto('/batches/new');
  await page.getByLabel('Called').fill('Not yet');
  await page.getByLabel('Called').press('Enter');
  await page.getByText('Tub, loads and heat').click();
  await field(page, 'The tub turns, loose, L').press('Enter');
  await expect(page.getByRole('button', { name: 'Save this batch' })).toBeVisible();
  await page.goto('/batches');
  await expect(page.getByRole('link', { name: /First tomatoes/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Not yet/ })).toHaveCount(0);
});

test('a batch that was put away is found again, later and on another page', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /One yard of mix A/ }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await page.goto('/today');
  await page.goto('/batches');
  await page.getByText(/^Archived \(\d+\)$/).click();
  await page.getByRole('button', { name: 'Restore One yard of mix A' }).click();
  await expect(
    page.locator('app-batch-list > ul').getByRole('link', { name: /One yard of mix A/ }),
  ).toBeVisible();
});

test('a kept recipe is renamed, copied, opened at an older version, put away and brought back', async ({
  page,
}) => {
  await page.goto('/mix');
  const name = page.getByRole('button', { name: 'Open a saved recipe' });
  const more = page.getByRole('button', { name: 'More for this recipe' });
  await name.click();
  await page.getByRole('button', { name: /Growing-on mix/ }).click();
  await page.getByRole('button', { name: 'More: Firmed by, percent' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status').last()).toContainText('version 2');
  await more.click();
  await page.getByRole('button', { name: /^Version 1/ }).click();
  await expect(field(page, 'Firmed by, percent')).toHaveValue('0');
  await more.click();
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByLabel('Name of the recipe').fill('Bench two');
  await page.getByRole('button', { name: 'Save under this name' }).click();
  await expect(name).toContainText('Bench two');
  await more.click();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await page.getByLabel('Name of the recipe').fill('Bench three');
  await page.getByRole('button', { name: 'Save under this name' }).click();
  await expect(name).toContainText('Bench three');
  await more.click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(name).toContainText('A recipe without a name');
  await name.click();
  await page.getByRole('button', { name: /^Restore Bench three/ }).click();
  await expect(name).toContainText('Bench three');
});

test('an empty recipe: the last material goes, and a new one begins', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'New recipe' }).click();
  await expect(page.getByText('Nothing in it yet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Make this batch' })).toBeDisabled();
  await page.reload();
  await expect(page.getByText('Nothing in it yet')).toBeVisible();
  await page.getByRole('button', { name: 'Add a material' }).click();
  await page.getByRole('button', { name: /Coir pith/ }).click();
  expect(await numberOf(reading(page, 'Air in the cell'))).toBeGreaterThan(0);
  await page.getByRole('button', { name: /Remove Coir pith/ }).click();
  await expect(page.getByText('Nothing in it yet')).toBeVisible();
});

test('a press says what it did, and makes nothing worse', async ({ page }) => {
  await page.goto('/mix?stage=germination&into=cell-288&parts=peat-fine:1&lime=none');
  const stops = page.locator('app-finding-list > ul > li.stop');
  await expect(stops.first()).toBeVisible();
  const before = await stops.count();
  const way = page.locator('app-finding-list > ul > li.stop .out > button').first();
  const promised = (await way.innerText()).trim();
  await way.click();
  await expect(page.getByRole('status').last()).toContainText(`Done. ${promised}`);
  // What the press promised is what the reading says.
  const [, air] = / → ([\d.]+)\s%/.exec(promised) ?? [];
  if (air !== undefined) await expect(reading(page, 'Air in the cell')).toHaveText(air);
  expect(await stops.count()).toBeLessThanOrEqual(before);
});

/** What stands on the page, names of things aside, that a reader in gallons and inches should not meet. */
const METRIC = /(?<![\w/])\d[\d.,]*[ \u00a0](°C|mm|cm|mL|L|kg|g|g\/L|mg\/L)(?![\w/])/g;

for (const [name, address] of [
  [
    'mix',
    '/mix?stage=seedling&into=pot-9&parts=peat-medium:6,perlite-fine:2,compost:1&lime=lime-dolomitic:5.8&dose=blood-meal:1',
  ],
  ['finder', '/mix/finder'],
  ['new card', '/batches/new'],
  ['card', '/batches/1'],
  ['run', '/batches/2/run'],
  ['today', '/today'],
  ['batches', '/batches'],
  ['materials', '/shelf'],
  ['instruments', '/shelf/instruments'],
  ['settings', '/settings'],
] as const) {
  test(`in US units nothing metric is left: ${name}`, async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('welcome.units', '"us"'));
    await page.goto(address);
    await expect(page.locator('main h1').first()).toBeAttached();
    await page.waitForTimeout(700);
    for (const details of await page.locator('main details').all())
      await details.evaluate((one) => ((one as HTMLDetailsElement).open = true));
    for (const button of await page.getByRole('button', { name: /: where from\?$/ }).all())
      await button.click();
    await page.waitForTimeout(200);
    const text = await page.locator('main').innerText();
    // A label is bought by the name of its sheet.
    const left = [
      ...text.replaceAll(/A4, \d+ of [^\n]*|(one label|Letter), [^\n]*/g, '').matchAll(METRIC),
    ].map(([m]) => m);
    expect(left).toEqual([]);
  });
}
