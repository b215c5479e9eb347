import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { type Material } from '#core/material/material';
import { type Pack } from '#core/package/packs';
import { openPackage, type Opened, type Package } from '#core/package/package';
import { litresIn } from '#core/units/factors';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { packageUnitOf, packageUnitsOf } from '../ui/words/package-units';
import { packageForm as texts } from '#words/en/places/shelf/package-form';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

type Kind = Package['kind'] | 'measure';
type Figure =
  | 'makes'
  | 'count'
  | 'volume'
  | 'loosening'
  | 'kg'
  | 'perKg'
  | 'water'
  | 'moisture'
  | 'loss'
  | 'price'
  | 'litres';

const count: Asked<Figure> = { name: 'count', label: common.howMany, within: 'packages', whole: true };
const loss: Asked<Figure> = { name: 'loss', label: texts.staysOnTheScreen, within: 'screenLossPct' };
const price: Asked<Figure> = { name: 'price', label: common.priceOfAllOfIt, within: 'price' };
const asked: Record<Kind, Asked<Figure>[]> = {
  bag: [count, { name: 'volume', label: texts.volumeOfOne, within: 'packageVolume' }],
  bale: [
    ...[count, { name: 'volume', label: texts.volumeOfOnePressed, within: 'packageVolume' } as const],
    { name: 'loosening', label: texts.looseTimesItsPressedVolume, within: 'loosening' },
  ],
  brick: [
    ...[count, { name: 'kg', label: texts.weightOfOne, unit: 'kg', within: 'packageKg' } as const],
    { name: 'makes', label: texts.makesByItsLabel, unit: 'L', within: 'packageVolume' },
    { name: 'perKg', label: texts.makesLoose, unit: 'L/kg', within: 'litresPerKg' },
    { name: 'water', label: texts.waterItTakes, unit: 'L/kg', within: 'waterLitresPerKg' },
  ],
  bulk: [
    { name: 'kg', label: texts.weightOfTheLoad, unit: 'kg', within: 'packageKg' },
    { name: 'moisture', label: texts.waterInItOfIts, within: 'moisturePctWb' },
  ],
  measure: [
    { name: 'count', label: texts.howManyOfThem, within: 'packages' },
    { name: 'litres', label: texts.aBucketOrBarrowHolds, unit: 'L', within: 'measureLitres' },
  ],
};
const kinds: { id: Kind; name: string }[] = [
  { id: 'bag', name: texts.bags },
  { id: 'bale', name: texts.bales },
  { id: 'brick', name: texts.bricks },
  { id: 'bulk', name: texts.aLoadByWeight },
  { id: 'measure', name: texts.byTheBarrow },
];

/** What is usual where nobody typed another. */
const FRESH: Partial<Record<Figure, number | undefined>> = { count: 1, loosening: 2, perKg: 14, water: 5 };

/** What came of it: litres loose and usable, and the price of all. */
export interface Came {
  usableLitres: number;
  price: number | null;
  /** One of the packages. */
  pack: Pack;
}

