import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { AxeBuilder } from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { expect, field, test } from './bench';
import { places } from './places';

const WIDTHS = [1280, 390];
/** From a small phone to a wide screen, and where the page changes its shape. */
const EVERY_WIDTH = [320, 480, 601, 640, 717, 761, 1024, 1366, 1920];

/** What stands in a field or list and is cut off there, with the field. */
const cut = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const pen = document.createElement('canvas').getContext('2d')!;
    const wide = (box: HTMLElement, text: string, beside: number): boolean => {
      const { font, paddingLeft, paddingRight } = getComputedStyle(box);
      pen.font = font;
      const room = box.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight) - beside;
      return pen.measureText(text).width > room + 1;
    };
    const seen = Array.from(document.querySelectorAll<HTMLElement>('select, input:not([type])')).filter(
      (box) => box.checkVisibility(),
    );
    return seen.flatMap((box) => {
      const text =
        box instanceof HTMLSelectElement
          ? (box.selectedOptions[0]?.textContent ?? '').trim()
          : (box as HTMLInputElement).value;
      const name = box.getAttribute('aria-label') ?? (box as HTMLInputElement).labels?.[0]?.textContent ?? '';
      // The arrow of a list takes its part.
      return wide(box, text, box instanceof HTMLSelectElement ? 18 : 0) ? [`${name.trim()}: ${text}`] : [];
    });
  });

/** Nothing for axe to find, and nothing that sticks out or is cut off, at each width. */
async function passes(page: Page): Promise<void> {
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 });
    await page.waitForTimeout(300);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map((v) => [width, v.id, v.nodes.map((n) => n.target)])).toEqual([]);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide, `sticks out at ${width} px`).toBeLessThanOrEqual(0);
    expect(await cut(page), `cut off at ${width} px`).toEqual([]);
  }
  for (const width of EVERY_WIDTH) {
    await page.setViewportSize({ width, height: 800 });
    await expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), {
        message: `sticks out at ${width} px`,
        timeout: 2000,
      })
      .toBeLessThanOrEqual(0);
  }
}

for (const [name, address] of places) {
  test(`${name} at 1280 and 390 px: axe finds nothing, nothing sticks out`, async ({ page }) => {
    await page.goto(address);
    await expect(page.locator('main h1').first()).toBeAttached();
    if (address === '/mix/finder') await page.locator('app-finder-chart canvas').waitFor();
    await passes(page);
  });
}

test('in US units, too, nothing is cut off in its field', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'gal · oz' }).click();
  for (const address of [
    '/mix?stage=seedling&into=cell-24&parts=peat-medium:3,perlite-coarse:1&lime=lime-dolomitic:5.8&dose=calcium-nitrate:0.3,potassium-nitrate:0.2',
    '/mix/finder',
    '/shelf/money',
    '/shelf/lots',
  ])
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 800 });
      await page.goto(address);
      await expect(page.locator('main h1').first()).toBeAttached();
      if (address.includes('dose='))
        await expect(field(page, 'Dose of Potassium nitrate, lb/yd³')).toHaveValue('0.337');
      expect(await cut(page), `${address} at ${width} px`).toEqual([]);
    }
});

test('everything that opens on the mix passes axe too', async ({ page }) => {
  await page.goto('/mix');
  await page.getByText('Weeks ahead, in short').click();
  await page.getByText('Your own tests of this mix').click();
  for (const button of await page.getByRole('button', { name: /: where from\?$/ }).all())
    await button.click();
  await expect(page.locator('app-where-from')).toHaveCount(6);
  await expect(page.locator('app-mix-clock dl')).toBeVisible();
  await passes(page);
});

test('an open menu passes axe too', async ({ page }) => {
  await page.goto('/mix');
  await page.getByRole('button', { name: 'Add a material' }).click();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((v) => [v.id, v.nodes.map((n) => n.target)])).toEqual([]);
});

/** Presses Tab until the element with this accessible name has the focus. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 200; i++) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const at = document.activeElement as HTMLElement;
      const own = at instanceof HTMLInputElement ? (at.labels?.[0]?.textContent ?? '') : '';
      return at.getAttribute('aria-label') ?? (own || at.textContent || '');
    });
    if (name.test(label.trim())) return;
  }
  throw new Error(`Tab never reached ${String(name)}`);
}

test('the whole flow with the keyboard alone', async ({ page }) => {
  await page.goto('/mix');
  await expect(page.locator('app-reading-ruler').first()).toBeVisible();
  await tabTo(page, /^Germinate/);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: /^Root/ })).toBeChecked();
  await page.keyboard.press('ArrowLeft');
  // Another stage may bring another vessel: it is reached by its name, so it must be there first.
  await expect(page.getByRole('radio', { name: /^Germinate/ })).toBeChecked();
  const vessel = page.locator('app-job-panel').getByRole('button', { name: /72-cell tray/ });
  await expect(vessel).toBeVisible();
  await tabTo(page, /72-cell tray/);
  await expect(vessel).toBeFocused();
  await page.keyboard.press('Enter');
  // Keys follow each other here faster than any hand: the menu comes with the next frame.
  await expect(page.locator('.dropdown-menu.show .dropdown-item').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.locator('app-job-panel').getByText('128-cell tray').first()).toBeVisible();
  await tabTo(page, /^Number of trays$/);
  await tabTo(page, /^Number of trays$/);
  await page.keyboard.type('15');
  await tabTo(page, /^Parts of Perlite, coarse$/);
  await tabTo(page, /^Parts of Perlite, coarse$/);
  await page.keyboard.press('ArrowUp');
  await tabTo(page, /^Make this batch$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Called$/);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('By keys');
  await tabTo(page, /^Save this batch$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article', { name: 'Bench card: By keys' })).toContainText(
    '15 × 128-cell tray',
  );
});

test('the work can be reached past the header', async ({ page }) => {
  await page.goto('/mix');
  await expect(page.getByRole('link', { name: 'To the work' })).toBeAttached();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('main');
});

const firstAsked = JSON.parse(
  readFileSync(join(import.meta.dirname, '..', 'web', 'public', 'first-asked.json'), 'utf8'),
) as Record<string, string[]>;
for (const [path, asks] of Object.entries(firstAsked))
  test(`what is fetched ahead for ${path} is what its page asks for, and asked for once`, async ({
    page,
  }) => {
    const ahead = await page.request.get(path);
    const asked: string[] = [];
    const unused: string[] = [];
    page.on('request', (one) => asked.push(one.url().replace(/^.*\/api\//, '')));
    page.on('console', (one) => void (/preload/.test(one.text()) && unused.push(one.text())));
    await page.goto(path);
    await expect(page.locator('main h1').first()).toBeAttached();
    // The browser speaks up some seconds after the page is there.
    await page.waitForTimeout(5000);
    expect(unused).toEqual([]);
    for (const ask of asks) {
      expect(await ahead.text()).toContain(`href="/api/${ask}"`);
      expect([ask, asked.filter((one) => one === ask).length]).toEqual([ask, 1]);
    }
  });
