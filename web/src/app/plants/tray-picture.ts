import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { trayPicture as texts } from '#words/en/places/plants/tray-picture';

/** Cells across: the way most trays are cut, longer than they are wide. */
function acrossOf(cells: number): number {
  for (let across = Math.floor(Math.sqrt(cells) / 1.2); across > 1; across--)
    if (cells % across === 0) return across;
  return Math.min(cells, 10);
}

/** A picture of the trays: a press on a cell says that it stands empty. */
@Component({
  selector: 'app-tray-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="term">{{ texts.pressEachThatStandsEmpty(noun()) }}</p>
    @for (tray of trays(); track tray.number) {
      <div
        class="tray"
        role="group"
        [attr.aria-label]="texts.tray + tray.number"
        [style.grid-template-columns]="'repeat(' + across() + ', minmax(24px, 44px))'"
      >
        @for (cell of tray.cells; track cell.at) {
          <button
            type="button"
            [attr.aria-pressed]="empty().includes(cell.at)"
            [attr.aria-label]="cell.name"
            (click)="turn(cell.at)"
          ></button>
        }
      </div>
    }
  `,
  styles: `
    .tray {
      display: grid;
      gap: 2px;
      width: fit-content;
      max-width: 100%;
      margin: 0 0 12px;
      padding: 6px;
      border: 2px solid var(--ink);
      border-radius: 4px;
    }
    button {
      aspect-ratio: 1;
      padding: 0;
      border: 1px solid var(--ink);
      border-radius: 50%;
      background: var(--window-edge);
    }
    [aria-pressed='true'] {
      border-style: dashed;
      background: var(--surface);
    }
  `,
})
export class TrayPicture {
  protected readonly texts = texts;
  readonly cells = input.required<number>();
  readonly perTray = input.required<number>();
  readonly noun = input('cell');
  /** Numbers of the empty ones, from 0. */
  readonly empty = model.required<readonly number[]>();
  protected readonly across = computed(() => acrossOf(Math.min(this.perTray(), this.cells())));
  protected readonly trays = computed(() => {
    const [cells, each] = [this.cells(), Math.max(1, this.perTray() > 1 ? this.perTray() : this.cells())];
    return Array.from({ length: Math.ceil(cells / each) }, (_, tray) => ({
      number: tray + 1,
      cells: Array.from({ length: Math.min(each, cells - tray * each) }, (__, i) => ({
        at: tray * each + i,
        name: texts.rowPlaceEmpty(Math.floor(i / this.across()) + 1, (i % this.across()) + 1),
      })),
    }));
  });

  protected turn(cell: number): void {
    this.empty.update((now) =>
      now.includes(cell) ? now.filter((each) => each !== cell) : [...now, cell].sort((a, b) => a - b),
    );
  }
}
