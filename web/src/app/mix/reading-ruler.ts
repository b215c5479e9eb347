import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Reading } from '#core/judge/readings';
import { fixed } from '#core/units/show';
import { Units } from '../data/units';
import { inReadersUnits, readingWords } from '../ui/words';

/** One reading on its ruler: the window as a band, the value as a needle, and the verdict as a word. */
@Component({
  selector: 'app-reading-ruler',
  template: `
    <div class="name">
      {{ words().name }}<span class="term">{{ words().term }}</span>
    </div>
    <div class="value">
      {{ value() }}<span class="unit">{{ read().unit ? ' ' + read().unit : '' }}</span>
    </div>
    <div class="ruler" aria-hidden="true">
      <span
        class="window"
        [style.left.%]="at(reading().low)"
        [style.right.%]="100 - at(reading().high)"
      ></span>
      <span class="needle" [style.left.%]="at(reading().value)"></span>
    </div>
    <div class="verdict" [class.off]="reading().verdict !== 'ok'">
      <span>{{ low() }}–{{ high() }}</span>
      <b>{{ word() }}</b>
    </div>
  `,
  styleUrl: './reading-ruler.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ReadingRuler {
  readonly reading = input.required<Reading>();
  readonly noun = input.required<string>();

  private readonly units = inject(Units);

  /** The same reading in the units of the reader. */
  protected readonly read = computed(() => inReadersUnits(this.reading(), this.units.system()));
  protected readonly words = computed(() => readingWords(this.reading().id, this.noun()));
  protected readonly value = computed(() =>
    fixed(this.read().value, this.read().places ?? this.words().places),
  );
  protected readonly low = computed(() => this.edge(this.read().low));
  protected readonly high = computed(() => this.edge(this.read().high));
  protected readonly word = computed(
    () => ({ low: '▾ too low', ok: 'right', high: '▴ too high' })[this.reading().verdict],
  );

  private readonly ends = computed(() => {
    const { low, high } = this.reading();
    const beyond = (high - low) * this.words().reach;
    return [Math.max(0, low - beyond), high + beyond] as const;
  });

  protected at(value: number): number {
    const [left, right] = this.ends();
    return Math.min(100, Math.max(0, ((value - left) / (right - left)) * 100));
  }

  private edge(value: number): string {
    return String(Number(value.toFixed(2)));
  }
}
