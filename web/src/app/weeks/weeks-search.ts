import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping } from '#core/weeks/keeping';
import { type FoundRule } from '#core/weeks/rule';
import { Newest, type Progress, refusalOf } from '../workers/calls';
import { type Lived, type Reckoned } from '../workers/weeks.protocol';
import { WEEKS_WORKER } from '../workers/tokens';
import { ReaderHere } from '../data/reader-here';

const LIVES = 500;

/** What the weeks bring, reckoned in a worker; the last answer stands until the next is there. */
@Injectable()
export class WeeksSearch {
  private readonly reader = inject(ReaderHere);
  private readonly worker = inject(WEEKS_WORKER)();
  private readonly newest: Record<Reckoned, Newest> = { lives: new Newest(), rule: new Newest() };
  private readonly shares = signal<Readonly<Partial<Record<Reckoned, number>>>>({});
  /** What is being reckoned, the slower of the two first; null where nothing is. */
  readonly running = computed((): { kind: Reckoned; share: number } | null => {
    const { rule, lives } = this.shares();
    if (rule !== undefined) return { kind: 'rule', share: rule };
    return lives === undefined ? null : { kind: 'lives', share: lives };
  });
  readonly lives = signal<(Lived & { keeping: Keeping }) | null>(null);
  readonly found = signal<FoundRule | null>(null);
  readonly problem = signal('');

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.end());
  }

  async live(input: MixInput, keeping: Keeping, spreads: Spreads): Promise<void> {
    const { calls } = this.worker;
    const lives = await this.ask('lives', (progress) =>
      calls.lives(input, keeping, spreads, LIVES, progress),
    );
    if (lives) this.lives.set({ ...lives, keeping });
  }

  async lookForRule(input: MixInput, keeping: Keeping, spreads: Spreads): Promise<void> {
    this.found.set(null);
    const found = await this.ask('rule', (progress) =>
      this.worker.calls.rule(input, keeping, spreads, progress),
    );
    if (found) this.found.set(found);
  }

  stop(): void {
    for (const newest of Object.values(this.newest)) newest.forget();
    void this.worker.calls.stop();
    this.shares.set({});
  }

  private tell(kind: Reckoned, share: number | undefined): void {
    this.shares.update((all) => ({ ...all, [kind]: share }));
  }

  private async ask<T>(kind: Reckoned, call: (progress: Progress) => Promise<T | null>): Promise<T | null> {
    this.problem.set('');
    this.tell(kind, 0);
    try {
      const answer = await this.newest[kind].call(call, (share) => this.tell(kind, share));
      if (answer) this.tell(kind, undefined);
      return answer;
    } catch (error) {
      this.tell(kind, undefined);
      this.problem.set(this.reader.problem(refusalOf(error)));
      return null;
    }
  }
}
