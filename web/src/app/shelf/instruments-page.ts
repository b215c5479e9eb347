import { ChangeDetectionStrategy, Component, DestroyRef, inject, signal } from '@angular/core';
import { DatePipe } from '@angular/common';
import { type DayForecast } from '#core/season/weather-risks';
import { fixed } from '#core/units/show';
import { type Fault, faultWords, type InstrumentInfo, InstrumentsService } from '../data/instruments';
import { Notices } from '../data/notices';
import { NumberField } from '../ui/fields/number-field';

const faults = Object.keys(faultWords) as Fault[];

/** What stands at the bench: read live, calibrated; the stand-ins are told what lies on them, and to fail. */
@Component({
  selector: 'app-instruments-page',
  imports: [DatePipe, NumberField],
  templateUrl: './instruments-page.html',
  styleUrl: './instruments-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class InstrumentsPage {
  protected readonly service = inject(InstrumentsService);
  private readonly notices = inject(Notices);
  protected readonly faults = faults;
  protected readonly fixed = fixed;
  protected readonly words = faultWords;
  protected readonly before = signal<ReadonlyMap<string, string>>(new Map());

  /** null where the service does not answer. */
  protected readonly tonight = signal<DayForecast | null | undefined>(undefined);

  constructor() {
    inject(DestroyRef).onDestroy(this.service.watch());
    this.askWeather();
  }

  protected answers(yes: boolean): void {
    this.service.letWeatherAnswer(yes).subscribe({
      next: () => this.askWeather(),
      error: (e: Error) => this.failed(e),
    });
  }

  private askWeather(): void {
    this.service.weather().subscribe({
      next: (days) => this.tonight.set(days[0]),
      error: () => this.tonight.set(null),
    });
  }

  protected put(one: InstrumentInfo, truth: number | undefined): void {
    if (truth !== undefined)
      this.service.put(one.id, truth).subscribe({ error: (e: Error) => this.failed(e) });
  }

  protected fail(one: InstrumentInfo, fault: string): void {
    this.service.fail(one.id, fault === '' ? null : (fault as Fault)).subscribe({
      error: (e: Error) => this.failed(e),
    });
  }

  protected calibrate(one: InstrumentInfo): void {
    this.service.calibrate(one.id).subscribe({
      next: ({ references, readBefore }) => {
        const text = references.map((r, i) => `in ${r} it read ${readBefore[i]!.toFixed(2)}`).join(', ');
        this.before.update((all) => new Map(all).set(one.id, text));
        this.service.refresh();
      },
      error: (e: Error) => this.failed(e),
    });
  }

  private failed(error: Error): void {
    this.notices.say(error.message);
  }
}
