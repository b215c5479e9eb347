import { dateIn, dayFrom } from '#words/days';
import { ReaderHere } from '../data/reader-here';
import { readShort } from '#words/read';
import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { severityWord } from '../ui/words/verdict';
import { SaidPipe } from '../ui/words/said';
import { RouterLink } from '@angular/router';
import { coldTonight } from '#core/plants/care';
import { weatherRisks } from '#core/season/weather-risks';
import { InstrumentsService } from '../data/instruments';
import { FetchState } from '../ui/fetch-state';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { type PlantCareHere, PlantsService } from '../data/plants';
import { type SeasonDue, SeasonService } from '../data/season';
import { LotsService } from '../data/lots';
import { Units } from '../data/units';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { TodayService, type DueStep } from '../data/today';
import { KeptLine } from '../ui/kept-line';
import { todayPage as texts } from '#words/en/places/today/today-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

const SHORT_DAYS = 14;
const MISSING_TOLD = 5;
const COLD_TOLD = 8;

/** A step of a batch, a task of the season, or what plants want. */
interface Line {
  state: DueStep['state'];
  on: string;
  step?: DueStep;
  task?: SeasonDue;
  care?: PlantCareHere;
}

/** What is due: steps and re-tests of the batches, mixes that rest or cool, and tonight's risk. */
@Component({
  selector: 'app-today-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './today-page.html',
  styleUrl: './today-page.scss',
  imports: [TitlePipe, FetchState, KeptLine, NgTemplateOutlet, RouterLink, SaidPipe],
})
export class TodayPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly word = severityWord;
  protected readonly due = inject(TodayService).due();
  private readonly reader = inject(ReaderHere);
  private readonly lots = inject(LotsService);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  private readonly season = inject(SeasonService);
  private readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  private readonly tasks = this.season.due();
  private readonly care = inject(PlantsService).care();
  private readonly standing = inject(PlantsService).tender();
  private readonly shortSeason = this.season.short();
  protected readonly COLD_TOLD = COLD_TOLD;
  protected readonly forecast = inject(InstrumentsService).weather();
  /** Nothing is shown in pieces that push each other about: a list that cannot be had counts as known. */
  protected readonly settled = computed(() =>
    [this.due, this.tasks, this.care, this.standing, this.shortSeason, this.forecast, this.lots.stock].every(
      (each) => each.state().state !== 'loading',
    ),
  );
  protected readonly risks = computed(() => weatherRisks(this.forecast.value() ?? []));
  /** Who wants cover tonight, by the limit of each crop. */
  protected readonly cold = computed(() => {
    const low = this.forecast.value()?.[0]?.minC;
    const all = low === undefined ? [] : coldTonight(this.standing.value() ?? [], low);
    const { celsius } = this.reader.formats();
    return all.map((tender) => ({
      ...tender,
      bears:
        tender.inGroundC === undefined
          ? celsius(tender.coldestC)
          : texts.inPotAndGround(celsius(tender.coldestC), celsius(tender.inGroundC)),
    }));
  });
  protected readonly week = computed(() =>
    (this.forecast.value() ?? []).map((d) => ({
      ...d,
      name: dateIn(d.day, 'weekdayDay', this.reader.now().language),
      warmth: this.reader.formats().celsiusRange(d.minC, d.maxC),
      rain: this.reader.formats().rain(d.rainMm),
    })),
  );
  /** Of the season and of the batches together, in the order of the days. */
  private readonly all = computed(() =>
    [
      ...(this.due.value() ?? []).map((step): Line => ({ step, state: step.state, on: step.on ?? '' })),
      ...(this.tasks.value() ?? []).map((task): Line => ({ task, state: task.state, on: task.on })),
      ...(this.care.value() ?? []).map((care): Line => ({ care, state: care.state, on: care.on })),
    ].sort((a, b) => a.on.localeCompare(b.on)),
  );
  protected readonly late = computed(() => this.all().filter((d) => d.state === 'due'));
  protected readonly soon = computed(() => this.all().filter((d) => d.state === 'waiting'));
  protected readonly open = computed(() => (this.due.value() ?? []).filter((d) => d.state === 'open'));

  /** What will not last two weeks at the pace of the last eight. */
  protected readonly short = computed(() => {
    const library = this.library();
    return (this.lots.stock.value() ?? []).flatMap(({ kind, item, left, daysLeft }) => {
      if (daysLeft === null || daysLeft >= SHORT_DAYS || left === null) return [];
      // What the season misses of it is told by its day.
      if (this.missing().some((each) => each.key === `${kind} ${item}`)) return [];
      const named =
        library?.materials.get(item) ?? library?.amendments.get(item) ?? library?.vessels.get(item);
      const days = Math.round(daysLeft);
      const when = left <= 0 ? texts.noneLeft : texts.lastsAboutAtThisPace(days);
      const name = named ? shortName(named.name) : item;
      return [{ item, name, says: texts.left(stockAmount(kind, left, this.units.system()), when) }];
    });
  });

  /** What the season takes that will not be there. */
  protected readonly missing = computed(() => {
    const library = this.library();
    return (this.shortSeason.value() ?? []).slice(0, MISSING_TOLD).map(({ kind, item, short, by }) => {
      const found =
        kind === 'vessel'
          ? library?.vessels.get(item)
          : (library?.materials.get(item) ?? library?.amendments.get(item));
      const name = kind === 'seed' ? texts.seedOf(item) : found ? shortName(found.name) : item;
      const perTray = kind === 'vessel' ? (library?.vessels.get(item)?.perTray ?? 1) : 1;
      const amount =
        perTray > 1
          ? String(Math.ceil(short / perTray))
          : stockAmount(kind, Math.ceil(100 * short) / 100, this.units.system());
      return { key: `${kind} ${item}`, name, says: texts.shortBy(amount, this.day(by ?? '')) };
    });
  });

  protected day(on: string): string {
    return on ? dayFrom(on, this.nursery.today(), this.reader.now().language) : '';
  }

  protected amount(litres: number): string {
    return stockAmount('material', litres, this.units.system());
  }

  protected when({ on, state }: Line): string {
    return state === 'waiting' || on === this.nursery.today() ? this.day(on) : texts.dueSince(this.day(on));
  }

  /** Done with one press, and back with another. */
  protected done({ line, sowing, task, text }: SeasonDue): void {
    this.season.mark(line, sowing, task, this.nursery.today()).subscribe({
      next: () => {
        this.tasks.refresh();
        this.notices.undoable(
          texts.done2(readShort(text, this.reader.now())),
          () => this.season.mark(line, sowing, task, null),
          () => this.tasks.refresh(),
        );
      },
      error: (error: Error) => this.notices.say(texts.notNoted(error.message)),
    });
  }
}
