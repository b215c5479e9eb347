import { computed, inject, Injectable, signal } from '@angular/core';
import { type UsualKeeping } from '#core/weeks/usual-keeping';
import { type WateringRule } from '#core/weeks/keeping';
import { KeepingService } from '../data/keeping';
import { Notices } from '../data/notices';
import { keepingForm as texts } from '#words/en/places/weeks/keeping-form';

/** Whose keeping is at hand: the nursery's own, that of the recipe on the bench, or of a planting. */
export type KeptWhose =
  { whose: 'nursery' } | { whose: 'bench' } | { whose: 'planting'; id: number; own: UsualKeeping | null };

/** The keeping of a page: what it is, and what a hand changes of it. */
@Injectable()
export class KeepingHere {
  private readonly service = inject(KeepingService);
  private readonly notices = inject(Notices);
  private readonly whose = signal<KeptWhose>({ whose: 'bench' });
  readonly of = this.whose.asReadonly();
  /** Tried with a planting, not kept yet. */
  private readonly tried = signal<UsualKeeping | null>(null);
  readonly now = computed((): UsualKeeping => {
    const of = this.of();
    if (of.whose === 'nursery') return this.service.usual();
    if (of.whose === 'bench') return this.service.bench();
    return this.tried() ?? of.own ?? this.service.usual();
  });
  /** How it stands to what is usual: the same, kept otherwise, or only tried. */
  readonly is = computed((): 'usual' | 'own' | 'tried' => {
    const of = this.of();
    if (of.whose === 'planting') return this.tried() ? 'tried' : of.own ? 'own' : 'usual';
    return of.whose === 'bench' && this.service.isTried() ? 'tried' : 'usual';
  });
  private readonly failed = (why: string): void => this.notices.say(texts.notKept(why));

  /** Another is looked at: what was tried with the one before is left. */
  turnTo(of: KeptWhose): void {
    this.tried.set(null);
    this.whose.set(of);
  }

  patch(change: Partial<UsualKeeping>): void {
    const of = this.of();
    const next = { ...this.now(), ...change };
    if (of.whose === 'nursery') this.service.makeUsual(next, this.failed);
    else if (of.whose === 'bench') this.service.try(change);
    else this.tried.set(next);
  }

  setRule(change: Partial<WateringRule>): void {
    this.patch({ rule: { ...this.now().rule, ...change } });
  }

  /** What is tried becomes the nursery's usual; where that could not be kept it is still tried. */
  makeUsual(): void {
    const [of, now] = [this.of(), this.now()];
    this.asUsual();
    this.service.makeUsual(now, (why) => {
      if (of.whose === 'bench') this.service.try(now);
      else this.tried.set(now);
      this.failed(why);
    });
  }

  /** Back to what is usual. */
  asUsual(): void {
    const of = this.of();
    this.tried.set(null);
    if (of.whose === 'planting' && of.own) this.keepFor(of.id, null);
    if (of.whose === 'bench') this.service.asUsual();
  }

  /** What is tried is kept for the planting alone. */
  keepForPlanting(): void {
    const of = this.of();
    const tried = this.tried();
    if (of.whose === 'planting' && tried) this.keepFor(of.id, tried);
  }

  private keepFor(id: number, own: UsualKeeping | null): void {
    const before = this.of();
    this.whose.set({ whose: 'planting', id, own });
    this.tried.set(null);
    this.service.keepFor(id, own).subscribe({
      error: (error: Error) => {
        this.whose.set(before);
        this.tried.set(own);
        this.failed(error.message);
      },
    });
  }
}
