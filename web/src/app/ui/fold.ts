import { Directive, signal } from '@angular/core';

/**
 * A fold whose content is made when it is first opened, and then stays with what was typed:
 * `<details appFold #fold="appFold"><summary>…</summary>@if (fold.opened()) {…}</details>`.
 */
@Directive({
  selector: 'details[appFold]',
  exportAs: 'appFold',
  host: { '(toggle)': 'toggled($event)' },
})
export class Fold {
  private readonly now = signal(false);
  private readonly ever = signal(false);
  /** Whether it stands open: for what is only shown. */
  readonly open = this.now.asReadonly();
  /** Whether it was ever opened: for what is typed in. */
  readonly opened = this.ever.asReadonly();

  protected toggled({ target }: Event): void {
    const { open } = target as HTMLDetailsElement;
    this.now.set(open);
    if (open) this.ever.set(true);
  }
}
