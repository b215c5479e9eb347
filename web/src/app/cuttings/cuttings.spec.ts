import { TestBed } from '@angular/core/testing';
import { type HttpTestingController } from '@angular/common/http/testing';
import { bench, giveLibrary, said, show, type } from '#testing/page';
import { CuttingService } from '../data/cutting-choice';
import { CuttingsPage } from './cuttings-page';

let http: HttpTestingController;
beforeEach(() => {
  http = bench();
});
const open = () => {
  const page = show(CuttingsPage);
  giveLibrary(http);
  TestBed.tick();
  return page;
};

test('days follow the day of striking and the warmth of the mix, and stay on the device', () => {
  const page = open();
  type(page, 'Struck on', '2031-03-01');
  expect(said(page)).toContain('Lavender, semi-ripe, firm at the base: roots from 21 Mar to 9 Apr.');
  type(page, 'Warmth of the mix, °C', '12');
  expect(said(page)).toContain('roots from 9 Apr to 18 May');
  expect(said(page)).toMatch(/At 12 °C roots are slow/);
  expect(TestBed.inject(CuttingService).now()).toMatchObject({ on: '2031-03-01', baseC: 12 });
});

test('air that is measured says what mist it wants; the mix says whether it stays open', () => {
  const page = open();
  type(page, 'Warmth of the air, °C', '25');
  type(page, 'Humidity, %, if measured', '80');
  // Lavender wants it drier than a soft leaf does; leafless wood wants none, and it cool.
  expect(said(page)).toMatch(/the air pulls with 0\.63 kPa .*that is right/);
  const choice = TestBed.inject(CuttingService);
  choice.patch({ cutting: 'currant' });
  TestBed.tick();
  expect(said(page)).not.toContain('the air pulls');
  expect(said(page)).toMatch(/cool, 10–18\s°C, no base heat.*none: there are no leaves/);
  expect(said(page)).toMatch(/buds break before there are roots/);
  choice.patch({ cutting: 'coleus' });
  TestBed.tick();
  expect(said(page)).toMatch(/the air pulls with 0\.63 kPa .*mist more, or shade/);
  expect(said(page)).toMatch(/The usual rooting mix, 24-cell tray, has \d+ to \d+ % air .* it stays above/);
});

test('a dip is thinned; too strong for the wood stops with the number, and what was typed stays', () => {
  const page = open();
  type(page, 'Strength of what you have, ppm', '10000');
  expect(said(page)).toMatch(/15\smL of what you have and 85\smL .* one part and 5\.67/);
  type(page, 'Strength you need, ppm', '9000');
  expect(said(page)).toMatch(
    /Strength you need must be at most 8.?000.* for semi-ripe, not 9.?000: stronger burns the base/,
  );
  expect(said(page)).toContain('label and local rules');
});

test('counted roots have their interval, and say whether to wean', () => {
  const page = open();
  type(page, 'Tested', '10');
  type(page, 'With roots', '8');
  expect(said(page)).toMatch(/80 % have roots; of the whole tray 49 to 94 %. Begin to wean/);
  type(page, 'With roots', '5');
  expect(said(page)).toContain('Not yet');
});
