import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { type Judgement } from '#core/judge/judge';
import { type Reading } from '#core/judge/readings';
import { type Band } from '#core/spread/sample';
import { fixed } from '#core/units/show';
import { Units } from '../../data/units';
import { inReadersUnits, readingWords } from '../../ui/words/words';
import { WhereFrom } from './where-from';
import { readingRuler as texts } from '#words/en/places/mix/answer/reading-ruler';

/** One reading on its ruler: the window, how sure it is, the value as a needle, the verdict as a word, and where it is from. */
@Component({
  selector: 'app-reading-ruler',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="name"
      [attr.aria-expanded]="open()"
      [attr.aria-label]="words().name + texts.whereFrom"
      (click)="open.set(!open())"
    >
      {{ words().name }}
      <span class="term">{{ reading().measured ? texts.byYourOwnTest : words().term }}</span>
    </button>
    <div class="figures">
      <div class="value">
        {{ value() }}<span class="unit">{{ read().unit ? ' ' + read().unit : '' }}</span>
      </div>
      <div class="likely">{{ likely() }}</div>
    </div>
    <div class="ruler" aria-hidden="true">
      @if (!reading().byWater) {
        <span
          class="window"
          [style.left.%]="at(reading().low)"
          [style.right.%]="100 - at(reading().high)"
        ></span>
      }
      @if (band(); as b) {
        <span class="band" [style.left.%]="at(b.low)" [style.right.%]="100 - at(b.high)"></span>
      }
      <span class="needle" [style.transform]="needle()"><i></i></span>
    </div>
    <div class="verdict" [class.off]="reading().verdict !== 'ok'">
      @if (reading().byWater) {
        <b>{{ texts.yourWaters }}</b>
      } @else {
        <span>{{ low() }}–{{ high() }}</span>
        <b>{{ word() }}</b>
      }
    </div>
    @if (open()) {
      <app-where-from [judgement]="judgement()" [of]="reading().id" />
    }
  `,
  styleUrl: './reading-ruler.scss',
  imports: [WhereFrom],
})
export class ReadingRuler {
  protected readonly texts = texts;
  readonly reading = input.required<Reading>();
  readonly judgement = input.required<Judgement>();
  readonly noun = input.required<string>();
  readonly band = input<Band | undefined>();
  private readonly units = inject(Units);
  protected readonly open = signal(false);

  /** The same reading in the units of the reader. */
  protected readonly read = computed(() => inReadersUnits(this.reading(), this.units.system()));
  protected readonly words = computed(() => readingWords(this.reading().id, this.noun()));
  private readonly places = computed(() => this.read().places ?? this.words().places);
  protected readonly value = computed(() => fixed(this.read().value, this.places()));
  protected readonly low = computed(() => this.edge(this.read().low));
  protected readonly high = computed(() => this.edge(this.read().high));
  protected readonly word = computed(
    () => ({ low: texts.tooLow, ok: 'right', high: texts.tooHigh })[this.reading().verdict],
  );
  /** Nine in ten lie here; nothing where nothing scatters. */
  protected readonly likely = computed(() => {
    const band = this.band();
    if (!band || band.high - band.low < 1e-6) return '';
    return texts.likely(
      fixed(Math.max(0, band.low), this.words().places),
      fixed(band.high, this.words().places),
    );
  });

  private readonly ends = computed(() => {
    const { low, high } = this.reading();
    const beyond = (high - low) * this.words().reach;
    return [Math.max(0, low - beyond), high + beyond] as const;
  });

  /** Moved by a transform: nothing has to be laid out again while it glides. */
  protected readonly needle = computed(() => `translateX(${this.at(this.reading().value)}%)`);

  protected at(value: number): number {
    const [left, right] = this.ends();
    return Math.min(100, Math.max(0, ((value - left) / (right - left)) * 100));
  }

  private edge(value: number): string {
    return String(Number(value.toFixed(2)));
  }
}
