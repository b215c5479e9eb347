import { inSentence } from '#words/formats';
import { effect, inject, Injectable, signal } from '@angular/core';
import { type Flag } from '#core/judge/flag';
import { remedyOf, type Remedy } from '#core/judge/remedies';
import { applyFix } from '#core/recipe/fix';
import { fixed } from '#core/units/show';
import { Notices } from '../data/notices';
import { ShelfService } from '../data/shelf';
import { ApproachChoice } from '../data/approach-choice';
import { readingWords } from '../ui/words/words';
import { RecipeStore } from './recipe-store';
import { remedies as texts } from '#words/en/places/bench/remedies';

/** A hand that still moves a slider presses no remedy. */
const PAUSE_MS = 150;

/** What each flag's press would do, tried on the recipe; and the press itself. */
@Injectable({ providedIn: 'root' })
export class Remedies {
  private readonly store = inject(RecipeStore);
  private readonly approach = inject(ApproachChoice).approach;
  private readonly shelf = inject(ShelfService);
  private readonly notices = inject(Notices);
  private readonly found = signal<ReadonlyMap<string, Remedy | null> | null>(null);
  /** By code; null while it is worked out. */
  readonly all = this.found.asReadonly();

  constructor() {
    effect((onCleanup) => {
      // The flags in sight are of what was a frame ago.
      const behind = this.store.behind();
      this.found.set(null);
      if (!behind) return;
      const { flags } = behind.outcome.judgement;
      const timer = setTimeout(
        () => this.found.set(new Map(flags.flatMap((f) => (f.fix ? [[f.code, this.of(f)] as const] : [])))),
        PAUSE_MS,
      );
      onCleanup(() => clearTimeout(timer));
    });
  }

  press(flag: Flag): void {
    const remedy = this.of(flag);
    const library = this.store.library();
    if (!remedy || !library) {
      this.notices.say(texts.noSinglePressPutsThat);
      return;
    }
    const { noun } = this.store.kind();
    this.store.set(applyFix(this.store.recipe(), remedy.fix, library), `remedy ${flag.code} ${Date.now()}`);
    const changes = remedy.changes.map(({ id, from, to }) => {
      const { name, places } = readingWords(id, noun);
      return `${inSentence(name)} ${fixed(from, places)} → ${fixed(to, places)}`;
    });
    const seen = changes.filter((words) => !/(\S+) → \1$/.test(words));
    this.notices.say(`Done${seen.length > 0 ? `: ${seen.join(', ')}` : ''}.`, () => this.store.undo());
  }

  private of(flag: Flag): Remedy | null {
    const [outcome, library] = [this.store.outcome(), this.store.library()];
    if (outcome.state !== 'computed' || !library) return null;
    const { loudness, never = [] } = this.approach();
    const lines = this.shelf.lines.value();
    return remedyOf(flag, this.store.recipe(), outcome.judgement, library, {
      ...{ loudness, never },
      shelf: lines && new Set(lines.filter((l) => l.here).map((l) => l.material)),
    });
  }
}
