import { afterNextRender, ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { WrittenPipe } from './ui/words/written';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Units } from './data/units';
import { Outbox } from './data/outbox';
import { isForMaking } from './data/outbox-store';
import { Notices } from './data/notices';
import { FolderHere } from './data/folder-here';
import { Reach } from './data/reach';
import { app as texts } from '#words/en/places/app';
import { common } from '#words/en/places/common';

const KEEP_AFTER_MS = 3000;

@Component({
  selector: 'app-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './app.html',
  styleUrl: './app.scss',
  imports: [WrittenPipe, RouterLink, RouterLinkActive, RouterOutlet],
})
export class App {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly units = inject(Units);
  protected readonly notices = inject(Notices);
  protected readonly outbox = inject(Outbox);
  protected readonly reach = inject(Reach);
  protected readonly here = inject(FolderHere);
  protected readonly since = computed(() => this.outbox.items().find((item) => item.state === 'waiting')?.at);
  /** What waits to be made, by what it is called. */
  protected readonly toMake = computed(() =>
    this.outbox
      .items()
      .filter(isForMaking)
      .filter((item) => item.state === 'waiting')
      .map(({ called }) => called)
      .join(', '),
  );

  constructor() {
    const router = inject(Router);
    afterNextRender(() => {
      setTimeout(() => router.initialNavigation());
      // Not while the first page is being made.
      setTimeout(() => this.reach.keep(), KEEP_AFTER_MS);
    });
  }

  protected reload(): void {
    location.reload();
  }

  protected skip(event: Event): void {
    event.preventDefault();
    document.getElementById('main')?.focus();
  }
}
