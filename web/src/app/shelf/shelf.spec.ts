import { type HttpTestingController } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { materialToRow } from '#core/material/material';
import { evaluateMix } from '#core/mix/evaluate';
import { mixInputOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { bench, giveLibrary, labelled, press, said, show, type } from '#testing/page';
import { library, material } from '#testing/library';
import { InTheShed } from '../bench/in-the-shed';
import { ShedSays } from '../bench/shed-says';
import { Money } from '../data/money';
import { Prices } from '../data/prices';
import { Units } from '../data/units';
import { BagForm } from './bag-form';
import { JudgedAlone } from './judged-alone';
import { type Came, PackageForm } from './package-form';
import { OwnMaterial } from './own-material';
import { ProductList } from './product-list';

let http: HttpTestingController;
beforeEach(() => (http = bench()));

/** Stock and shelf as the server tells them. */
function giveShed(
  stock: { item: string; left: number | null; pricePerUnit: number | null }[],
  shelf: { material: string; costPerL: number | null }[] = [],
): void {
  const whole = stock.map((each) => ({ kind: 'material', name: 'Lot', daysLeft: null, ...each }));
  for (const asked of http.match('/api/stock')) asked.flush(whole);
  for (const asked of http.match('/api/shelf'))
    asked.flush(shelf.map((each) => ({ here: true, useUp: false, ...each })));
  for (const asked of http.match('/api/lots')) asked.flush([]);
  TestBed.tick();
}

describe('what came, in litres', () => {
  const came = (fixture: ComponentFixture<PackageForm>): (Came | null)[] => {
    const all: (Came | null)[] = [];
    fixture.componentInstance.came.subscribe((each) => all.push(each));
    return all;
  };

  test('bags, with what stays on the screen and what a litre costs', () => {
    const form = show(PackageForm, { material: material('compost') });
    const result = came(form);
    type(form, 'How many', '10');
    type(form, 'Volume of one', '40');
    type(form, 'Stays on the screen, %', '25');
    type(form, 'Price of all of it', '60');
    expect(said(form)).toContain('300');
    expect(said(form)).toContain('0.200 for a litre');
    expect(result.at(-1)).toEqual({ usableLitres: 300, pack: { kind: 'bag', amount: 30 }, price: 60 });
  });

  test('bricks tell their water, loads go by weight and moisture', () => {
    const peat = material('peat-fine');
    const form = show(PackageForm, { material: peat });
    const result = came(form);
    press(form, 'Bricks');
    type(form, 'Weight of one, kg', '5');
    expect(said(form)).toContain('with 25.0');
    expect(result.at(-1)!.usableLitres).toBeCloseTo(5 * 14, 9);
    press(form, 'A load by weight');
    type(form, 'Weight of the load, kg', '500');
    type(form, 'Water in it, % of its wet weight', '50');
    expect(result.at(-1)!.usableLitres).toBeCloseTo((500 * 1000 * 0.5) / peat.dryBulkDensityGPerL, 6);
  });

  test('what cannot be is said, stays typed, and nothing came', () => {
    const form = show(PackageForm, { material: material('compost') });
    const result = came(form);
    type(form, 'Volume of one', '40');
    type(form, 'Stays on the screen, %', '120');
    expect(labelled(form, 'Stays on the screen, %').value).toBe('120');
    expect(said(form)).toContain('must be a number from 0 to 99');
    expect(result.at(-1)!.usableLitres).toBe(40);
  });
});

describe('the shed beside a recipe', () => {
  const start = (): InTheShed => {
    const shed = TestBed.inject(InTheShed);
    giveLibrary(http);
    return shed;
  };

  test('what was typed on the shelf comes before what a lot cost, everywhere', () => {
    const prices = TestBed.inject(Prices);
    giveShed(
      [
        { item: 'peat-fine', left: 10, pricePerUnit: 0.2 },
        { item: 'loam', left: 10, pricePerUnit: 0.05 },
      ],
      [{ material: 'peat-fine', costPerL: 0.1 }],
    );
    expect([prices.of('peat-fine'), prices.of('loam'), prices.of('pumice')]).toEqual([0.1, 0.05, null]);
  });

  test('what ends first, what is short, what it costs: as the mix reckons it', () => {
    const shed = start();
    giveShed([
      { item: 'peat-fine', left: 1000, pricePerUnit: 0.1 },
      { item: 'perlite-coarse', left: 5, pricePerUnit: 0.2 },
      { item: 'vermiculite-medium', left: 500, pricePerUnit: null },
    ]);
    const { composition } = evaluateMix(mixInputOf(starterMixes.germination, library));
    const perLitre = (id: string): number =>
      composition.densification *
      composition.shares[composition.parts.findIndex((part) => part.material.id === id)]!;
    const { short, unknown } = shed.stock()!;
    expect(short.map(({ item }) => item)).toEqual(['perlite-coarse']);
    expect(short[0]!.by).toBeCloseTo(perLitre('perlite-coarse') * shed.litres() - 5, 6);
    expect(unknown).toContain('lime-dolomitic');
    expect(shed.bill().perLitre).toBeCloseTo(
      0.1 * perLitre('peat-fine') + 0.2 * perLitre('perlite-coarse'),
      9,
    );
    expect(shed.bill().unpriced).toContain('vermiculite-medium');
  });

  test('in words, with the money sign, and without a metric word in US units', () => {
    TestBed.inject(Money).use('€');
    TestBed.inject(Units).use('us');
    const says = show(ShedSays);
    giveLibrary(http);
    giveShed([
      { item: 'peat-fine', left: 1000, pricePerUnit: 0.1 },
      { item: 'perlite-coarse', left: 5, pricePerUnit: 0.2 },
    ]);
    expect(said(says)).toMatch(/Short for this job: .*gal of coarse perlite\. Deliveries and stock/);
    expect(said(says)).toMatch(
      /Costs €\d\.\d\d a gallon, €0\.0\d\d a cell, €\d+\.\d\d for the job, without /,
    );
    expect(said(says)).not.toMatch(/\d\s(L|mL|kg|g)\b/);
  });
});

describe('of one’s own', () => {
  test('a bag is judged by itself from its ingredients, in their order', () => {
    const form = show(BagForm);
    giveLibrary(http);
    giveShed([]);
    type(form, 'Next ingredient', 'peat-medium');
    type(form, 'Next ingredient', 'perlite-coarse');
    type(form, 'pH on the bag', '6.1');
    expect(said(form)).toMatch(/pH\s*6\.1/);
    type(form, 'Name on the bag', 'Blue');
    press(form, 'Save');
    const sent = http.expectOne('/api/materials');
    const { says, row } = sent.request.body as {
      says: string;
      row: { ph: number; madeOf: { peat: number } };
    };
    // The broken stick of two: three quarters of what stands first.
    expect([says, row.ph, row.madeOf.peat]).toEqual(['yours, by its bag', 6.1, 0.75]);
    sent.flush({ detail: 'the disk is full' }, { status: 500, statusText: 'x' });
    TestBed.tick();
    expect(said(form)).toContain('Not saved: the disk is full');
    expect(labelled(form, 'Name on the bag').value).toBe('Blue');
  });

  test('a change starts from the book and not from what tests made of it', () => {
    const book = { ...materialToRow(material('compost')), id: 'own-heap', name: 'Heap' };
    const form = show(OwnMaterial);
    http.expectOne('/api/library').flush({
      materials: [{ ...book, ph: 6.5, source: 'moved by tests', own: true }],
      ...{ amendments: [], vessels: [] },
    });
    giveShed([]);
    press(form, 'Change Heap');
    http.expectOne('/api/materials/own-heap/tests').flush({ book, misfit: null, tests: [], figures: [] });
    TestBed.tick();
    expect(said(form)).toContain(`pH ${book.ph}`);
    press(form, 'Save');
    const sent = http.expectOne('/api/materials/own-heap');
    expect([sent.request.method, (sent.request.body as { row: { ph: number } }).row.ph]).toEqual([
      'PUT',
      book.ph,
    ]);
  });

  test('a feed by elements becomes one by oxides, and more than all of it is refused', () => {
    const form = show(ProductList);
    giveLibrary(http);
    type(form, 'P and K are given as', 'elements');
    type(form, 'N, %', '10');
    type(form, 'P, %', '4.364');
    type(form, 'K, %', '8.301');
    expect(said(form)).toContain('10-10-10;');
    type(form, 'N, %', '90');
    expect(said(form)).toContain('at most 100 % is possible');
  });

  test('judged alone: what is wrong is said with its window', () => {
    const form = show(JudgedAlone, { row: materialToRow(material('compost')) });
    giveLibrary(http);
    expect(said(form)).toMatch(/pH\s*7\.\d\s*high: should be/);
  });
});
