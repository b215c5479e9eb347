import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { fitJarTest, type JarFit } from '#core/mix/lime-reaction';
import { type MeasuredByHand } from '#core/recipe/recipe';
import { fixed } from '#core/units/show';
import { NumberField } from '../../ui/fields/number-field';
import { RecipeStore } from '../../bench/recipe-store';
import { ReaderHere } from '../../data/reader-here';
import { jarTest as texts } from '#words/en/places/mix/tests/jar-test';

const JARS_G_PER_L = [0, 2, 4, 6, 8];

/** Equal jars of the mix without lime, each with its dose, kept moist and read on day 7. */
@Component({
  selector: 'app-jar-test',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ texts.jarTestOfYourLime }}</h3>
    <p class="term">
      {{ texts.fillFiveJars(reader.formats().volume(1)) }}
    </p>
    <div class="jars">
      @for (dose of doses; track dose; let i = $index) {
        <app-number-field
          [label]="texts.dosePh(doseText(dose))"
          [value]="read()[i]"
          within="measuredPh"
          (valueChange)="take(i, $event)"
        />
      }
    </div>
    @if (fit(); as f) {
      @if (f.outcome === 'fitted') {
        <p>
          {{
            texts.phBeforeLimeBufferMeq(two(f.phBeforeLime), two(f.bufferMeqPerLPerPh), two(f.largestMissPh))
          }}
        </p>
      } @else {
        <p class="wrong" role="alert">{{ texts.theseJarsCannotBeUsed(reader.read(f.why)) }}</p>
      }
    }
  `,
  styles: `
    :host {
      grid-column: 1 / -1;
    }
    h3 {
      font-size: var(--text);
    }
    p {
      margin: 2px 0 6px;
    }
    .jars {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(86px, 1fr));
      gap: 8px;
    }
  `,
  imports: [NumberField],
})
export class JarTest {
  protected readonly texts = texts;
  protected readonly reader = inject(ReaderHere);

  /** Round numbers are said as they are. */
  protected doseText(gPerL: number): string {
    return this.reader.now().units === 'metric' ? `${gPerL} g/L` : this.reader.formats().dose(gPerL);
  }

  private readonly store = inject(RecipeStore);
  readonly fitted = output<NonNullable<MeasuredByHand['jar']> | undefined>();
  protected readonly doses = JARS_G_PER_L;
  protected readonly read = signal<readonly (number | undefined)[]>(JARS_G_PER_L.map(() => undefined));
  protected readonly fit = computed((): JarFit | null => {
    const library = this.store.library();
    const lime = library?.amendments.get(this.store.recipe().lime?.amendment ?? 'lime-dolomitic');
    const readings = this.read().flatMap((ph, i) =>
      ph === undefined ? [] : [{ gPerL: JARS_G_PER_L[i]!, ph }],
    );
    return lime && readings.length >= 2 ? fitJarTest(readings, lime) : null;
  });

  protected take(jar: number, ph: number | undefined): void {
    this.read.update((all) => all.map((old, i) => (i === jar ? ph : old)));
    const fit = this.fit();
    this.fitted.emit(
      fit?.outcome === 'fitted'
        ? { bufferMeqPerLPerPh: fit.bufferMeqPerLPerPh, phBeforeLime: fit.phBeforeLime }
        : undefined,
    );
  }

  protected two(value: number): string {
    return fixed(value, 2);
  }
}
