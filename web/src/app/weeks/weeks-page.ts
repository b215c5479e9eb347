import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type WateringRule } from '#core/weeks/keeping';
import { fixed } from '#core/units/show';
import { called } from '#core/plants/care';
import { RecipeStore } from '../bench/recipe-store';
import { SeasonService } from '../data/season';
import { SpreadChoice } from '../data/spread-choice';
import { Units } from '../data/units';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';
import { KeepingForm } from './keeping-form';
import { OfferedKeeping } from './offered-keeping';
import { KeepingHere } from './keeping-here';
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
import { SaidPipe } from '../ui/words/said';
import { DayPipe } from '../ui/words/day';

const PAUSE_MS = 250;
/** The weeks ahead: water, salts, nitrogen and pH of the mix on the bench, as it will be kept. */
@Component({
  selector: 'app-weeks-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [KeepingHere, WeeksSearch, WeeksSubject, PouredWater, WeeksHand, WeeksAnswer],
  host: { class: 'page' },
  templateUrl: './weeks-page.html',
  styleUrl: './weeks-page.scss',
  imports: [DayPipe, TitlePipe, Amount, KeepingForm, OfferedKeeping, RouterLink, SaidPipe, WeeksChart],
})
export class WeeksPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly store = inject(RecipeStore);
  protected readonly keeping = inject(KeepingHere);
  protected readonly search = inject(WeeksSearch);
  private readonly units = inject(Units);
  protected readonly subject = inject(WeeksSubject);
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
    effect(() => {
      const subject = this.subject.now();
      const planting = subject?.planting;
      untracked(() => {
        const of = this.keeping.of();
        if (!planting) this.keeping.turnTo({ whose: 'bench' });
        else if (of.whose !== 'planting' || of.id !== planting.id)
          this.keeping.turnTo({
            ...{ whose: 'planting', id: planting.id, mix: planting.mixId, own: planting.keeping },
          });
      });
    });
    effect((onCleanup) => {
      const [subject, asked, spreads] = [this.subject.now(), this.hand.asked(), this.spreads()];
      if (!subject || !asked) return;
      // A slider that still moves is not lived through.
      const timer = setTimeout(() => void this.search.live(subject.input, asked, spreads), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected formatted(factor: number): string {
    return fixed(factor, 1);
  }

  protected lookForRule(): void {
    const subject = this.subject.now();
    const asked = this.hand.asked();
    if (subject && asked) void this.search.lookForRule(subject.input, asked, this.spreads());
  }

  protected takeRule(rule: WateringRule): void {
    this.search.found.set(null);
    this.keeping.patch({ rule });
  }
}
