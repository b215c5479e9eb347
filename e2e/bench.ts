import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, expect, test as base, type Locator, type Page } from '@playwright/test';
import { SHIFT_MS, shiftClock } from '#testing/day';
import { serve } from '#testing/serve';

/**
 * Every worker has a server and a demo nursery of its own, so that files can run side by side. A page on which any script error, content-policy refusal or console error fails the
 * test.
 */
export const test = base.extend<{ brought: RegExp }, { address: string }>({
  // A refused fetch is noted by the browser itself: what a test brings about is not an error of the page.
  brought: [/ERR_FAILED|status of (409|503)/, { option: true }],
  address: [
    // eslint-disable-next-line no-empty-pattern -- the runner wants the pattern
    async ({}, use) => {
      const { process: server, address } = await serve(mkdtempSync(join(tmpdir(), 'welcome-e2e-')));
      await use(address);
      server.kill('SIGTERM');
    },
    { scope: 'worker' },
  ],
  // Every page, of whichever context, goes by the day of the tests.
  browser: [
    async ({ browser }, use) => {
      const make = browser.newContext.bind(browser);
      browser.newContext = async (options) => onTestDay(await make(options));
      await use(browser);
    },
    { scope: 'worker' },
  ],
  context: async ({ context }, use) => use(await onTestDay(context)),
  baseURL: async ({ address }, use) => use(address),
  page: async ({ page, brought }, use) => {
    const wrong: string[] = [];
    page.on('pageerror', (error) => wrong.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !brought.test(message.text())) wrong.push(message.text());
    });
    await use(page);
    expect(wrong).toEqual([]);
  },
});
export { expect };

/** Sets the clock of all pages of a context; twice is once too often. */
export async function onTestDay(context: BrowserContext): Promise<BrowserContext> {
  if (!onIt.has(context)) await context.addInitScript(shiftClock, SHIFT_MS);
  onIt.add(context);
  return context;
}
const onIt = new WeakSet<BrowserContext>();

export const reading = (page: Page, name: string): Locator =>
  page.locator('app-reading-ruler', { hasText: name }).locator('.value');

export async function numberOf(locator: Locator): Promise<number> {
  return Number((await locator.innerText()).replace(/[^\d.]/g, ''));
}

/** The line in which the page says what was done; what is still being fetched has a status of its own. */
export const notice = (page: Page): Locator => page.locator('.notice[role=status]');

export const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });
