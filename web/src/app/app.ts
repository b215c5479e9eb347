import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DatePipe } from '@angular/common';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Units } from './data/units';
import { Outbox } from './data/outbox';
import { Notices } from './data/notices';

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
  protected readonly since = computed(() => this.outbox.items().find((one) => one.state === 'waiting')?.at);
  protected readonly toDecide = computed(() => {
    const counts = new Map<number, number>();
    for (const { batch } of this.outbox.undecided()) counts.set(batch, (counts.get(batch) ?? 0) + 1);
    return [...counts].map(([batch, count]) => ({ batch, count }));
  });

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('main')?.focus();
  }
}
