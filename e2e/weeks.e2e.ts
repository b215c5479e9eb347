import { expect, field, test } from './bench';

test('hard well water on a peat mix: it turns sweet, acid is found, and its pH stays', async ({ page }) => {
  test.setTimeout(90_000);
  await page.goto('/mix');
  await page.locator('.stages label', { hasText: 'Grow on' }).click();
  await page.getByRole('link', { name: 'The weeks to come' }).click();
  const answer = page.getByRole('region', { name: 'What the weeks bring' });
  await expect(answer.getByText(/^Day 1: .* pH; right from/)).toBeVisible({ timeout: 30_000 });
  const phAtEnd = async (): Promise<number> => {
    const says = await answer.getByText(/^Day 1: .* pH; right from/).innerText();
    return Number(/; day \d+: (\d+\.\d)/.exec(says)![1]);
  };
  await field(page, 'Alkalinity of the water, as calcium carbonate, mg/L').fill('500');
  await expect.poll(phAtEnd, { timeout: 30_000 }).toBeGreaterThan(6.3);
  const sweet = await phAtEnd();
  await expect(answer.getByText(/it is too sweet/).first()).toBeVisible();

  await page.getByLabel('Acid in the water', { exact: true }).selectOption({ label: 'citric acid, dry' });
  await field(page, 'To pH').fill('5.6');
  await expect(page.getByText(/to 100\sL of water takes it to pH 5\.6/)).toBeVisible();
  await expect(page.getByText(/acid into water, never water into acid/)).toBeVisible();
  await expect.poll(phAtEnd, { timeout: 30_000 }).toBeLessThan(sweet - 0.3);

  // What was set stands after a reload, in the other units too.
  await page.reload();
  await expect(field(page, 'To pH')).toHaveValue('5.6');
  await page.getByRole('button', { name: 'gal · oz' }).click();
  await expect(page.getByText(/to 26\.4\sgal of water takes it to pH 5\.6/)).toBeVisible();
  await page.getByRole('button', { name: 'L · g' }).click();

  await page.getByRole('button', { name: 'Find me a rule' }).click();
  await expect(
    page.getByText(/(Keeps all inside with the fewest waterings|keeps all inside\. The nearest)/),
  ).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('button', { name: 'Keep it so' })).toHaveCount(0);
});
