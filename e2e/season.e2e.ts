import { testDay } from '#testing/day';
import { Keyboard } from '#testing/keyboard';
import { expect, field, test } from './bench';

test('a bar is dragged, all follows, and one press takes it back', async ({ page }) => {
  await page.goto('/season/plan');
  const bar = page.getByRole('button', { name: /^Basil/ }).last();
  await expect(bar).toBeVisible();
  const before = (await bar.getAttribute('aria-label'))!;
  await bar.scrollIntoViewIfNeeded();
  const box = (await bar.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 6 });
  await expect(bar).not.toHaveAttribute('aria-label', before);
  await page.mouse.up();
  await expect(page.getByText(/Basil moved by \d+ days\./)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bar).toHaveAttribute('aria-label', before);
});

test('the bench is over the line in one week; fitted, it is not, and one press brings it back', async ({
  page,
}) => {
  await page.goto('/season/plan');
  await expect(page.getByText('the bench is too small in one week.')).toBeVisible();
  await page.getByRole('button', { name: 'Fit the bench' }).click();
  await expect(page.getByText(/It fits with \d+ plant-days moved/)).toBeVisible();
  await page.getByRole('button', { name: 'Move them' }).click();
  await expect(page.getByText('the bench is too small')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('the bench is too small in one week.')).toBeVisible();
});

test('a mixing day becomes a batch in one press, in its amount and for its crops, and is off the list', async ({
  page,
}) => {
  await page.goto('/season/plan');
  const days = page.getByRole('button', { name: /^Make it/ });
  await expect(days.first()).toBeVisible();
  const count = await days.count();
  const row = page.locator('.mixing li').first();
  const litres = /([\d.]+) L of/.exec((await row.innerText()).replaceAll('\u00a0', ' '))![1]!;
  await row.getByRole('button', { name: /^Make it/ }).click();
  await expect(page).toHaveURL(/batches\/new/);
  await page.reload();
  await expect(page.getByLabel('Called')).toHaveValue(/ for /);
  await expect(page.locator('app-batch-card').first()).toContainText(litres);
  await page.getByRole('button', { name: 'Save this batch' }).click();
  await expect(page).toHaveURL(/batches\/\d+/);
  await page.goto('/season/plan');
  await expect(page.locator('.mixing li').first()).toBeVisible();
  await expect(days).toHaveCount(count - 1);
});

test('a half-filled crop is there again after a reload and a way back, until it is left', async ({
  page,
}) => {
  await page.goto('/season/line/new');
  await field(page, 'Sort, or what it is for').fill('for the market');
  await field(page, 'Plants wanted, each time').fill('240');
  await page.reload();
  await expect(field(page, 'Sort, or what it is for')).toHaveValue('for the market');
  await expect(field(page, 'Plants wanted, each time')).toHaveValue('240');
  await page.goto('/today');
  await page.goto('/season/line/new');
  await expect(field(page, 'Plants wanted, each time')).toHaveValue('240');
  await page.getByRole('link', { name: 'Cancel' }).click();
  await page.goto('/season/line/new');
  await expect(field(page, 'Plants wanted, each time')).toHaveValue('100');
});

