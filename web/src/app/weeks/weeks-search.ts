import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type MixInput } from '#core/mix/evaluate';
import { type Spreads } from '#core/spread/spreads';
import { type Keeping, type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { type FoundRule } from '#core/water/rule';
import { type Reckoned, type WeeksAnswer, type WeeksRequest } from '../workers/weeks.protocol';
import { WEEKS_WORKER } from '../workers/tokens';
import { ReaderHere } from '../data/reader-here';

const LIVES = 500;

/** What the weeks bring, reckoned in a worker; the last answer stands until the next is there. */
@Injectable()
export class WeeksSearch {
  private readonly reader = inject(ReaderHere);
  private readonly worker = inject(WEEKS_WORKER)();
  private readonly asked: Record<Reckoned, number> = { lives: 0, rule: 0 };
  private askedFor: Keeping | null = null;
  private readonly shares = signal<Readonly<Partial<Record<Reckoned, number>>>>({});
  /** What is being reckoned, the slower of the two first; null where nothing is. */
  readonly running = computed((): { kind: Reckoned; share: number } | null => {
    const { rule, lives } = this.shares();
    if (rule !== undefined) return { kind: 'rule', share: rule };
    return lives === undefined ? null : { kind: 'lives', share: lives };
  });
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
    for (const of of ['lives', 'rule'] as const) {
      this.asked[of]++;
      this.ask({ kind: 'stop', of });
    }
    this.shares.set({});
  }

  private begin(kind: Reckoned): number {
    this.problem.set('');
    this.tell(kind, 0);
    return ++this.asked[kind];
  }

  private tell(kind: Reckoned, share: number | undefined): void {
    this.shares.update((all) => ({ ...all, [kind]: share }));
  }

  private ask(request: WeeksRequest): void {
    this.worker.postMessage(request);
  }

  private take(answer: WeeksAnswer): void {
    const of = 'of' in answer ? answer.of : answer.kind;
    if (answer.id !== this.asked[of]) return;
    this.tell(of, answer.kind === 'progress' ? answer.share : undefined);
    if (answer.kind === 'lives' && this.askedFor)
      this.lives.set({ typical: answer.typical, band: answer.band, keeping: this.askedFor });
    if (answer.kind === 'rule') this.found.set(answer.found);
    if (answer.kind === 'impossible') this.problem.set(this.reader.problem(answer.why));
  }
}
