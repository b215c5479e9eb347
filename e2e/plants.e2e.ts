import { expect, field, test } from './bench';

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a bare-root rescue: from two trays into pots, lost, counted after three weeks, and traced', async ({
    page,
  }) => {
    await page.goto('/plants/standing');
    await page.getByRole('link', { name: 'Sow, strike or pot' }).click();
    await page.getByRole('button', { name: 'Pot plants' }).click();
    await page.getByLabel('Crop').selectOption({ label: 'Cabbage' });
    await field(page, 'Sort, or what it is for').fill('Rescued');
    await page.getByLabel('Into', { exact: true }).selectOption({ label: '9 cm pot' });
    await field(page, 'How many pots').fill('40');
    await page.getByText('Moved bare-root').click();
    await page.getByRole('button', { name: 'Taken from plants that stand here' }).click();
    await page.getByLabel('Taken from').selectOption({ label: 'Cabbage “Pointed”, 194 there' });
    await field(page, 'Plants of it').fill('40');
    // What was half filled in is there again.
    await page.reload();
    await expect(field(page, 'Plants of it')).toHaveValue('40');
    await expect(page.getByText('Water them half an hour before.')).toBeVisible();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name: 'Cabbage “Rescued”' })).toBeVisible();
    await expect(page.getByText(/water morning and evening/)).toBeVisible();
    await page.getByRole('link', { name: 'Cabbage “Pointed”' }).click();
    await expect(page.getByText(/40 moved on, 154 stand/)).toBeVisible();

    // Another that came three weeks ago.
    await page.goto('/plants/new?start=pot&crop=cabbage&vessel=pot-9&cells=40&name=Washed');
    const day = new Date(Date.now() - 22 * 86_400_000).toISOString().slice(0, 10);
    await page.getByText('Moved bare-root').click();
    await page.getByLabel('On', { exact: true }).fill(day);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText(/Count Cabbage “Washed” again, three weeks after/)).toBeVisible();
    await page.getByRole('button', { name: 'Lost' }).click();
    await field(page, 'So many').fill('60');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText(/at most 40, as many as stand/)).toBeVisible();
    await expect(field(page, 'So many')).toHaveValue('60');
    await field(page, 'So many').fill('6');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('40 potted, 34 stand.')).toBeVisible();
    await page.getByRole('button', { name: 'Counted' }).click();
    await field(page, 'So many stand').fill('33');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('40 potted, 33 stand.')).toBeVisible();
    await expect(page.getByText(/again, three weeks after/)).toHaveCount(0);
    await page.getByRole('button', { name: /Take back.*33 stand/ }).click();
    await expect(page.getByText('40 potted, 34 stand.')).toBeVisible();
  });

  test('a diagnosis to a kept new version of the mix', async ({ page }) => {
    await page.goto('/plants/standing');
    await page.getByRole('link', { name: /^Pepper/ }).click();
    const causes = page.locator('.causes li');
    await expect(causes.first()).toContainText('Too sweet');
    await expect(page.getByText(/Do:.*chelated iron/)).toBeVisible();
    await page.getByRole('button', { name: 'Purple leaves' }).click();
    await expect(page.getByText(/What would tell most: Lay a thermometer/)).toBeVisible();
    await page.getByRole('button', { name: 'nights cold' }).click();
    await expect(causes.first()).toContainText('Too cold');
    await page.getByRole('button', { name: 'I did that' }).click();
    await expect(page.locator('.rows li').filter({ hasText: /against “Too cold”/ })).toBeVisible();
    await page.getByRole('button', { name: 'Change its mix for next time' }).click();
    await expect(page).toHaveURL(/\/mix/);
    await page.getByRole('button', { name: 'More: Parts of Perlite, fine' }).click();
    await expect(page.getByText('Seed mix, no peat, changed')).toBeVisible();
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.locator('.notice')).toContainText('version 2');
  });
});

test('a trial from its layout to its verdict', async ({ page }) => {
  await page.goto('/plants/trials');
  await field(page, 'What is asked').fill('Sand or none');
  await field(page, 'Blocks').fill('2');
  await field(page, 'Seed of the order').fill('99');
  await expect(page.getByText(/144 cells of each arm tell a fall from 85 to \d+ %/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay it out' }).click();
  await expect(page.getByText('Nothing to say before each arm is counted. 4 of 4 trays')).toBeVisible();
  const trays = page.locator('form.tray');
  await expect(trays).toHaveCount(4);
  await trays.first().getByRole('textbox').fill('73');
  await trays.first().getByRole('button').click();
  await expect(page.getByText('A whole number from 0 to 72, not “73”')).toBeVisible();
  for (let i = 0; i < 4; i++) {
    const better = (await trays.nth(i).innerText()).includes('New');
    await trays
      .nth(i)
      .getByRole('textbox')
      .fill(better ? '70' : '50');
    await trays.nth(i).getByRole('button').click();
    await expect(page.getByText(`${3 - i} of 4 trays are not counted yet`)).toHaveCount(i < 3 ? 1 : 0);
  }
  await expect(
    page.getByRole('status').filter({ hasText: 'New did better than As ever: 97 % of 144' }),
  ).toBeVisible();
  // The same seed lays out the same.
  await page.goto('/plants/trials/1');
  await expect(page.getByText(/House seed mix did better than No peat/)).toBeVisible();
  await page.goto('/plants/trials/2');
  await expect(page.getByText(/Too few to say: Grit is ahead/)).toBeVisible();
});

test('mixes against each other, more than luck or not', async ({ page }) => {
  await page.goto('/plants/better');
  await expect(page.getByRole('status').filter({ hasText: 'did better than' })).toBeVisible();
  await page.getByRole('button', { name: 'Seed', exact: true }).click();
  await expect(page.getByText(/Three years old/).first()).toBeVisible();
});
