import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type OwnMeasure } from '#core/batch/scoops';
import { litresIn } from '#core/units/factors';
import { MeasuresService } from '../data/measures';
import { Notices } from '../data/notices';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { Amount } from '../ui/words/amount';
import { NumberField } from '../ui/fields/number-field';

/** The person's own measures: cards count in them. */
@Component({
  selector: 'app-measure-list',
  imports: [Amount, FetchState, NumberField, TextField],
  template: `
    <app-fetch-state [of]="measures.all" what="your measures" />
    <ul class="rows">
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
            Put away<span class="visually-hidden"> {{ one.name }}</span>
          </button>
        </li>
      } @empty {
        @if (measures.all.value()) {
          <li class="term">None yet: fill yours with water from a measured jug, and enter what it holds.</li>
        }
      }
    </ul>
    <div class="fields">
      <app-text-field label="A bucket, cup or tub" [value]="name()" (changed)="name.set($event)" />
      <app-number-field
        [label]="'Holds, struck, ' + per().unit"
        [value]="struck()"
        [per]="per().litres"
        within="measureLitres"
        (changed)="struck.set($event)"
      />
      <app-number-field
        [label]="'Heaped, ' + per().unit + ' (if you heap it)'"
        [value]="heaped()"
        [per]="per().litres"
        within="heapedLitres"
        (changed)="heaped.set($event)"
      />
      <button
        type="button"
        class="press"
        [disabled]="name().trim() === '' || struck() === undefined"
        (click)="add()"
      >
        Keep it
      </button>
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 18px;
      align-items: center;
    }
    li .press {
      margin-left: auto;
    }
    .fields {
      margin-top: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MeasureList {
  protected readonly measures = inject(MeasuresService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly name = signal('');
  protected readonly struck = signal<number | undefined>(undefined);
  protected readonly heaped = signal<number | undefined>(undefined);
  protected readonly problem = signal('');
  protected readonly per = computed(() =>
    this.units.system() === 'metric' ? { unit: 'L', litres: 1 } : { unit: 'quarts', litres: litresIn.quart },
  );

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
      next: () => this.notices.say(`${name} is put away.`, () => this.measures.restore(id).subscribe()),
      error: (error: Error) => this.notices.say(error.message),
    });
  }
}
