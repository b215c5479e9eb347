import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { inSentence } from '#words/formats';
import {
  type AmountWay,
  amountWays,
  asFraction,
  fromAmounts,
  looseLitresOf,
} from '#core/recipe/from-amounts';
import { scoops } from '#core/batch/scoops';
import { litresIn } from '#core/units/factors';
import { lookUp } from '#core/recipe/library';
import { RecipeStore } from '../../bench/recipe-store';
import { type Holds, HoldsChoice } from '../../data/holds-choice';
import { MeasuresService } from '../../data/measures';
import { Notices } from '../../data/notices';
import { Units } from '../../data/units';
import { ChoiceField } from '../../ui/fields/choice-field';
import { type Asked, NumberList } from '../../ui/fields/number-list';
import { NumberField } from '../../ui/fields/number-field';
import { Fold } from '../../ui/fold';
import { shortName } from '../../ui/words/words';
import { fromAmounts as texts } from '#words/en/places/mix/parts/from-amounts';
import { ReaderHere } from '../../data/reader-here';

const words: Record<AmountWay, string> = {
  litres: texts.litresLoose,
  gallons: 'gallons',
  cubicFeet: texts.cubicFeet,
  buckets: 'buckets',
  barrows: 'barrows',
  bags: 'bags',
  kg: texts.kgAsDelivered,
  lb: texts.poundsAsDelivered,
  bricks: 'bricks',
};
const holds = (name: keyof Holds, label: string): Asked<keyof Holds> => ({
  ...{ name, label, unit: 'L', within: 'measureLitres' },
});
const asked = [
  ...[holds('bucketLitres', texts.aBucket), holds('barrowLitres', texts.aBarrow)],
  ...[holds('bagLitres', texts.aBag), holds('brickLitres', texts.aBrickMakes)],
];

