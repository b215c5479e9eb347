import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MOST_ON_SHELF } from '#core/finder/fast-spec';
import { ShelfService } from '../data/shelf';
import { ShelfLineRow } from '../bench/shelf-line';
import { FetchState } from '../ui/fetch-state';
import { NumberField } from '../ui/fields/number-field';
import { type Bounds, Wishes } from './wishes';

/** What stands on the shelf: ticked, priced, bounded. */
@Component({
  selector: 'app-shelf-panel',
  imports: [FetchState, NumberField, ShelfLineRow],
  templateUrl: './shelf-panel.html',
  styleUrl: './shelf-panel.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShelfPanel {
  protected readonly wishes = inject(Wishes);
  protected readonly shelf = inject(ShelfService);
  protected readonly most = MOST_ON_SHELF;
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
  protected readonly full = computed(() => this.wishes.here().length >= MOST_ON_SHELF);
  protected bound(id: string, bounds: Bounds, change: Partial<Bounds>): void {
    const next = { ...bounds, ...change };
    // A floor above the ceiling lifts it, and the other way round: the last word counts.
    if (change.min !== undefined) next.max = Math.max(next.max, next.min);
    if (change.max !== undefined) next.min = Math.min(next.min, next.max);
    this.wishes.bound(id, next);
  }
}
