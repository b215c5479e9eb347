import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MOST_SEARCHED } from '#core/finder/fast-spec';
import { ShelfService } from '../data/shelf';
import { ShelfLineRow } from '../bench/shelf-line';
import { FetchState } from '../ui/fetch-state';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { TickField } from '../ui/fields/tick-field';
import { type Bounds, Wishes } from './wishes';
import { shelfPanel as texts } from '#words/en/places/finder/shelf-panel';
import { common } from '#words/en/places/common';

const ends: Asked<keyof Bounds>[] = [
  { name: 'min', label: texts.partsAtLeast, within: 'partsLimit', whole: true },
  { name: 'max', label: texts.partsAtMost, within: 'partsLimit', whole: true },
];
/** Where a limit was emptied. */
const open: Bounds = { min: 0, max: 20 };

/** What stands on the shelf: ticked, priced, bounded. */
@Component({
  selector: 'app-shelf-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf-panel.html',
  styleUrl: './shelf-panel.scss',
  imports: [FetchState, NumberList, ShelfLineRow, TickField],
})
export class ShelfPanel {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly wishes = inject(Wishes);
  protected readonly shelf = inject(ShelfService);
  protected readonly most = MOST_SEARCHED;
  protected readonly ends = ends;
  protected readonly all = signal(false);
  /** What stood here since the panel was opened: a tick taken off does not make the line jump away. */
  private readonly stood = linkedSignal<readonly string[], ReadonlySet<string>>({
    source: computed(() => this.wishes.here().map((entry) => entry.material.id)),
    computation: (here, before) => new Set([...(before?.value ?? []), ...here]),
  });
  protected readonly shown = computed(() => {
    const stood = this.stood();
    const some = this.wishes.entries().filter((entry) => stood.has(entry.material.id));
    return this.all() || some.length === 0 ? this.wishes.entries() : some;
  });

  protected bound(id: string, bounds: Bounds, [end, parts]: [keyof Bounds, number | undefined]): void {
    const next = { ...bounds, [end]: parts ?? open[end] };
    // A floor above the ceiling lifts it, and the other way round: the last word counts.
    if (end === 'min') next.max = Math.max(next.max, next.min);
    else next.min = Math.min(next.min, next.max);
    this.wishes.bound(id, next);
  }
}
