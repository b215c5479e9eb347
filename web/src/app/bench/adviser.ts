import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { type Finding, findingsOf, type MixVerdict, verdictOf } from '#core/advise/findings';
import { type AskedBy } from '#core/advise/attempts';
import { withKnown } from '#core/recipe/known';
import { type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { Prices } from '../data/prices';
import { ShelfService } from '../data/shelf';
import { ApproachChoice } from '../data/approach-choice';
import { ReaderHere } from '../data/reader-here';
import { type WaysTold, type WayTold } from '../workers/advise.protocol';
import { Newest } from '../workers/calls';
import { ADVISE_WORKER } from '../workers/tokens';
import { stockedOf } from '../workers/stocked';
import { RecipeStore } from './recipe-store';
import { adviser as texts } from '#words/en/places/bench/adviser';

/** A hand that still moves a slider is not advised. */
const PAUSE_MS = 120;

/** What is wrong with the recipe on the bench, each subject once, and ways out that were tried in a worker. */
@Injectable({ providedIn: 'root' })
export class BenchAdviser {
  private readonly store = inject(RecipeStore);
  private readonly approach = inject(ApproachChoice).approach;
  private readonly shelf = inject(ShelfService);
  private readonly notices = inject(Notices);
  private readonly reader = inject(ReaderHere);
  private readonly prices = inject(Prices);
  private readonly nursery = inject(NurseryService);
  private readonly worker = inject(ADVISE_WORKER)();
  private readonly newest = new Newest();
  private readonly told = signal<{ of: Recipe; ways: WaysTold[]; whole: boolean } | null>(null);
  private readonly mended = signal<{ of: Recipe; mend: WayTold | null } | null>(null);

  readonly judgement = computed(() => this.store.behind()?.outcome.judgement ?? null);
  /** What is not said of it: known to work here. */
  readonly known = computed(() => this.judgement()?.known ?? []);
  readonly findings = computed(() => findingsOf(this.judgement() ?? { flags: [] }));
  readonly verdict = computed((): MixVerdict | null => {
    const judgement = this.judgement();
    return judgement && verdictOf(judgement);
  });
  /** Ways out by subject; null while none are known of this recipe. */
  readonly ways = computed(() => {
    const told = this.told();
    return told?.of === this.store.recipe() ? new Map(told.ways.map((each) => [each.subject, each])) : null;
  });
  /** Whether all that is to be found was looked for. */
  readonly isWhole = computed(() => this.ways() !== null && this.told()!.whole);
  readonly mend = computed(() => {
    const mended = this.mended();
    return mended?.of === this.store.recipe() ? mended.mend : null;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.end());
    effect(() => {
      const library = this.store.library();
      if (library) void this.worker.calls.stock(stockedOf(library));
    });
    effect((onCleanup) => {
      const recipe = this.store.recipe();
      const { loudness, never, habits } = this.approach();
      const lines = this.shelf.lines.value();
      const library = this.store.library();
      if (!library) return;
      if (this.store.outcome().state !== 'computed') return;
      const by: AskedBy = {
        shelf: lines && new Set(lines.filter((l) => l.here).map((l) => l.material)),
        prices: this.pricesOf(library),
        ...(loudness && { loudness }),
        ...(never && { never }),
        ...(habits && { habits }),
      };
      const timer = setTimeout(() => void this.ask(recipe, by), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  private pricesOf({ materials, amendments }: Library): Map<string, number> {
    return new Map(
      [...materials.keys(), ...amendments.keys()].flatMap((id) => {
        const price = this.prices.of(id);
        return price === null ? [] : [[id, price] as const];
      }),
    );
  }

  private async ask(of: Recipe, by: AskedBy): Promise<void> {
    const { calls } = this.worker;
    // Where the worker fails the words of the rule stand, and nothing is looked for any more.
    const ways = await this.newest.call(() => calls.advise(of, by)).catch((): WaysTold[] => []);
    if (!ways) return;
    this.told.set({ of, ways, whole: ways.every(({ ways: some }) => some.length > 0) });
    if (ways.some(({ ways: some }) => some.length === 0)) {
      const more = await this.newest.call(() => calls.more()).catch(() => ways);
      if (!more) return;
      this.told.set({ of, ways: more, whole: true });
    }
    const mended = await this.newest.call(() => calls.mend()).catch(() => null);
    if (mended) this.mended.set({ of, mend: mended.mend });
  }

  /** One press: the recipe with the way done, and one to undo it. */
  press(way: WayTold): void {
    this.store.set(way.recipe, `way ${Date.now()}`);
    this.notices.say(texts.done(this.reader.read(way.says)), () => this.store.undo());
  }

  /** Somebody knows that it works here: nothing of it is said again of this recipe. A stop cannot be quieted. */
  quiet({ cause, adds }: Finding, why: string): void {
    const on = this.nursery.today();
    const recipe = [cause, ...adds].reduce(
      (said, { code, severity }) =>
        severity === 'stop' ? said : withKnown(said, { code, severity, why, on }),
      this.store.recipe(),
    );
    this.store.set(recipe, `known ${cause.code}`);
    this.notices.say(texts.quiet, () => this.store.undo());
  }

  /** Said again, as any other. */
  hear(code: string): void {
    this.store.set(withKnown(this.store.recipe(), { code, why: null }), `heard ${code}`);
  }
}
