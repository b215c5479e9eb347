import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { wetKg } from '#core/batch/work';
import { fixed } from '#core/units/show';
import { Amount } from '../../ui/words/amount';
import { Stepper } from '../../ui/fields/stepper';
import { Swatch } from '../../ui/pictures/swatch';
import { materialSays, shortName } from '../../ui/words/words';
import { AddThing } from '../add-thing';
import { TakeOut } from '../take-out';
import { RecipeStore } from '../../bench/recipe-store';
import { FromAmounts } from './from-amounts';
import { SwapMaterial } from './swap-material';
import { WhereFrom } from '../answer/where-from';
import { partList as texts } from '#words/en/places/mix/parts/part-list';

const MOST_ON_SLIDER = 12;
/** Rows that are made before the rest. */
const FIRST_ROWS = 2;

/** The parts: what is in it and how much of each. */
@Component({
  selector: 'app-part-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './part-list.html',
  styleUrl: './part-list.scss',
  imports: [FromAmounts, Amount, AddThing, Stepper, SwapMaterial, Swatch, WhereFrom, TakeOut],
})
export class PartList {
  protected readonly texts = texts;
  /** False while the page comes: the first rows stand before the rest. */
  readonly whole = input(true);
  protected readonly store = inject(RecipeStore);
  /** As far as the sliders go: the largest part does not stand pinned at the end. */
  protected readonly mostOnSlider = computed(() => {
    const largest = Math.max(0, ...this.store.recipe().components.map((c) => c.parts));
    return largest <= MOST_ON_SLIDER ? MOST_ON_SLIDER : Math.ceil((1.25 * largest) / 10) * 10;
  });
  protected readonly says = materialSays;
  protected readonly shortName = shortName;

  /** Those that are made by now. */
  protected readonly made = computed(() => (this.whole() ? this.rows() : this.rows().slice(0, FIRST_ROWS)));
  protected readonly rows = computed(() => {
    const library = this.store.library();
    return this.store.recipe().components.flatMap(({ material: id, parts }) => {
      const material = library?.materials.get(id);
      return material ? [{ material, parts }] : [];
    });
  });
  /** By material: how much of it goes in, and its share of the parts. */
  protected readonly amounts = computed(() => {
    const outcome = this.store.behind()?.outcome;
    const { components = [] } = outcome?.sheet ?? {};
    const { shares = [], parts = [] } = outcome?.judgement.evaluation.composition ?? {};
    return new Map(
      components.map(({ material, looseLitres, massKg }, i) => {
        const share = shares[i]!;
        // What stays on the screen is fetched as well.
        const through = 1 - (parts[i]?.screen?.oversizeShare ?? 0);
        const litres = looseLitres / through;
        return [
          material,
          {
            litres,
            massKg: massKg / through,
            overLitres: litres - looseLitres,
            share,
            pct: fixed(100 * share, 0),
          },
        ] as const;
      }),
    );
  });
  protected readonly settling = computed(() => {
    const outcome = this.store.behind()?.outcome;
    if (!outcome) return null;
    const loose = outcome.sheet.components.reduce((sum, c) => sum + c.looseLitres, 0);
    return {
      loose,
      asItComesKg: wetKg(outcome.sheet) - outcome.sheet.waterLitres,
      wetKg: wetKg(outcome.sheet),
      litres: outcome.sheet.litres,
      parts: Number(outcome.judgement.input.components.reduce((sum, c) => sum + c.parts, 0).toFixed(3)),
      firmed: outcome.judgement.input.compaction > 0,
      slips:
        outcome.sheet.components.length > 1 && outcome.judgement.evaluation.composition.shrinkage > 0.005,
      judgement: outcome.judgement,
    };
  });
  protected readonly scoopedFrom = signal(false);
  /** In the bar: as the amounts stand, or as the parts do while there are none. */
  protected widthOf(material: string, parts: number): number {
    return this.amounts().size === 0 ? parts : (this.amounts().get(material)?.share ?? 0);
  }

  protected setParts(id: string, parts: number): void {
    const components = this.store.recipe().components.map((c) => (c.material === id ? { ...c, parts } : c));
    this.store.patch({ components }, `parts of ${id}`);
  }

  protected remove(id: string): void {
    const components = this.store.recipe().components.filter((c) => c.material !== id);
    this.store.patch({ components }, `remove ${id}`);
  }
}
