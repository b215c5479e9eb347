import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/** One of a few, side by side. */
@Component({
  selector: 'app-segments',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="segments" role="group" [attr.aria-label]="label()">
      @for (choice of choices(); track choice.id) {
        <button type="button" [attr.aria-pressed]="value() === choice.id" (click)="value.set(choice.id)">
          {{ choice.name }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      margin: 8px 0;
    }
    .segments {
      width: fit-content;
      max-width: 100%;
      overflow-x: auto;
    }
  `,
})
export class Segments<Id extends string> {
  readonly label = input.required<string>();
  readonly choices = input.required<readonly { id: Id; name: string }[]>();
  readonly value = model.required<Id>();
}
