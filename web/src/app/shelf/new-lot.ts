import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { ReaderHere } from '../data/reader-here';
import { dateIn } from '#words/days';
import { lastBought } from '#core/package/packs';
import { usualRest } from '#core/package/rest';
import { type StockKind } from '#core/package/stock';
import { daysAfter } from '#core/units/day';
import { gramsIn } from '#core/units/factors';
import { limits } from '#core/units/limits';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { ChoiceField } from '../ui/fields/choice-field';
import { DayField } from '../ui/fields/day-field';
import { NumberField } from '../ui/fields/number-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { TypedDay } from '../ui/fields/typed-day';
import { Units } from '../data/units';
import { stockAmount } from '../ui/words/stock-amount';
import { shortName } from '../ui/words/words';
import { type Came, PackageForm } from './package-form';
import { newLot as texts } from '#words/en/places/shelf/new-lot';
import { common } from '#words/en/places/common';

const { seedsPerGram } = limits;

type Origin = 'bought' | 'heap' | 'emptied';
type Figure = 'kg' | 'pieces' | 'grams' | 'perGram' | 'price' | 'year' | 'germination' | 'round';

const kinds: { id: StockKind; name: string }[] = [
  { id: 'material', name: common.material },
  { id: 'product', name: texts.feedOrLime },
  { id: 'vessel', name: texts.emptyVessels },
  { id: 'seed', name: common.seed },
];
const origins: { id: Origin; name: string }[] = [
  { id: 'bought', name: texts.bought },
  { id: 'heap', name: texts.ourOwnHeap },
  { id: 'emptied', name: texts.emptiedTrays },
];
const price: Asked<Figure> = { name: 'price', label: common.priceOfAllOfIt, within: 'price' };
const asked: Record<Exclude<StockKind, 'material'>, Asked<Figure>[]> = {
  product: [{ name: 'kg', label: common.weight, unit: 'kg', within: 'packageKg' }, price],
  vessel: [{ name: 'pieces', label: texts.cellsBlocksOrPotsIn, within: 'usedCount', whole: true }, price],
  seed: [
    { name: 'pieces', label: texts.seeds, within: 'usedCount', whole: true },
    { name: 'grams', label: texts.orItWeighs, unit: 'g', within: 'amount' },
    { name: 'year', label: texts.yearOfHarvest, within: [1900, 2200], whole: true },
    { name: 'germination', label: texts.germination, unit: 'share', within: 'germination' },
    price,
  ],
};
const perGram: Asked<Figure> = { name: 'perGram', label: texts.seedsToAGram, within: 'seedsPerGram' };
const perOunce: Asked<Figure> = {
  name: 'perGram',
  label: texts.seedsToAnOunce,
  within: [seedsPerGram[0] * gramsIn.ounce, seedsPerGram[1] * gramsIn.ounce],
};
const round: Asked<Figure>[] = [
  { name: 'round', label: texts.usedBeforeTimes, within: [1, 20], whole: true },
];

