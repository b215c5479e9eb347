import { Keyboard } from '#testing/keyboard';
import { expect, field, test } from './bench';

test('own compost, own cup and a feed by its label, entered and made into a batch with the keyboard', async ({
  page,
}) => {
  const keys = new Keyboard(page);

  await page.goto('/shelf/materials');
  await field(page, 'Called').focus();
  await keys.type('Our heap');
  await keys.tabInto(/^Like$/);
  await keys.type('Green-waste');
  await keys.tabInto(/^A measure that holds/);
  await keys.type('10');
  await keys.tabInto(/^weighs/);
  await keys.type('6.5');
  await keys.tabInto(/^Water in it/);
  await keys.type('42');
  await keys.tabInto(/^Save$/);
  await keys.press('Enter');
  await expect(page.getByText('Our heap is on your shelf.')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /Our heap/ })).toBeChecked();

  await page.goto('/shelf/vessels');
  await page.getByText('One of your own').focus();
  await keys.press('Enter');
  await field(page, 'Called').focus();
  await keys.type('Coffee cup');
  for (const [label, size] of [
    [/^Across, at the top/, '80'],
    [/^Across, at the base/, '55'],
    [/^Deep/, '95'],
  ] as const) {
    await keys.tabInto(label);
    await keys.type(size);
  }
  await keys.tabInto(/^Save$/);
  await keys.press('Enter');
  await expect(page.getByText('Coffee cup is on your shelf.')).toBeVisible();
  await page.goto('/shelf/products');
  await page.getByText('One of your own').focus();
  await keys.press('Enter');
  await field(page, 'Name on the bag').focus();
  await keys.type('Hen pellets');
  await keys.tabInto(/^What it is$/);
  await keys.type('Organic');
  for (const [label, figure] of [
    [/^N, %/, '4'],
    [/^P, %/, '3'],
    [/^K, %/, '2.5'],
  ] as const) {
    await keys.tabInto(label);
    await keys.type(figure);
  }
  await keys.tabInto(/^Save$/);
  await keys.press('Enter');
  await expect(page.getByText('Hen pellets is saved.')).toBeVisible();
  expect(keys.presses).toBeLessThanOrEqual(60);

  await page.goto(
    '/mix?stage=potting&into=own-coffee-cup&parts=own-our-heap:1,peat-medium:3&lime=none&dose=own-hen-pellets:2&make=25',
  );
  await expect(page.locator('app-job-panel')).toContainText('Coffee cup');
  await expect(page.locator('app-cut-through')).toContainText('%');
  await page.getByRole('button', { name: 'Make this batch' }).click();
  await page.getByLabel('Called').fill('Cups of our own');
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await expect(page.getByRole('article', { name: 'Bench card: Cups of our own' })).toContainText('Our heap');
  await expect(page.getByRole('article', { name: 'Bench card: Cups of our own' })).toContainText(
    'Hen pellets',
  );
});

test('what cannot be is said, stays typed, and nothing is kept; an own vessel is changed', async ({
  page,
}) => {
  await page.goto('/shelf/vessels');
  await page.getByText('One of your own').click();
  await field(page, 'Called').fill('Thimble');
  await field(page, 'Across, at the top, inside, mm').fill('50');
  await field(page, 'Across, at the base, inside, mm').fill('40');
  await field(page, 'Deep, inside, mm').fill('30');
  await field(page, 'Left free at the top, mm').fill('30');
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await field(page, 'Left free at the top, mm').fill('2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Thimble' })).toBeVisible();
  await page.getByRole('button', { name: 'Change Thimble' }).click();
  await expect(field(page, 'Deep, inside, mm')).toHaveValue('30');
  await field(page, 'To a tray, set or press').fill('12');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Thimble' })).toContainText('12 together');
});
