import {
  ChangeDetectionStrategy,
  Component,
  effect,
  type ElementRef,
  input,
  model,
  viewChild,
} from '@angular/core';

let count = 0;

/** A short text, or a day. What is wrong with it is said beside it and what was typed stays. */
@Component({
  selector: 'app-text-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <input
      #box
      class="field"
      autocomplete="off"
      [type]="kind()"
      [id]="id"
      [attr.aria-invalid]="problem() ? true : null"
      [attr.aria-describedby]="problem() ? id + '-wrong' : null"
      (input)="value.set(box.value)"
    />
    @if (problem()) {
      <p class="wrong" [id]="id + '-wrong'" role="alert">{{ problem() }}</p>
    }
  `,
  host: { class: 'entry' },
})
export class TextField {
  readonly label = input.required<string>();
  readonly value = model.required<string>();
  readonly kind = input<'text' | 'date'>('text');
  /** What is wrong with it, in words; empty where nothing is. */
  readonly problem = input('');
  protected readonly id = `text-${++count}`;
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  constructor() {
    // Only what differs is written: a day that is half typed reads as nothing, and writing nothing would wipe it.
    effect(() => {
      const [box, value] = [this.box().nativeElement, this.value()];
      if (box.value !== value) box.value = value;
    });
  }
}
