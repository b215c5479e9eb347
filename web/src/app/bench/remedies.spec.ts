import { TestBed } from '@angular/core/testing';
import { type Flag } from '#core/judge/flag';
import { sketch } from '#core/recipe/sketch';
import { bench, giveLibrary } from '#testing/page';
import { Notices } from '../data/notices';
import { metric } from '#testing/readers';
import { formatsFor } from '#words/formats';
import { fixWords } from '../ui/words/fix-words';
import { RecipeStore } from './recipe-store';
import { Remedies } from './remedies';

let store: RecipeStore;
let remedies: Remedies;
beforeEach(() => {
  jest.useFakeTimers();
  const http = bench();
  store = TestBed.inject(RecipeStore);
  remedies = TestBed.inject(Remedies);
  giveLibrary(http);
});
afterEach(() => jest.useRealTimers());

const flags = (): readonly Flag[] => {
  const outcome = store.outcome();
  if (outcome.state !== 'computed') throw new Error(outcome.state);
  return outcome.judgement.flags;
};
const flag = (code: string): Flag => flags().find((f) => f.code === code)!;
const lay = (recipe: ReturnType<typeof sketch>): void => {
  store.startWith(recipe);
  TestBed.tick();
};
const sour = sketch('germination', 'cell-72', { 'peat-fine': 4, 'perlite-coarse': 2 });

test('what a press would do is known once the hand rests, and not while it moves', () => {
  lay(sour);
  expect(remedies.all()).toBeNull();
  jest.advanceTimersByTime(200);
  const remedy = remedies.all()!.get('lime-underdose')!;
  const words = fixWords(remedy.fix, store.library()!, formatsFor(metric));
  expect(words).toBe('ground dolomitic limestone to pH 5.8');
  store.patch({ compactionPct: 5 }, 'firm');
  // With the picture, a frame later.
  jest.advanceTimersByTime(17);
  expect(remedies.all()).toBeNull();
});

test('the press puts it right, says what it changed, and can be undone', () => {
  lay(sour);
  remedies.press(flag('lime-underdose'));
  expect(flags().map((f) => f.code)).not.toContain('lime-underdose');
  const notice = TestBed.inject(Notices).current()!;
  expect(notice.text).toMatch(/^Done: .*pH 3\.\d → 5\.8/);
  TestBed.inject(Notices).undo();
  expect(store.recipe()).toEqual(sour);
});

test('where no press helps it says so and changes nothing', () => {
  lay(sour);
  const before = store.recipe();
  remedies.press({ ...flag('lime-underdose'), fix: { kind: 'vessel', vessel: 'cell-288' } });
  expect(store.recipe()).toBe(before);
  expect(TestBed.inject(Notices).current()!.text).toContain('No single press');
});

test.each([
  [{ kind: 'noLime' } as const, 'no lime'],
  [{ kind: 'dropAmendment', amendment: 'blood-meal' } as const, 'without blood meal'],
  [{ kind: 'dose', amendment: 'gypsum', gPerL: 1.5 } as const, '1.50\u00a0g/L of gypsum'],
  [{ kind: 'addPart', material: 'perlite-fine' } as const, '1 part more of fine perlite'],
  [{ kind: 'addPart', material: 'perlite-fine', parts: 3 } as const, '3 parts more of fine perlite'],
  [{ kind: 'vessel', vessel: 'pot-9' } as const, 'into the 9 cm pot'],
  [
    { kind: 'swapMaterial', from: 'peat-coarse', to: 'peat-fine' } as const,
    'fine sphagnum peat in place of coarse sphagnum peat',
  ],
])('%j reads "%s"', (fix, words) => {
  expect(fixWords(fix, store.library()!, formatsFor(metric))).toBe(words);
});
