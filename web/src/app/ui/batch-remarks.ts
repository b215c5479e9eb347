import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { batchRemarks as texts } from '#words/en/places/ui/batch-remarks';
import { LoudRemarks } from './loud-remarks';
import { SaidPipe } from './words/said';
import { WrittenPipe } from './words/written';

/** What a batch was told on its day: each subject once, whether it was made all the same, and what was known to work. */
@Component({
  selector: 'app-batch-remarks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-loud-remarks [flags]="snapshot().flags" [first]="first()" />
    @if (snapshot().anyway) {
      <p class="remark stop">
        <b>{{ texts.madeAnyway }}</b>
      </p>
    }
    @for (flag of snapshot().known; track flag.code) {
      <p class="remark">
        {{ flag.text | said }} <b>{{ texts.knownHere(flag.why, flag.on | written: 'full') }}</b>
      </p>
    }
  `,
  styles: `
    .remark {
      margin: 8px 0 0;
      font-size: var(--note);
    }
  `,
  imports: [LoudRemarks, SaidPipe, WrittenPipe],
})
export class BatchRemarks {
  protected readonly texts = texts;
  /** As many as stand open of what it was told. */
  readonly first = input(Infinity);
  readonly snapshot = input.required<Pick<BatchSnapshot, 'flags' | 'anyway' | 'known'>>();
}