/** Bags, bales, bricks, loads and barrows into litres that can be used, with the sum in sight. */
@Component({
  selector: 'app-package-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-segments [label]="texts.howItCame" [choices]="kinds" [(value)]="kind" />
    <div class="fields">
      @if (kind() === 'bag' || kind() === 'bale') {
        <app-choice-field
          [label]="texts.volumeIn"
          [choices]="units()"
          [value]="unit()"
          (valueChange)="chosen.set($event)"
        />
      }
      <app-number-list [asked]="fields()" [values]="figures()" (typed)="type($event)" />
    </div>
    @if (sum(); as it) {
      @if ('why' in it) {
        <p class="wrong" role="alert">{{ it.why }}</p>
      } @else {
        <p role="status">{{ it.says }}</p>
      }
    }
    @if (kind() === 'brick') {
      <p class="term">
        {{
          texts.coirTakesOldBricksTake(system() === 'us' ? texts.n23QuartsOfWater : texts.n46LitresOfWater)
        }}
      </p>
    }
    @if (kind() === 'bulk') {
      <p class="term">{{ texts.fromWhatWeighsDryBy(thing()) }}</p>
    }
  `,
  imports: [ChoiceField, NumberList, Segments],
})
export class PackageForm {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  protected readonly thing = computed(() => {
    const material = this.material();
    return material ? this.reader.formats().name(material) : texts.it;
  });
  protected readonly system = inject(Units).system;
  /** What it is a package of: loads are reckoned by its weight. */
  readonly material = input<Material | null>(null);
  readonly came = output<Came | null>();
  protected readonly kinds = kinds;
  protected readonly units = computed(() => packageUnitsOf(this.system()));
  protected readonly kind = signal<Kind>('bag');
  protected readonly chosen = signal<string | null>(null);
  protected readonly unit = computed(() => packageUnitOf(this.system(), this.chosen()));
  protected readonly figures = signal(FRESH);
  protected readonly fields = computed(() => [...asked[this.kind()], loss, price]);

  protected readonly sum = computed((): { came: Came; says: string } | { why: string } | null => {
    const of = this.figures();
    const many = of.count ?? 1;
    return this.reader.attempt(() => {
      const opened = this.opened(of);
      if (!opened) return null;
      const usableLitres = opened.usableLitres * many;
      const { volume } = this.reader.formats();
      const perL = of.price === undefined ? null : of.price / usableLitres;
      const water = opened.waterToHydrateLitres;
      const [perWord, per] = this.system() === 'us' ? ['gallon', litresIn.gallon] : ['litre', 1];
      return {
        came: {
          usableLitres,
          price: of.price ?? null,
          pack: { kind: this.packKind(), amount: opened.usableLitres },
        },
        says: [
          texts.toUse(volume(usableLitres)),
          ...(opened.usableLitres < opened.litres ? [texts.ofLoose(volume(opened.litres * many))] : []),
          ...(water === null ? [] : [texts.withWater(volume(water * many))]),
          ...(perL === null ? [] : [texts.forA((perL * per).toFixed(3), perWord)]),
          '.',
        ].join(''),
      };
    });
  });

  constructor() {
    effect(() => {
      const sum = this.sum();
      this.came.emit(sum && 'came' in sum ? sum.came : null);
    });
  }

  /** Empty again, for the next. */
  clear(): void {
    this.figures.set(FRESH);
  }

  /** A load and a barrow are told as loads. */
  private packKind(): Pack['kind'] {
    const kind = this.kind();
    return kind === 'bulk' || kind === 'measure' ? 'load' : kind;
  }

  protected type([name, value]: [Figure, number | undefined]): void {
    this.figures.update((figures) => ({ ...figures, [name]: value }));
  }

  private opened({
    volume,
    loosening,
    kg,
    perKg,
    water,
    moisture,
    loss: lost = 0,
    litres,
    makes,
  }: Partial<Record<Figure, number>>): Opened | null {
    const unit = this.unit();
    switch (this.kind()) {
      case 'bag':
        return volume === undefined ? null : openPackage({ kind: 'bag', volume, unit }, lost);
      case 'bale':
        if (volume === undefined || loosening === undefined) return null;
        return openPackage({ kind: 'bale', volume, unit, loosening }, lost);
      case 'brick':
        if (kg === undefined || (perKg === undefined && makes === undefined)) return null;
        return openPackage(
          {
            kind: 'brick',
            massKg: kg,
            litresPerKg: makes === undefined ? perKg! : makes / kg,
            waterLitresPerKg: water ?? 5,
          },
          lost,
        );
      case 'bulk': {
        const material = this.material();
        if (kg === undefined || !material) return null;
        const moisturePctWb = moisture ?? 100 * material.moistureWetBasis;
        const { dryBulkDensityGPerL } = material;
        return openPackage({ kind: 'bulk', massKg: kg, dryBulkDensityGPerL, moisturePctWb }, lost);
      }
      case 'measure':
        return litres === undefined ? null : openPackage({ kind: 'bag', volume: litres, unit: 'L' }, lost);
    }
  }
}
