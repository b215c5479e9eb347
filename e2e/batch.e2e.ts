import { expect, field, numberOf, test } from './bench';

test('from a job to a bench card that stays as it was', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('radio', { name: 'Germinate' }).check({ force: true });
  await page.getByRole('button', { name: /72-cell tray/ }).click();
  await page.getByRole('button', { name: /128-cell tray/ }).click();
  await field(page, 'Number of trays').fill('30');
  await field(page, 'Extra, percent').fill('10');
  const litres = await numberOf(page.locator('.sum app-amount'));
  await page.getByRole('button', { name: 'Make this batch' }).click();

  await page.getByLabel('Called').fill('');
  await expect(page.getByRole('alert')).toContainText('A name must have 1 to 80 letters');
  await page.getByLabel('Called').fill('Early cabbage');
  await page.getByLabel('Counted in').selectOption('5 L bucket');
  await page.getByRole('button', { name: 'Save this batch' }).click();

  await expect(page).toHaveURL(/batches\/\d+$/);
  const card = page.getByRole('article', { name: 'Bench card: Early cabbage' });
  await expect(card).toContainText('30 × 128-cell tray (3840 cells), 10 % extra');
  await expect(card).toContainText('With a fitted mask on');
  await expect(card).toContainText('5 L bucket');
  expect(litres).toBeGreaterThan(50);
  await expect(card).toContainText(`settles to ${litres}`);
  const kept = await card.innerText();
  const address = page.url();

  // A later edit of the recipe does not reach the card.
  await page.getByRole('link', { name: 'Mix', exact: true }).click();
  await page.getByRole('button', { name: 'More: Parts of Perlite, coarse' }).click();
  await page.goto(address);
  await expect(card).toBeVisible();
  expect(await card.innerText()).toBe(kept);

  await page.getByRole('link', { name: 'Batches', exact: true }).click();
  await expect(page.getByRole('link', { name: /Early cabbage/ })).toBeVisible();
});

test('the card prints on one page of A4 and of Letter', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /Lettuce blocks/ }).click();
  await expect(page.getByRole('article')).toBeVisible();
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  }
});

test('the card reads in gallons, ounces and their scoops, and says the same', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /First tomatoes/ }).click();
  const lime = page.getByRole('row', { name: /dolomitic/ });
  const grams = await numberOf(lime.locator('.big'));
  await page.getByRole('button', { name: 'gal · oz' }).click();
  await expect(page.getByRole('article')).toContainText(/gal (bucket|pail)/);
  const ounces = await numberOf(lime.locator('.big'));
  expect(grams / ounces).toBeCloseTo(28.35, 0);
  await expect(page.getByRole('article')).not.toContainText(/\d\s(L|mL|kg|mm)\b/);
});

test('a card is archived and brought back', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /Peat-free peppers/ }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByRole('status').last()).toContainText('is archived');
  await expect(page.getByRole('link', { name: /Peat-free peppers/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Peat-free peppers/ })).toBeVisible();
});

test('a save that gets no answer waits on the device, and is one batch once the nursery answers', async ({
  page,
}) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.getByLabel('Called').fill('Patchy network');
  // The server keeps it, but the answer is lost on the way back.
  let lost = true;
  await page.route('**/api/batches', async (route) => {
    if (route.request().method() !== 'POST' || !lost) return route.continue();
    await route.fetch();
    await route.abort('failed');
  });
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await expect(page.getByText('batch Patchy network is stored on this device')).toBeVisible();
  await expect(page.getByText(/1 waiting to be sent since .*: batch Patchy network/)).toBeVisible();
  lost = false;
  await expect(page.getByText(/waiting to be sent since/)).toHaveCount(0);
  await page.goto('/batches');
  await expect(page.getByRole('link', { name: /Patchy network/ })).toHaveCount(1);
});

test.describe('an address that leads nowhere', () => {
  test.use({ brought: /status of 404/ });

  test('a batch that is not there says so', async ({ page }) => {
    await page.route('**/api/batches/9999', (route) =>
      route.fulfill({ status: 200, contentType: 'application/json', body: 'not json' }),
    );
    await page.goto('/batches/9999');
    await expect(page.getByRole('alert')).toContainText(
      'Could not load the card. The answer cannot be read.',
    );
    await page.unroute('**/api/batches/9999');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('alert')).toContainText('9999');
  });
});

test('a mix with a stop is made only by saying so, below what says why; the batch says so too', async ({
  page,
}) => {
  await page.goto(
    '/mix?stage=germination&into=cell-288&parts=peat-fine:3,sand-fine:2&lime=lime-dolomitic:5.8',
  );
  await expect(page.getByText(/^Stop: too little air here\./)).toBeVisible();
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await expect(page.getByRole('button', { name: 'Save this batch' })).toHaveCount(0);
  const anyway = page.getByRole('button', { name: 'Make it anyway' });
  const why = page.locator('app-batch-remarks .stop').first();
  await expect(why).toContainText('Too little air here');
  const said = (await why.boundingBox())!;
  expect((await anyway.boundingBox())!.y).toBeGreaterThan(said.y + said.height - 1);
  await anyway.click();
  await expect(page).toHaveURL(/\/batches\/\d+$/);
  await expect(page.getByText('Made anyway: somebody read the stop and chose to go on.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Made anyway: somebody read the stop and chose to go on.')).toBeVisible();
  // And where it is made, step by step.
  await page.getByRole('link', { name: 'Make it, step by step' }).click();
  await expect(page.getByText('Made anyway: somebody read the stop and chose to go on.')).toBeVisible();
  await expect(page.locator('app-loud-remarks .stop')).toContainText('Too little air here');
});

test('mixed again in another amount it is of the same saved recipe, and says so', async ({ page }) => {
  await page.goto('/batches');
  await page.getByRole('link', { name: /First tomatoes/ }).click();
  await page.getByRole('button', { name: 'Open in Mix' }).click();
  const more = page.getByRole('button', { name: /^More: / }).first();
  await expect(more).toBeVisible();
  const id = Number(
    ((await (await page.request.get('/api/batches')).json()) as { id: number; name: string }[]).find(
      ({ name }) => /First tomatoes/.test(name),
    )!.id,
  );
  const { mixName } = (await (await page.request.get(`/api/batches/${id}`)).json()) as { mixName: string };
  await expect(page.getByRole('button', { name: 'Open a saved recipe' })).toContainText(mixName);
  const trays = page
    .getByRole('region', { name: 'The job' })
    .getByRole('button', { name: /^More: / })
    .last();
  await trays.click();
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.getByLabel('Called').fill('One tray more');
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await expect(page).toHaveURL(/\/batches\/\d+$/);
  await page.goto('/batches');
  await expect(page.getByRole('link', { name: /One tray more/ })).toContainText(mixName);
});
