import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type VesselKind } from '#core/vessel/tray';
import { checkVessel, type Vessel, volumeL } from '#core/vessel/vessel';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { VesselOutline } from '../ui/pictures/vessel-outline';
import { Amount } from '../ui/words/amount';
import { SaidPipe } from '../ui/words/said';

type Shape = Vessel['shape'];
type Size = 'top' | 'top2' | 'base' | 'base2' | 'depth' | 'headspace' | 'perTray' | 'firm';

const mm = (name: Size, label: string): Asked<Size> => ({ name, label, unit: 'mm', within: 'vesselMm' });
const deep: Asked<Size>[] = [
  mm('depth', 'Deep, inside'),
  { ...mm('headspace', 'Left free at the top'), within: 'headspaceMm' },
];
const asked: Record<Shape, Asked<Size>[]> = {
  round: [mm('top', 'Across, at the top, inside'), mm('base', 'Across, at the base, inside'), ...deep],
  rect: [
    ...[mm('top', 'Long, at the top, inside'), mm('top2', 'Wide, at the top, inside')],
    ...[mm('base', 'Long, at the base'), mm('base2', 'Wide, at the base'), ...deep],
  ],
  block: [mm('top', 'Long'), mm('top2', 'Wide'), mm('depth', 'High')],
};
const counted: Asked<Size>[] = [
  { name: 'perTray', label: 'To a tray, set or press', within: 'perTray', whole: true },
  { name: 'firm', label: 'Usually firmed by, %', within: 'compactionPct' },
];
const shapes: { id: Shape; name: string; noun: string }[] = [
  { id: 'round', name: 'Round', noun: 'pot' },
  { id: 'rect', name: 'With corners', noun: 'cell' },
  { id: 'block', name: 'A pressed block', noun: 'block' },
];

/** Vessels: the usual ones, and the nursery's own by their measures. */
@Component({
  selector: 'app-vessel-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">Inside measures decide how much water stands in a mix: measure your own.</p>
    <app-fetch-state [of]="library.fetched" what="the vessels" />
    <section aria-labelledby="own-vessel">
      <h2 id="own-vessel">{{ changing() ? 'Change ' + name() : 'One of your own' }}</h2>
      <app-segments label="Its shape" [choices]="shapes" [(value)]="shape" />
      <div class="fields">
        <app-text-field label="Called" [(value)]="name" />
        <app-number-list [asked]="fields()" [values]="sizes()" (typed)="type($event)" />
      </div>
      @if (made(); as it) {
        @if ('why' in it) {
          <p class="wrong" role="alert">{{ it.why | said }}.</p>
        } @else {
          <p class="seen" role="status">
            <app-vessel-outline [vessel]="it.vessel" />
            <app-amount [of]="{ volumeL: volumeL(it.vessel) }" /> each
          </p>
        }
      }
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <button type="button" class="press" [disabled]="!ready()" (click)="keep()">Keep it</button>
      @if (changing()) {
        <button type="button" class="press quiet" (click)="clear()">Leave it as it is</button>
      }
    </section>
    <ul class="rows" aria-label="Vessels">
      @for (kind of kinds(); track kind.id) {
        <li>
          <app-vessel-outline [vessel]="kind.vessel" />
          <span>
            <b>{{ kind.name | said }}</b>
            <span class="term"
              ><app-amount [of]="{ volumeL: volumeL(kind.vessel) }" /> each{{
                kind.perTray > 1 ? ', ' + kind.perTray + ' together' : ''
              }}</span
            >
          </span>
          @if (isOwn(kind.id)) {
            <button type="button" class="press" (click)="change(kind)">
              Change<span class="visually-hidden"> {{ kind.name }}</span>
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
    section {
      margin-bottom: 24px;
    }
    .rows {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
      gap: 0 32px;
    }
  `,
  imports: [Amount, FetchState, NumberList, SaidPipe, Segments, TextField, VesselOutline],
})
export class VesselList {
  protected readonly library = inject(LibraryService);
  private readonly notices = inject(Notices);
  protected readonly shapes = shapes;
  protected readonly volumeL = volumeL;
  protected readonly changing = signal<string | null>(null);
  protected readonly shape = signal<Shape>('round');
  protected readonly name = signal('');
  protected readonly sizes = signal<Partial<Record<Size, number | undefined>>>(FRESH);
  protected readonly problem = signal('');
  protected readonly fields = computed(() => [...asked[this.shape()], ...counted]);
  /** Own ones first. */
  protected readonly kinds = computed(() =>
    [...(this.library.library()?.vessels.values() ?? [])].sort(
      (a, b) => Number(this.isOwn(b.id)) - Number(this.isOwn(a.id)),
    ),
  );

  /** What the measures come to, or why they come to nothing; null while some are missing. */
  protected readonly made = computed((): { vessel: Vessel } | { why: string } | null => {
    const { top, top2, base, base2, depth, headspace = 0 } = this.sizes();
    if (top === undefined || depth === undefined) return null;
    const shape = this.shape();
    let vessel: Vessel;
    if (shape === 'round') {
      if (base === undefined) return null;
      vessel = { shape, topMm: top, baseMm: base, depthMm: depth, headspaceMm: headspace };
    } else if (top2 === undefined) return null;
    else if (shape === 'block') vessel = { shape, edgeMm: [top, top2], depthMm: depth };
    else if (base === undefined || base2 === undefined) return null;
    else
      vessel = { shape, topMm: [top, top2], baseMm: [base, base2], depthMm: depth, headspaceMm: headspace };
    try {
      return { vessel: checkVessel(vessel) };
    } catch (error) {
      if (error instanceof RangeError) return { why: error.message };
      throw error;
    }
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

  protected type([name, value]: [Size, number | undefined]): void {
    this.sizes.update((sizes) => ({ ...sizes, [name]: value }));
  }

  protected change({ id, name, vessel, perTray, usualCompaction }: VesselKind): void {
    this.changing.set(id);
    this.name.set(name);
    this.shape.set(vessel.shape);
    const { depthMm: depth } = vessel;
    const counts = { perTray, firm: 100 * usualCompaction, depth };
    if (vessel.shape === 'block')
      this.sizes.set({ ...counts, top: vessel.edgeMm[0], top2: vessel.edgeMm[1] });
    else if (vessel.shape === 'round')
      this.sizes.set({ ...counts, top: vessel.topMm, base: vessel.baseMm, headspace: vessel.headspaceMm });
    else {
      const [[top, top2], [base, base2]] = [vessel.topMm, vessel.baseMm];
      this.sizes.set({ ...counts, top, top2, base, base2, headspace: vessel.headspaceMm });
    }
  }

  protected clear(): void {
    this.changing.set(null);
    this.name.set('');
    this.sizes.set(FRESH);
    this.problem.set('');
  }

  protected keep(): void {
    const made = this.made();
    const { perTray = 1, firm = 0 } = this.sizes();
    if (!made || !('vessel' in made)) return;
    const noun = shapes.find((one) => one.id === this.shape())!.noun;
    const kind = {
      name: this.name().trim(),
      noun,
      vessel: made.vessel,
      perTray,
      usualCompaction: firm / 100,
    };
    this.problem.set('');
    this.library.keepVessel(this.changing(), kind).subscribe({
      next: () => {
        this.notices.say(`${kind.name} can be filled now.`);
        this.clear();
      },
      error: (error: Error) => this.problem.set(`Not kept: ${error.message}`),
    });
  }
}

const FRESH = { perTray: 1, firm: 0, headspace: 0 };
