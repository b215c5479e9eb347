import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { aimPhOf } from '#core/mix/windows';
import { inSpoons } from '#core/batch/scoops';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { gPerLInPoundPerCubicYard } from '#core/units/factors';
import { Units } from '../../data/units';
import { Amount } from '../../ui/words/amount';
import { ChoiceField } from '../../ui/fields/choice-field';
import { Stepper } from '../../ui/fields/stepper';
import { productSays, shortName } from '../../ui/words/words';
import { RecipeStore } from '../../bench/recipe-store';
import { AddThing } from '../add-thing';
import { TakeOut } from '../take-out';
import { DoseWays } from './dose-ways';
import { SwapMenu } from './swap-menu';
import { WhereFrom } from '../answer/where-from';
import { doseList as texts } from '#words/en/places/mix/doses/dose-list';

/** The small amounts that are weighed: lime to a pH, a starter charge, and whatever else goes in by the gram. */
@Component({
  selector: 'app-dose-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './dose-list.html',
  styleUrl: './dose-list.scss',
  imports: [DoseWays, ChoiceField, Amount, AddThing, Stepper, SwapMenu, TakeOut, WhereFrom],
})
export class DoseList {
  protected readonly texts = texts;
  protected readonly store = inject(RecipeStore);
  private readonly units = inject(Units);
  protected readonly productSays = productSays;
  protected readonly shortName = shortName;

  protected readonly all = computed(() => [...(this.store.library()?.amendments.values() ?? [])]);
  /** Anything that neutralises acid by a fair amount can be dosed to a pH. */
  protected readonly limes = computed(() =>
    this.all()
      .filter((a) => a.kind === 'lime' && neutralisingMeqPerG(a) > 1)
      // Short enough for its field: what it is stands above it.
      .map(({ id, name }) => ({ id, name: shortName(name).replace(/ limestone$/, '') })),
  );
  /** What the stepper of a dose counts in: g/L, or lb/yd³ of US trade sheets. */
  protected readonly doseUnit = computed(() =>
    this.units.system() === 'metric'
      ? { unit: 'g/L', gPerL: 1, step: 0.05 }
      : { unit: 'lb/yd³', gPerL: gPerLInPoundPerCubicYard, step: 0.1 },
  );

  protected readonly lime = computed(() => {
    const { lime } = this.store.recipe();
    if (!lime) return null;
    const solved = this.judgement()?.evaluation.lime;
    return { ...lime, solved: solved && this.weighed(solved.amendment, solved.gPerL) };
  });
  protected readonly rows = computed(() =>
    this.store.recipe().amendments.flatMap((d) => {
      const amendment = this.store.library()?.amendments.get(d.amendment);
      return amendment ? [{ amendment, layerPct: d.layerPct, ...this.weighed(amendment, d.gPerL) }] : [];
    }),
  );

  protected readonly limedByHand = computed(() => this.rows().some((row) => row.amendment.kind === 'lime'));
  protected readonly limeFrom = signal(false);
  protected readonly judgement = computed(() => this.store.behind()?.outcome.judgement ?? null);

  private weighed(amendment: Amendment, gPerL: number) {
    const grams = gPerL * this.store.litres();
    return { gPerL, grams, spoons: inSpoons(grams, amendment.bulkDensityGPerMl, this.units.system()) };
  }

  protected setLime(id: string): void {
    const judgement = this.judgement();
    const aim = judgement ? aimPhOf(judgement.input, judgement.evaluation) : 5.8;
    const ph = this.store.recipe().lime?.ph ?? aim;
    this.store.patch({ lime: id === '' ? null : { amendment: id, ph } }, 'lime');
  }

  protected readonly limeProduct = computed(() => {
    const { lime } = this.store.recipe();
    return lime ? (this.store.library()?.amendments.get(lime.amendment) ?? null) : null;
  });

  /** So much as is in the hand, whatever pH that makes: a dose like any other. */
  protected limeByHand(amendment: string, gPerL: number): void {
    const others = this.store.recipe().amendments.filter((dose) => dose.amendment !== amendment);
    this.store.patch({ lime: null, amendments: [...others, { amendment, gPerL }] }, 'hand');
  }

  protected setPh(ph: number): void {
    const { lime } = this.store.recipe();
    if (lime) this.store.patch({ lime: { ...lime, ph } }, 'ph');
  }

  protected setDose(id: string, gPerL: number): void {
    const amendments = this.store.recipe().amendments.map((d) => (d.amendment === id ? { ...d, gPerL } : d));
    this.store.patch({ amendments }, `dose of ${id}`);
  }

  protected setLayer(id: string, layerPct: number | undefined): void {
    const amendments = this.store.recipe().amendments.map((d) => {
      if (d.amendment !== id) return d;
      const { layerPct: _, ...through } = d;
      return layerPct === undefined ? through : { ...through, layerPct };
    });
    this.store.patch({ amendments }, `layer of ${id}`);
  }

  protected remove(id: string): void {
    const amendments = this.store.recipe().amendments.filter((d) => d.amendment !== id);
    this.store.patch({ amendments }, `remove ${id}`);
  }
}
