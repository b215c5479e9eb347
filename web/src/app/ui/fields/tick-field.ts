import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';

/** A box to tick, with its words beside it. */
@Component({
  selector: 'app-tick-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label>
      <input
        #box
        type="checkbox"
        [checked]="checked()"
        [disabled]="disabled()"
        [attr.aria-label]="says() || null"
        (change)="checked.set(box.checked)"
      />
      <ng-content />
    </label>
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 44px;
      color: var(--ink);
      font-size: inherit;
      cursor: pointer;
    }
    input {
      flex: none;
      width: 20px;
      height: 20px;
      accent-color: var(--ink);
    }
  `,
})
export class TickField {
  readonly checked = model.required<boolean>();
  readonly disabled = input(false);
  /** Its name for those who do not see where it stands. */
  readonly says = input('');
}
