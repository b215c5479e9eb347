import { testDay } from '#testing/day';
import { type Page } from '@playwright/test';
import { expect, field, test } from './bench';

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a bare-root rescue: from two trays into pots, lost, counted after three weeks, and traced', async ({
    page,
  }) => {
    await page.goto('/plants/growing');
    await page.getByRole('link', { name: 'New planting' }).click();
    await page.getByRole('button', { name: 'Pot plants' }).click();
    await page.getByLabel('Crop').selectOption({ label: 'Cabbage' });
    await field(page, 'Sort, or what it is for').fill('Rescued');
    await page.getByLabel('Into', { exact: true }).selectOption({ label: '9 cm pot' });
    await field(page, 'How many pots').fill('40');
    await page.getByText('Moved bare-root').click();
    await page.getByRole('button', { name: 'Taken from plants you have' }).click();
    await page.getByLabel('Taken from').selectOption({ label: 'Cabbage “Pointed”, 194 there' });
    await field(page, 'Plants of it').fill('40');
    // What was half filled in is there again.
    await page.reload();
    await expect(field(page, 'Plants of it')).toHaveValue('40');
    await expect(page.getByText('Water them half an hour before.')).toBeVisible();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('heading', { name: 'Cabbage “Rescued”' })).toBeVisible();
    await expect(page.getByText(/morning and evening/)).toBeVisible();
    await page.getByRole('link', { name: 'Cabbage “Pointed”' }).click();
    await expect(page.getByText(/40 moved on, 154 stand/)).toBeVisible();

    // Another that came three weeks ago.
    await page.goto('/plants/new?start=pot&crop=cabbage&vessel=pot-9&cells=40&name=Washed');
    const day = testDay(-22);
    await page.getByText('Moved bare-root').click();
    await page.getByLabel('On', { exact: true }).fill(day);
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/Count Cabbage “Washed” again, three weeks after/)).toBeVisible();
    await page.getByRole('button', { name: 'Lost' }).click();
    await field(page, 'So many').fill('60');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/at most 40, as many as there are/)).toBeVisible();
    await expect(field(page, 'So many')).toHaveValue('60');
    await field(page, 'So many').fill('6');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('40 potted, 34 stand.')).toBeVisible();
    await page.getByRole('button', { name: 'Counted' }).click();
    await field(page, 'How many stand').fill('33');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('40 potted, 33 stand.')).toBeVisible();
    await expect(page.getByText(/again, three weeks after/)).toHaveCount(0);
    await page.getByRole('button', { name: /Undo.*33 alive/ }).click();
    await expect(page.getByText('40 potted, 34 stand.')).toBeVisible();
  });

  test('a diagnosis to a kept new version of the mix', async ({ page }) => {
    await page.goto('/plants/growing');
    await page.getByRole('link', { name: /^Pepper/ }).click();
    const causes = page.locator('.causes li');
    await expect(causes.first()).toContainText('Too alkaline');
    await expect(page.getByText(/Do:.*chelated iron/)).toBeVisible();
    await page.getByRole('button', { name: 'Purple leaves' }).click();
    await expect(page.getByText(/What would show most: Lay a thermometer/)).toBeVisible();
    await page.getByRole('button', { name: 'nights cold' }).click();
    await expect(causes.first()).toContainText('Too cold');
    await page.getByRole('button', { name: 'I did that' }).click();
    await expect(page.locator('.rows li').filter({ hasText: /against “Too cold”/ })).toBeVisible();
    await page.getByRole('button', { name: 'Change its mix for next time' }).click();
    await expect(page).toHaveURL(/\/mix/);
    await page.getByRole('button', { name: 'More: Parts of Perlite, fine' }).click();
    await expect(page.getByText('Based on Seed mix, no peat')).toBeVisible();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.locator('.notice')).toContainText('version 2');
  });
});

/** A picture of a side-lying phone: 64 × 32 dots, and a note that it is to be turned by a quarter. */
async function turnedPicture(page: Page): Promise<Buffer> {
  const base64 = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [64, 32];
    canvas.getContext('2d')!.fillRect(0, 0, 20, 32);
    return canvas.toDataURL('image/jpeg').split(',')[1]!;
  });
  const jpeg = Buffer.from(base64, 'base64');
  // Exif, one entry: orientation 6.
  const tiff = Buffer.from('4d4d002a00000008000101120003000000010006000000000000', 'hex');
  const exif = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, exif.length + 2]);
  return Buffer.concat([jpeg.subarray(0, 2), head, exif, jpeg.subarray(2)]);
}

test('a picture that found no nursery waits on the device, and shows where it was taken once it is there', async ({
  page,
}) => {
  await page.goto('/plants/2');
  const shown = page.getByRole('img', { name: 'a picture' });
  await expect(page.getByText('Take a picture')).toBeVisible();
  const before = await shown.count();
  await page.route('**/api/plants/*/pictures', (route) => route.abort());
  const buffer = await turnedPicture(page);
  await page.getByLabel('Take a picture').setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer });
  await expect(page.getByText(/waiting to be sent/)).toBeVisible();
  await expect(shown).toHaveCount(before);
  await page.unroute('**/api/plants/*/pictures');
  await expect(shown).toHaveCount(before + 1, { timeout: 15_000 });
  await expect(page.getByText(/waiting to be sent/)).toBeHidden();
});

