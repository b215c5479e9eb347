import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Batch } from '#contract/batches';
import { type PlantingPage } from '#contract/plants';
import { evaluateMix } from '#core/mix/evaluate';
import { type KeptEvent, standing } from '#core/plants/planting';
import { fixed } from '#core/units/show';
import { liftAt } from '#core/water/lift';
import { mixOfPlanting } from '../bench/mix-of-planting';
import { KeepingService } from '../data/keeping-choice';
import { LibraryService } from '../data/library';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';
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
    }
  `,
  imports: [RouterLink],
})
export class PlantWater {
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  readonly planting = input.required<Pick<PlantingPage, 'id' | 'vessel' | 'cells'>>();
  readonly batch = input.required<Batch>();
  readonly events = input.required<readonly KeptEvent[]>();
  private readonly library = inject(LibraryService).library;
  private readonly keeping = inject(KeepingService);

  protected readonly lift = computed(() => {
    const library = this.library();
    const kind = library?.vessels.get(this.planting().vessel);
    if (!library || !kind) return null;
    try {
      const evaluation = evaluateMix(mixOfPlanting(this.planting(), this.batch(), library));
      const perTray = Math.min(kind.perTray, this.planting().cells);
      const { waterAt } = this.keeping.now().rule;
      const { trayG } = liftAt(evaluation, waterAt, perTray);
      const wet = perTray * evaluation.wetWeightG;
      const what = perTray > 1 ? 'tray' : kind.noun;
      const weighed = standing(this.events()).findLast((event) => event.kind === 'weight');
      const gone =
        weighed && Math.min(1, Math.max(0, (wet - weighed.grams) / (perTray * evaluation.availableWaterMl)));
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
