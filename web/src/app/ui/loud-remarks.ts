import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { loudestOf } from '#core/advise/findings';
import { type KeptFlag } from '#core/judge/flag';
import { loudRemarks as texts } from '#words/en/places/ui/loud-remarks';
import { SaidPipe } from './words/said';
import { severityWord } from './words/verdict';

/** What is wrong with a mix or a batch, each subject once, where it cannot be changed. */
@Component({
  selector: 'app-loud-remarks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (flag of loud().slice(0, first()); track flag.code) {
      <ng-container [ngTemplateOutlet]="remark" [ngTemplateOutletContext]="{ $implicit: flag }" />
    }
    @if (loud().length > first()) {
      <details>
        <summary>{{ texts.more(loud().length - first()) }}</summary>
        @for (flag of loud().slice(first()); track flag.code) {
          <ng-container [ngTemplateOutlet]="remark" [ngTemplateOutletContext]="{ $implicit: flag }" />
        }
      </details>
    }
    <ng-template #remark let-flag>
      <p class="remark" [class]="flag.severity">
        <b>{{ word(flag.severity) }}</b> {{ flag.text | said }}
        @if (flag.fix === undefined) {
          {{ flag.remedy | said }}
        }
      </p>
    </ng-template>
  `,
  styles: `
    .remark {
      margin: 8px 0 0;
      font-size: var(--note);
    }
  `,
  imports: [NgTemplateOutlet, SaidPipe],
})
export class LoudRemarks {
  protected readonly texts = texts;
  protected readonly word = severityWord;
  readonly flags = input.required<readonly KeptFlag[]>();
  /** So many stand open; the others wait behind a line. */
  readonly first = input(Infinity);
  protected readonly loud = computed(() => loudestOf(this.flags()));
}
