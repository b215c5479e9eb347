import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { type OwnMeasure } from '#core/batch/scoops';
import { MeasuresService } from '../data/measures';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { Amount } from '../ui/words/amount';
import { NumberField } from '../ui/fields/number-field';
import { measureList as texts } from '#words/en/places/shelf/measure-list';
import { common } from '#words/en/places/common';

/** The person's own measures: cards count in them. */
@Component({
  selector: 'app-measure-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="measures.all" [what]="texts.yourMeasures" />
    <ul class="rows ended">
      @for (measure of measures.all.value() ?? []; track measure.id) {
        <li>
          <b>{{ measure.name }}</b>
          <span
            ><app-amount [of]="{ volumeL: measure.litres }" /> {{ texts.struck }}
            @if (measure.heapedLitres !== null) {
              , <app-amount [of]="{ volumeL: measure.heapedLitres }" /> {{ texts.heaped }}
            }
          </span>
          <button type="button" class="press" (click)="putAway(measure)">
            {{ common.archive }}<span class="visually-hidden"> {{ measure.name }}</span>
          </button>
        </li>
      } @empty {
        @if (measures.all.value()) {
          <li class="term">{{ texts.noneYetFillYoursWith }}</li>
        }
      }
    </ul>
    <div class="fields">
      <app-text-field [label]="texts.aBucketCupOrTub" [(value)]="name" />
      <app-number-field
        [label]="texts.holdsStruck"
        unit="measureL"
        within="measureLitres"
        [(value)]="struck"
      />
      <app-number-field
        [label]="texts.heapedIfYouHeapIt"
        unit="measureL"
        within="heapedLitres"
        [(value)]="heaped"
      />
      <button
        type="button"
        class="press"
        [disabled]="name().trim() === '' || struck() === undefined"
        (click)="add()"
      >
        {{ common.save }}
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
  protected readonly texts = texts;
  protected readonly common = common;
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
        error: (error: Error) => this.problem.set(texts.notKept(error.message)),
      });
  }

  protected putAway({ id, name }: OwnMeasure): void {
    this.measures.putAway(id).subscribe({
      next: () => this.notices.undoable(texts.isArchived(name), () => this.measures.restore(id)),
      error: (error: Error) => this.notices.say(error.message),
    });
  }
}
