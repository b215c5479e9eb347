import { computed, inject, Injectable } from '@angular/core';
import { finalize, type Observable, tap } from 'rxjs';
import { type KeepingAnswer } from '#contract/keeping';
import { type KeptThings, usualKeeping, type UsualKeeping } from '#core/weeks/usual-keeping';
import { ApiClient } from './api';
import { kept } from './kept';
import { LibraryService } from './library';
import { Resource } from './resource';
import { WatersService } from './waters';

const read = (stored: unknown): UsualKeeping | null | undefined =>
  stored && typeof stored === 'object'
    ? { ...usualKeeping, ...(stored as Partial<UsualKeeping>) }
    : undefined;
export const isSameKeeping = (a: UsualKeeping, b: UsualKeeping): boolean =>
  (Object.keys(usualKeeping) as (keyof UsualKeeping)[]).every(
    (name) => JSON.stringify(a[name]) === JSON.stringify(b[name]),
  );

/** How the nursery keeps what it fills, as the server knows it; and what is only tried, with the recipe on the bench. */
@Injectable({ providedIn: 'root' })
export class KeepingService {
  private readonly api = inject(ApiClient);
  private readonly waters = inject(WatersService);
  private readonly library = inject(LibraryService).library;
  readonly answer = new Resource<KeepingAnswer>(() => this.api.call('keeping'));
  readonly usual = computed((): UsualKeeping => this.answer.value()?.usual ?? usualKeeping);
  /** Recipes whose plants are kept otherwise, by number. */
  readonly mixes = computed((): Readonly<Record<number, UsualKeeping>> => this.answer.value()?.mixes ?? {});
  /** Tried with the recipe on the bench alone; null for nothing. */
  readonly tried = kept<UsualKeeping | null>('keeping-tried', null, read);
  /** What this device kept for itself before the nursery did. */
  private readonly before = kept<UsualKeeping | null>('keeping', null, read);

  /** Offered once: where the nursery has none of its own and this device has. */
  readonly offered = computed(() => {
    const [answer, before] = [this.answer.value(), this.before.value()];
    return answer && !answer.isSet && before && !isSameKeeping(before, answer.usual) ? before : null;
  });
  /** Waters and products that a keeping may name; null until they are there. */
  readonly things = computed((): KeptThings | null => {
    const library = this.library();
    // No day is told before it is known how the nursery keeps; where that does not come the usual holds.
    const waits = [this.answer, this.waters.all].some((each) => each.state().state === 'loading');
    if (!library || waits) return null;
    const waters = this.waters.all.value();
    return { amendments: library.amendments, waters: new Map((waters ?? []).map((each) => [each.id, each])) };
  });

  /** What a recipe's plants are kept by that are not kept as usual. @param mix null for one that is not saved */
  ofMix(mix: number | null | undefined): UsualKeeping | null {
    return (mix && this.mixes()[mix]) || null;
  }

  private isSending = false;
  /** The newest that waits until what is on its way has come: a hand that drags sends one after the other. */
  private waits: (() => void) | null = null;

  /** Shows at once, and is taken back where it could not be kept. */
  makeUsual(usual: UsualKeeping, failed: (why: string) => void): void {
    const [answered, before] = [this.answer.value(), this.before.value()];
    this.answer.change((answer) => ({ ...answer, usual, isSet: true }));
    this.before.forget();
    const send = (): void => {
      this.isSending = true;
      this.api
        .call('setKeeping', { body: usual })
        .pipe(finalize(() => this.sendNext()))
        .subscribe({
          error: (error: Error) => {
            if (answered && !this.waits) this.answer.change(() => answered);
            if (before) this.before.set(before);
            failed(error.message);
          },
        });
    };
    if (this.isSending) this.waits = send;
    else send();
  }

  private sendNext(): void {
    const next = this.waits;
    this.isSending = false;
    this.waits = null;
    next?.();
  }

  /** Not asked again. */
  refuseOffered(): void {
    this.before.forget();
  }

  /** A planting's own; null for as usual. */
  keepFor(planting: number, keeping: UsualKeeping | null): Observable<unknown> {
    return this.api.call('setPlantingKeeping', { params: { id: planting }, body: { keeping } });
  }

  /** A saved recipe's own; null for as usual. */
  keepForMix(mix: number, keeping: UsualKeeping | null): Observable<unknown> {
    const before = this.answer.value();
    this.answer.change((answer) => {
      const { [mix]: _, ...others } = answer.mixes;
      return { ...answer, mixes: keeping ? { ...others, [mix]: keeping } : others };
    });
    return this.api
      .call('setMixKeeping', { params: { id: mix }, body: { keeping } })
      .pipe(tap({ error: () => before && this.answer.change(() => before) }));
  }
}