/** From what goes in: two buckets, a cubic foot, half a bag; parts and litres are worked out from it. */
@Component({
  selector: 'app-from-amounts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details appFold #fold="appFold">
      <summary>{{ texts.startFromWhatGoesIn }}</summary>
      @if (fold.opened()) {
        @for (row of rows(); track row.material) {
          <div class="row">
            <app-number-field
              [label]="row.name"
              within="stock"
              [value]="amounts()[row.material]"
              (valueChange)="tell(row.material, $event)"
            />
            <app-choice-field
              [label]="texts.inLabel"
              [choices]="ways()"
              [value]="inWay(row.material)"
              (valueChange)="measure(row.material, $event!)"
            />
          </div>
        }
        <div class="row">
          <app-number-list [asked]="asked" [values]="holds.value()" (typed)="hold($event)" />
        </div>
        @if (sum(); as it) {
          <p role="status">{{ it.says }}</p>
          <button type="button" class="press" (click)="take()">{{ texts.useTheseAsTheParts }}</button>
        }
        <div class="row share">
          <app-choice-field [label]="texts.orThisPart" none="choose" [choices]="parts()" [(value)]="shared" />
          <app-choice-field [label]="texts.asMuchAs" [choices]="fractions" [(value)]="fraction" />
          <app-choice-field
            [label]="texts.ofLabel"
            [none]="texts.allTheRest"
            [choices]="others()"
            [(value)]="of"
          />
        </div>
        @if (readings(); as it) {
          <p role="status">{{ it }}</p>
          <button type="button" class="press" (click)="share()">{{ texts.setItSo }}</button>
        }
      }
    </details>
  `,
  styles: `
    .row {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
      gap: 8px 12px;
      align-items: end;
      padding: 4px 0;
    }
    .share {
      margin-top: 12px;
    }
  `,
  imports: [ChoiceField, Fold, NumberField, NumberList],
})
export class FromAmounts {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  protected readonly asked = asked;
  private readonly units = inject(Units);
  /** Those of the units that are read, and what was chosen before. */
  protected readonly ways = computed(() => {
    const others: readonly AmountWay[] =
      this.units.system() === 'us' ? ['litres', 'kg'] : ['gallons', 'cubicFeet', 'lb'];
    const inUse = new Set(Object.values(this.inWays()));
    return amountWays
      .filter((id) => !others.includes(id) || inUse.has(id))
      .map((id) => ({ id, name: words[id] }));
  });
  protected readonly fractions = [
    ...['1/10', '1/8', '1/6', '1/5', '1/4', '1/3', '1/2', '2/3', '3/4', '1/1', '2/1', '3/1'].map((id) => ({
      id,
      name:
        id === '1/1'
          ? texts.asMuch
          : id.endsWith('/1')
            ? texts.times(id.slice(0, 1))
            : id.replace('/', ' ⁄ '),
    })),
  ];
  protected readonly amounts = signal<Readonly<Record<string, number | undefined>>>({});
  private readonly inWays = signal<Readonly<Record<string, AmountWay>>>({});
  protected readonly holds = inject(HoldsChoice);
  private readonly measures = inject(MeasuresService);
  private readonly notices = inject(Notices);
  protected readonly shared = signal<string | null>(null);
  protected readonly fraction = signal<string | null>('1/3');
  protected readonly of = signal<string | null>(null);

  protected readonly rows = computed(() =>
    this.store.recipe().components.map(({ material }) => ({ material, name: this.nameOf(material) })),
  );
  protected readonly parts = computed(() =>
    this.rows().map(({ material, name }) => ({ id: material, name })),
  );
  protected readonly others = computed(() => this.parts().filter(({ id }) => id !== this.shared()));
  protected readonly sum = computed(() => {
    const library = this.store.library();
    const { components, compactionPct } = this.store.recipe();
    if (!library || components.length === 0 || components.some(({ material }) => !this.amounts()[material]))
      return null;
    const given = components.map(({ material, screenedMm }) => ({
      ...{ material: lookUp(library.materials, material, 'material'), amount: this.amounts()[material]! },
      ...{ way: this.inWay(material), screenedMm },
    }));
    const made = fromAmounts(given, this.holds.value(), compactionPct / 100);
    const parts = made.parts
      .map((part) => `${part.parts} ${inSentence(this.nameOf(part.material))}`)
      .join(' : ');
    return { ...made, says: texts.whichMakes(parts, this.reader.formats().volume(made.litres)) };
  });
  /** Both ways in which a fraction is heard. */
  protected readonly readings = computed(() => {
    const id = this.shared();
    const fraction = this.sharePart();
    if (!id || fraction === null) return '';
    const rest = this.store.recipe().components.filter(({ material }) => material !== id);
    if (rest.length === 0) return '';
    const typed = this.shareTyped();
    if (typed !== null) return texts.thatIsVolume(this.reader.formats().volume(typed));
    const whole = asFraction(fraction, rest, null);
    const each = this.of() ?? rest[0]!.material;
    const ofOne = asFraction(fraction, rest, each);
    return texts.ofAllTheRestThat(whole, inSentence(this.nameOf(each)), ofOne);
  });

  protected inWay(material: string): AmountWay {
    return this.inWays()[material] ?? 'buckets';
  }

  protected tell(material: string, amount: number | undefined): void {
    this.amounts.update((all) => ({ ...all, [material]: amount }));
  }

  protected measure(material: string, way: string): void {
    this.inWays.update((all) => ({ ...all, [material]: way as AmountWay }));
  }

  protected hold([name, litres]: [keyof Holds, number | undefined]): void {
    this.holds.set(name, litres);
  }

  protected take(): void {
    const sum = this.sum();
    if (!sum) return;
    const parts = new Map(sum.parts.map((part) => [part.material, part.parts]));
    const components = this.store
      .recipe()
      .components.map((c) => ({ ...c, parts: parts.get(c.material) ?? c.parts }));
    this.store.patch({ components, job: { litres: Math.round(sum.litres * 10) / 10 } }, texts.fromWhatGoesIn);
    this.keepMeasures();
  }

  /** A bucket or barrow that was counted in is offered wherever something is measured. */
  private keepMeasures(): void {
    const own = this.measures.all.value();
    const used = new Set(this.rows().map(({ material }) => this.inWay(material)));
    const { bucketLitres, barrowLitres } = this.holds.value();
    const { volume } = this.reader.formats();
    for (const [way, litres, name] of [
      ['buckets', bucketLitres, texts.bucketOf(volume(bucketLitres))],
      ['barrows', barrowLitres, texts.barrowOf(volume(barrowLitres))],
    ] as const)
      if (used.has(way) && own && ![...own, ...scoops].some((each) => Math.abs(each.litres - litres) < 0.01))
        this.measures.add({ name, litres, heapedLitres: null }).subscribe({
          next: ({ id }) => this.notices.undoable(texts.isAMeasure(name), () => this.measures.putAway(id)),
          // Out of reach it is only not offered elsewhere.
          error: () => undefined,
        });
  }

  protected share(): void {
    const id = this.shared();
    const fraction = this.sharePart();
    if (!id || fraction === null) return;
    const typed = this.shareTyped();
    if (typed !== null) {
      const us = this.units.system() === 'us';
      this.tell(id, Number((us ? typed / litresIn.gallon : typed).toPrecision(4)));
      this.measure(id, us ? 'gallons' : 'litres');
      return;
    }
    const rest = this.store.recipe().components.filter(({ material }) => material !== id);
    const parts = asFraction(fraction, rest, this.of() || null);
    const components = this.store.recipe().components.map((c) => (c.material === id ? { ...c, parts } : c));
    this.store.patch({ components }, `share of ${id}`);
  }

  /** Litres of a share of what was typed in volumes; null where that is not typed of all that it is a share of. */
  private shareTyped(): number | null {
    const [id, fraction, library] = [this.shared(), this.sharePart(), this.store.library()];
    if (!id || fraction === null || !library) return null;
    const whole = this.store
      .recipe()
      .components.filter(({ material }) => (this.of() ? material === this.of() : material !== id));
    if (whole.length === 0 || whole.some(({ material }) => !this.amounts()[material])) return null;
    const litres = whole.map(({ material }) =>
      looseLitresOf(
        {
          material: lookUp(library.materials, material, 'material'),
          ...{ amount: this.amounts()[material]!, way: this.inWay(material) },
        },
        this.holds.value(),
      ),
    );
    return fraction * litres.reduce((sum, each) => sum + each, 0);
  }

  private sharePart(): number | null {
    const [above, below] = (this.fraction() ?? '').split('/').map(Number);
    return above && below ? above / below : null;
  }

  private nameOf(id: string): string {
    return shortName(this.store.library()?.materials.get(id)?.name ?? id);
  }
}
