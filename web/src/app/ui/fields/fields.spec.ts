import { Component, signal, type WritableSignal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { Units } from '../../data/units';
import { ChoiceField } from './choice-field';
import { NumberField } from './number-field';
import { Stepper } from './stepper';

@Component({
  imports: [NumberField, Stepper],
  template: `
    <app-number-field
      label="pH"
      [value]="ph()"
      within="measuredPh"
      [whole]="whole()"
      (valueChange)="heard.push($event); ph.set($event)"
    />
    <app-stepper
      label="Parts"
      [value]="parts()"
      [within]="[0.5, 12]"
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

@Component({
  imports: [NumberField, Stepper],
  template: `
    <app-number-field
      label="Tub"
      within="tubLitres"
      unit="L"
      [value]="37.85411784"
      (valueChange)="kept.push($event!)"
    />
    <app-stepper
      label="Tub"
      within="tubLitres"
      [value]="37.85411784"
      [per]="3.785411784"
      (changed)="kept.push($event)"
    />
  `,
})
class Gallons {
  readonly kept: number[] = [];
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

@Component({
  imports: [ChoiceField],
  template: `<app-choice-field label="Mix" [none]="none()" [choices]="choices()" [(value)]="value" />`,
})
class Choosing {
  readonly none = signal<string | null>(null);
  readonly choices = signal([
    { id: '1', name: 'Cells' },
    { id: '2', name: 'Pots' },
  ]);
  readonly value = signal<string | null>('2');
}

describe('one of a list', () => {
  const stands = (set: (host: Choosing) => void): string => {
    const fixture = TestBed.createComponent(Choosing);
    set(fixture.componentInstance);
    fixture.detectChanges();
    const box = (fixture.nativeElement as HTMLElement).querySelector('select')!;
    return box.selectedOptions[0]?.textContent?.trim() ?? '';
  };

  test.each([
    ['what is chosen', 'Pots', () => undefined],
    ['that something is to be chosen', 'choose', (host: Choosing) => host.value.set(null)],
    ['that it is not on the list', 'a choice from this list', (host: Choosing) => host.value.set('3')],
    [
      'the same where none may be chosen',
      'a choice from this list',
      (host: Choosing) => {
        host.none.set('none');
        host.value.set('3');
      },
    ],
    [
      'none',
      'none',
      (host: Choosing) => {
        host.none.set('none');
        host.value.set('');
      },
    ],
    ['nothing while the list is on its way', '', (host: Choosing) => host.choices.set([])],
  ])('it shows %s', (_, shown, set) => {
    expect(stands(set)).toBe(shown);
  });

  test('what is not on the list stays until another is chosen, and is gone then', () => {
    const fixture = TestBed.createComponent(Choosing);
    const host = fixture.componentInstance;
    host.value.set('3');
    fixture.detectChanges();
    const box = (fixture.nativeElement as HTMLElement).querySelector('select')!;
    expect(host.value()).toBe('3');
    box.value = '1';
    box.dispatchEvent(new Event('change'));
    fixture.detectChanges();
    expect(host.value()).toBe('1');
    expect([...box.options].map((option) => option.textContent?.trim())).toEqual(['Cells', 'Pots']);
  });
});

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

describe('a number shown in another unit than it is kept in', () => {
  const gallons = 3.785411784;
  const host = (): { kept: number[]; field: HTMLInputElement; step: HTMLInputElement } => {
    TestBed.inject(Units).use('us');
    const other = TestBed.createComponent(Gallons);
    TestBed.tick();
    const of = (name: string): HTMLInputElement =>
      (other.nativeElement as HTMLElement).querySelector(`${name} input`)!;
    return { kept: other.componentInstance.kept, field: of('app-number-field'), step: of('app-stepper') };
  };

  test('reads in its own, gives back what is kept, and holds the ends of the range', () => {
    const { kept, field, step } = host();
    expect([field.value, step.value]).toEqual(['10', '10']);
    for (const each of [field, step]) {
      each.value = '2';
      each.dispatchEvent(new Event('input'));
    }
    expect(kept[0]).toBeCloseTo(2 * gallons, 9);
    expect(kept[1]).toBeCloseTo(2 * gallons, 9);
    // As it is said at the bench, in another measure than the field's: 5 ⅛ cups of 231/16 in³.
    field.value = '5 cups + 2 tbsp';
    field.dispatchEvent(new Event('input'));
    expect(kept.pop()).toBeCloseTo((5.125 / 16) * gallons, 9);
    // 5000 L read as 1320 gal: what is shown as the most can be typed, and is kept as the most.
    field.value = '1320';
    field.dispatchEvent(new Event('input'));
    expect(kept[2]).toBeCloseTo(1320 * gallons, 6);
    field.value = '1400';
    field.dispatchEvent(new Event('input'));
    TestBed.tick();
    expect(kept).toHaveLength(3);
    expect(field.parentElement!.textContent).toContain('must be a number from 0.264 to 1320');
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
