import { type APIRequestContext, type Locator, type Page } from '@playwright/test';
import { expect, field, numberOf, reading, test } from './bench';

const usual: Record<string, number> = {
  'peat-fine': 0.09,
  'coir-pith': 0.12,
  'perlite-coarse': 0.19,
  'vermiculite-medium': 0.26,
};

/** Puts just these on the shelf, with their prices. */
async function shelve(request: APIRequestContext, prices: Record<string, number>): Promise<void> {
  const lines = (await (await request.get('/api/shelf')).json()) as { material: string }[];
  for (const { material } of lines.filter((line) => !(line.material in prices)))
    await request.put(`/api/shelf/${material}`, { data: { here: false } });
  for (const [material, costPerL] of Object.entries(prices))
    await request.put(`/api/shelf/${material}`, { data: { here: true, costPerL } });
}

const lines = (page: Page): Locator =>
  page.getByRole('region', { name: 'The best recipes' }).locator('ol li');

test.beforeEach(async ({ request }) => shelve(request, usual));

test('every recipe of the shelf is tried; the best is explained and taken, with a way back', async ({
  page,
}) => {
  await page.goto('/mix/finder');
  // Sets of up to 10 parts of 4 materials in lowest terms, by Möbius: 1000 − 125 − 34 − 14 + 4 − 4 + 4.
  await expect(page.getByText(/^831 recipes looked at in .* meet every window$/)).toBeVisible();
  await expect(lines(page).first()).toContainText(/\d in 10|nearly always/);
  await expect(page.getByText(/holds it back|Behaves like/).first()).toBeVisible();
  // Odds have come, and the order with them.
  await expect(page.getByText(/^First: /)).toBeVisible();
  const first = await page.locator('.recipe').innerText();
  await page.getByRole('button', { name: 'Take this one' }).click();
  await expect(page).toHaveURL(/\/mix/);
  for (const piece of first.split(' · ')) {
    const [parts, name] = [piece.split(' ')[0]!, piece.slice(piece.indexOf(' ') + 1)];
    // In a sentence it is "fine peat", on its line "Peat, fine".
    const words = name.split(' ').map((one) => `(?=.*${one})`);
    const typed = page.getByRole('textbox', { name: new RegExp(`^Parts of ${words.join('')}`, 'i') });
    await expect(typed).toHaveValue(parts);
  }
  for (const verdict of await page.locator('app-reading-ruler .verdict b').all())
    await expect(verdict).toHaveText('right');
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'Parts of Sphagnum peat, fine')).toHaveValue('4');
});

