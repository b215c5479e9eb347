import { Component, signal, type WritableSignal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { NumberField } from './number-field';
import { Stepper } from './stepper';

@Component({
  imports: [NumberField, Stepper],
  template: `
    <app-number-field
      label="pH"
      [value]="ph()"
      [min]="2.5"
      [max]="11"
      [whole]="whole()"
      (changed)="heard.push($event); ph.set($event)"
    />
    <app-stepper
      label="Parts"
      [value]="parts()"
      [min]="0.5"
      [max]="12"
      [step]="0.5"
      (changed)="parts.set($event)"
    />
  `,
})
class Host {
  readonly ph: WritableSignal<number | undefined> = signal(6);
  readonly whole = signal(false);
  readonly parts = signal(4);
  readonly heard: (number | undefined)[] = [];
}

let fixture: ComponentFixture<Host>;
beforeEach(() => {
  fixture = TestBed.createComponent(Host);
  TestBed.tick();
});
const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
const input = (of: string): HTMLInputElement => page().querySelector(`${of} input`)!;
const alert = (): string => page().querySelector('[role=alert]')?.textContent.trim() ?? '';
function type(of: string, text: string): void {
  input(of).value = text;
  input(of).dispatchEvent(new Event('input'));
  TestBed.tick();
}

describe('a number that may be left empty', () => {
  test.each(['19', '-1', 'sour', '1e99', '.'])('%s stays as typed, is told, and is not passed on', (bad) => {
    type('app-number-field', bad);
    expect(input('app-number-field').value).toBe(bad);
    expect(alert()).toBe('pH: must be a number from 2.5 to 11');
    expect(input('app-number-field').getAttribute('aria-invalid')).toBe('true');
    expect(fixture.componentInstance.heard).toEqual([]);
  });

  test('a comma will do; empty is told on as nothing', () => {
    type('app-number-field', '5,8');
    type('app-number-field', '');
    expect(fixture.componentInstance.heard).toEqual([5.8, undefined]);
    expect(alert()).toBe('');
  });

  test('what is typed stands although the value comes back; another value replaces it', () => {
    type('app-number-field', '5.80');
    expect(input('app-number-field').value).toBe('5.80');
    fixture.componentInstance.ph.set(7.123456);
    TestBed.tick();
    expect(input('app-number-field').value).toBe('7.123');
  });

  test('whole numbers where they are asked', () => {
    fixture.componentInstance.whole.set(true);
    type('app-number-field', '5.5');
    expect(alert()).toBe('pH: must be a whole number from 2.5 to 11');
  });
});

describe('a stepper', () => {
  const press = (which: 'first' | 'last'): void => {
    const buttons = page().querySelectorAll<HTMLButtonElement>('app-stepper button');
    (which === 'first' ? buttons[0]! : buttons[buttons.length - 1]!).click();
    TestBed.tick();
  };
  const key = (name: string): void => {
    input('app-stepper').dispatchEvent(new KeyboardEvent('keydown', { key: name }));
    TestBed.tick();
  };

  test('steps to whole steps, by button and by key, and stops at its ends', () => {
    const { parts } = fixture.componentInstance;
    press('last');
    expect(parts()).toBe(4.5);
    key('ArrowDown');
    expect(parts()).toBe(4);
    type('app-stepper', '4.3');
    press('last');
    expect(parts()).toBe(4.5);
    type('app-stepper', '4.3');
    press('first');
    expect(parts()).toBe(4);
    type('app-stepper', '12');
    expect(page().querySelector<HTMLButtonElement>('app-stepper button:last-of-type')!.disabled).toBe(true);
  });

  test.each(['0', '13', 'two', ''])('"%s" is kept as typed, told, and changes nothing', (bad) => {
    type('app-stepper', bad);
    input('app-stepper').dispatchEvent(new Event('blur'));
    TestBed.tick();
    expect(input('app-stepper').value).toBe(bad);
    expect(alert()).toBe('Parts: must be a number from 0.5 to 12');
    expect(fixture.componentInstance.parts()).toBe(4);
  });
});
