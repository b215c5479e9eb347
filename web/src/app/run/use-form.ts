import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { isValid, parseISO } from 'date-fns';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { NurseryService } from '../data/nursery';
import { RunState } from './run-state';

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
    <app-text-field
      label="On"
      kind="date"
      [value]="on()"
      [problem]="dayProblem()"
      (changed)="day.set($event)"
    />
    <button type="button" class="press" [disabled]="!ready()" (click)="enter()">Enter</button>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 96px;
      gap: 8px 12px;
      align-items: end;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class UseForm {
  private readonly run = inject(RunState);
  private readonly nursery = inject(NurseryService);
  protected readonly what = signal('');
  protected readonly count = signal<number | undefined>(undefined);
  /** The day as it was typed; today's until then. */
  protected readonly day = signal<string | null>(null);
  protected readonly on = computed(() => this.day() ?? this.nursery.today());
  protected readonly dayProblem = computed(() => {
    if (!isValid(parseISO(this.on()))) return 'The day must be a date';
    return this.on() > this.nursery.today() ? 'The day must not be later than today' : '';
  });
  protected readonly ready = computed(
    () => this.what().trim() !== '' && this.count() !== undefined && this.dayProblem() === '',
  );

  protected enter(): void {
    const count = this.count();
    if (!this.ready() || count === undefined) return;
    this.run.enter({ kind: 'use', what: this.what().trim(), count, on: this.on() });
    this.what.set('');
    this.count.set(undefined);
    this.day.set(null);
  }
}
