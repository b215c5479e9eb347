import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SaidPipe } from '../ui/words/said';
import { RouterLink } from '@angular/router';
import { format, parseISO } from 'date-fns';
import { weatherRisks } from '#core/season/weather-risks';
import { fixed } from '#core/units/show';
import { InstrumentsService } from '../data/instruments';
import { FetchState } from '../ui/fetch-state';
import { TodayService, type DueStep } from '../data/today';

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

  protected day(step: DueStep): string {
    return step.on ? format(parseISO(step.on), 'd MMMM') : '';
  }
}
