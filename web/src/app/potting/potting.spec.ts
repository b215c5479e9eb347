import { type HttpTestingController } from '@angular/common/http/testing';
import { bench, giveLibrary, said, show, type } from '#testing/page';
import { usualKeeping } from '#core/weeks/usual-keeping';
import { PottingService } from '../data/potting-choice';
import { TestBed } from '@angular/core/testing';
import { PottingPage } from './potting-page';

let http: HttpTestingController;
beforeEach(() => {
  http = bench();
});
const open = () => {
  const page = show(PottingPage);
  giveLibrary(http);
  TestBed.tick();
  return page;
};
const headline = (words: string): [after: number, before: number] => {
  const found = /old ball has (\d+)\s%.* it had (\d+)\s%/.exec(words);
  return [Number(found?.[1]), Number(found?.[2])];
};

test('a plug stands freer in a pot, less so when it is set deeper, and says what goes under and around it', () => {
  const page = open();
  const [after, before] = headline(said(page));
  expect(after).toBeGreaterThan(before + 3);
  expect(said(page)).toMatch(/Fill [\d.]+\smL into each pot: 23 mm deep/);
  type(page, 'Set deeper than before by, mm', '20');
  const [deeper] = headline(said(page));
  expect(deeper).toBeLessThan(after);
  type(page, 'Set deeper than before by, mm', '40');
  expect(said(page)).toContain('at most 23 mm in this pot');
});

test('a dry ball is soaked first, fine in coarse is said, and a pot too small is refused by name', () => {
  const page = open();
  const choice = TestBed.inject(PottingService);
  choice.patch({ dry: 'wilting', potMix: 'starter-rooting' });
  TestBed.tick();
  page.detectChanges();
  expect(said(page)).toMatch(/Soak the old balls first.*water runs around it/);
  expect(said(page)).toContain('Fine in coarse');
  choice.patch({ pot: 'cell-288' });
  page.detectChanges();
  expect(said(page)).toMatch(/Not possible: .*at least 52 mm deep/);
});

test('a top dressing has its grams, its day and its caution; where the mix lasts there is none', () => {
  const page = open();
  const choice = TestBed.inject(PottingService);
  choice.patch({ dressing: 'blood-meal', potMix: 'starter-germination' });
  TestBed.tick();
  // No day is told before it is known how the nursery keeps.
  expect(said(page)).not.toContain('Blood meal:');
  for (const asked of http.match('/api/keeping'))
    asked.flush({ usual: usualKeeping, isSet: false, mixes: {} });
  for (const asked of http.match('/api/waters')) asked.flush([]);
  TestBed.tick();
  expect(said(page)).toContain('Kept as usual: bright');
  expect(said(page)).toMatch(
    /Blood meal: [\d.]+\sm?g a pot (at potting|about day \d+ after potting, when Today calls)/,
  );
  choice.patch({ dressing: null });
  TestBed.tick();
  expect(said(page)).not.toContain('scattered clear of the stem');
});
