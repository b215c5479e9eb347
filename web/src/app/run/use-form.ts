import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { RunState, today } from './run-state';

/** What the batch was used for. */
@Component({
  selector: 'app-use-form',
  imports: [NumberField, TextField],
  template: `
    <app-text-field label="Sowing, cuttings or pots" [value]="what()" (changed)="what.set($event)" />
    <app-number-field
      label="How many"
      [value]="count()"
      within="usedCount"
      [whole]="true"
      (changed)="count.set($event)"
    />
    <button type="button" class="press" [disabled]="!ready()" (click)="enter()">Enter</button>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 96px auto;
      gap: 8px;
      align-items: end;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class UseForm {
  private readonly run = inject(RunState);
  protected readonly what = signal('');
  protected readonly count = signal<number | undefined>(undefined);
  protected readonly ready = computed(() => this.what().trim() !== '' && this.count() !== undefined);

  protected enter(): void {
    const count = this.count();
    if (!this.ready() || count === undefined) return;
    this.run.enter({ kind: 'use', what: this.what().trim(), count, on: today() });
    this.what.set('');
    this.count.set(undefined);
  }
}