/** Something came: what, how much by bag, bale, brick, load or barrow, what it cost, and when it may be used. */
@Component({
  selector: 'app-new-lot',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.somethingCame }}</h2>
    <app-segments
      [label]="texts.whatItIs"
      [choices]="kinds"
      [value]="kind()"
      (valueChange)="become($event)"
    />
    @if (kind() === 'material') {
      <app-segments
        [label]="texts.whereItIsFrom"
        [choices]="origins"
        [value]="origin()"
        (valueChange)="from($event)"
      />
    }
    <div class="fields">
      @if (kind() === 'seed') {
        <app-text-field [label]="texts.cropAndVariety" [(value)]="seed" />
      } @else {
        <app-choice-field [label]="common.ofWhat" none="choose" [choices]="items()" [(value)]="item" />
      }
      <app-text-field [label]="texts.nameOnTheBagBale" [(value)]="name" />
      <app-day-field [label]="origin() === 'heap' ? texts.begunOn : texts.cameOn" [day]="came" />
      @if (kind() !== 'material') {
        <app-number-list [asked]="fields()" [values]="shown()" (typed)="type($event)" />
      } @else if (origin() === 'emptied') {
        <app-number-list [asked]="round" [values]="figures()" (typed)="type($event)" />
      }
    </div>
    @if (weighed()) {
      <p class="term" role="status">{{ weighed() }}</p>
    }
    @if (last(); as it) {
      <div class="fields">
        <app-number-field
          [label]="texts.asLast(it.kind, it.amount)"
          within="packages"
          [whole]="true"
          [(value)]="packs"
        />
        @if (packs() !== undefined) {
          <app-number-field [label]="common.priceOfAllOfIt" within="price" [(value)]="packsPrice" />
        }
      </div>
    }
    @if (kind() === 'material' && packs() === undefined) {
      <app-package-form [material]="material()" (came)="opened.set($event)" />
    }
    @if (kind() === 'material') {
      @if (rest(); as it) {
        <app-tick-field [(checked)]="rests"
          >{{ texts.doNotUseBefore(readyOn()) }}
          <span class="term">{{ reader.word(it.why) }}</span></app-tick-field
        >
      }
    }
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
    <button type="button" class="press" [disabled]="!ready()" (click)="add()">{{ common.save }}</button>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 20px;
    }
    .fields {
      margin: 10px 0;
    }
    .term {
      display: inline;
    }
  `,
  imports: [ChoiceField, DayField, NumberField, NumberList, PackageForm, Segments, TextField, TickField],
})
export class NewLotForm {
  protected readonly reader = inject(ReaderHere);
  private readonly package = viewChild(PackageForm);
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly kinds = kinds;
  protected readonly origins = origins;
  protected readonly round = round;
  protected readonly kind = signal<StockKind>('material');
  protected readonly origin = signal<Origin>('bought');
  protected readonly item = signal<string | null>(null);
  protected readonly seed = signal('');
  protected readonly name = signal('');
  protected readonly came = new TypedDay(this.nursery.today);
  protected readonly opened = signal<Came | null>(null);
  protected readonly figures = signal<Partial<Record<Figure, number | undefined>>>({ round: 1 });
  /** So many packages as it last came in. */
  protected readonly packs = signal<number | undefined>(undefined);
  protected readonly packsPrice = signal<number | undefined>(undefined);
  private readonly pack = computed(() => {
    if (this.packs() !== undefined) return this.bought()?.pack ?? null;
    return this.kind() === 'material' ? (this.opened()?.pack ?? null) : null;
  });
  /** Bark in bags has rested; what comes as a load, or rots here, rests. */
  protected readonly rests = linkedSignal(() => this.origin() !== 'bought' || this.pack()?.kind !== 'bag');
  protected readonly problem = signal('');

  protected readonly fields = computed(() => {
    const kind = this.kind();
    if (kind !== 'seed') return kind === 'material' ? [] : asked[kind];
    const [counted, weighed, ...rest] = asked.seed;
    return [counted!, weighed!, this.isMetric() ? perGram : perOunce, ...rest];
  });
  protected readonly items = computed(() => {
    const library = this.library();
    const of = { material: library?.materials, product: library?.amendments, vessel: library?.vessels };
    const kind = this.kind();
    return kind === 'seed'
      ? []
      : [...(of[kind]?.values() ?? [])].map(({ id, name }) => ({ id, name: shortName(name) }));
  });
  protected readonly material = computed(() => this.library()?.materials.get(this.item() ?? '') ?? null);
  protected readonly rest = computed(() => {
    const material = this.material();
    return material && usualRest(material, this.origin() === 'heap');
  });
  protected readonly readyOn = computed(() => {
    const rest = this.rest();
    return rest && daysAfter(this.came.value(), rest.days);
  });
  private readonly bought = computed(() =>
    this.origin() === 'bought' ? lastBought(this.lots.of(this.of())) : null,
  );
  /** Its package in words. */
  protected readonly last = computed(() => {
    const bought = this.bought();
    if (!bought) return null;
    const { kind, amount } = bought.pack;
    return { kind, amount: stockAmount(this.kind(), amount, this.units.system()) };
  });
  private readonly of = computed(() => (this.kind() === 'seed' ? this.seed().trim() : (this.item() ?? '')));
  /** What stands on the bag, or that it came on a day. */
  private readonly called = computed(
    () =>
      this.name().trim() ||
      (this.packs() === undefined
        ? ''
        : texts.deliveryOf(dateIn(this.came.value(), 'dated', this.reader.now().language))),
  );
  private readonly isMetric = computed(() => this.units.system() === 'metric');
  /** Seeds to a gram as packets say it where the reader is: to an ounce. */
  protected readonly shown = computed(() => {
    const { perGram, ...figures } = this.figures();
    if (perGram === undefined) return figures;
    return {
      ...figures,
      perGram: this.isMetric() ? perGram : Number((perGram * gramsIn.ounce).toPrecision(6)),
    };
  });
  /** Counted, or weighed where it is known how many go to a gram. */
  private readonly pieces = computed(() => {
    const { pieces, grams, perGram } = this.figures();
    if (this.kind() !== 'seed' || pieces !== undefined) return pieces;
    return grams !== undefined && perGram !== undefined ? Math.round(grams * perGram) : undefined;
  });
  /** What weighed seed comes to, or what is missing to say it. */
  protected readonly weighed = computed(() => {
    const { pieces, grams, perGram } = this.figures();
    if (this.kind() !== 'seed' || pieces !== undefined || grams === undefined) return '';
    if (perGram === undefined) return this.isMetric() ? texts.askSeedsToAGram : texts.askSeedsToAnOunce;
    return texts.areSeeds(this.pieces()!);
  });
  protected readonly ready = computed(
    () =>
      this.of() !== '' &&
      this.called() !== '' &&
      this.came.problem() === '' &&
      (this.figures().grams === undefined || this.pieces() !== undefined || this.kind() !== 'seed'),
  );

  protected become(kind: StockKind): void {
    this.kind.set(kind);
    this.packs.set(undefined);
    this.item.set(null);
    this.origin.set('bought');
  }

  protected from(origin: Origin): void {
    this.origin.set(origin);
    const spent = this.library()?.materials.get('mix-reused');
    if (origin === 'emptied' && spent) this.item.set(spent.id);
  }

  protected type([name, value]: [Figure, number | undefined]): void {
    const kept =
      name === 'perGram' && value !== undefined && !this.isMetric() ? value / gramsIn.ounce : value;
    this.figures.update((figures) => ({ ...figures, [name]: kept }));
  }

  protected add(): void {
    if (!this.ready()) return;
    const { kg, price, year, germination, perGram, round } = this.figures();
    const pieces = this.pieces();
    const kind = this.kind();
    const opened = kind === 'material' ? this.opened() : null;
    const origin = this.origin();
    const [packs, bought] = [this.packs(), this.bought()];
    const packed = packs !== undefined && bought ? packs * bought.pack.amount : null;
    this.problem.set('');
    this.lots
      .add({
        ...{ kind, item: this.of(), name: this.called(), receivedOn: this.came.value() },
        quantity: packed ?? opened?.usableLitres ?? (kind === 'product' ? kg : pieces) ?? null,
        price: (packed !== null ? this.packsPrice() : kind === 'material' ? opened?.price : price) ?? null,
        pack: this.pack(),
        readyOn: kind === 'material' && this.rest() && this.rests() ? this.readyOn() : null,
        from:
          kind !== 'material' || origin === 'bought'
            ? null
            : { batch: null, what: origin, ...(origin === 'emptied' && { round: round ?? 1 }) },
        seed:
          kind === 'seed'
            ? {
                year: year ?? null,
                germination: germination ?? null,
                ...(perGram !== undefined && { perGram }),
              }
            : null,
      })
      .subscribe({
        next: (lot) => {
          this.notices.say(texts.isKept(lot.name));
          this.name.set('');
          this.packs.set(undefined);
          this.packsPrice.set(undefined);
          this.figures.set({ round: 1 });
          this.package()?.clear();
        },
        error: (error: Error) => this.problem.set(texts.notKept(error.message)),
      });
  }
}
