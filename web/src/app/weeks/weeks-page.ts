import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Keeping } from '#core/water/life';
import { called } from '#core/plants/care';
import { RecipeStore } from '../bench/recipe-store';
import { KeepingService } from '../data/keeping-choice';
import { SeasonService } from '../data/season';
import { SpreadChoice } from '../data/spread-choice';
import { Units } from '../data/units';
import { WatersService } from '../data/waters';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';
import { FeedMaker } from './feed-maker';
import { WeeksChart, type WeeksLine } from './weeks-chart';
import { WeeksHand } from './weeks-hand';
import { linesOf } from './weeks-lines';
import { WeeksAnswer } from './weeks-answer';
import { WeeksSearch } from './weeks-search';
import { PouredWater } from './poured-water';
import { WeeksSubject } from './weeks-subject';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

const PAUSE_MS = 250;
/** The weeks ahead: water, salts, nitrogen and pH of the mix on the bench, as it will be kept. */
@Component({
  selector: 'app-weeks-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [WeeksSearch, WeeksSubject, PouredWater, WeeksHand, WeeksAnswer],
  host: { class: 'page' },
  templateUrl: './weeks-page.html',
  styleUrl: './weeks-page.scss',
  imports: [
    DayPipe,
    TitlePipe,
    Amount,
    ChoiceField,
    FeedMaker,
    NumberField,
    RouterLink,
    Segments,
    WeeksChart,
  ],
})
export class WeeksPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly store = inject(RecipeStore);
  protected readonly keeping = inject(KeepingService);
  protected readonly search = inject(WeeksSearch);
  private readonly units = inject(Units);
  private readonly waters = inject(WatersService);
  protected readonly subject = inject(WeeksSubject);
  protected readonly pouring = inject(PouredWater);
  private readonly crops = inject(SeasonService).crops;
  private readonly spreads = inject(SpreadChoice).spreads;
  protected readonly stageNames = stageNames;
  protected readonly hand = inject(WeeksHand);
  protected readonly answer = inject(WeeksAnswer);
  protected readonly why = computed(() => this.subject.why() || this.search.problem());

  protected readonly named = computed(() => {
    const planting = this.subject.now()?.planting;
    if (!planting) return '';
    const crop = this.crops.value()?.find(({ id }) => id === planting.crop);
    return called(planting, crop ?? { name: planting.crop });
  });
  protected readonly lines = computed((): WeeksLine[] => {
    const [it, subject] = [this.search.lives(), this.subject.now()];
    return it && subject ? linesOf(it, subject, this.units.system()) : [];
  });

  constructor() {
    effect((onCleanup) => {
      const [subject, asked, spreads] = [this.subject.now(), this.hand.asked(), this.spreads()];
      if (!subject) return;
      // A slider that still moves is not lived through.
      const timer = setTimeout(() => void this.search.live(subject.input, asked, spreads), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected lookForRule(): void {
    const subject = this.subject.now();
    if (subject) void this.search.lookForRule(subject.input, this.hand.asked());
  }

  protected takeRule(rule: Keeping['rule']): void {
    this.search.found.set(null);
    this.keeping.patch({ rule });
  }
}
