import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NumberField } from '../ui/fields/number-field';
import { DayField } from '../ui/fields/day-field';
import { TextField } from '../ui/fields/text-field';
import { TypedDay } from '../ui/fields/typed-day';
import { NurseryService } from '../data/nursery';
import { RunState } from './run-state';

/** What the batch was used for. */
@Component({
  selector: 'app-use-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-text-field label="Sowing, cuttings or pots" [(value)]="what" />
    <app-number-field label="How many" within="usedCount" [whole]="true" [(value)]="count" />
    <app-day-field label="On" [day]="day" />
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
  imports: [DayField, NumberField, TextField],
})
export class UseForm {
  private readonly run = inject(RunState);
  private readonly nursery = inject(NurseryService);
  protected readonly what = signal('');
  protected readonly count = signal<number | undefined>(undefined);
  protected readonly day = new TypedDay(this.nursery.today, true);
  protected readonly ready = computed(
    () => this.what().trim() !== '' && this.count() !== undefined && this.day.problem() === '',
  );

  protected enter(): void {
    const count = this.count();
    if (!this.ready() || count === undefined) return;
    this.run.enter({ kind: 'use', what: this.what().trim(), count, on: this.day.value() });
    this.what.set('');
    this.count.set(undefined);
    this.day.forget();
  }
}
