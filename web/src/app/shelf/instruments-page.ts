import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { WrittenPipe } from '../ui/words/written';
import { type Fault, faultWords, type InstrumentInfo, InstrumentsService } from '../data/instruments';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { TickField } from '../ui/fields/tick-field';
import { NumberField } from '../ui/fields/number-field';
import { instrumentsPage as texts } from '#words/en/places/shelf/instruments-page';
import { ReaderHere } from '../data/reader-here';

const faults = Object.entries(faultWords).map(([id, name]) => ({ id, name }));

/** What stands at the bench: read live, calibrated; the stand-ins are told what lies on them, and to fail. */
@Component({
  selector: 'app-instruments-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './instruments-page.html',
  styleUrl: './instruments-page.scss',
  imports: [ChoiceField, WrittenPipe, FetchState, NumberField, TickField],
})
export class InstrumentsPage {
  protected readonly texts = texts;
  protected readonly reader = inject(ReaderHere);
  protected readonly service = inject(InstrumentsService);
  private readonly notices = inject(Notices);
  protected readonly faults = faults;

  protected shown(value: number | null | undefined, unit: string): string {
    return value === null || value === undefined ? '–' : this.reader.formats().reading(value, unit);
  }

  protected references({ references, unit }: InstrumentInfo): string {
    const { list, reading } = this.reader.formats();
    return list(references.map((value) => reading(value, unit)));
  }
  protected readonly words = faultWords;
  protected readonly before = signal<ReadonlyMap<string, string>>(new Map());

  private readonly weather = this.service.weather();
  protected readonly tonight = computed(() => this.weather.value()?.[0]);
  protected readonly silent = computed(() => this.weather.state().state === 'failed');

  constructor() {
    inject(DestroyRef).onDestroy(this.service.watch());
  }

  protected answers(yes: boolean): void {
    this.service.letWeatherAnswer(yes).subscribe({
      next: () => this.weather.refresh(),
      error: (e: Error) => this.failed(e),
    });
  }

  protected put(each: InstrumentInfo, truth: number | undefined): void {
    if (truth !== undefined)
      this.service.put(each.id, truth).subscribe({ error: (e: Error) => this.failed(e) });
  }

  protected fail(each: InstrumentInfo, fault: string): void {
    this.service.fail(each.id, fault === '' ? null : (fault as Fault)).subscribe({
      error: (e: Error) => this.failed(e),
    });
  }

  protected calibrate(each: InstrumentInfo): void {
    this.service.calibrate(each.id).subscribe({
      next: ({ references, readBefore }) => {
        const text = references.map((r, i) => texts.inItRead(r, readBefore[i]!.toFixed(2))).join(', ');
        this.before.update((all) => new Map(all).set(each.id, text));
        this.service.all.refresh();
      },
      error: (e: Error) => this.failed(e),
    });
  }

  private failed(error: Error): void {
    this.notices.say(error.message);
  }
}
