import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { startOf } from '#core/plants/planting';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { PlantsService } from '../data/plants';
import { SeasonService } from '../data/season';
import { ChoiceField } from '../ui/fields/choice-field';
import { DayField } from '../ui/fields/day-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { TypedDay } from '../ui/fields/typed-day';
import { RunState } from './run-state';
import { useForm as texts } from '#words/en/places/run/use-form';
import { common } from '#words/en/places/common';

/** What the batch was used for: so many vessels, of which lot of empty ones; the tub counts down. */
@Component({
  selector: 'app-use-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-text-field [label]="texts.sowingCuttingsOrPots" [(value)]="what" />
    <app-number-field [label]="common.howMany" within="usedCount" [whole]="true" [(value)]="count" />
    <app-choice-field [label]="texts.cellsBlocksOrPotsOf" [choices]="vessels()" [(value)]="vessel" />
    <app-day-field [label]="common.on" [day]="day" />
    @if (empties().length > 0) {
      <app-choice-field
        [label]="texts.emptyOnesFrom"
        [none]="common.notTold"
        [choices]="empties()"
        [(value)]="lot"
      />
    }
    <app-tick-field class="whole" [(checked)]="follow">{{ texts.followThem }}</app-tick-field>
    @if (follow()) {
      <app-choice-field [label]="common.crop" [none]="common.notTold" [choices]="crops()" [(value)]="crop" />
    }
    <button type="button" class="press" [disabled]="!ready()" (click)="enter()">{{ texts.enter }}</button>
    @if (problem()) {
      <p class="wrong whole" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 120px;
      gap: 8px 12px;
      align-items: end;
    }
    .whole {
      grid-column: 1 / -1;
    }
  `,
  imports: [ChoiceField, DayField, NumberField, TextField, TickField],
})
export class UseForm {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly run = inject(RunState);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly lots = inject(LotsService);
  private readonly plants = inject(PlantsService);
  private readonly season = inject(SeasonService);
  protected readonly what = signal('');
  protected readonly count = signal<number | undefined>(undefined);
  protected readonly day = new TypedDay(this.nursery.today, true);
  protected readonly vessel = linkedSignal<string | null>(() => this.run.snapshot()?.vessel.id ?? null);
  protected readonly lot = signal<string | null>(null);
  protected readonly vessels = computed(() => {
    const own = this.run.snapshot()?.vessel;
    const all = [...(this.library()?.vessels.values() ?? [])];
    return [...(own ? [own] : []), ...all.filter(({ id }) => id !== own?.id)].map(({ id, name }) => ({
      id,
      name,
    }));
  });
  protected readonly empties = computed(() =>
    this.lots
      .of(this.vessel() ?? '')
      .filter(({ kind }) => kind === 'vessel')
      .map(({ id, name }) => ({ id: String(id), name })),
  );
  /** Followed under Plants, or only filled. */
  protected readonly follow = signal(false);
  protected readonly crop = signal<string | null>(null);
  protected readonly problem = signal('');
  protected readonly crops = computed(() =>
    (this.season.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );
  protected readonly ready = computed(
    () =>
      (this.what().trim() !== '' || this.follow()) &&
      (!this.follow() || (this.crop() && this.vessel())) &&
      this.count() !== undefined &&
      this.day.problem() === '',
  );

  protected enter(): void {
    const [count, vessel, lot] = [this.count(), this.vessel(), this.lot()];
    if (!this.ready() || count === undefined) return;
    if (this.follow()) return this.plant(count);
    this.run.enter({
      ...{ kind: 'use', what: this.what().trim(), count, on: this.day.value() },
      ...(vessel && { vessel }),
      ...(lot && this.empties().some(({ id }) => id === lot) && { lot: Number(lot) }),
    });
    this.clear();
  }

  /** The same act, followed: the planting is the filling. */
  private plant(count: number): void {
    const batch = this.run.batch();
    const [crop, vessel] = [this.crop(), this.vessel()];
    if (!batch || !crop || !vessel) return;
    const name = this.what().trim().slice(0, 60);
    const given = {
      ...{ start: startOf(batch.snapshot.recipe.stage), crop, name, vessel, cells: count },
      ...{ batch: batch.id, on: this.day.value() },
    };
    const about = [{ kind: 'batch' as const, id: batch.id, key: batch.key }];
    this.problem.set('');
    this.plants.add(given, name || crop, about).subscribe({
      next: () => this.clear(),
      error: (error: Error) => this.problem.set(error.message),
    });
  }

  private clear(): void {
    this.what.set('');
    this.count.set(undefined);
    this.day.forget();
  }
}
