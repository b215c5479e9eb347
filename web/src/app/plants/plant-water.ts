import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Batch } from '#contract/batches';
import { type PlantingPage } from '#contract/plants';
import { type KeptEvent, standing } from '#core/plants/planting';
import { fixed } from '#core/units/show';
import { liftAt } from '#core/weeks/lift';
import { goneAt, weighedTogether } from '#core/plants/planting-clock';
import { Living } from '#core/weeks/life';
import { mixOfPlanting } from '#core/plants/mix-of-planting';
import { KeepingService } from '../data/keeping';
import { LibraryService } from '../data/library';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';
import { KeptLine } from '../ui/kept-line';
import { plantWater as texts } from '#words/en/places/plants/plant-water';

/** When a planting is watered by weight, and the way to its weeks to come. */
@Component({
  selector: 'app-plant-water',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lift(); as it) {
      <p>
        {{ it }}
        <a routerLink="/mix/weeks" [queryParams]="{ planting: planting().id }">{{ common.weeksAhead }}</a>
      </p>
      <p><app-kept-line [own]="own()" [planting]="planting().id" /></p>
    }
  `,
  imports: [KeptLine, RouterLink],
})
export class PlantWater {
  protected readonly common = common;
  /** Of its own, or of its recipe. */
  protected readonly own = computed(() => this.planting().keeping ?? this.keeping.ofMix(this.batch().mixId));
  private readonly reader = inject(ReaderHere);
  readonly planting = input.required<Pick<PlantingPage, 'id' | 'vessel' | 'cells' | 'keeping'>>();
  readonly batch = input.required<Batch>();
  readonly events = input.required<readonly KeptEvent[]>();
  private readonly library = inject(LibraryService).library;
  private readonly keeping = inject(KeepingService);

  protected readonly lift = computed(() => {
    const library = this.library();
    const kind = library?.vessels.get(this.planting().vessel);
    // Nothing is told before it is known how the nursery keeps.
    if (!library || !kind || !this.keeping.things()) return null;
    try {
      const living = new Living(mixOfPlanting(this.planting(), this.batch().snapshot.recipe, library));
      const count = weighedTogether(kind.perTray, this.planting().cells);
      const { waterAt } = (this.own() ?? this.keeping.usual()).rule;
      const { trayG } = liftAt(living.e, waterAt, count);
      const wet = count * living.e.wetWeightG;
      const what = count > 1 ? 'tray' : kind.noun;
      const weighed = standing(this.events()).findLast((event) => event.kind === 'weight');
      const gone = weighed && goneAt(living, weighed.grams, count);
      const { mass } = this.reader.formats();
      const weighing = gone === undefined ? '' : texts.atTheLastWeighing(fixed(100 * gone, 0));
      return `${texts.liftIt(what, mass(trayG), mass(wet))}${weighing}`;
    } catch (error) {
      // A material may be there no more.
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  });
}