test('what is off the shelf is not in the answer; no peat means none', async ({ page }) => {
  await page.goto('/mix/finder');
  await expect(
    lines(page)
      .filter({ hasText: /perlite/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('checkbox', { name: 'Perlite, coarse', exact: true }).uncheck();
  await expect(lines(page).filter({ hasText: /perlite/ })).toHaveCount(0);
  await expect(lines(page).filter({ hasText: /peat/ }).first()).toBeVisible();
  await page.getByRole('checkbox', { name: 'No peat at all' }).check();
  await expect(lines(page).filter({ hasText: /peat/ })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'Perlite, coarse', exact: true })).toHaveCount(0);
});

test('a price counts; one that makes no sense is kept as typed and told', async ({ page }) => {
  await page.goto('/mix/finder');
  await expect(lines(page).first()).toBeVisible();
  await page.getByRole('button', { name: 'Price and limits of Perlite, coarse' }).click();
  await field(page, 'Price, loose, per L').fill('-4');
  await expect(page.getByRole('alert')).toHaveText('Price, loose, per L: must be a number from 0 to 1000000');
  await expect(field(page, 'Price, loose, per L')).toHaveValue('-4');
  await field(page, 'Price, loose, per L').fill('9');
  await page.getByRole('slider', { name: 'A low price' }).press('End');
  await expect(lines(page).first()).not.toContainText('perlite');
  await field(page, 'Parts at least').fill('2');
  await expect(lines(page).first()).toContainText(/[2-9] coarse perlite/);
});

test('nothing fits: which windows, and the least change', async ({ page, request }) => {
  await shelve(request, { compost: 0.05, 'peat-fine': 0.09 });
  await page.goto('/mix/finder');
  await expect(page.getByText('No recipe from this shelf meets every window.')).toBeVisible();
  await expect(
    page.getByText(/The smallest change that lets one in: take Air in the cell at \d/),
  ).toBeVisible();
  await expect(page.getByText(/It would gain most from/)).toBeVisible();
});

test('up to three stand side by side, and what differs is marked', async ({ page }) => {
  await page.goto('/mix/finder');
  const ticks = page.getByRole('checkbox', { name: /^Side by side:/ });
  for (const i of [0, 1, 2]) await ticks.nth(i).check();
  await expect(ticks.nth(3)).toBeDisabled();
  const table = page.getByRole('table');
  await expect(table.getByRole('columnheader')).toHaveCount(4);
  await expect(table.getByRole('row', { name: /, differs/ }).first()).toBeVisible();
  await page
    .getByRole('checkbox', { name: /^Side by side:/, checked: true })
    .nth(1)
    .uncheck();
  await expect(table.getByRole('columnheader')).toHaveCount(3);
});

test('an empty shelf teaches the next step', async ({ page, request }) => {
  await shelve(request, {});
  await page.goto('/mix/finder');
  await expect(page.getByText('Tick what you have')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Sphagnum peat, fine' }).check();
  await expect(page.getByText(/^1 recipes? looked at/)).toBeVisible();
});

test('a long search shows how far it is and can be stopped', async ({ page, request }) => {
  const ten = [
    'peat-fine',
    'peat-medium',
    'coir-pith',
    'perlite-fine',
    'perlite-coarse',
    'vermiculite-medium',
  ];
  const all = [...ten, 'sand-sharp', 'compost', 'pumice', 'rice-hulls'];
  await shelve(request, Object.fromEntries(all.map((id, i) => [id, 0.1 + i / 50])));
  await page.goto('/mix/finder');
  await expect(page.getByText(/recipes looked at in/)).toBeVisible({ timeout: 20_000 });
  await field(page, 'Materials at most').fill('10');
  await field(page, 'Parts in all, at most').fill('20');
  const stop = page.getByRole('button', { name: 'Stop' });
  await expect(stop).toBeVisible();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await stop.click();
  await expect(page.getByText('Stopped. Below is the last answer.')).toBeVisible();
  await expect(lines(page).first()).toBeVisible();
});

test('swap: out of peat, coir in its place, lime and parts worked out again', async ({ page }) => {
  await page.goto('/mix');
  const lime = page.getByRole('button', { name: 'Lime: where from?' });
  const before = await numberOf(lime);
  await page.getByRole('button', { name: 'Swap Sphagnum peat, fine' }).click();
  await page.getByRole('button', { name: /^Coir pith, washed, on your shelf/ }).click();
  await expect(field(page, 'Parts of Coir pith, washed')).toBeVisible();
  await expect(field(page, 'Parts of Sphagnum peat, fine')).toHaveCount(0);
  await expect(reading(page, 'Air in the cell')).toHaveText(/(^|\s)([4-9]|1\d)\.\d/);
  expect(await lime.count()).toBeLessThanOrEqual(1);
  if (await lime.count()) expect(await numberOf(lime)).toBeLessThan(before / 2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'Parts of Sphagnum peat, fine')).toHaveValue('4');
});

test('a batch is put right from what was measured, or not saved', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /First tomatoes/ }).click();
  await page.getByText('Put it right').click();
  await field(page, 'pH by pen').fill('5.2');
  await expect(page.getByText(/Blend in .*\sg\sof ground dolomitic limestone/)).toBeVisible();
  // In the words of the Mix.
  await expect(page.locator('app-correct-batch .remark')).toContainText(/pH.*5\.2/);
  await page.getByLabel('By the squeeze').selectOption('dusty');
  await expect(page.getByText(/Water it with .*\sL\sin portions/)).toBeVisible();
  await field(page, 'pH by pen').fill('7.9');
  await expect(page.getByText('It cannot be saved.')).toBeVisible();
  await field(page, 'pH by pen').fill('19');
  await expect(page.getByRole('alert')).toHaveText('pH by pen: must be a number from 2.5 to 11');
});

test('the server answers others while a large shelf is searched', async ({ request }) => {
  const shelf = ['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'coir-pith', 'compost', 'sand-sharp'];
  let isOver = false;
  const search = request
    .post('/api/formulate', {
      data: {
        stage: 'seedling',
        vessel: { shape: 'rect', topMm: [38, 38], baseMm: [25, 25], depthMm: 57, headspaceMm: 3 },
        materials: shelf,
        maxTotalParts: 18,
        top: 1,
      },
    })
    .then((answer) => {
      isOver = true;
      return answer.status();
    });
  await new Promise((done) => setTimeout(done, 200));
  expect((await request.get('/api/health')).ok()).toBe(true);
  expect(isOver).toBe(false);
  expect(await search).toBe(200);
});

test('nearest to my recipe: what is right and keeps the most of it comes first, and is ready on the Mix', async ({
  page,
}) => {
  await page.goto('/mix?stage=germination&into=cell-288&parts=peat-fine:1&lime=lime-dolomitic:5.8');
  await expect(page.getByText(/^Stop: too little air here\./)).toBeVisible();
  await page.getByRole('link', { name: 'Find a better one' }).click();
  await page.getByRole('button', { name: 'nearest to my recipe' }).click();
  await expect(lines(page).first()).toContainText(/keeps \d+ % of your recipe/);
  await expect(page.getByText(/^First: /)).toBeVisible();
  const kept = (await lines(page).allInnerTexts()).map((text) => Number(/keeps (\d+)/.exec(text)![1]));
  expect(kept.length).toBeGreaterThan(2);
  expect(kept).toEqual([...kept].sort((a, b) => b - a));
  expect(kept[0]).toBeGreaterThan(60);
  await lines(page).first().getByRole('button').first().click();
  await page.getByRole('button', { name: 'Take this one' }).click();
  await expect(page.getByText(/^Stop: /)).toHaveCount(0);
  await expect(reading(page, 'Air in the cell')).toBeVisible();
});
