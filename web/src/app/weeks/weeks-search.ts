import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping, type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { type FoundRule } from '#core/water/rule';
import { type WeeksAnswer, type WeeksRequest } from '../workers/weeks.protocol';
import { WEEKS_WORKER } from '../workers/tokens';

const LIVES = 500;

/** What the weeks bring, reckoned in a worker; the last answer stands until the next is there. */
@Injectable()
export class WeeksSearch {
  private readonly worker = inject(WEEKS_WORKER)();
  private asked = 0;
  private askedFor: Keeping | null = null;
  /** null where nothing runs. */
  readonly running = signal<{ kind: 'lives' | 'rule'; share: number } | null>(null);
  readonly lives = signal<{ typical: Life; band: LifeBand; keeping: Keeping } | null>(null);
  readonly found = signal<FoundRule | null>(null);
  readonly problem = signal('');

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<WeeksAnswer>) => this.take(data));
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
  }

  live(input: MixInput, keeping: Keeping, spreads: Spreads): void {
    this.askedFor = keeping;
    this.ask({ kind: 'lives', id: this.begin('lives'), input, keeping, spreads, draws: LIVES });
  }

  lookForRule(input: MixInput, keeping: Keeping): void {
    this.found.set(null);
    this.ask({ kind: 'rule', id: this.begin('rule'), input, keeping });
  }

  stop(): void {
    this.asked++;
    this.running.set(null);
    this.ask({ kind: 'stop' });
  }

  private begin(kind: 'lives' | 'rule'): number {
    this.problem.set('');
    this.running.set({ kind, share: 0 });
    return ++this.asked;
  }

  private ask(request: WeeksRequest): void {
    this.worker.postMessage(request);
  }

  private take(answer: WeeksAnswer): void {
    const now = this.running();
    if (answer.id !== this.asked || !now) return;
    if (answer.kind === 'progress') {
      this.running.set({ ...now, share: answer.share });
      return;
    }
    this.running.set(null);
    if (answer.kind === 'lives' && this.askedFor)
      this.lives.set({ typical: answer.typical, band: answer.band, keeping: this.askedFor });
    if (answer.kind === 'rule') this.found.set(answer.found);
    if (answer.kind === 'impossible') this.problem.set(answer.why);
  }
}
