import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import { rankedByOdds, twoBeforeOne } from '#core/finder/compare';
import { FinderSearch, keyOf, type Listed } from './finder-search';

const MOST_COMPARED = 3;
/** Lines before "more" is pressed. */
const SHOWN = 10;

/** What was found as it stands in the list: its order, the one looked at, and those side by side. */
@Injectable()
export class FoundList {
  private readonly search = inject(FinderSearch);
  readonly byOdds = signal(true);
  readonly length = signal(SHOWN);
  readonly oddsKnown = computed(() => this.search.list().every((listed) => listed.odds !== null));
  readonly ranked = computed((): readonly Listed[] => {
    const list = this.search.list();
    // One move when all odds are there, not one with each that comes in.
    const { nearTo, like } = this.search.answeredJob() ?? {};
    const ranked = this.byOdds() && !nearTo && this.oddsKnown() ? rankedByOdds(list) : list;
    // To be like another is asked of a single material too, and to be near to a recipe.
    return like || nearTo ? ranked : twoBeforeOne(ranked, (listed) => listed);
  });
  /** The one looked at: the first, until another is pressed. */
  readonly looked = linkedSignal<readonly Listed[], string | null>({
    source: this.ranked,
    computation: (list, before) => {
      // Odds that come in may bring another to the top: who has not chosen looks at the first.
      const chosen = before?.value;
      const still = chosen !== undefined && list.some((listed) => keyOf(listed.found) === chosen);
      const wasFirst = before?.source[0] !== undefined && keyOf(before.source[0].found) === chosen;
      return still && !wasFirst ? chosen : list[0] ? keyOf(list[0].found) : null;
    },
  });
  readonly chosen = computed(
    () => this.search.list().find((listed) => keyOf(listed.found) === this.looked()) ?? null,
  );
  private readonly picked = linkedSignal<readonly Listed[], readonly string[]>({
    source: this.search.list,
    computation: (list, before) => {
      const present = new Set(list.map((listed) => keyOf(listed.found)));
      return (before?.value ?? []).filter((key) => present.has(key));
    },
  });
  readonly compared = computed(() =>
    this.picked().flatMap((key) => this.search.list().filter((listed) => keyOf(listed.found) === key)),
  );
  readonly fullCompare = computed(() => this.compared().length >= MOST_COMPARED);

  isPicked(listed: Listed): boolean {
    return this.picked().includes(keyOf(listed.found));
  }

  pick(listed: Listed, yes: boolean): void {
    const key = keyOf(listed.found);
    this.picked.update((all) => (yes ? [...all, key].slice(-MOST_COMPARED) : all.filter((k) => k !== key)));
  }

  lookAt(index: number): void {
    const listed = this.search.list()[index];
    if (listed) this.looked.set(keyOf(listed.found));
  }
}
