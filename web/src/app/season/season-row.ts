import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

/** A sowing was moved by so many days from where it was taken up; `rests` once the hand lets go. */
export interface BarMoved {
  line: number;
  sowing: number;
  days: number;
  rests: boolean;
}

export interface StripBar {
  sowing: number;
  begun: boolean;
  /** Percent of the strip. */
  left: number;
  width: number;
  says: string;
  /** Percent of the bar, and pixels. */
  steps: { left: number; width: number; high: number; first: boolean; long: boolean }[];
}
export interface StripLane {
  bars: StripBar[];
}
export interface StripRow {
  line: number;
  name: string;
  sort: string;
  lanes: StripLane[];
}

/** A hand that has moved less than this has pressed. */
const STILL_PX = 4;

/** The sowings of one crop. A bar is dragged, moved by arrow keys, or pressed to be opened. */
@Component({
  selector: 'app-season-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './season-row.html',
  styleUrl: './season-row.scss',
})
export class SeasonRow {
  readonly row = input.required<StripRow>();
  /** Days that the strip is wide. */
  readonly days = input.required<number>();
  readonly moved = output<BarMoved>();
  readonly opened = output<number>();
  /** Whether a hand holds a bar: the ground must not slip meanwhile. */
  readonly held = output<boolean>();
  protected readonly line = computed(() => this.row().line);

  protected key(event: KeyboardEvent, sowing: number): void {
    const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (way === 0) return;
    event.preventDefault();
    const days = way * (event.shiftKey ? 1 : 7);
    this.moved.emit({ line: this.line(), sowing, days, rests: true });
  }

  private drag: { x: number; px: number; sowing: number; days: number; moved: boolean } | null = null;

  protected down(event: PointerEvent, sowing: number): void {
    if (event.button !== 0) return;
    const bar = event.currentTarget as HTMLElement;
    const track = bar.parentElement!.getBoundingClientRect().width;
    bar.setPointerCapture(event.pointerId);
    this.drag = { x: event.clientX, px: track / this.days(), sowing, days: 0, moved: false };
  }

  protected drags(event: PointerEvent): void {
    const { drag } = this;
    if (!drag) return;
    const px = event.clientX - drag.x;
    if (!drag.moved && Math.abs(px) < STILL_PX) return;
    if (!drag.moved) this.held.emit(true);
    drag.moved = true;
    const days = Math.round(px / drag.px);
    if (days === drag.days) return;
    drag.days = days;
    this.moved.emit({ line: this.line(), sowing: drag.sowing, days, rests: false });
  }

  protected up(): void {
    const { drag } = this;
    this.drag = null;
    if (!drag) return;
    if (!drag.moved) {
      this.opened.emit(this.line());
      return;
    }
    this.held.emit(false);
    this.moved.emit({ line: this.line(), sowing: drag.sowing, days: drag.days, rests: true });
  }
}
