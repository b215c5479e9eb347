import { type Page } from '@playwright/test';
import { test } from '../e2e/bench';

const folder = 'docs/screenshots';
const sizes = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };

async function shoot(
  page: Page,
  name: string,
  address: string,
  size: keyof typeof sizes,
  ready: string,
): Promise<void> {
  await page.setViewportSize(sizes[size]);
  await page.goto(address);
  await page.locator(ready).first().waitFor();
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

test('pictures of the main views', async ({ page }) => {
  await shoot(page, 'mix', '/mix', 'desk', 'app-reading-ruler');
  await shoot(page, 'mix-phone', '/mix', 'phone', 'app-reading-ruler');
  await shoot(page, 'weeks', '/mix/weeks', 'desk', 'app-weeks-chart canvas');
  await shoot(page, 'potting', '/mix/potting', 'desk', 'app-cut-through svg');
  await shoot(page, 'cuttings', '/mix/cuttings', 'desk', '.remark');
  const wrong =
    '/mix?stage=germination&into=cell-128&parts=peat-fine:4,perlite-coarse:2&lime=none&dose=lime-dolomitic:60';
  await shoot(page, 'mix-flags', wrong, 'desk', 'app-reading-ruler');
  await shoot(page, 'finder', '/mix/finder', 'desk', 'app-finder-page ol li');
  await page
    .getByRole('checkbox', { name: /^Side by side/ })
    .nth(0)
    .check();
  await page
    .getByRole('checkbox', { name: /^Side by side/ })
    .nth(2)
    .check();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: `${folder}/finder.png` });
  await shoot(page, 'today', '/today', 'desk', 'app-today-page .rows li');
  await shoot(page, 'season', '/season/plan', 'desk', '.bar');
  await shoot(page, 'season-crop', '/season/line/3', 'desk', '.way li');
  await shoot(page, 'plants', '/plants/growing', 'desk', 'app-plant-list li');
  await shoot(page, 'planting', '/plants/5', 'desk', '.causes li');
  await shoot(page, 'run', '/batches/5/run', 'desk', 'app-live-list li');
  await shoot(page, 'shelf', '/shelf', 'desk', 'app-shelf-line');
  await shoot(page, 'lots', '/shelf/lots', 'desk', 'app-lot-list li');
  await shoot(page, 'material', '/shelf/materials/compost', 'desk', 'app-material-page tbody tr');
  await shoot(page, 'settings', '/settings', 'desk', 'app-settings-page li');
  await shoot(page, 'batches', '/batches', 'desk', 'app-batch-list li');
  await shoot(page, 'batch-card', '/batches/1', 'desk', 'article');
});
