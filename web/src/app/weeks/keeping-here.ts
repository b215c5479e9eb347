import { computed, inject, Injectable, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { type UsualKeeping } from '#core/weeks/usual-keeping';
import { type WateringRule } from '#core/weeks/keeping';
import { KeepingService } from '../data/keeping';
import { Notices } from '../data/notices';
import { keepingForm as texts } from '#words/en/places/weeks/keeping-form';
import { BenchKeeping } from '../bench/bench-keeping';

/** Whose keeping is at hand: the nursery's own, that of the recipe on the bench, or of a planting in a recipe. */
export type KeptWhose =
  | { whose: 'nursery' }
  | { whose: 'bench' }
  | { whose: 'planting'; id: number; mix: number | null; own: UsualKeeping | null };

/** The keeping of a page: what it is, and what a hand changes of it. */
@Injectable()
export class KeepingHere {
  private readonly service = inject(KeepingService);
  private readonly bench = inject(BenchKeeping);
  private readonly notices = inject(Notices);
  private readonly whose = signal<KeptWhose>({ whose: 'bench' });
  readonly of = this.whose.asReadonly();
  /** Tried with a planting, not kept yet. */
  private readonly tried = signal<UsualKeeping | null>(null);
  readonly now = computed((): UsualKeeping => {
    const of = this.of();
    if (of.whose === 'nursery') return this.service.usual();
    if (of.whose === 'bench') return this.bench.now();
    return this.tried() ?? of.own ?? this.service.ofMix(of.mix) ?? this.service.usual();
  });
  /** How it stands to what is usual: the same, kept otherwise (by its recipe too), or only tried. */
  readonly is = computed((): 'usual' | 'own' | 'by-recipe' | 'tried' => {
    const of = this.of();
    if (of.whose === 'bench') return this.bench.is();
    if (of.whose === 'nursery') return 'usual';
    if (this.tried()) return 'tried';
    return of.own ? 'own' : this.service.ofMix(of.mix) ? 'by-recipe' : 'usual';
  });
  /** Whose own it may become. */
  readonly mayOwn = computed((): 'planting' | 'recipe' | null => {
    const { whose } = this.of();
    return whose === 'planting'
      ? 'planting'
      : whose === 'bench' && this.bench.mix() !== null
        ? 'recipe'
        : null;
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
    else if (of.whose === 'bench') this.bench.try(change);
    else this.tried.set(next);
  }

  setRule(change: Partial<WateringRule>): void {
    this.patch({ rule: { ...this.now().rule, ...change } });
  }

  /** What is tried becomes the nursery's usual; where that could not be kept it is still tried. */
  makeUsual(): void {
    const now = this.now();
    this.asUsual();
    this.service.makeUsual(now, (why) => this.tryAgain(now, why));
  }

  /** Back to what is usual. */
  asUsual(): void {
    const of = this.of();
    this.tried.set(null);
    if (of.whose === 'planting' && of.own) this.keepFor(of, null);
    if (of.whose !== 'bench') return;
    this.bench.leave();
    const [mix, own] = [this.bench.mix(), this.bench.own()];
    if (mix !== null && own) this.send(this.service.keepForMix(mix, null), own);
  }

  /** What is tried is left; what was kept stays. */
  leaveTried(): void {
    this.tried.set(null);
    if (this.of().whose === 'bench') this.bench.leave();
  }

  /** What is tried is kept for the planting alone, or for the saved recipe that is open. */
  keepAsOwn(): void {
    const of = this.of();
    const now = this.now();
    if (of.whose === 'planting') this.keepFor(of, now);
    const mix = this.bench.mix();
    if (of.whose !== 'bench' || mix === null) return;
    this.bench.leave();
    this.send(this.service.keepForMix(mix, now), now);
  }

  private keepFor(of: Extract<KeptWhose, { whose: 'planting' }>, own: UsualKeeping | null): void {
    const before = this.now();
    this.whose.set({ ...of, own });
    this.tried.set(null);
    this.send(this.service.keepFor(of.id, own), own ?? before, () => this.whose.set(of));
  }

  /** Where it could not be kept it is still tried. */
  private send(call: Observable<unknown>, tried: UsualKeeping, back?: () => void): void {
    call.subscribe({
      error: (error: Error) => {
        back?.();
        this.tryAgain(tried, error.message);
      },
    });
  }

  private tryAgain(tried: UsualKeeping, why: string): void {
    if (this.of().whose === 'bench') this.bench.try(tried);
    else this.tried.set(tried);
    this.failed(why);
  }
}
