import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { NumberField } from './number-field';
import { type Within } from './number-text';

/** A number that a form asks for. */
export interface Asked<Name extends string> {
  name: Name;
  label: string;
  /** What it is kept in; see NumberField. */
  unit?: string;
  within: Within;
  whole?: boolean;
}

/** Several numbers of one form, each kept under its name. */
@Component({
  selector: 'app-number-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (each of asked(); track each.name) {
      <app-number-field
        [label]="each.label"
        [unit]="each.unit ?? ''"
        [within]="each.within"
        [whole]="each.whole ?? false"
        [value]="values()[each.name]"
        (valueChange)="typed.emit([each.name, $event])"
      />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
  imports: [NumberField],
})
export class NumberList<Name extends string> {
  readonly asked = input.required<readonly Asked<Name>[]>();
  readonly values = input.required<Readonly<Partial<Record<Name, number | undefined>>>>();
  /** Which one, and what it is now; undefined when it was emptied. */
  readonly typed = output<[name: Name, value: number | undefined]>();
}
