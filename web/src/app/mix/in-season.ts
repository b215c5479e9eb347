import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { followsOf } from '#core/season/follows';
import { OutOfRange } from '#core/units/check';
import { type MixVersion, MixesService } from '../data/mixes';
import { ReaderHere } from '../data/reader-here';
import { resourceOf } from '../data/resource';
import { Units } from '../data/units';
import { RecipeStore } from '../bench/recipe-store';
import { stockAmount } from '../ui/words/stock-amount';
import { inSeason as texts } from '#words/en/places/mix/in-season';

const MOST = 3;

/** A saved recipe that is changed: what follows in the season that still mixes it. */
@Component({
  selector: 'app-in-season',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (says(); as it) {
      <p class="term">{{ it }}</p>
    }
  `,
})
export class InSeason {
  readonly mix = input.required<MixVersion>();
  private readonly store = inject(RecipeStore);
  private readonly reader = inject(ReaderHere);
  private readonly units = inject(Units);
  private readonly mixes = inject(MixesService);
  private readonly season = resourceOf(
    computed(() => String(this.mix().mixId)),
    (id) => this.mixes.inSeason(id),
  );

  protected readonly says = computed(() => {
    const [season, library, { recipe }] = [this.season.value(), this.store.library(), this.mix()];
    if (!season || season.on === null || !library || this.store.outcome().state !== 'computed') return '';
    const { name, volume, day } = this.reader.formats();
    const called = (id: string): string =>
      name({ id, name: (library.materials.get(id) ?? library.amendments.get(id))?.name ?? id });
    try {
      const changes = followsOf(recipe, this.store.recipe(), season.litres, library)
        .slice(0, MOST)
        .map(({ item, kind, from, to }) => {
          const [was, is] = [from, to].map((n) => stockAmount(kind, n, this.units.system()));
          return texts.change(called(item), was, is);
        });
      return changes.length === 0
        ? ''
        : texts.follows(volume(season.litres), day(season.on), changes.join(', '));
    } catch (error) {
      if (error instanceof OutOfRange) return '';
      throw error;
    }
  });
}
