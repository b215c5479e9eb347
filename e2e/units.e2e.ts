import { type Page } from '@playwright/test';
import { FORBIDDEN, METRIC } from '#testing/plain-english';
import { expect, test } from './bench';
import { places } from './places';

/** All that is to be read on a page, line by line: folds opened, and what only a screen reader says. */
async function readAll(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    for (const fold of Array.from(document.querySelectorAll('details'))) fold.open = true;
    const spoken = Array.from(document.querySelectorAll('main [aria-label], main [title]')).map(
      (one) => one.getAttribute('aria-label') ?? one.getAttribute('title') ?? '',
    );
    const main = document.querySelector('main') as HTMLElement;
    // What the nursery wrote itself stays as it was written.
    for (const own of Array.from(main.querySelectorAll('textarea, .note'))) own.remove();
    return [...main.innerText.split('\n'), ...spoken]
      .map((line) => line.replaceAll(/[\u00a0\u202f]/g, ' ').trim())
      .filter(Boolean);
  });
}

/** Both systems side by side, on purpose. */
const BOTH = /gal\b|°F|\bfoot\b|\(no\. |\bqt\b|\blb\b/;

for (const units of ['metric', 'us'] as const)
  test(`every page reads in ${units} units: no other units, no word that has a better one`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await page.goto('/mix');
    if (units === 'us') await page.getByRole('button', { name: 'gal · oz' }).click();
    const wrong: string[] = [];
    for (const [name, address] of places) {
      await page.goto(address);
      await expect(page.locator('main h1').first()).toBeAttached();
      await page.waitForLoadState('networkidle');
      await readAll(page);
      // What a fold holds is made when it is opened.
      for (const line of await readAll(page)) {
        const metric = units === 'us' && !BOTH.test(line) && METRIC.exec(line);
        if (metric) wrong.push(`${name}: ${metric[0]} in “${line}”`);
        for (const pattern of FORBIDDEN)
          if (pattern.test(line)) wrong.push(`${name}: ${pattern} in “${line}”`);
      }
    }
    expect([...new Set(wrong)]).toEqual([]);
  });

test('nothing is said twice on one page, but in rows that say the same of two things', async ({ page }) => {
  test.setTimeout(240_000);
  const twice: string[] = [];
  for (const [name, address] of places) {
    await page.goto(address);
    await expect(page.locator('main h1').first()).toBeAttached();
    await page.waitForLoadState('networkidle');
    const said = await page.evaluate(() => {
      const walk = document.createTreeWalker(
        document.querySelector('main') as HTMLElement,
        NodeFilter.SHOW_TEXT,
      );
      const sentences: string[] = [];
      while (walk.nextNode()) {
        const inside = walk.currentNode.parentElement;
        if (!inside?.checkVisibility() || inside.closest('li, tr, option, app-own-windows, .visually-hidden'))
          continue;
        sentences.push(
          ...(walk.currentNode.textContent ?? '')
            .replaceAll(/\s+/g, ' ')
            .trim()
            .split(/(?<=[.!?:;]) /),
        );
      }
      return sentences.filter((sentence) => sentence.split(' ').length > 4);
    });
    twice.push(...said.filter((text, i) => said.indexOf(text) < i).map((text) => `${name}: ${text}`));
  }
  expect(twice).toEqual([]);
});
