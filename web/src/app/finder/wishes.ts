import { computed, inject, Injectable, signal } from '@angular/core';
import { starterFor, type FinderJob } from '#core/finder/formulate';
import { MOST_SEARCHED, noPreferences, type Preferences } from '#core/finder/fast-spec';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { windowsWanted } from '#core/recipe/windows-wanted';
import { whichSearched } from '#core/finder/which-searched';
import { aimsLike } from '#core/finder/swap';
import { judgeMix } from '#core/judge/judge';
import { type Recipe } from '#core/recipe/recipe';
import { Prices } from '../data/prices';
import { ApproachChoice } from '../data/approach-choice';
import { ShelfService } from '../data/shelf';
import { RecipeStore } from '../bench/recipe-store';

/** Floors and ceilings of a material in this search, whole parts. */
export interface Bounds {
  min: number;
  max: number;
}

const usual: Preferences = { price: 1, peat: 0, weight: 1, ingredients: 1, useUp: 0.5, water: 4, near: 0 };
/** Nothing else counts: of what is right, the nearest. */
const nearest: Preferences = { ...noPreferences, near: 100 };

/** What is asked of the finder: the job on the bench, the shelf, and what matters. */
@Injectable({ providedIn: 'root' })
export class Wishes {
  private readonly store = inject(RecipeStore);
  private readonly shelf = inject(ShelfService);
  private readonly prices = inject(Prices);
  private readonly way = inject(ApproachChoice);
  private readonly wished = signal<Preferences>(usual);
  private readonly bounded = signal<ReadonlyMap<string, Bounds>>(new Map());
  private readonly total = signal(10);
  private readonly kinds = signal(4);
  private readonly noPeat = signal(false);
  /** A material, such as a bag of mix, that the recipe is to be like. */
  readonly like = signal<string | null>(null);

  /** To stay near to the recipe on the bench, whatever else is wished. */
  readonly near = signal(false);

  readonly preferences = this.wished.asReadonly();
  readonly maxTotal = this.total.asReadonly();
  readonly materialsMax = this.kinds.asReadonly();
  readonly peatFree = this.noPeat.asReadonly();

  readonly entries = computed(() => {
    const library = this.store.library();
    return [...(library?.materials.values() ?? [])].map((material) => ({
      material,
      line: this.shelf.line(material.id),
      bounds: this.bounded().get(material.id) ?? { min: 0, max: this.total() },
    }));
  });
  readonly here = computed(() => this.entries().filter((entry) => entry.line.here));

  /** More stands there than a search looks at. */
  readonly chooses = computed(() => this.here().length > MOST_SEARCHED);
  private readonly told = signal<ReadonlyMap<string, boolean>>(new Map());
  /** What is looked at: as proposed, but for what somebody said. */
  readonly searched = computed(() => {
    const here = this.here();
    const told = this.told();
    if (!this.chooses()) return here;
    const inIt = new Set(this.store.recipe().components.map(({ material }) => material));
    const wanted = here.filter(({ material: { id } }) => told.get(id) === true).slice(0, MOST_SEARCHED);
    const open = here
      .filter(({ material: { id } }) => !told.has(id))
      .map((entry) => ({ ...entry, useUp: entry.line.useUp }));
    const rest = new Set(
      whichSearched(open, inIt, MOST_SEARCHED - wanted.length).map(({ material }) => material.id),
    );
    return here.filter((entry) => wanted.includes(entry) || rest.has(entry.material.id));
  });

  isSearched(id: string): boolean {
    return this.searched().some(({ material }) => material.id === id);
  }

  /** Whether one is looked at; the others stay as they are. */
  search(id: string, yes: boolean): void {
    const now = new Map(this.here().map(({ material }) => [material.id, this.isSearched(material.id)]));
    this.told.set(now.set(id, yes));
  }

  /** What it is to be like, judged by itself for this stage in this vessel. */
  readonly target = computed(() => {
    const material = this.store.library()?.materials.get(this.like() ?? '');
    const outcome = this.store.outcome();
    if (!material || outcome.state !== 'computed') return null;
    const { limeToPh: _, measured: __, ...input } = outcome.judgement.input;
    return judgeMix({ ...input, components: [{ material, parts: 1 }], amendments: [] });
  });

  readonly job = computed((): FinderJob | null => {
    const library = this.store.library();
    const target = this.target();
    // What it is to be like is no part of it.
    const here = this.searched().filter(({ material }) => !target || material.id !== this.like());
    if (!library || here.length === 0) return null;
    const recipe = this.store.recipe();
    const starter = starterFor(recipe.stage, library.amendments);
    const charge = new Set(starter.map((s) => s.amendment.id));
    const wished = this.wished();
    const windows = windowsWanted(recipe.stage, recipe.crops, library.windows);
    const near = this.near() && recipe.components.length > 0;
    const priced = here.every(({ material: { id } }) => this.prices.of(id) !== null);
    return {
      stage: recipe.stage,
      vessel: this.store.kind().vessel,
      compaction: recipe.compactionPct / 100,
      shelved: here.map((entry) => {
        const costPerL = this.prices.of(entry.material.id);
        return {
          material: entry.material,
          useUp: entry.line.useUp,
          ...(costPerL !== null && { costPerL }),
        };
      }),
      maxTotal: this.total(),
      minParts: Object.fromEntries(here.map((l) => [l.material.id, Math.min(l.bounds.min, this.total())])),
      maxParts: Object.fromEntries(here.map((l) => [l.material.id, Math.min(l.bounds.max, this.total())])),
      materialsMax: this.kinds(),
      peatMax: this.noPeat() ? 0 : 1,
      // A wish that nothing on the shelf can tell apart is no wish.
      ...(near && { nearTo: partsIn(recipe) }),
      preferences: near
        ? nearest
        : {
            ...wished,
            price: priced ? wished.price : 0,
            useUp: here.some(({ line }) => line.useUp) ? wished.useUp : 0,
          },
      ...(windows && { windows }),
      habits: this.way.approach().habits ?? {},
      ...(target && { like: aimsLike(target) }),
      lime: limeOf(recipe.lime?.amendment, library.amendments),
      starter,
      fixedDoses: recipe.amendments.flatMap((d) => {
        const amendment = library.amendments.get(d.amendment);
        const stays =
          amendment && !charge.has(d.amendment) && amendment.kind !== 'salt' && amendment.kind !== 'lime';
        return stays ? [{ amendment, gPerL: d.gPerL }] : [];
      }),
    };
  });

  wish(name: keyof Preferences, value: number): void {
    this.wished.update((wishes) => ({ ...wishes, [name]: value }));
  }

  bound(material: string, bounds: Bounds): void {
    this.bounded.update((all) => new Map(all).set(material, bounds));
  }

  setTotal(parts: number): void {
    this.total.set(Math.round(parts));
  }

  setMaterialsMax(materials: number): void {
    this.kinds.set(Math.round(materials));
  }

  withoutPeat(yes: boolean): void {
    this.noPeat.set(yes);
  }
}

const partsIn = ({ components }: Recipe): Record<string, number> =>
  Object.fromEntries(components.map(({ material, parts }) => [material, parts]));

function limeOf(id: string | undefined, amendments: ReadonlyMap<string, Amendment>): Amendment | null {
  const own = id === undefined ? undefined : amendments.get(id);
  if (own && neutralisingMeqPerG(own) > 0) return own;
  return amendments.get('lime-dolomitic') ?? null;
}