test('a picture is kept the right way up; what is none is said, and nothing of it is kept', async ({
  page,
  request,
}) => {
  await page.goto('/plants/growing');
  await page.getByRole('link', { name: /^Cabbage “Pointed”/ }).click();
  const file = page.getByLabel('Take a picture');
  await file.setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: await turnedPicture(page) });
  const shown = page.getByRole('img', { name: 'a picture' });
  await expect(shown).toBeVisible();
  const size = await shown.evaluate((img: HTMLImageElement) =>
    img.decode().then(() => [img.naturalWidth, img.naturalHeight]),
  );
  expect(size).toEqual([32, 64]);
  const kept = await request.get((await shown.getAttribute('src'))!);
  expect(kept.headers()['content-type']).toBe('image/jpeg');
  await file.setInputFiles({ name: 'b.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not one') });
  await expect(page.getByRole('alert')).toContainText('no picture that the browser can read');
  await expect(shown).toHaveCount(1);
  await page.reload();
  await expect(shown).toBeVisible();
});

test('a potting entered by mistake: put away, its plants are back; brought back, they are moved again', async ({
  page,
}) => {
  await page.goto('/plants/growing');
  await page.getByRole('link', { name: /^Lettuce “Oak leaf”/ }).click();
  const tally = page.locator('.tally');
  await expect(tally).toContainText('50 stand');
  await page.getByRole('link', { name: 'Pot them on' }).click();
  await page.getByLabel('Into', { exact: true }).selectOption({ label: '9 cm pot' });
  await field(page, 'How many pots').fill('30');
  await field(page, 'Plants of it').fill('30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(tally).toContainText('30 potted');
  const address = page.url();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page).toHaveURL(/growing/);
  await page.getByRole('link', { name: /^Lettuce “Oak leaf”/ }).click();
  await expect(tally).toContainText('50 stand');
  await page.goto('/plants/growing');
  await page.getByText(/Archived \(\d+\)/).click();
  await page.getByRole('link', { name: /30 potted, 30 stand/ }).click();
  await expect(page).toHaveURL(address);
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByRole('button', { name: 'Archive' })).toBeVisible();
  await page
    .getByRole('link', { name: /^Lettuce/ })
    .first()
    .click();
  await expect(tally).toContainText('30 moved on, 96 out, 20 stand');
});

test('cell by cell on the picture of the tray, and some set apart', async ({ page }) => {
  await page.goto('/plants/new?crop=basil&vessel=cell-72&cells=72&name=Window');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Came up', exact: true }).click();
  await page.getByRole('button', { name: 'By a picture of the tray' }).click();
  for (const place of ['Row 1, place 2', 'Row 12, place 6'])
    await page.getByRole('button', { name: `${place}, empty` }).click();
  await expect(field(page, 'How many in all')).toHaveValue('70');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('.tally')).toContainText('70 of 72 came up');
  await page.getByRole('link', { name: 'Set some apart' }).click();
  await field(page, 'How many cells').fill('20');
  await field(page, 'Plants of it').fill('20');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('.tally')).toContainText('20 set apart, 20 stand');
  await page.getByRole('link', { name: 'Basil “Window”' }).first().click();
  await expect(page.locator('.tally')).toContainText('20 moved on, 50 stand');
});

test('what became of a batch, what to change, and why it was changed', async ({ page }) => {
  await page.goto('/batches');
  await page
    .getByRole('link', { name: /First tomatoes/ })
    .first()
    .click();
  // What other tests have sown from its tub counts as well.
  await expect(page.getByText(/% of 1.(872|944) came up/)).toBeVisible();
  await page.getByText('What would you change?').click();
  await page
    .getByRole('button', { name: /^Open it/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/mix/);
  const why = page.getByText(/^Changed: /);
  await expect(why).toContainText('First tomatoes');
  await page.reload();
  await expect(why).toContainText('First tomatoes');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^Version 2: .*First tomatoes/)).toBeVisible();
});

test('a trial from its layout to its verdict', async ({ page }) => {
  await page.goto('/plants/trials');
  await field(page, 'What is asked').fill('Sand or none');
  await field(page, 'Groups').fill('2');
  await field(page, 'Starting number of the order').fill('99');
  await expect(page.getByText(/144 cells of each mix show a fall from 85 to \d+ %/)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('No result before each mix is counted. 4 of 4 trays')).toBeVisible();
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
  await expect(page.getByText(/Too few to say\. Grit is ahead/)).toBeVisible();
});

test('mixes against each other, more than luck or not', async ({ page }) => {
  await page.goto('/plants/compare');
  // Tomatoes and cuttings are not compared: it asks first.
  await expect(page.getByText('Which crop?')).toBeVisible();
  await page
    .getByRole('group', { name: /^Which crop/ })
    .getByRole('button')
    .first()
    .click();
  await expect(page.getByRole('status').filter({ hasText: 'did better than' })).toBeVisible();
  await page.getByLabel('Crop').selectOption('');
  await page.getByRole('button', { name: 'Seed', exact: true }).click();
  await expect(page.getByText(/Three years old/).first()).toBeVisible();
});
