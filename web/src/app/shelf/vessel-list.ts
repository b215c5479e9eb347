import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type VesselKind } from '#core/vessel/tray';
import { bagSoldAs, byWaterWeight, firmingOfBlocks } from '#core/vessel/calibrate';
import { byShape, checkVessel, type Vessel, volumeL } from '#core/vessel/vessel';
import { fixed } from '#core/units/show';
import { inchesOfRule } from '#words/inches';
import { TickField } from '../ui/fields/tick-field';
import { calledSo } from '../ui/called-so';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { TableFiles } from '../ui/table-files';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { VesselOutline } from '../ui/pictures/vessel-outline';
import { Amount } from '../ui/words/amount';
import { vesselList as texts } from '#words/en/places/shelf/vessel-list';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { ReaderHere } from '../data/reader-here';

type Size =
  | ('top' | 'top2' | 'base' | 'base2' | 'depth' | 'headspace' | 'perTray' | 'firm' | 'waterG' | 'perBucket')
  | 'hole'
  | 'soldAs'
  | ('price' | 'uses' | 'minutes' | 'stands');
type Form = 'round' | 'rect' | 'bag' | 'trough' | 'block';

const mm = (name: Size, label: string): Asked<Size> => ({ name, label, unit: 'mm', within: 'vesselMm' });
const deep: Asked<Size>[] = [
  mm('depth', texts.deepInside),
  { ...mm('headspace', texts.leftFreeAtTheTop), within: 'headspaceMm' },
];
const walled: Record<Vessel['shape'], Asked<Size>[]> = {
  round: [mm('top', texts.acrossAtTheTopInside), mm('base', texts.acrossAtTheBaseInside), ...deep],
  rect: [
    ...[mm('top', texts.longAtTheTopInside), mm('top2', texts.wideAtTheTopInside)],
    ...[mm('base', texts.longAtTheBase), mm('base2', texts.wideAtTheBase), ...deep],
  ],
  block: [
    mm('top', texts.long),
    mm('top2', texts.wide),
    mm('depth', texts.high),
    { ...mm('hole', texts.holePressedIn), within: 'holeMm' },
  ],
};
const counted: Asked<Size>[] = [
  { name: 'perTray', label: texts.toATraySetOr, within: 'perTray', whole: true },
  { name: 'firm', label: texts.usuallyFirmedBy, within: 'compactionPct' },
];
const shapes: { id: Form; name: string; noun: string; shape: Vessel['shape'] }[] = [
  { id: 'round', name: texts.round, noun: 'pot', shape: 'round' },
  { id: 'rect', name: texts.withCorners, noun: 'cell', shape: 'rect' },
  { id: 'bag', name: texts.growBag, noun: 'bag', shape: 'round' },
  { id: 'trough', name: texts.trough, noun: 'trough', shape: 'rect' },
  { id: 'block', name: texts.aPressedBlock, noun: 'block', shape: 'block' },
];
const soldAs: Asked<Size> = { name: 'soldAs', label: texts.soldAs, unit: 'L', within: 'soldAsLitres' };
const weighed: Asked<Size> = {
  name: 'waterG',
  label: texts.waterThatOneTakesTo,
  unit: 'g',
  within: 'waterWeightG',
};
const pressed: Asked<Size> = {
  name: 'perBucket',
  label: texts.blocksFromABucket10,
  within: 'usedCount',
  whole: true,
};
const costs: Asked<Size>[] = [
  { name: 'price', label: texts.priceOfATraySet, within: 'price' },
  { name: 'uses', label: texts.timesUsed, within: 'vesselUses', whole: true },
  { name: 'minutes', label: texts.minutesToFillOrPress, within: 'labourMinutes' },
  { name: 'stands', label: texts.aTraySetOrSingle, unit: 'm²', within: 'trayM2' },
];

const wallKinds = [
  { id: 'closed', name: texts.closed },
  { id: 'fabric', name: texts.fabric },
  { id: 'fibre', name: texts.peatOrFibre },
] as const;

