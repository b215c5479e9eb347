import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type Arm } from '#core/plants/verdict';
import { type CountedShare } from '#core/stats/compare';
import { shareRulers as texts } from '#words/en/places/plants/share-rulers';
import { TitlePipe } from '../ui/words/title';

/** Shares with their intervals, one under the other on one scale. */
@Component({
  selector: 'app-share-rulers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (arm of arms(); track $index) {
      @if (shares()[$index]; as share) {
        <div class="row">
          <span
            ><b>{{ arm.name | title }}</b> <span class="term">{{ texts.ofIt(arm.alive, arm.of) }}</span></span
          >
          <svg viewBox="0 0 200 24" preserveAspectRatio="none" aria-hidden="true">
            <path d="M0 12H200" stroke="var(--hairline)" stroke-width="2" />
            <rect
              [attr.x]="200 * share.low"
              y="6"
              [attr.width]="200 * (share.high - share.low)"
              height="12"
              fill="var(--window)"
              stroke="var(--window-edge)"
            />
            <rect [attr.x]="200 * share.share - 1.5" y="2" width="3" height="20" fill="var(--ink)" />
          </svg>
          <span class="figure"
            >{{ pct(share.share) }}
            <span class="term">{{ texts.to(pct(share.low), pct(share.high)) }}</span></span
          >
        </div>
      }
    }
  `,
  styles: `
    .row {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) 150px;
      gap: 4px 16px;
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--hairline);
    }
    svg {
      width: 100%;
      height: 24px;
    }
    .figure {
      font-weight: 650;
    }
    @media (max-width: 600px) {
      .row {
        grid-template-columns: minmax(0, 1fr) auto;
      }
      svg {
        grid-row: 2;
        grid-column: 1 / -1;
      }
    }
  `,
  imports: [TitlePipe],
})
export class ShareRulers {
  protected readonly texts = texts;
  readonly arms = input.required<readonly Arm[]>();
  readonly shares = input.required<readonly CountedShare[]>();

  protected pct(share: number): string {
    return `${Math.round(100 * share)} %`;
  }
}
