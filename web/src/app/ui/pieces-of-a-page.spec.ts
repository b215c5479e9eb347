import { ChangeDetectionStrategy, Component, ElementRef, inject, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Fold } from './fold';
import { afterPaint } from './after-paint';
import { inTurn } from './in-turn';
import { lasting } from './lasting';
import { narrow } from './narrow';

@Component({
  selector: 'app-folded',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<details appFold #fold="appFold">
    <summary>More</summary>
    @if (fold.opened()) {
      <input />
    }
    @if (fold.open()) {
      <p>Shown</p>
    }
  </details>`,
  imports: [Fold],
})
class Folded {}

@Component({
  selector: 'app-turns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (piece of pieces; track piece) {
    @if (stands(piece)) {
      <p>{{ piece }}</p>
    }
  }`,
})
class Turns {
  readonly ready = signal(false);
  readonly pieces = ['top', 'middle', 'foot'] as const;
  /** How many stood when what the foot needs was worked out, and the page that it was for. */
  worked: [number, ElementRef] | undefined;
  readonly stands = inTurn(
    ['top', 'middle', () => (this.worked = [this.count(), inject(ElementRef)]), 'foot'],
    this.ready,
  );
  count = (): number => this.pieces.filter((piece) => this.stands(piece)).length;
}

const task = (): Promise<void> => new Promise((done) => setTimeout(done));

test('a fold is empty until it is opened, and keeps what was typed when it is closed', async () => {
  const fixture = TestBed.createComponent(Folded);
  fixture.detectChanges();
  const page = fixture.nativeElement as HTMLElement;
  const details = page.querySelector('details')!;
  const turn = (open: boolean): void => {
    details.open = open;
    details.dispatchEvent(new Event('toggle'));
    fixture.detectChanges();
  };
  expect(page.querySelector('input')).toBeNull();
  turn(true);
  page.querySelector('input')!.value = 'half a';
  expect(page.querySelector('p')).not.toBeNull();
  turn(false);
  expect(page.querySelector('p')).toBeNull();
  expect(page.querySelector('input')!.value).toBe('half a');
});

test('pieces of a page come one after another, each in a task of its own, and only once it is ready', async () => {
  const fixture = TestBed.createComponent(Turns);
  const shown = (): number => (fixture.nativeElement as HTMLElement).querySelectorAll('p').length;
  await fixture.whenStable();
  await task();
  expect(shown()).toBe(0);
  fixture.componentInstance.ready.set(true);
  const seen: number[] = [];
  for (let k = 0; k < 40 && shown() < 3; k++) {
    await task();
    if (seen.at(-1) !== shown()) seen.push(shown());
  }
  expect(seen.filter((count) => count > 0)).toEqual([1, 2, 3]);
  for (let k = 0; k < 5; k++) await task();
  const { count, worked } = fixture.componentInstance;
  expect(count()).toBe(3);
  expect(worked).toEqual([2, expect.objectContaining({ nativeElement: fixture.nativeElement })]);
});

test('pieces that are still to come do not come once the page is left', async () => {
  const fixture = TestBed.createComponent(Turns);
  fixture.componentInstance.ready.set(true);
  await fixture.whenStable();
  const { count } = fixture.componentInstance;
  fixture.destroy();
  const then = count();
  for (let k = 0; k < 10; k++) await task();
  expect(count()).toBe(then);
  expect(then).toBeLessThan(3);
});

test('a page is told when it becomes as narrow as a phone', () => {
  let heard: () => void = () => undefined;
  const asked = {
    matches: false,
    addEventListener: (_: string, hear: () => void) => (heard = hear),
    removeEventListener: jest.fn(),
  };
  // The page of unit tests has no widths of its own.
  Object.defineProperty(window, 'matchMedia', { configurable: true, value: () => asked });
  const is = TestBed.runInInjectionContext(narrow);
  expect(is()).toBe(false);
  asked.matches = true;
  heard();
  expect(is()).toBe(true);
  TestBed.resetTestingModule();
  expect(asked.removeEventListener).toHaveBeenCalled();
  Reflect.deleteProperty(window, 'matchMedia');
});

test('what was there last stays while there is nothing', () => {
  const now = signal<string | null>(null);
  const last = lasting(now);
  const seen = [null, 'nine in ten', null, '', null, 'eight'].map((value) => {
    now.set(value);
    return last();
  });
  // An empty word is something; nothing is not.
  expect(seen).toEqual([null, 'nine in ten', 'nine in ten', '', '', 'eight']);
});

test('what is a frame behind comes in the frame that it waits for, the newest of what was there', async () => {
  const now = signal<number | null>(null);
  const late = TestBed.runInInjectionContext(() => afterPaint(now));
  const frame = (): Promise<number> => new Promise((done) => requestAnimationFrame(done));
  TestBed.tick();
  await frame();
  now.set(1);
  TestBed.tick();
  // What was not there is not waited for.
  expect(late()).toBe(1);
  await frame();
  now.set(2);
  TestBed.tick();
  now.set(3);
  TestBed.tick();
  expect(late()).toBe(1);
  await frame();
  expect(late()).toBe(3);
  now.set(null);
  TestBed.tick();
  await frame();
  expect(late()).toBeNull();
});
