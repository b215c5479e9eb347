import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SaidPipe } from '../ui/words/said';
import { RouterLink } from '@angular/router';
import { format, parseISO } from 'date-fns';
import { weatherRisks } from '#core/season/weather-risks';
import { fixed } from '#core/units/show';
import { InstrumentsService } from '../data/instruments';
import { FetchState } from '../ui/fetch-state';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Units } from '../data/units';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { TodayService, type DueStep } from '../data/today';

const SHORT_DAYS = 14;

/** What is due: steps and re-tests of the batches, mixes that rest or cool, and tonight's risk. */
@Component({
  selector: 'app-today-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './today-page.html',
  styleUrl: './today-page.scss',
  imports: [FetchState, RouterLink, SaidPipe],
})
export class TodayPage {
  protected readonly due = inject(TodayService).due();
  private readonly lots = inject(LotsService);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  protected readonly forecast = inject(InstrumentsService).weather();
  protected readonly risks = computed(() => weatherRisks(this.forecast.value() ?? []));
  protected readonly week = computed(() =>
    (this.forecast.value() ?? []).map((d) => ({
      ...d,
      name: format(parseISO(d.day), 'EEE d'),
      low: fixed(d.minC, 0),
      high: fixed(d.maxC, 0),
      rain: d.rainMm.toFixed(0),
    })),
  );
  protected readonly late = computed(() => (this.due.value() ?? []).filter((d) => d.state === 'due'));
  protected readonly soon = computed(() => (this.due.value() ?? []).filter((d) => d.state === 'waiting'));
  protected readonly open = computed(() => (this.due.value() ?? []).filter((d) => d.state === 'open'));

  /** What will not last two weeks at the pace of the last eight. */
  protected readonly short = computed(() => {
    const library = this.library();
    return (this.lots.stock.value() ?? []).flatMap(({ kind, item, left, daysLeft }) => {
      if (daysLeft === null || daysLeft >= SHORT_DAYS || left === null) return [];
      const named =
        library?.materials.get(item) ?? library?.amendments.get(item) ?? library?.vessels.get(item);
      const days = Math.round(daysLeft);
      const when =
        left <= 0 ? 'none left' : `lasts about ${days} ${days === 1 ? 'day' : 'days'} at this pace`;
      const name = named ? shortName(named.name) : item;
      return [{ item, name, says: `${stockAmount(kind, left, this.units.system())} left: ${when}` }];
    });
  });

  protected day(step: DueStep): string {
    return step.on ? format(parseISO(step.on), 'd MMMM') : '';
  }
}
