import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { takeOut as texts } from '#words/en/places/mix/take-out';

/** Takes a row out of the recipe. */
@Component({
  selector: 'app-take-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .press {
      width: 36px;
    }
    @media (max-width: 600px) {
      .press {
        width: 44px;
      }
    }
  `,
  template: `
    <button
      type="button"
      class="press square quiet"
      [attr.aria-label]="texts.remove + name()"
      (click)="pressed.emit()"
    >
      <i class="bi bi-x-lg" aria-hidden="true"></i>
    </button>
  `,
})
export class TakeOut {
  protected readonly texts = texts;
  readonly name = input.required<string>();
  readonly pressed = output();
}