test('a task is done with one press on Today, and stays done', async ({ page }) => {
  await page.goto('/today');
  const done = page.locator('button:enabled[aria-label^="Done: "]').first();
  const folds = page.locator('app-today-page summary');
  await expect(page.getByRole('heading', { name: 'Tonight', exact: true })).toBeVisible();
  // What is several, late or to come lies in folds.
  for (let i = 0; i < (await folds.count()) && !(await done.isVisible()); i++) await folds.nth(i).click();
  const name = (await done.getAttribute('aria-label'))!;
  await done.click();
  await expect(page.getByRole('status').getByText(/Done: /)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Tonight', exact: true })).toBeVisible();
  for (let i = 0; i < (await folds.count()); i++) await folds.nth(i).click();
  await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
});

test('the fewest mixes are looked for in sight, can be stopped, and are told with what a further one would gain', async ({
  page,
}) => {
  await page.goto('/season/fewer');
  await page.getByRole('button', { name: /^Find the fewest mixes/ }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('button', { name: /^Find the fewest mixes/ }).click();
  await expect(page.getByText(/recipes were tried in each/)).toBeVisible({ timeout: 60_000 });
  await expect(
    page.getByRole('heading', { name: /base works|bases are enough, and no fewer/ }),
  ).toBeVisible();
});

test('what cannot be stays as typed and is said beside it', async ({ page }) => {
  await page.goto('/season/line/new');
  await expect(page.getByRole('region', { name: 'What it takes' })).toContainText('Begin');
  await field(page, 'Weeks').first().fill('0');
  await expect(page.getByText('Weeks: must be a number from 0.1 to 520')).toBeVisible();
  await field(page, 'Lost, %').first().fill('100');
  await expect(page.getByText('Lost, %: must be a number from 0 to 99')).toBeVisible();
  await expect(field(page, 'Lost, %').first()).toHaveValue('100');
  await page.getByText('The seed', { exact: true }).click();
  await field(page, 'Your test: came up').fill('30');
  await field(page, 'Your test: seeds laid out').fill('20');
  await expect(
    page.getByText('No more can come up than the 20 that were laid out, was 30').first(),
  ).toBeVisible();
});

// Last: it moves the frosts of the nursery that the tests before it look at.
test('onions and tomatoes from the frost dates to their labels, on a phone, with the keyboard alone', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const keys = new Keyboard(page);
  await page.goto('/season/room');
  await expect(page.getByLabel('Usual')).toHaveValue(/\d/);
  await page.getByRole('link', { name: 'Frost and benches' }).focus();
  // A day is typed in the order of the browser's own field: month, day, year.
  for (const [label, days] of [
    [/^Early/, 100],
    [/^Usual/, 114],
    [/^Late/, 128],
  ] as const) {
    await keys.tabInto(label);
    const [year, month, day] = testDay(days).split('-');
    await keys.type(`${month}${day}${year}`);
  }
  await keys.tabInto(/^Save$/, 40);
  await keys.press('Enter');
  await expect(page.getByText('Saved: the season now counts on it.')).toBeVisible();

  for (const [crop, sort, plants] of [
    ['Onion in clumps', 'Red', '300'],
    ['Tomato', 'Plum', '48'],
  ] as const) {
    await page.goto('/season/line/new');
    await expect(page.getByRole('region', { name: 'What it takes' })).toContainText('Begin');
    await page.getByRole('link', { name: 'Frost and benches' }).focus();
    await keys.tabInto(/^Crop$/);
    await keys.type(crop);
    await keys.tabInto(/^Sort/);
    await keys.type(sort);
    await keys.tabInto(/^Plants wanted/);
    await keys.retype(plants);
    await expect(page.getByRole('region', { name: 'What it takes' })).toContainText(
      crop === 'Tomato' ? 'pot' : 'cells',
    );
    await keys.tabInto(/^Add it to the season$/, 40);
    await keys.press('Enter');
    await expect(page.getByText(`${crop} is in the season.`)).toBeVisible();
  }
  // Moved by a week with an arrow, opened with Enter.
  const bar = page.getByRole('button', { name: /^Tomato “Plum”/ });
  await bar.focus();
  const before = await bar.getAttribute('aria-label');
  await keys.press('ArrowRight');
  await expect(bar).not.toHaveAttribute('aria-label', before!);
  await page.getByRole('button', { name: 'Undo' }).focus();
  await keys.press('Enter');
  await expect(bar).toHaveAttribute('aria-label', before!);
  await page.reload();
  await expect(bar).toHaveAttribute('aria-label', before!);
  await bar.focus();
  await keys.press('Enter');
  await expect(page.getByLabel('Plants wanted, each time')).toHaveValue('48');
  const label = page.getByRole('link', { name: 'Label', exact: true });
  const pdf = await page.request.get((await label.getAttribute('href'))!);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
});

test('a mix that is wrong for what it goes into is told of the season, in the words of the Mix', async ({
  page,
}) => {
  const recipe = {
    ...{ stage: 'germination', vessel: 'pot-11', compactionPct: 0, amendments: [] },
    components: [{ material: 'peat-fine', parts: 1 }],
    ...{ lime: { amendment: 'lime-dolomitic', ph: 5.8 }, job: { litres: 10 } },
  };
  const mix = (await (
    await page.request.post('/api/mixes', { data: { key: crypto.randomUUID(), name: 'Wet one', recipe } })
  ).json()) as { mixId: number };
  const steps = [{ vessel: 'cell-288', stage: 'germination', weeks: 4, lossPct: 5, mix: mix.mixId }];
  const line = (await (
    await page.request.post('/api/plan/lines', {
      data: { key: crypto.randomUUID(), crop: 'tomato', plants: 300, steps },
    })
  ).json()) as { id: number };
  await page.goto('/season/plan');
  const more = page.getByRole('button', { name: /\d+ more/ }).first();
  await expect(page.locator('.remark').first()).toBeVisible();
  if (await more.isVisible()) await more.click();
  const remark = page.locator('.remark.stop', { hasText: 'Wet one' });
  await expect(remark).toContainText('Stop: too little air here.');
  await page.goto(`/season/line/${line.id}`);
  await expect(page.getByRole('region', { name: 'What it takes' })).toContainText(
    'Stop: too little air here.',
  );
  await page.request.delete(`/api/plan/lines/${line.id}`);
});
