import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  input,
  model,
  viewChild,
} from '@angular/core';

/** Whether what is sought stands in any of some words. */
export const isSought = (sought: string, ...words: string[]): boolean =>
  sought
    .toLowerCase()
    .split(/\s+/)
    .every((part) => words.some((word) => word.toLowerCase().includes(part)));

/** At the head of a long menu: a few letters leave what is meant. */
@Component({
  selector: 'app-menu-search',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      position: sticky;
      top: -4px;
      display: block;
      padding: 4px;
      background: var(--surface);
    }
  `,
  template: `
    <input
      #box
      class="field"
      type="search"
      autocomplete="off"
      [attr.aria-label]="label()"
      [placeholder]="label()"
      [value]="sought()"
      (input)="sought.set(box.value)"
      (keydown.arrowDown)="toFirst($event)"
    />
  `,
})
export class MenuSearch {
  readonly label = input.required<string>();
  readonly sought = model.required<string>();
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  /** Down from the letters is the first that is found. */
  protected toFirst(event: Event): void {
    const menu = this.box().nativeElement.closest('.dropdown-menu');
    const first = menu?.querySelector<HTMLElement>('.dropdown-item');
    if (!first) return;
    event.preventDefault();
    event.stopPropagation();
    first.focus();
  }

  constructor() {
    // With a mouse one types at once; on a phone the keyboard would hide the menu.
    afterNextRender(() => {
      if (matchMedia('(hover: hover)').matches) this.box().nativeElement.focus();
    });
  }
}
