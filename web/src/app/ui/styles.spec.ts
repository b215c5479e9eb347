import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const app = join(__dirname, '..');
const styles = readdirSync(app, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(scss|ts)$/.test(file) && !file.endsWith('.spec.ts'))
  .map((file) => [file, readFileSync(join(app, file), 'utf8')] as const);

test('text has its six sizes, and no others', () => {
  const sizes = styles.flatMap(([file, text]) =>
    [...text.matchAll(/font-size: ([^;]+);/g)].map((found) => `${file}: ${found[1]}`),
  );
  const odd = sizes.filter((size) => !/: (var\(--(small|note|text|lead|head|numeral)\)|inherit)$/.test(size));
  expect(odd).toEqual([]);
  expect(sizes.length).toBeGreaterThan(30);
});

test('the page changes its shape at three widths', () => {
  const widths = styles.flatMap(([file, text]) =>
    [...text.matchAll(/@media \((?:max|min)-width: (\d+)px\)/g)].map((found) => [file, Number(found[1])]),
  );
  expect(widths.filter(([, width]) => ![600, 601, 760, 1100].includes(width as number))).toEqual([]);
});

test('colours are tokens, but for the swatches of materials and the chart that cannot read them', () => {
  const coloured = styles
    .filter(([file]) => !/pictures\/(swatch|chart)\.ts$/.test(file))
    .filter(([, text]) => /#[0-9a-f]{6}\b/i.test(text))
    .map(([file]) => file);
  expect(coloured).toEqual([]);
});
