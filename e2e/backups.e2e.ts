import { mkdtempSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '#testing/serve';
import { expect, field, test } from './bench';

test('a backup made, looked at, put back: what came later is aside, and the page says so before', async ({
  page,
  request,
}) => {
  await page.goto('/settings');
  const asked = page.waitForResponse(
    (answer) => answer.url().endsWith('/api/backups') && answer.request().method() === 'POST',
  );
  await page.getByRole('button', { name: 'Back up now' }).click();
  expect((await asked).ok()).toBe(true);
  const kept = (await (await request.get('/api/backups')).json()) as { list: { name: string }[] };
  const { name } = kept.list[0]!;
  await expect(page.getByRole('status').getByText(/The newest is of /)).toBeVisible();
  const newest = page.getByRole('link', { name: /^Fetch the file/ }).first();
  // The list before may show the daily one first.
  await expect(newest).toHaveAttribute('download', name);
  const fetched = page.waitForEvent('download');
  await newest.click();
  expect((await fetched).suggestedFilename()).toBe(name);

  await page.goto('/plants/new?crop=basil&vessel=cell-72&cells=72&name=Later');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Basil “Later”' })).toBeVisible();

  await page.goto('/settings');
  await page
    .getByRole('button', { name: /^Restore it…/ })
    .first()
    .click();
  const sure = page.getByRole('group', { name: 'Before it is restored' });
  await expect(sure).toContainText('Not in it, and out of sight afterwards: 1 planting.');
  await sure.getByRole('button', { name: 'Restore it', exact: true }).click();
  await expect(sure).toHaveCount(0);
  await page.goto('/plants/growing');
  await expect(page.getByRole('link', { name: /Tomato “Long Red”/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Basil “Later”/ })).toHaveCount(0);
  const { list } = (await (await request.get('/api/backups')).json()) as { list: object[] };
  expect(list.length).toBeGreaterThan(0);
});

test('an archive fetched and brought back: checked, shown with what it holds, put back only then', async ({
  page,
}) => {
  await page.goto('/settings');
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Everything as an open archive' }).click();
  const archive = await coming;
  expect(archive.suggestedFilename()).toMatch(/^welcome-.*\.zip$/);
  await page.goto('/plants/new?crop=basil&vessel=cell-72&cells=72&name=After');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Basil “After”' })).toBeVisible();

  await page.goto('/settings');
  await page.getByLabel('Import a file…').setInputFiles(await archive.path());
  const sure = page.getByRole('group', { name: 'Before it is restored' });
  // The sowing, and what it took from a tub where one was proposed by then.
  await expect(sure).toContainText(/out of sight afterwards: (1 entry of batches, )?1 planting\./);
  await expect(page.getByText('brought from elsewhere')).toBeVisible();
  await sure.getByRole('button', { name: 'Restore it', exact: true }).click();
  await expect(sure).toHaveCount(0);
  await page.goto('/plants/growing');
  await expect(page.getByRole('link', { name: /Tomato “Long Red”/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Basil “After”/ })).toHaveCount(0);
});

test.describe('what another grower gave', () => {
  test.use({ brought: /status of 400/ });

  test('is looked at, what is new is taken, and their mix stands on it', async ({ page, request }) => {
    const mine = (await (await request.get('/api/share')).json()) as Record<string, unknown[]>;
    const { materials } = (await (await request.get('/api/library')).json()) as {
      materials: ({ id: string; source: string; own: boolean } & Record<string, unknown>)[];
    };
    const { source: _, own: __, ...loam } = materials.find(({ id }) => id === 'loam')!;
    const mix = mine['mixes']![0] as { name: string; recipe: object };
    const theirs = {
      ...mine,
      materials: [{ says: 'like loam', row: { ...loam, id: 'own-bog-earth', name: 'Bog earth' } }],
      mixes: [
        mix,
        {
          name: 'Their mix',
          note: '',
          recipe: { ...mix.recipe, components: [{ material: 'own-bog-earth', parts: 1 }] },
        },
      ],
    };
    const buffer = Buffer.from(JSON.stringify(theirs));
    await page.goto('/settings');
    const coming = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Mine as a file' }).click();
    expect((await coming).suggestedFilename()).toBe('welcome-share.json');
    await page
      .getByLabel('Theirs from a file…')
      .setInputFiles({ name: 'theirs.json', mimeType: 'application/json', buffer });
    await expect(page.getByRole('listitem').filter({ hasText: mix.name })).toContainText('as here');
    await page.getByLabel('Bog earth').uncheck();
    const take = page.getByRole('button', { name: /^Add \d+ of them$/ });
    await take.click();
    await expect(page.getByText(/Nothing was added: .*taken with Their mix, which needs it/)).toBeVisible();
    await page.getByLabel('Bog earth').check();
    await take.click();
    await expect(page.getByText(/^Added: Bog earth, Their mix\.$/)).toBeVisible();
    const kept = (await (await request.get('/api/mixes?away=no')).json()) as {
      name: string;
      recipe: object;
    }[];
    expect(JSON.stringify(kept.find(({ name }) => name === 'Their mix')!.recipe)).toContain('own-bog-earth');
  });
});

test.describe('what is no archive', () => {
  test.use({ brought: /status of 400/ });

  test('is said, and nothing of it stays', async ({ page }) => {
    await page.goto('/settings');
    await page
      .getByLabel('Import a file…')
      .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('nothing') });
    await expect(page.getByText(/Not added: archive: file must be a zip file that is whole/)).toBeVisible();
  });
});

test.describe('a second place', () => {
  test.use({ brought: /status of 400/ });

  test('that is not there is said beside the field, and what was typed stays', async ({ page }) => {
    await page.goto('/settings');
    const box = field(page, 'A folder for a second copy, as on another disk');
    await box.fill('/proc/nowhere');
    await page.getByRole('button', { name: 'Use this folder' }).click();
    await expect(page.getByText(/must be a folder that is there, by its whole path/)).toBeVisible();
    await expect(box).toHaveValue('/proc/nowhere');
  });
});

test.describe('a damaged file', () => {
  test.use({ brought: /status of 503/ });

  test('a data file that is damaged: the plain page offers the newest whole backup, and its button puts it back', async ({
    page,
  }) => {
    const folder = mkdtempSync(join(tmpdir(), 'welcome-rescue-'));
    const whole = await serve(folder, 0);
    await page.request.post(`${whole.address}/api/backups`, { data: {} });
    const gone = new Promise((done) => whole.process.once('exit', done));
    whole.process.kill('SIGTERM');
    await gone;
    truncateSync(join(folder, 'welcome.sqlite'), 8192);
    const { process: server, address } = await serve(folder, 0, { LOG_LEVEL: 'silent' });
    await page.goto(address).catch(() => undefined);
    await expect(page.getByRole('heading', { name: 'The data file cannot be read' })).toBeVisible();
    await page.getByRole('button', { name: 'Put this newest one back' }).click();
    await page.goto(`${address}/plants/growing`);
    await expect(page.getByRole('link', { name: /Tomato “Long Red”/ })).toBeVisible();
    server.kill('SIGTERM');
  });
});
