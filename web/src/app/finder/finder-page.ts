import { ThingPipe } from '../ui/words/thing';
import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { significant } from '#core/units/show';
import { type Recipe } from '#core/recipe/recipe';
import { takenAs } from '#core/finder/formulate';
import { Notices } from '../data/notices';
import { RecipeStore } from '../bench/recipe-store';
import { Amount } from '../ui/words/amount';
import { LoudRemarks } from '../ui/loud-remarks';
import { VerdictPipe } from '../ui/words/verdict';
import { MiniCut } from '../ui/pictures/mini-cut';
import { ChoiceField } from '../ui/fields/choice-field';
import { Stepper } from '../ui/fields/stepper';
import { TickField } from '../ui/fields/tick-field';
import { shortName, stageNames } from '../ui/words/words';
import { CompareTable } from './compare-table';
import { FinderChart } from './finder-chart';
import { FinderSays } from './finder-says';
import { FoundList } from './found-list';
import { FinderSearch, keyOf, type Listed } from './finder-search';
import { ShelfPanel } from './shelf-panel';
import { Wishes } from './wishes';
import { finderPage as texts } from '#words/en/places/finder/finder-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

const PAUSE_MS = 350;

/** The best whole-part recipes of what stands on the shelf. */
@Component({
  selector: 'app-finder-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [FinderSearch, FoundList, FinderSays],
  templateUrl: './finder-page.html',
  styleUrl: './finder-page.scss',
  imports: [
    ThingPipe,
    TitlePipe,
    Amount,
    ChoiceField,
    CompareTable,
    FinderChart,
    LoudRemarks,
    MiniCut,
    RouterLink,
    ShelfPanel,
    Stepper,
    TickField,
    VerdictPipe,
  ],
})
export class FinderPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly store = inject(RecipeStore);
  protected readonly wishes = inject(Wishes);
  protected readonly search = inject(FinderSearch);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  protected readonly stageNames = stageNames;
  /** Own materials first: bags and mixes are what people want to be like. */
  protected readonly targets = computed(() => {
    const library = this.store.library();
    return [...(library?.materials.values() ?? [])]
      .sort((a, b) => Number(library?.own?.has(b.id)) - Number(library?.own?.has(a.id)))
      .map(({ id, name }) => ({ id, name: shortName(name) }));
  });
  protected readonly list = inject(FoundList);
  protected readonly says = inject(FinderSays);
  /** Odds that come in later do not make it another recipe. */
  private readonly chosenParts = computed(() => {
    const listed = this.list.chosen();
    return listed && this.search.answeredJob()
      ? listed.parts.join() + JSON.stringify(listed.found.doses)
      : null;
  });

  protected readonly progress = computed(() => {
    const state = this.search.state();
    return state.state === 'searching'
      ? { pct: Math.round(state.share * 100), tried: significant(state.tried, 3) }
      : null;
  });
  constructor() {
    effect((onCleanup) => {
      const job = this.wishes.job();
      if (!job) return;
      const timer = setTimeout(() => untracked(() => void this.search.start(job)), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
    effect(() => {
      const parts = this.chosenParts();
      const listed = untracked(this.list.chosen);
      const library = untracked(this.store.library);
      const [first] = untracked(this.list.ranked);
      if (parts && listed && first && library)
        void this.search.explain(listed, first, this.says.familiar()?.parts ?? null, [
          ...library.materials.values(),
        ]);
    });
  }

  protected readonly key = (listed: Listed): string => keyOf(listed.found);

  protected readonly ranks = ['wishes', 'odds', 'near'] as const;
  protected readonly rankWords = { wishes: texts.byWishes, odds: texts.byOdds, near: texts.nearestToMine };
  protected readonly rank = computed(() =>
    this.wishes.near() ? 'near' : this.list.byOdds() ? 'odds' : 'wishes',
  );

  /** What is near to the recipe on the bench is looked for anew. */
  protected rankBy(way: 'wishes' | 'odds' | 'near'): void {
    this.wishes.near.set(way === 'near');
    if (way !== 'near') this.list.byOdds.set(way === 'odds');
  }

  protected take({ found }: Listed): void {
    this.takeRecipe(takenAs(found, this.store.recipe()), keyOf(found));
  }

  protected takeRecipe(recipe: Recipe, key: string): void {
    this.store.set(recipe, `finder ${key}`);
    this.notices.say(texts.itIsOpen, () => this.store.undo());
    void this.router.navigateByUrl('/mix');
  }
}
