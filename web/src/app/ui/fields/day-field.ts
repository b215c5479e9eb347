import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { TextField } from './text-field';
import { type TypedDay } from './typed-day';

/** A day, today's until another is typed. */
@Component({
  selector: 'app-day-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-text-field kind="date" [label]="label()" [problem]="day().problem()" [(value)]="day().text" />
  `,
  imports: [TextField],
})
export class DayField {
  readonly label = input.required<string>();
  readonly day = input.required<TypedDay>();
}
