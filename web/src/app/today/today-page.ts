import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { coldTonight } from '#core/plants/care';
import { weatherRisks } from '#core/season/weather-risks';
import { limits } from '#core/units/limits';
import { dateIn, dayFrom } from '#words/days';
import { BatchesService } from '../data/batches';
import { InstrumentsService } from '../data/instruments';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { Outbox } from '../data/outbox';
import { PlantRecordService } from '../data/plant-record';
import { PlantsService } from '../data/plants';
import { ReaderHere } from '../data/reader-here';
import { SeasonService } from '../data/season';
import { TodayService } from '../data/today';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { NumberField } from '../ui/fields/number-field';
import { Fold } from '../ui/fold';
import { BinFill } from '../ui/pictures/bin-fill';
import { KeptLine } from '../ui/kept-line';
import { Amount } from '../ui/words/amount';
import { SaidPipe } from '../ui/words/said';
import { stockAmount } from '../ui/words/stock-amount';
import { TitlePipe } from '../ui/words/title';
import { tubSays } from '../ui/words/tub-says';
import { severityWord } from '../ui/words/verdict';
import { shortName } from '../ui/words/words';
import { WorkRow } from './work-line';
import { lineOfCare, lineOfStep, lineOfTask, type WorkGroup, worklistOf } from './worklist';
import { todayPage as texts } from '#words/en/places/today/today-page';
import { common } from '#words/en/places/common';

const SHORT_DAYS = 14;
const SHORT_TOLD = 2;
const COLD_TOLD = 2;
const LATE_TOLD = 2;
const TUBS_TOLD = 1;

