import { testDay } from '#testing/day';
import { expect, field, test } from './bench';

test('hard well water on a peat mix: it turns sweet, acid is found, and its pH stays', async ({ page }) => {
  test.setTimeout(90_000);
  await page.goto('/mix');
  await page.locator('.stages label', { hasText: 'Grow on' }).click();
  await page.getByRole('link', { name: 'Weeks ahead' }).click();
  const answer = page.getByRole('region', { name: 'What the weeks bring' });
  await expect(answer.getByText(/^Day 1: .* pH; right from/)).toBeVisible({ timeout: 30_000 });
  const phAtEnd = async (): Promise<number> => {
    const says = await answer.getByText(/^Day 1: .* pH; right from/).innerText();
    return Number(/; day \d+: (\d+\.\d)/.exec(says)![1]);
  };
  await field(page, 'Alkalinity of the water, as calcium carbonate, mg/L').fill('500');
  await expect.poll(phAtEnd, { timeout: 30_000 }).toBeGreaterThan(6.3);
  const sweet = await phAtEnd();
  await expect(answer.getByText(/it is too alkaline/).first()).toBeVisible();

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
  await expect(page.getByText(/Water when \d+ % of its water has gone: about/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Use this rule' }).click();
  await expect(page.getByRole('button', { name: 'Use this rule' })).toHaveCount(0);
  await page.getByRole('button', { name: 'As before' }).click();
  await expect(page.getByText('As you usually keep plants.')).toBeVisible();
});

test('one day for one event: the mix, its weeks, a planting, its weeks and the calendar tell the same', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const before = (await (await request.get('/api/keeping')).json()) as { usual: object };
  const sunny = page.getByRole('button', { name: 'Sun and wind', pressed: true }).first();
  await page.goto('/settings/keeping');
  await page.getByRole('button', { name: 'Sun and wind' }).first().click();
  await expect(sunny).toBeVisible();
  await field(page, 'Mean of day and night, °C').first().fill('22');
  await page.reload();
  await expect(sunny).toBeVisible();
  await expect(field(page, 'Mean of day and night, °C').first()).toHaveValue('22');

  // As the mix says it, so its weeks.
  await page.goto('/mix');
  await page.locator('.stages label', { hasText: 'Grow on' }).click();
  await page.locator('app-over-time summary').click();
  const runsOut = /runs out about day (\d+)/;
  const onMix = page.locator('app-mix-clock').getByText(runsOut);
  const day = runsOut.exec(await onMix.innerText())![1];
  await page.getByRole('link', { name: 'Weeks ahead' }).first().click();
  await expect(page.getByText(new RegExp(`nitrogen runs out about day ${day}: feed by then`))).toBeVisible({
    timeout: 30_000,
  });

  // A planting: its care, its weeks, the calendar.
  const { id: batch } = await (
    await request.get('/api/batches')
  )
    .json()
    .then((all: { id: number }[]) => all[0]!);
  const on = testDay(-3);
  const made = await request.post('/api/plants', {
    data: {
      ...{ key: crypto.randomUUID(), start: 'sow', crop: 'basil', name: 'One day', vessel: 'pot-11' },
      ...{ cells: 20, on, batch },
    },
  });
  const { id } = (await made.json()) as { id: number };
  await page.goto(`/plants/${id}`);
  const whole = (await (await request.get(`/api/plants/${id}`)).json()) as {
    allCare: { id: string; on: string }[];
  };
  const feed = whole.allCare.find((care) => care.id === 'feed')!;
  const calendar = await (await request.get('/api/plan/calendar.ics')).text();
  expect(calendar).toContain(`DTSTART;VALUE=DATE:${feed.on.replaceAll('-', '')}`);
  const feedDay = await page
    .locator('li, div')
    .filter({ hasText: /^[^.]*First feed of Basil “One day”/ })
    .last()
    .innerText();
  await page.goto(`/mix/weeks?planting=${id}`);
  const says = page.getByText(/nitrogen runs out about day \d+, .*: feed by then/);
  await expect(says).toBeVisible({ timeout: 30_000 });
  const its = /about day \d+, ([^:]+): feed by then/.exec(await says.innerText())![1]!;
  expect(feedDay.toLowerCase()).toContain(its.toLowerCase());
  await request.put('/api/keeping', { data: before.usual });
});

test('a well by the drops of a kit is kept on the shelf, thinned with rain, and stands so after a reload', async ({
  page,
}) => {
  await page.goto('/shelf/waters');
  await page.getByLabel('What you call it').fill('Old well');
  await page.getByLabel('Comes from').selectOption({ label: 'well' });
  await field(page, 'EC, mS/cm').fill('0.9');
  await page.getByText('By a drop kit instead').click();
  await field(page, 'Drops until the colour turns').fill('20');
  await field(page, 'Each drop counts, mg/L').fill('17.8');
  await page.getByRole('button', { name: 'Take 356 mg/L' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Old well' });
  await expect(row.getByText(/well: alkalinity 356 mg\/L, EC 0\.90/)).toBeVisible();
  await expect(row.getByText(/limes the mix a little more/)).toBeVisible();

  await page.goto('/mix/weeks');
  await page.getByLabel('Water', { exact: true }).selectOption({ label: 'Old well' });
  await page.getByLabel('Mixed with').selectOption({ label: 'Rain barrel' });
  await field(page, 'Of it Old well, %').fill('25');
  // 0.25 × 356 + 0.75 × 6
  await expect(page.getByText(/Alkalinity 94 mg\/L, EC 0\.25/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Alkalinity 94 mg\/L, EC 0\.25/)).toBeVisible();

  await page.goto('/shelf/waters');
  await row.getByRole('button', { name: 'Archive Old well' }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
});

test('tomatoes potted on deep: freer than in their plug, wetter than set at the old level, and entered with the plants', async ({
  page,
}) => {
  await page.goto('/mix');
  await page.getByRole('link', { name: 'Potting up' }).click();
  const answer = page.getByRole('region', { name: 'In the new pot' });
  const air = async (): Promise<[number, number]> => {
    const says = await answer.getByRole('status').first().innerText();
    const found = /old ball has (\d+)\s%.* it had (\d+)\s%/.exec(says);
    return [Number(found![1]), Number(found![2])];
  };
  await page.getByLabel('New pot', { exact: true }).selectOption({ label: '11 cm pot' });
  const [level, before] = await air();
  expect(level).toBeGreaterThan(before);
  await page.getByLabel('Crop').selectOption({ label: 'Tomato' });
  await expect(page.getByText(/Tomato: deep, up to the first true leaves/)).toBeVisible();
  await field(page, 'Set deeper than before by, mm').fill('30');
  await expect.poll(async () => (await air())[0]).toBeLessThan(level);
  const [deep] = await air();
  expect(deep).toBeGreaterThan(before);
  await expect(answer.getByText(/Half an hour ahead water the old balls/)).toBeVisible();
  await page.reload();
  await expect(field(page, 'Set deeper than before by, mm')).toHaveValue('30');
  expect((await air())[0]).toBe(deep);
  await page.getByRole('button', { name: 'gal · oz' }).click();
  await expect(answer.getByText(/0\.\d+\sin deep/)).toBeVisible();
  await page.getByRole('button', { name: 'L · g' }).click();

  await page.getByRole('link', { name: 'Enter it as a planting' }).click();
  await page.getByLabel('Crop').selectOption({ label: 'Tomato' });
  await page.getByLabel('Into', { exact: true }).selectOption({ label: '11 cm pot' });
  await field(page, 'How many pots').fill('20');
  await expect(page.getByText('set the plant deep, up to the first true leaf')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('20 potted, 20 stand.')).toBeVisible();
});

test('a tray of cuttings from sticking to its rooted count', async ({ page }) => {
  await page.goto('/mix');
  await page.locator('.stages label', { hasText: 'Root' }).first().click();
  await page.getByRole('link', { name: 'Cuttings' }).click();
  await page.getByLabel('Plant', { exact: true }).selectOption({ label: 'Fuchsia' });
  const day = testDay(-20);
  await page.getByLabel('Struck on').fill(day);
  await expect(page.getByText(/^Fuchsia, softwood.*roots from/)).toBeVisible();
  await field(page, 'Humidity, %, if measured').fill('85');
  await expect(page.getByText(/the air pulls with 0\.40 kPa/)).toBeVisible();
  await expect(
    page.getByText(/The rooting mix that is open, .* % air after three weeks under mist/),
  ).toBeVisible();
  await field(page, 'Strength of what you have, ppm').fill('3000');
  await field(page, 'Strength you need, ppm').fill('5000');
  await expect(page.getByText(/Strength you need must be at most 3.?000/)).toBeVisible();
  await field(page, 'Strength you need, ppm').fill('500');
  await expect(page.getByText(/one part and 5\.00/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Fuchsia, softwood.*roots from/)).toBeVisible();
  await expect(field(page, 'Strength you need, ppm')).toHaveValue('500');
  await field(page, 'Tested').fill('12');
  await field(page, 'With roots').fill('11');
  await expect(page.getByText(/92 % have roots; of the whole tray 65 to 99 %. Begin to wean/)).toBeVisible();

  await page.getByRole('link', { name: 'Enter it as a planting' }).click();
  await field(page, 'Sort, or what it is for').fill('Balcony');
  await page.getByLabel('Into', { exact: true }).selectOption({ label: '24-cell tray' });
  await field(page, 'How many cells').fill('24');
  await page.getByLabel('On', { exact: true }).fill(day);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/struck .*24-cell tray/)).toBeVisible();
  await page.getByRole('button', { name: 'Rooted' }).click();
  await field(page, 'How many in all').fill('22');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/22 of 24 .*22 stand/)).toBeVisible();
});
