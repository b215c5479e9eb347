import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { loudestOf } from '#core/advise/findings';
import { type KeptFlag } from '#core/judge/flag';
import { common } from '#words/en/places/common';
import { SaidPipe } from './words/said';

/** What is wrong with a mix or a batch, each subject once, where it cannot be changed. */
@Component({
  selector: 'app-loud-remarks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (flag of loud(); track flag.code) {
      <p class="remark" [class]="flag.severity">
        <b>{{ flag.severity === 'stop' ? common.stop : common.watchOut }}:</b> {{ flag.text | said }}
        @if (flag.fix === undefined) {
          {{ flag.remedy | said }}
        }
      </p>
    }
  `,
  styles: `
    .remark {
      margin: 8px 0 0;
      font-size: var(--note);
    }
  `,
  imports: [SaidPipe],
})
export class LoudRemarks {
  protected readonly common = common;
  readonly flags = input.required<readonly KeptFlag[]>();
  protected readonly loud = computed(() => loudestOf(this.flags()));
}
