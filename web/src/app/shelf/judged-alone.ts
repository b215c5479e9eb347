import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { judgeMix } from '#core/judge/judge';
import { type Reading } from '#core/judge/readings';
import { materialFromRow, type MaterialRow } from '#core/material/material';
import { stages, type Stage } from '#core/mix/stage';
import { LibraryService } from '../data/library';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { SaidPipe } from '../ui/words/said';
import { inReadersUnits, readingWords } from '../ui/words/words';
import { judgedAlone as texts } from '#words/en/places/shelf/judged-alone';

/** A mix by itself, for a stage in a vessel: what is right and what is not. */
@Component({
  selector: 'app-judged-alone',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <app-choice-field [label]="texts.byItselfFor" [choices]="stages" [(value)]="stage" />
      <app-choice-field [label]="texts.inLabel" [choices]="vessels()" [(value)]="vessel" />
    </div>
    @if (judged(); as it) {
      <ul class="plain" role="status" [attr.aria-label]="texts.byItself">
        @for (reading of it.readings; track reading.id) {
          <li [class.off]="reading.verdict !== 'ok'">
            <span>{{ reading.name }}</span>
            <b>{{ reading.value }}</b>
            <span class="term">{{ reading.says }}</span>
          </li>
        }
      </ul>
      @for (flag of it.flags; track flag.code) {
        <p class="remark" [class.warn]="flag.severity === 'warn'" [class.stop]="flag.severity === 'stop'">
          {{ flag.text | said }}
        </p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 760px;
      margin: 10px 0;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 8px 18px;
      margin: 8px 0;
    }
    b {
      display: block;
      font-size: var(--head);
    }
    .off b {
      color: var(--stop);
    }
    .remark {
      margin: 6px 0;
    }
  `,
  imports: [ChoiceField, SaidPipe],
})
export class JudgedAlone {
  protected readonly texts = texts;
  readonly row = input.required<MaterialRow>();
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  protected readonly stages = stages.map((id) => ({ id, name: id }));
  protected readonly stage = signal<string | null>('seedling');
  protected readonly vessel = signal<string | null>('pot-9');
  protected readonly vessels = computed(() =>
    [...(this.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );

  protected readonly judged = computed(() => {
    const library = this.library();
    const kind = library?.vessels.get(this.vessel() ?? '');
    if (!library || !kind) return null;
    const { readings, flags } = judgeMix(
      {
        stage: (this.stage() ?? 'seedling') as Stage,
        vessel: kind.vessel,
        compaction: kind.usualCompaction,
        components: [{ material: materialFromRow(this.row()), parts: 1 }],
        amendments: [],
      },
      { library },
    );
    return {
      readings: readings.map((reading) => this.shown(reading, kind.noun)),
      flags: flags.filter((flag) => flag.severity !== 'note').slice(0, 3),
    };
  });

  private shown(reading: Reading, noun: string) {
    const { value, low, high, unit } = inReadersUnits(reading, this.units.system());
    const places = Math.abs(high) < 10 ? 1 : 0;
    const window = `${low.toFixed(places)}–${high.toFixed(places)} ${unit}`.trim();
    return {
      ...{ id: reading.id, verdict: reading.verdict, name: readingWords(reading.id, noun).name },
      value: value.toFixed(places),
      says: reading.verdict === 'ok' ? `right: ${window}` : texts.shouldBe(reading.verdict, window),
    };
  }
}
