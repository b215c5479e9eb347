import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { type OwnMeasure } from '#core/batch/scoops';
import { MeasuresService } from '../data/measures';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { Amount } from '../ui/words/amount';
import { NumberField } from '../ui/fields/number-field';

/** The person's own measures: cards count in them. */
@Component({
  selector: 'app-measure-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="measures.all" what="your measures" />
    <ul class="rows ended">
      @for (one of measures.all.value() ?? []; track one.id) {
        <li>
          <b>{{ one.name }}</b>
          <span
            ><app-amount [of]="{ volumeL: one.litres }" /> struck
            @if (one.heapedLitres !== null) {
              , <app-amount [of]="{ volumeL: one.heapedLitres }" /> heaped
            }
          </span>
          <button type="button" class="press" (click)="putAway(one)">
            Archive<span class="visually-hidden"> {{ one.name }}</span>
          </button>
        </li>
      } @empty {
        @if (measures.all.value()) {
          <li class="term">None yet: fill yours with water from a measured jug, and enter what it holds.</li>
        }
      }
    </ul>
    <div class="fields">
      <app-text-field label="A bucket, cup or tub" [(value)]="name" />
      <app-number-field
        label="Holds, struck"
        unit="L of a measure"
        within="measureLitres"
        [(value)]="struck"
      />
      <app-number-field
        label="Heaped, if you heap it"
        unit="L of a measure"
        within="heapedLitres"
        [(value)]="heaped"
      />
      <button
        type="button"
        class="press"
        [disabled]="name().trim() === '' || struck() === undefined"
        (click)="add()"
      >
        Save
      </button>
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    .fields {
      margin-top: 12px;
    }
  `,
  imports: [Amount, FetchState, NumberField, TextField],
})
export class MeasureList {
  protected readonly measures = inject(MeasuresService);
  private readonly notices = inject(Notices);
  protected readonly name = signal('');
  protected readonly struck = signal<number | undefined>(undefined);
  protected readonly heaped = signal<number | undefined>(undefined);
  protected readonly problem = signal('');

  protected add(): void {
    const [struck, heaped] = [this.struck(), this.heaped()];
    if (struck === undefined) return;
    this.problem.set('');
    this.measures
      .add({
        name: this.name().trim(),
        litres: struck,
        heapedLitres: heaped ?? null,
      })
      .subscribe({
        next: () => {
          this.name.set('');
          this.struck.set(undefined);
          this.heaped.set(undefined);
        },
        error: (error: Error) => this.problem.set(`Not kept: ${error.message}`),
      });
  }

  protected putAway({ id, name }: OwnMeasure): void {
    this.measures.putAway(id).subscribe({
      next: () => this.notices.undoable(`${name} is archived.`, () => this.measures.restore(id)),
      error: (error: Error) => this.notices.say(error.message),
    });
  }
}
