import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Lazy } from '../data/resource';
import { fetchState as texts } from '#words/en/places/ui/fetch-state';
import { common } from '#words/en/places/common';

/** While something is fetched, and when it cannot be: the same words and the same way to try again everywhere. */
@Component({
  selector: 'app-fetch-state',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let state = of().state();
    @if (state.state === 'loading') {
      <p class="term" role="status">{{ texts.fetching(what()) }}</p>
    } @else if (state.state === 'failed') {
      <div class="failed" role="alert">
        <p class="wrong">{{ texts.couldNotLoad(what(), state.why) }}</p>
        <button type="button" class="press" (click)="of().refresh()">{{ common.tryAgain }}</button>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .failed {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: center;
      margin: 4px 0 8px;
    }
    p {
      margin: 0;
    }
  `,
})
export class FetchState {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly of = input.required<Lazy<unknown>>();
  /** "the kept recipes", "the card". */
  readonly what = input.required<string>();
}
