import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MOST_ON_SHELF } from '#core/finder/fast-evaluation';
import { litresIn } from '#core/units/factors';
import { Notices } from '../data/notices';
import { ShelfService, type ShelfLine } from '../data/shelf';
import { Units } from '../data/units';
import { NumberField } from '../ui/fields/number-field';
import { Swatch } from '../ui/pictures/swatch';
import { materialSays, shortName } from '../ui/words/words';
import { type Bounds, Wishes } from './wishes';

/** What stands on the shelf: ticked, priced, bounded. */
@Component({
  selector: 'app-shelf-panel',
  imports: [NumberField, Swatch],
  templateUrl: './shelf-panel.html',
  styleUrl: './shelf-panel.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShelfPanel {
  protected readonly wishes = inject(Wishes);
  protected readonly shelf = inject(ShelfService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly shortName = shortName;
  protected readonly says = materialSays;
  protected readonly most = MOST_ON_SHELF;
  /** The material whose price and limits are open. */
  protected readonly opened = signal<string | null>(null);

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
  /** Prices are typed per litre or per gallon, kept per litre. */
  protected readonly per = computed(() =>
    this.units.system() === 'metric' ? { unit: 'L', litres: 1 } : { unit: 'gal', litres: litresIn.gallon },
  );
  protected readonly failed = computed(() => {
    const state = this.shelf.state();
    return state.state === 'failed' ? state.why : '';
  });

  protected tick(line: ShelfLine, here: boolean): void {
    this.put({ ...line, here });
  }

  protected price(line: ShelfLine, shown: number | undefined): void {
    this.put({ ...line, costPerL: shown === undefined ? null : shown / this.per().litres });
  }

  protected bound(id: string, bounds: Bounds, change: Partial<Bounds>): void {
    const next = { ...bounds, ...change };
    // A floor above the ceiling lifts it, and the other way round: the last word counts.
    if (change.min !== undefined) next.max = Math.max(next.max, next.min);
    if (change.max !== undefined) next.min = Math.min(next.min, next.max);
    this.wishes.bound(id, next);
  }

  protected put(line: ShelfLine): void {
    this.shelf.put(line, (why) => this.notices.say(`Not kept: ${why}`));
  }
}
