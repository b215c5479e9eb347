import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const [WIDTH, HEIGHT] = [34, 38];

/** How full a bin is: its level drawn, empty where nobody knows. */
@Component({
  selector: 'app-bin-fill',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'drawn', 'aria-hidden': 'true' },
  template: `
    <svg [attr.width]="width" [attr.height]="height" [attr.viewBox]="'0 0 ' + width + ' ' + height">
      @if (share() !== null) {
        <rect
          class="in"
          x="4"
          [attr.y]="level()"
          [attr.width]="width - 8"
          [attr.height]="height - 3 - level()"
        />
      }
      <path
        class="walls"
        [attr.d]="'M3 3 L4 ' + (height - 3) + ' H' + (width - 4) + ' L' + (width - 3) + ' 3'"
      />
      @if (share() === null) {
        <text [attr.x]="width / 2" [attr.y]="height / 2 + 6" text-anchor="middle">?</text>
      }
    </svg>
  `,
  styles: `
    .in {
      fill: var(--solid);
    }
    .walls {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
    }
    text {
      fill: var(--muted);
      font-size: var(--lead);
    }
  `,
})
export class BinFill {
  /** 0–1; null where it is not known. */
  readonly share = input.required<number | null>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly level = computed(() => {
    const share = Math.min(1, Math.max(0, this.share() ?? 0));
    return HEIGHT - 3 - share * (HEIGHT - 8);
  });
}