/** The day, to be worked off here: tonight, today, late, this week; each line with its Done. */
@Component({
  selector: 'app-today-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './today-page.html',
  styleUrl: './today-page.scss',
  providers: [PlantRecordService],
  imports: [
    ...[Amount, BinFill, FetchState, Fold, KeptLine, NgTemplateOutlet, NumberField, RouterLink, SaidPipe],
    ...[TitlePipe, WorkRow],
  ],
})
export class TodayPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly word = severityWord;
  private readonly service = inject(TodayService);
  protected readonly due = this.service.due();
  private readonly desk = this.service.desk;
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
  private readonly batches = inject(BatchesService).list('no');
  protected readonly forecast = inject(InstrumentsService).weather();
  protected readonly COLD_TOLD = COLD_TOLD;
  protected readonly LATE_TOLD = LATE_TOLD;
  /** Done here a moment ago: the server may not know yet. */
  private readonly doneHere = signal<ReadonlySet<string>>(new Set());

  /** Nothing is shown in pieces that push each other about: a list that cannot be had counts as known. */
  protected readonly settled = computed(() =>
    [
      ...[this.due, this.tasks, this.care, this.standing, this.shortSeason, this.forecast, this.lots.stock],
      ...[this.desk, this.batches.lines],
    ].every((each) => each.state().state !== 'loading'),
  );
  protected readonly list = computed(() => {
    const off = (this.desk.value()?.putOff ?? []).map(({ item }) => item);
    const lines = [
      ...(this.due.value() ?? []).map(lineOfStep),
      ...(this.tasks.value() ?? []).map(lineOfTask),
      ...(this.care.value() ?? []).map(lineOfCare),
    ];
    return worklistOf(lines, new Set([...off, ...this.doneHere()]), this.nursery.today());
  });
  protected readonly weekCount = computed(() =>
    this.list().week.reduce((sum, { lines }) => sum + lines.length, 0),
  );
  protected readonly isFree = computed(() => {
    const { today, late, old } = this.list();
    return today.length + late.length + old.length === 0;
  });

  protected readonly isDemo = computed(() => this.desk.value()?.demo === true);
  /** Tonight, °C: as somebody typed it; in the made-up nursery else by its made-up forecast. */
  protected readonly low = computed(() => this.desk.value()?.low ?? null);
  private readonly night = computed(
    () => this.low() ?? (this.isDemo() ? this.forecast.value()?.[0]?.minC : undefined),
  );
  protected readonly risks = computed(() => (this.isDemo() ? weatherRisks(this.forecast.value() ?? []) : []));
  /** Who wants cover tonight, by the limit of each crop. */
  protected readonly cold = computed(() => {
    const low = this.night();
    const all = low === undefined ? [] : coldTonight(this.standing.value() ?? [], low);
    const { celsius } = this.reader.formats();
    return all.map((tender) => ({ ...tender, bears: celsius(tender.coldestC) }));
  });
  protected readonly isMild = computed(() => this.night() !== undefined && this.cold().length === 0);
  protected readonly week = computed(() =>
    (this.forecast.value() ?? []).map((d) => ({
      ...d,
      name: dateIn(d.day, 'weekdayDay', this.reader.now().language),
      warmth: this.reader.formats().celsiusRange(d.minC, d.maxC),
      rain: this.reader.formats().rain(d.rainMm),
    })),
  );
  protected readonly nightC = limits.nightC;

  /** Tubs that hold something and can be used now, the newest first. */
  private readonly holding = computed(() =>
    (this.batches.lines.value() ?? []).filter(({ leftLitres, fills }) => leftLitres > 0 && fills > 0),
  );
  protected readonly moreTubs = computed(() => this.holding().length - this.tubs().length);
  protected readonly tubs = computed(() =>
    this.holding()
      .slice(0, TUBS_TOLD)
      .map((tub) => ({
        ...tub,
        minds: tubSays(tub, this.reader.now(), this.nursery.today())
          .map(({ short }) => short)
          .join(', '),
      })),
  );

  /** What runs short first: of the season by its day, else at the pace of the last weeks. */
  protected readonly short = computed(() => {
    const library = this.library();
    const nameOf = (kind: string, item: string): string => {
      if (kind === 'seed') return texts.seedOf(item);
      const named =
        library?.materials.get(item) ?? library?.amendments.get(item) ?? library?.vessels.get(item);
      return named ? shortName(named.name) : item;
    };
    // What nobody counted is counted first: To buy says so.
    const counted = (this.shortSeason.value() ?? []).filter(({ left }) => left !== null);
    const missing = counted.map(({ kind, item, short, by }) => {
      const perTray = kind === 'vessel' ? (library?.vessels.get(item)?.perTray ?? 1) : 1;
      const amount =
        perTray > 1
          ? String(Math.ceil(short / perTray))
          : stockAmount(kind, Math.ceil(100 * short) / 100, this.units.system());
      const by_ = by ? dayFrom(by, this.nursery.today(), this.reader.now().language) : '';
      return { key: `${kind} ${item}`, name: nameOf(kind, item), says: texts.shortBy(amount, by_) };
    });
    const told = new Set(missing.map(({ key }) => key));
    const running = (this.lots.stock.value() ?? []).flatMap(({ kind, item, left, daysLeft }) => {
      const key = `${kind} ${item}`;
      if (daysLeft === null || daysLeft >= SHORT_DAYS || left === null || told.has(key)) return [];
      const days = Math.round(daysLeft);
      const when = left <= 0 ? texts.noneLeft : texts.lastsAboutAtThisPace(days);
      const says = texts.left(stockAmount(kind, Math.max(0, left), this.units.system()), when);
      return [{ key, name: nameOf(kind, item), says }];
    });
    return [...missing, ...running];
  });
  protected readonly shortTold = computed(() => this.short().slice(0, SHORT_TOLD));

  constructor() {
    const record = inject(PlantRecordService);
    record.follow(() => this.care.refresh());
    const deaf = inject(Outbox).acknowledged((taken) => {
      if ('entry' in taken) {
        this.due.refresh();
        this.batches.lines.refresh();
      }
    });
    inject(DestroyRef).onDestroy(deaf);
  }

  /** Of several of a kind what is done with them, in one line. */
  protected groupSays({ kind, lines }: WorkGroup): string {
    const many: Partial<Record<WorkGroup['kind'], (n: number) => string>> = {
      ...{ begin: texts.beginMany, pot: texts.potMany, mix: texts.mixMany, open: texts.openMany },
      ...{ count: texts.countMany, test: texts.testMany, water: texts.waterMany, lift: texts.liftMany },
      ...{ feed: texts.feedMany, thin: texts.thinMany, harden: texts.hardenMany, plant: texts.plantMany },
    };
    return (many[kind] ?? texts.otherMany)(lines.length);
  }

  protected isSettled(item: string, isDone: boolean): void {
    this.doneHere.update((all) => {
      const now = new Set(all);
      if (isDone) now.add(item);
      else now.delete(item);
      return now;
    });
    this.tasks.refresh();
  }

  protected setLow(celsius: number | undefined): void {
    if ((celsius ?? null) === this.low()) return;
    this.service.setLow(this.nursery.today(), celsius ?? null).subscribe({
      error: (error: Error) => this.notices.say(texts.notNoted(error.message)),
    });
  }
}
