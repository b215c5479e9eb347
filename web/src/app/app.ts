import { afterNextRender, ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DatePipe } from '@angular/common';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Units } from './data/units';
import { Outbox } from './data/outbox';
import { isForMaking, isForPlanting } from './data/outbox-store';
import { Notices } from './data/notices';
import { Reach } from './data/reach';

const KEEP_AFTER_MS = 3000;

@Component({
  selector: 'app-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './app.html',
  styleUrl: './app.scss',
  imports: [DatePipe, RouterLink, RouterLinkActive, RouterOutlet],
})
export class App {
  protected readonly units = inject(Units);
  protected readonly notices = inject(Notices);
  protected readonly outbox = inject(Outbox);
  protected readonly reach = inject(Reach);
  protected readonly since = computed(() => this.outbox.items().find((one) => one.state === 'waiting')?.at);
  protected readonly toDecide = computed(() => {
    const counts = new Map<string, { to: (string | number)[]; name: string; count: number }>();
    for (const one of this.outbox.undecided()) {
      if (isForMaking(one)) continue;
      const known = isForPlanting(one)
        ? { to: ['/plants', one.planting], name: `Planting ${one.planting}` }
        : { to: ['/batches', one.batch, 'run'], name: `Batch ${one.batch}` };
      counts.set(known.name, { ...known, count: (counts.get(known.name)?.count ?? 0) + 1 });
    }
    return [...counts.values()];
  });
  /** What waits to be made, by what it is called. */
  protected readonly toMake = computed(() =>
    this.outbox
      .items()
      .filter(isForMaking)
      .filter((one) => one.state === 'waiting')
      .map(({ called }) => called)
      .join(', '),
  );
  protected readonly notMade = computed(() => this.outbox.undecided().filter(isForMaking));

  constructor() {
    const router = inject(Router);
    afterNextRender(() => {
      setTimeout(() => router.initialNavigation());
      // Not while the first page is being made.
      setTimeout(() => this.reach.keep(), KEEP_AFTER_MS);
    });
  }

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('main')?.focus();
  }
}
