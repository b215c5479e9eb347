import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';
import { createHash, X509Certificate } from 'node:crypto';
import { type Browser, type BrowserContext, type Page } from '@playwright/test';
import { serve } from '#testing/serve';
import { expect, field, onTestDay, test } from './bench';

/** Another device: a browser of its own, that trusts the nursery as one on which its authority is installed. */
const another = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } });

/** Opens the door in Settings. @returns where a device on this machine finds it */
async function openDoor(page: Page): Promise<string> {
  await page.goto('/settings');
  await page.getByLabel('Paired devices, sealed').check();
  const told = await page.locator('p', { hasText: 'Open at http' }).innerText();
  // To be compared with what the device shows.
  await expect(page.getByText(/Its authority, SHA-256: ([0-9A-F]{2}:){31}[0-9A-F]{2}/)).toBeVisible();
  const port = /:(\d+)/.exec(told)![1]!;
  return `https://127.0.0.1:${port}`;
}

async function pair(page: Page, phone: Page, at: string, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Pair a device' }).click();
  const code = await page.getByRole('group', { name: 'Pair a device' }).locator('.text').innerText();
  await phone.goto(`${at}/pair?code=${code}`);
  await expect(phone.getByLabel('The code')).toHaveValue(code);
  await phone.getByLabel('What you call this device').fill(name);
  await phone.getByRole('button', { name: 'Pair it' }).click();
  await expect(phone.getByRole('link', { name: 'Today' })).toBeVisible();
}

test('a phone is paired by the code, works, is named, and is shut out with one press', async ({
  page,
  browser,
}) => {
  const at = await openDoor(page);
  const device = await another(browser);
  const phone = await device.newPage();
  // Before that nobody gets in.
  await phone.goto(at);
  await expect(phone.getByText('This device is not known here yet')).toBeVisible();
  expect((await device.request.get(`${at}/api/nursery`)).status()).toBe(401);

  await pair(page, phone, at, 'Tunnel phone');
  await expect(page.locator('b', { hasText: 'Tunnel phone' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Pair a device' })).toHaveCount(0);

  // It writes, and the machine sees it.
  await phone.goto(`${at}/plants/new?crop=basil&vessel=cell-72&cells=72&name=By phone`);
  // What is known of the crop stands above the press: until it is there the press moves.
  await expect(phone.getByText(/covered with vermiculite/)).toBeVisible();
  await phone.getByRole('button', { name: 'Save' }).click();
  await expect(phone.getByRole('heading', { name: 'Basil “By phone”' })).toBeVisible();
  await page.goto('/plants/growing');
  await expect(page.getByRole('link', { name: /Basil “By phone”/ })).toBeVisible();
  await page.goto('/settings');

  await page.getByRole('button', { name: 'Rename Tunnel phone' }).click();
  await field(page, 'Its name').fill('Old phone');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await page.getByRole('button', { name: /^Remove this device.*Old phone$/ }).click();
  await expect(page.locator('b', { hasText: 'Old phone' })).toHaveCount(0);
  await phone.goto(at);
  await expect(phone.getByText('This device is not known here yet')).toBeVisible();

  // Shut again, nobody finds it.
  await page.getByLabel('This machine alone').check();
  await expect(page.locator('p', { hasText: 'Open at http' })).toHaveCount(0);
  await expect(device.request.get(at)).rejects.toThrow(/ECONNREFUSED/);
  await device.close();
});

test('asked for at the start it is open, and says where', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-door-'));
  const { process: server, address } = await serve(folder, 0, { WELCOME_DEMO: '0' }, ['--share=plain']);
  const sharing = (await (await fetch(`${address}/api/sharing`)).json()) as object;
  expect(sharing).toMatchObject({ way: 'plain', problem: '' });
  server.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});

/** What stands for the public key of the certificate that a server shows: SHA-256 of it, base 64. */
const keyShownAt = (port: number): Promise<string> =>
  new Promise((told, failed) => {
    const wire = connect({ port, host: '127.0.0.1', rejectUnauthorized: false }, () => {
      const { publicKey } = new X509Certificate(wire.getPeerCertificate().raw);
      told(
        createHash('sha256')
          .update(publicKey.export({ type: 'spki', format: 'der' }))
          .digest('base64'),
      );
      wire.destroy();
    });
    wire.once('error', failed);
  });

test('a phone that trusts the nursery’s own authority keeps the page, and works out of reach of its sealed door', async ({
  playwright,
}) => {
  test.setTimeout(120_000);
  const folder = mkdtempSync(join(tmpdir(), 'welcome-trusted-'));
  const { process: server, address } = await serve(folder, 0, {}, ['--share']);
  const asked = await fetch(`${address}/api/sharing/code`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{}',
  });
  expect(asked.ok).toBe(true);
  const { code, addresses } = (await (await fetch(`${address}/api/sharing`)).json()) as {
    code: { text: string };
    addresses: string[];
  };
  const port = Number(new URL(addresses[0]!).port);
  // As on a device on which it is installed: this browser takes that key's certificate as a good one.
  const { launchOptions } = test.info().project.use;
  const trusting = await playwright.chromium.launch({
    ...launchOptions,
    args: [...(launchOptions?.args ?? []), `--ignore-certificate-errors-spki-list=${await keyShownAt(port)}`],
  });
  const device = await trusting.newContext({
    serviceWorkers: 'allow',
    viewport: { width: 390, height: 844 },
  });
  await onTestDay(device);
  const phone = await device.newPage();
  const at = `https://127.0.0.1:${port}`;
  await phone.goto(`${at}/pair?code=${code.text}`);
  await phone.getByLabel('What you call this device').fill('Trusting phone');
  await phone.getByRole('button', { name: 'Pair it' }).click();
  await expect(phone.getByRole('link', { name: 'Today' })).toBeVisible();
  await phone.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await expect
    .poll(() => phone.evaluate(async () => (await (await caches.open('welcome-answers')).keys()).length))
    .toBeGreaterThan(15);
  await phone.goto(`${at}/plants/1`);
  await phone.waitForLoadState('networkidle');

  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGKILL');
  await gone;
  await phone.goto(`${at}/plants/1`);
  await expect(phone.getByText('The nursery is out of reach')).toBeVisible();
  await phone.getByRole('button', { name: 'Note', exact: true }).click();
  await phone.getByRole('textbox', { name: 'Note' }).fill('Seen in the far tunnel');
  await phone.getByRole('button', { name: 'Save' }).click();
  await expect(phone.getByText(/1 waiting to be sent since/)).toBeVisible();

  const again = await serve(folder, Number(new URL(address).port), { WELCOME_SHARE_PORT: String(port) }, [
    '--share',
  ]);
  await expect(phone.getByText(/waiting to be sent since/)).toHaveCount(0, { timeout: 30_000 });
  const { events } = (await (await fetch(`${address}/api/plants/1`)).json()) as {
    events: { event: { text?: string } }[];
  };
  expect(events.filter(({ event }) => event.text === 'Seen in the far tunnel')).toHaveLength(1);
  await trusting.close();
  again.process.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});
