import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { type CropStep } from '#core/season/crop';
import { LibraryService } from '../data/library';
import { MixesService } from '../data/mixes';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { stepsForm as texts } from '#words/en/places/season/steps-form';

const stages = [
  { id: 'germination', name: texts.toComeUp },
  { id: 'rooting', name: texts.toRoot },
  { id: 'seedling', name: texts.toGrowOn },
  { id: 'potting', name: texts.toPlantingSize },
] as const;

/** The path of vessels, from the first to the last, each with its weeks, its loss and its mix. */
@Component({
  selector: 'app-steps-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol class="plain">
      @for (step of steps(); track $index; let i = $index) {
        <li>
          <app-choice-field
            [label]="i === 0 ? texts.firstIn : texts.thenIn"
            [choices]="vessels()"
            [value]="step.vessel"
            (valueChange)="set(i, { vessel: $event ?? step.vessel })"
          />
          <app-number-list [asked]="asked" [values]="step" (typed)="typed(i, $event)" />
          @if (steps().length > 1) {
            <button type="button" class="press square" (click)="drop(i)">
              <i class="bi bi-x-lg" aria-hidden="true"></i
              ><span class="visually-hidden">{{ texts.removeStep(i + 1) }}</span>
            </button>
          } @else {
            <span></span>
          }
          <app-choice-field
            class="mix"
            [label]="texts.itsMix"
            [none]="texts.theApproachsOwn"
            [choices]="mixes()"
            [value]="step.mix === undefined ? null : '' + step.mix"
            (valueChange)="setMix(i, $event)"
          />
          <app-choice-field
            class="stage"
            [label]="texts.forIt"
            [choices]="stages"
            [value]="step.stage"
            (valueChange)="setStage(i, $event)"
          />
        </li>
      }
    </ol>
    @if (steps().length < 10) {
      <button type="button" class="press" (click)="add()">{{ texts.anotherPotUp }}</button>
    }
  `,
  styles: `
    li {
      display: grid;
      grid-template-columns: 1.6fr repeat(3, 1fr) 44px;
      gap: 8px 12px;
      align-items: end;
      margin-bottom: 10px;
      padding-bottom: 10px;
      border-bottom: 1px solid var(--hairline);
    }
    .mix,
    .stage {
      grid-column: span 2;
    }
    @media (max-width: 600px) {
      li {
        grid-template-columns: repeat(3, minmax(0, 1fr)) 44px;
      }
      li > :first-child,
      .mix,
      .stage {
        grid-column: 1 / -1;
      }
    }
  `,
  imports: [ChoiceField, NumberList],
})
export class StepsForm {
  protected readonly texts = texts;
  readonly steps = model.required<readonly CropStep[]>();
  /** What a further pot-up begins in. */
  readonly next = input('pot-9');
  private readonly library = inject(LibraryService).library;
  private readonly kept = inject(MixesService).all;
  protected readonly stages = stages;
  protected readonly asked: Asked<'weeks' | 'lossPct' | 'mostWeeks'>[] = [
    { name: 'weeks', label: texts.weeks, within: 'stepWeeks' },
    { name: 'lossPct', label: texts.lost, within: 'lossPct' },
    { name: 'mostWeeks', label: texts.weeksAtMost, within: 'stepWeeks' },
  ];
  protected readonly vessels = computed(() =>
    [...(this.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );
  protected readonly mixes = computed(() =>
    (this.kept.value() ?? []).map(({ mixId, name }) => ({ id: String(mixId), name })),
  );

  protected set(index: number, change: Partial<CropStep>): void {
    this.steps.update((steps) => steps.map((step, i) => (i === index ? { ...step, ...change } : step)));
  }

  protected typed(
    index: number,
    [name, value]: ['weeks' | 'lossPct' | 'mostWeeks', number | undefined],
  ): void {
    // Weeks and loss cannot be left out: what stood there stands until another number is typed.
    if (value === undefined && name !== 'mostWeeks') return;
    this.set(index, { [name]: value });
  }

  protected setMix(index: number, id: string | null): void {
    this.set(index, { mix: id ? Number(id) : undefined });
  }

  protected setStage(index: number, id: string | null): void {
    const stage = stages.find((each) => each.id === id)?.id;
    if (stage) this.set(index, { stage });
  }

  protected add(): void {
    this.steps.update((steps) => [...steps, { vessel: this.next(), stage: 'potting', weeks: 3, lossPct: 3 }]);
  }

  protected drop(index: number): void {
    this.steps.update((steps) => steps.filter((_, i) => i !== index));
  }
}