/** Vessels: the usual ones, and the nursery's own by their measures. */
@Component({
  selector: 'app-vessel-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">{{ texts.insideMeasuresDecideHowMuch }}</p>
    <app-fetch-state [of]="library.fetched" [what]="texts.theVessels" />
    <details class="own" [open]="changing() !== null || isNew" aria-labelledby="own-vessel">
      <summary id="own-vessel">{{ changing() ? texts.change + name() : common.oneOfYourOwn }}</summary>
      <app-segments
        [label]="texts.itsShape"
        [choices]="shapes"
        [value]="form()"
        (valueChange)="shape($event)"
      />
      <div class="fields">
        <app-text-field [label]="common.called" [(value)]="name" />
        <app-number-list [asked]="fields()" [values]="sizes()" (typed)="type($event)" />
      </div>
      @if (form() !== 'block') {
        <app-tick-field [(checked)]="holes">{{ texts.waterDrainsAtTheBottom }}</app-tick-field>
        <app-segments [label]="texts.itsWalls" [choices]="wallKinds" [(value)]="walls" />
      }
      <app-tick-field [(checked)]="ownMix">{{ texts.aPressedDiscOrPlug }}</app-tick-field>
      <details>
        <summary>{{ texts.whatItCosts }}</summary>
        <div class="fields">
          <app-number-list [asked]="costs" [values]="sizes()" (typed)="type($event)" />
        </div>
      </details>
      @if (made(); as it) {
        @if ('why' in it) {
          <p class="wrong" role="alert">{{ it.why }}.</p>
        } @else {
          <p class="seen" role="status">
            <app-vessel-outline [vessel]="it.vessel" />
            <app-amount [of]="{ volumeL: volumeL(it.vessel) }" />
            {{ texts.each(it.firm > 0 ? texts.firmedBy + it.firm.toFixed(0) + ' %' : '') }}
          </p>
        }
      }
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <button type="button" class="press" [disabled]="!ready()" (click)="keep()">{{ common.save }}</button>
      @if (changing()) {
        <button type="button" class="press quiet" (click)="clear()">{{ common.cancel }}</button>
      }
    </details>
    <app-table-files table="vessels" />
    <ul class="rows" [attr.aria-label]="common.vessels">
      @for (kind of kinds(); track kind.id) {
        <li>
          <app-vessel-outline [vessel]="kind.vessel" />
          <span>
            <b>{{ kind | title }}</b>
            <span class="term"
              ><app-amount [of]="{ volumeL: volumeL(kind.vessel) }" />
              {{ texts.each(kind.perTray > 1 ? ', ' + kind.perTray + texts.together : '') }}</span
            >
          </span>
          @if (isOwn(kind.id)) {
            <button type="button" class="press" (click)="change(kind)">
              {{ common.change }}<span class="visually-hidden"> {{ kind.name }}</span>
            </button>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    .fields {
      margin: 8px 0;
    }
    .seen,
    li {
      display: flex;
      gap: 14px;
      align-items: center;
    }
    li .press {
      margin-left: auto;
    }
    li .term {
      display: block;
    }
    .own {
      margin-bottom: 24px;
    }
    .rows {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
      gap: 0 32px;
    }
  `,
  imports: [
    TitlePipe,
    Amount,
    FetchState,
    NumberList,
    Segments,
    TextField,
    VesselOutline,
    TickField,
    TableFiles,
  ],
})
export class VesselList {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly library = inject(LibraryService);
  private readonly notices = inject(Notices);
  protected readonly shapes = shapes;
  protected readonly volumeL = volumeL;
  protected readonly changing = signal<string | null>(null);
  protected readonly form = signal<Form>('round');
  private readonly kind = computed(() => shapes.find((shape) => shape.id === this.form())!);
  protected readonly holes = signal(true);
  protected readonly wallKinds = wallKinds;
  protected readonly walls = signal<(typeof wallKinds)[number]['id']>('closed');
  protected readonly ownMix = signal(false);
  protected readonly costs = costs;
  protected readonly name = signal(calledSo());
  /** Sought where it was not found: its form stands open. */
  protected readonly isNew = this.name() !== '';
  protected readonly sizes = signal<Partial<Record<Size, number | undefined>>>(FRESH);
  protected readonly problem = signal('');
  protected readonly fields = computed(() => {
    const { shape } = this.kind();
    return [
      ...(this.form() === 'bag' ? [soldAs] : []),
      ...walled[shape],
      ...(shape === 'block' ? [pressed] : [weighed]),
      ...counted,
    ];
  });
  /** Own ones first. */
  protected readonly kinds = computed(() =>
    [...(this.library.library()?.vessels.values() ?? [])].sort(
      (a, b) => Number(this.isOwn(b.id)) - Number(this.isOwn(a.id)),
    ),
  );

  /** What the measures come to, or why they come to nothing; null while some are missing. */
  protected readonly made = computed((): { vessel: Vessel; firm: number } | { why: string } | null => {
    const { top, top2, base, base2, depth, headspace = 0, waterG, hole } = this.sizes();
    if (top === undefined || depth === undefined) return null;
    const { shape } = this.kind();
    const side = this.walls();
    const walls = {
      ...{ depthMm: depth, headspaceMm: headspace },
      ...(!this.holes() && { holes: false }),
      ...(side !== 'closed' && { walls: side }),
    };
    let vessel: Vessel;
    if (shape === 'round') {
      if (base === undefined && waterG === undefined) return null;
      vessel = { shape, topMm: top, baseMm: base ?? top, ...walls };
    } else if (top2 === undefined) return null;
    else if (shape === 'block')
      vessel = { shape, edgeMm: [top, top2], depthMm: depth, ...(hole !== undefined && { holeMm: hole }) };
    else if ((base === undefined || base2 === undefined) && waterG === undefined) return null;
    else vessel = { shape, topMm: [top, top2], baseMm: [base ?? top, base2 ?? top2], ...walls };
    return this.reader.attempt(() => {
      // What it takes in water outranks a base that is hard to measure.
      const measured = waterG === undefined ? vessel : byWaterWeight(checkVessel(vessel), waterG / 1000);
      const { perBucket, firm = 0 } = this.sizes();
      return {
        vessel: checkVessel(measured),
        firm:
          perBucket === undefined || shape !== 'block'
            ? firm
            : 100 * firmingOfBlocks(measured, perBucket, BUCKET_L),
      };
    });
  });
  protected readonly ready = computed(() => {
    const made = this.made();
    const { perTray, firm } = this.sizes();
    const whole = perTray !== undefined && firm !== undefined;
    return this.name().trim() !== '' && whole && made !== null && 'vessel' in made;
  });

  protected isOwn(id: string): boolean {
    return this.library.library()?.own?.has(id) ?? false;
  }

  /** Blocks are pressed by a quarter, as the usual ones are. */
  protected shape(form: Form): void {
    const [was, is] = [this.form() === 'block', form === 'block'];
    this.form.set(form);
    const firm = this.sizes().firm;
    if (is && !was && firm === 0) this.type(['firm', BLOCK_FIRM]);
    if (was && !is && firm === BLOCK_FIRM) this.type(['firm', 0]);
  }

  protected type([name, value]: [Size, number | undefined]): void {
    this.sizes.update((sizes) => ({ ...sizes, [name]: value }));
    // By the volume it is sold as, until it is measured.
    if (name !== 'soldAs' || value === undefined) return;
    const it = this.reader.attempt(() => bagSoldAs(value));
    if ('why' in it) return;
    const { topMm: top, baseMm: base, depthMm: depth, headspaceMm: headspace } = it;
    this.sizes.update((sizes) => ({ ...sizes, top, base, depth, headspace }));
  }

  protected change(kind: VesselKind): void {
    const { id, name, noun, vessel, perTray, usualCompaction } = kind;
    this.changing.set(id);
    this.name.set(name);
    this.form.set(
      shapes.find((shape) => shape.shape === vessel.shape && shape.noun === noun)?.id ?? vessel.shape,
    );
    this.holes.set(vessel.shape === 'block' || vessel.holes !== false);
    this.walls.set((vessel.shape !== 'block' && vessel.walls) || 'closed');
    this.ownMix.set(kind.ownMix ?? false);
    const { depthMm: depth } = vessel;
    const { price, uses, minutesPerHundred: minutes, footprintM2: stands } = kind;
    const counts = { perTray, firm: 100 * usualCompaction, depth, price, uses, minutes, stands };
    const sides = byShape<object>(vessel, {
      block: ({ edgeMm: [top, top2], holeMm: hole }) => ({ top, top2, hole }),
      round: ({ topMm: top, baseMm: base, headspaceMm: headspace }) => ({ top, base, headspace }),
      rect: ({ topMm: [top, top2], baseMm: [base, base2], headspaceMm: headspace }) => ({
        ...{ top, top2, base, base2, headspace },
      }),
    });
    this.sizes.set({ ...counts, ...sides });
  }

  protected clear(): void {
    this.changing.set(null);
    this.name.set('');
    this.sizes.set(this.form() === 'block' ? { ...FRESH, firm: BLOCK_FIRM } : FRESH);
    this.holes.set(true);
    this.walls.set('closed');
    this.ownMix.set(false);
    this.problem.set('');
  }

  /** A block keeps its three measures in its name, as they are typed here. */
  private named(vessel: Vessel): string {
    const name = this.name().trim();
    if (vessel.shape !== 'block' || /\d/.test(name)) return name;
    const us = this.reader.now().units === 'us';
    const sides = [...vessel.edgeMm, vessel.depthMm].map((mm) => (us ? inchesOfRule(mm) : fixed(mm, 0)));
    return `${name}, ${sides.join(' × ')} ${us ? 'in' : 'mm'}`;
  }

  protected keep(): void {
    const made = this.made();
    const { perTray = 1, price, uses, minutes, stands } = this.sizes();
    if (!made || !('vessel' in made)) return;
    const { noun } = this.kind();
    const kind = {
      name: this.named(made.vessel),
      noun,
      vessel: made.vessel,
      perTray,
      usualCompaction: made.firm / 100,
      ...(this.ownMix() && { ownMix: true }),
      ...(price !== undefined && { price }),
      ...(uses !== undefined && { uses }),
      ...(minutes !== undefined && { minutesPerHundred: minutes }),
      ...(stands !== undefined && { footprintM2: stands }),
    };
    this.problem.set('');
    this.library.keepVessel(this.changing(), kind).subscribe({
      next: () => {
        this.notices.say(texts.isOnYourShelf(kind.name));
        this.clear();
      },
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }
}

/** Loose mix of which the blocks are counted. */
const BUCKET_L = 10;
/** What pressing takes of the volume, %: as of the usual blocks. */
const BLOCK_FIRM = 25;
const FRESH = { perTray: 1, firm: 0, headspace: 0 };
