import { packets as packetTexts } from '#words/en/places/plants/packets';
import { packetsFor } from './packets';
import { type About, type AboutKind } from '#contract/about';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { called } from '#core/plants/care';
import { fills } from '#core/package/stock';
import { holeFor, howToSow, timeToMove } from '#core/plants/how-to-sow';
import { perhapsThere, type Planting, startOf, starts } from '#core/plants/planting';
import { checkWhole } from '#core/units/check';
import { type Crop } from '#core/season/crop';
import { weeksOfRoom } from '#core/season/pot-on';
import { isOpenFlat, seedsByArea, usualPerCm2 } from '#core/season/per-vessel';
import { volumeL } from '#core/vessel/vessel';
import { dayFrom } from '#words/days';
import { limits } from '#core/units/limits';
import { type BatchLine, BatchesService } from '../data/batches';
import { HalfDone } from '../data/half-done';
import { KitChoice } from '../data/kit-choice';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Notices } from '../data/notices';
import { keptHere } from '../data/making';
import { NurseryService } from '../data/nursery';
import { type PlantingLine, PlantsService } from '../data/plants';
import { ReaderHere } from '../data/reader-here';
import { SeasonService } from '../data/season';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { tubSays } from '../ui/words/tub-says';
import { Fold } from '../ui/fold';
import { FetchState } from '../ui/fetch-state';
import { tubSays as tubTexts } from '#words/en/places/ui/words/tub-says';
import { plantNew as texts } from '#words/en/places/plants/plant-new';
import { common } from '#words/en/places/common';

interface Draft {
  start: Planting['start'];
  crop: string;
  name: string;
  seed: string;
  vessel: string;
  cells: number | undefined;
  perCell: number | undefined;
  batch: string | null;
  /** Empty: today. */
  on: string;
  bareRoot: boolean;
  halfFilled: boolean;
  season: Planting['season'];
  /** Packet of seed. */
  seedLot: string | null;
  from: { planting: number; plants: number | undefined }[];
}

/** Seed sown, cuttings struck, plants potted: what stands in what, from which batch. */
@Component({
  selector: 'app-plant-new',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plant-new.html',
  styles: `
    form {
      max-width: 720px;
    }
    .sheet {
      margin: 12px 0;
      padding: 8px 16px;
      border-left: 6px solid var(--ink);
      background: var(--surface);
    }
    .tub {
      margin: 12px 0;
      max-width: 420px;
    }
    .done {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 16px;
    }
  `,
  imports: [ChoiceField, FetchState, Fold, NumberField, RouterLink, Segments, TextField, TickField],
})
export class PlantNew {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly plants = inject(PlantsService);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly nursery = inject(NurseryService);
  private readonly season = inject(SeasonService);
  private readonly query = inject(ActivatedRoute).snapshot.queryParams as Record<string, string>;
  private readonly halfDone = new HalfDone<Draft>('planting');
  private readonly which = JSON.stringify(this.query);
  protected readonly library = inject(LibraryService);
  private readonly batchLines = inject(BatchesService).list('no');
  protected readonly standing = this.plants.list('no');
  protected readonly busy = signal(false);
  protected readonly problem = signal('');
  protected readonly draft = signal<Draft>(this.halfDone.of(this.which) ?? this.fromAddress());
  protected readonly limits = limits;
  private readonly reader = inject(ReaderHere);
  private readonly lots = inject(LotsService);
  private readonly tasks = this.season.due();

  protected readonly ways = starts.map((id) => ({
    id,
    name: { sow: texts.sow, strike: texts.strikeCuttings, pot: texts.potPlants, split: texts.setSomeApart }[
      id
    ],
  }));
  protected readonly crops = computed(() =>
    (this.season.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );
  protected readonly crop = computed(() =>
    (this.season.crops.value() ?? []).find(({ id }) => id === this.draft().crop),
  );
  protected readonly vessels = computed(() =>
    [...(this.library.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );
  /** Those whose tub holds something first, the newest first. */
  protected readonly batches = computed(() => {
    const language = this.reader.now().language;
    const lines = this.batchLines.lines.value() ?? [];
    const holds = lines.filter(({ leftLitres }) => leftLitres > 0);
    const others = lines.filter(({ leftLitres }) => leftLitres === 0);
    return [...holds, ...others].map(({ id, name, madeOn, leftLitres, state }) => {
      const left = !state.made
        ? tubTexts.notMixed
        : leftLitres > 0
          ? tubTexts.left(this.reader.formats().volume(leftLitres))
          : tubTexts.empty;
      return { id: String(id), name: `${name}, ${dayFrom(madeOn, this.nursery.today(), language)}, ${left}` };
    });
  });
  private readonly tub = computed(() =>
    (this.batchLines.lines.value() ?? []).find(({ id }) => String(id) === this.draft().batch),
  );
  /** What is to be minded about the tub that is chosen. */
  protected readonly remarks = computed(() => {
    const tub = this.tub();
    return tub ? tubSays(tub, this.reader.now(), this.nursery.today()) : [];
  });
  private readonly kind = computed(() => this.library.library()?.vessels.get(this.draft().vessel));
  /** How many of the vessel the tub still fills. */
  protected readonly tubFills = computed(() => {
    const [tub, kind] = [this.tub(), this.kind()];
    if (!tub?.state.made || !kind) return '';
    const count = fills(tub.leftLitres, volumeL(kind.vessel));
    return tubTexts.fills(count, kind.noun);
  });
  /** What is its own mix takes none of any tub. */
  protected readonly takesMix = computed(() => this.kind()?.ownMix !== true);
  protected readonly undrained = computed(() => {
    const vessel = this.kind()?.vessel;
    return vessel !== undefined && vessel.shape !== 'block' && vessel.holes === false;
  });
  /** Seed that was tested: how many are wanted, and how many of how many came up. */
  protected readonly wanted = signal<number | undefined>(undefined);
  protected readonly cameUp = signal<number | undefined>(undefined);
  protected readonly tested = signal<number | undefined>(undefined);
  protected readonly toSow = computed(() => {
    const [wanted, cameUp, of] = [this.wanted(), this.cameUp(), this.tested()];
    if (wanted === undefined || cameUp === undefined || of === undefined) return null;
    const breaks = this.kind()?.vessel.shape === 'block' ? this.kit.kit().breakPct : undefined;
    const it = this.reader.attempt(() => howToSow(wanted, cameUp, of, breaks));
    return 'why' in it
      ? { says: it.why, cells: undefined, perCell: undefined }
      : { ...it, says: texts.sowPlan(it.perCell, this.noun(), it.cells, Math.round(100 * it.upShare)) };
  });
  /** How deep, and under what. */
  protected readonly sowSays = computed(() => {
    const crop = this.crop();
    if (!crop) return '';
    const light = { light: texts.needsLight, dark: texts.needsDark, either: '' }[crop.light];
    const depth = this.reader.formats().length(crop.coverMm);
    const cover =
      crop.cover === 'none' || crop.coverMm === 0
        ? texts.pressOnly
        : texts.coverWith(
            depth,
            { vermiculite: texts.vermiculite, mix: texts.theMix, sand: texts.sand }[crop.cover],
          );
    const vessel = this.kind()?.vessel;
    const hole =
      vessel?.shape === 'block' && vessel.holeMm !== undefined
        ? {
            suits: '',
            'too-deep': texts.holeTooDeep(this.reader.formats().length(vessel.holeMm)),
            'too-shallow': texts.holeTooShallow(this.reader.formats().length(vessel.holeMm)),
          }[holeFor(vessel.holeMm, crop.cover === 'none' ? 0 : crop.coverMm)]
        : '';
    return [cover, light, hole, this.roomSays(crop)].filter(Boolean).join(' ');
  });
  /** Whether what stands in it must be potted up before it is planted out. */
  private roomSays(crop: Crop): string {
    const [library, kind] = [this.library.library(), this.kind()];
    if (!library || !kind || isOpenFlat(kind)) return '';
    const litresOf = (id: string): number | undefined => {
      const each = library.vessels.get(id);
      return each && volumeL(each.vessel);
    };
    const room = weeksOfRoom(crop, volumeL(kind.vessel), litresOf);
    const weeks = crop.steps.reduce((sum, step) => sum + step.weeks, 0);
    return room + 0.5 < weeks
      ? texts.needsPottingUp(Math.max(1, Math.round(room)), Math.round(weeks))
      : texts.needsNoPottingUp(Math.round(weeks));
  }
  private readonly kit = inject(KitChoice);
  /** What is sown as an area: seeds to a square centimetre, as the crop has it until another is typed. */
  protected readonly openFlat = computed(() => {
    const kind = this.kind();
    return this.draft().start === 'sow' && kind !== undefined && isOpenFlat(kind) ? kind : null;
  });
  private readonly typedPerCm2 = signal<number | undefined>(undefined);
  protected readonly perCm2 = computed(() => this.typedPerCm2() ?? this.crop()?.seedsPerCm2 ?? usualPerCm2);
  protected readonly pairs = signal<number | undefined>(undefined);
  /** Whether what is potted is ready for it, by its true leaves. */
  protected readonly isTime = computed(() => {
    const [pairs, crop] = [this.pairs(), this.crop()];
    if (pairs === undefined || !crop) return '';
    const at = Math.max(1, Math.ceil(crop.atLeaves / 2));
    return { early: texts.tooEarly(at), now: texts.rightTime, late: texts.late }[
      timeToMove(pairs, crop.atLeaves)
    ];
  });
  protected readonly perTray = computed(() => this.kind()?.perTray ?? 1);
  /** Whole trays of what is typed in cells; nothing where it is no whole number of them. */
  protected readonly trays = computed(() => {
    const { cells } = this.draft();
    const trays = cells === undefined ? undefined : cells / this.perTray();
    return trays !== undefined && Number.isInteger(trays) ? trays : undefined;
  });
  protected readonly packetTexts = packetTexts;
  protected readonly packets = computed(() =>
    packetsFor(this.crop()?.name ?? '', this.lots.all.value() ?? []),
  );
  /** Sowings and pottings of the season that this may be, the nearest first. */
  protected readonly places = computed(() => {
    const { crop, start } = this.draft();
    const language = this.reader.now().language;
    return (this.tasks.value() ?? []).flatMap(({ line, sowing, on, fills: wants }) => {
      if (wants?.crop !== crop || wants.start !== start) return [];
      const day = dayFrom(on, this.nursery.today(), language);
      const left = Math.max(0, wants.cells - wants.filled);
      const name = texts.ofTheSeason(sowing, wants.name, day, left);
      return [{ id: `${line} ${sowing} ${wants.step}`, name, on }];
    });
  });
  protected readonly place = computed(() => {
    const season = this.draft().season;
    return season ? `${season.line} ${season.sowing} ${season.step}` : null;
  });
  /** What plants may be taken from. */
  protected readonly sources = computed(() => {
    const names = new Map((this.season.crops.value() ?? []).map((each) => [each.id, each]));
    return (this.standing.value() ?? [])
      .filter(({ tally }) => perhapsThere(tally) > 0)
      .map((each: PlantingLine) => ({
        id: String(each.id),
        name: texts.there(
          called(each, names.get(each.crop) ?? { name: each.crop }),
          perhapsThere(each.tally),
        ),
      }));
  });
  protected readonly noun = computed(
    () => this.library.library()?.vessels.get(this.draft().vessel)?.noun ?? 'cell',
  );
  protected readonly each = computed(
    () =>
      ({ sow: texts.seeds, strike: common.cuttings, pot: common.plants, split: common.plants })[
        this.draft().start
      ] + texts.toEach(this.noun()),
  );
  /** Plants that come from others. */
  protected readonly fromSum = computed(() =>
    this.draft().from.reduce((sum, each) => sum + (each.plants ?? 0), 0),
  );
  protected readonly deep = computed(() =>
    this.crop()?.depth === 'deep' ? texts.deepUpToTheFirst : texts.atItsOldLevelNo,
  );
  /** Today until another is chosen: the nursery's, which may be known only after the form is. */
  protected readonly day = computed(() => this.draft().on || this.nursery.today());
  protected readonly dayProblem = computed(() => {
    const on = this.day();
    if (!/^\d{4}-\d{2}-\d{2}$/.test(on)) return common.dayMustBeADate;
    return on > this.nursery.today() ? texts.theDayMustNotBe : '';
  });
  protected readonly ready = computed(() => {
    const { cells, perCell, from } = this.draft();
    return (
      cells !== undefined &&
      perCell !== undefined &&
      from.every((each) => each.plants !== undefined && each.planting > 0) &&
      !this.dayProblem()
    );
  });

  private fromAddress(): Draft {
    const { crop, name, seed, vessel, cells, perCell, line, sowing, step, start, from, batch } = this.query;
    const parent = Number(from);
    return {
      start: starts.find((each) => each === start) ?? 'sow',
      crop: crop ?? 'tomato',
      name: name ?? '',
      seed: seed ?? '',
      vessel: vessel ?? 'cell-72',
      cells: cells === undefined ? 72 : Number(cells),
      perCell: perCell === undefined ? 1 : Number(perCell),
      batch: batch ?? null,
      seedLot: null,
      on: '',
      bareRoot: false,
      halfFilled: false,
      season:
        line === undefined ? null : { line: Number(line), sowing: Number(sowing), step: Number(step ?? 0) },
      from: parent > 0 ? [{ planting: parent, plants: cells === undefined ? undefined : Number(cells) }] : [],
    };
  }

  constructor() {
    // What the link says only in part is filled from what there is, until its person types.
    effect(() => {
      const [lines, tasks, library] = [
        this.batchLines.lines.value(),
        this.tasks.value(),
        this.library.library(),
      ];
      if (!lines || !tasks || !library || this.isTouched) return;
      untracked(() => this.prefill());
    });
  }

  private isTouched = this.halfDone.of(this.which) !== null;

  /** Nothing speaks against using it now. */
  private isSound(tub: BatchLine): boolean {
    return tubSays(tub, this.reader.now(), this.nursery.today()).every(({ severity }) => severity !== 'warn');
  }

  /** From a tub: its vessel and what begins in it. Of the nursery: a tub of that stage and vessel that can be used now. */
  private prefill(): void {
    const tub = this.tub();
    const { vessel, start, crop, cells, line } = this.query;
    if (tub && vessel === undefined) {
      const kind = this.library.library()?.vessels.get(tub.vesselId);
      const begins = start ?? startOf(tub.stage);
      this.draft.update((draft) => ({
        ...draft,
        start: starts.find((each) => each === begins) ?? draft.start,
        ...(kind && { vessel: kind.id, cells: kind.perTray }),
      }));
      const due = (this.tasks.value() ?? []).find(
        ({ fills: wants, state }) => wants?.vessel === tub.vesselId && state === 'due',
      );
      if (crop === undefined && due?.fills)
        this.draft.update((draft) => ({ ...draft, crop: due.fills!.crop }));
    } else if (!tub && this.query['batch'] === undefined) {
      const { vessel: into, start: begins } = this.draft();
      const fitting = (this.batchLines.lines.value() ?? []).find(
        (each) =>
          each.vesselId === into && startOf(each.stage) === begins && each.fills > 0 && this.isSound(each),
      );
      if (fitting && begins !== 'split')
        this.draft.update((draft) => ({ ...draft, batch: String(fitting.id) }));
    }
    this.sowByArea();
    const [place] = this.places();
    if (line === undefined && cells === undefined && place && place.on <= this.nursery.today())
      this.setPlace(place.id);
  }

  /** Counts as a sowing of the season. */
  private setPlace(id: string | null): void {
    const [line, sowing, step] = (id ?? '').split(' ').map(Number);
    const season = id && line ? { line, sowing: sowing!, step: step! } : null;
    this.draft.update((draft) => ({ ...draft, season }));
  }

  protected choosePlace(id: string | null): void {
    this.setPlace(id);
    this.patch({});
  }

  /** A flat is sown by its area, and nothing else is, until another number is typed. */
  private sowByArea(): void {
    const [flat, perCell] = [this.openFlat(), this.draft().perCell];
    const proposed = flat ? seedsByArea(flat, this.perCm2()) : 1;
    if (perCell === this.proposed && perCell !== proposed)
      this.draft.update((draft) => ({ ...draft, perCell: proposed }));
    this.proposed = proposed;
  }
  private proposed = 1;

  protected setPerCm2(perCm2: number | undefined): void {
    this.typedPerCm2.set(perCm2);
    const flat = this.openFlat();
    if (perCm2 !== undefined && flat) this.patch({ perCell: seedsByArea(flat, perCm2) });
  }

  protected setTrays(trays: number | undefined): void {
    this.patch({ cells: trays === undefined ? undefined : trays * this.perTray() });
  }

  protected patch(change: Partial<Draft>): void {
    this.isTouched = true;
    this.draft.update((draft) => ({ ...draft, ...change }));
    if ('crop' in change || 'start' in change || 'vessel' in change) this.sowByArea();
    // Of another crop it is another sowing: the one that is due, if one is.
    if ('crop' in change || 'start' in change) {
      const [place] = this.places();
      this.setPlace(place && place.on <= this.nursery.today() ? place.id : null);
    }
    // At once: a reload may come before the next frame.
    this.halfDone.keep(this.which, this.draft());
  }

  protected setFrom(at: number, change: { planting?: number; plants?: number | undefined }): void {
    this.patch({ from: this.draft().from.map((each, i) => (i === at ? { ...each, ...change } : each)) });
  }

  protected addFrom(): void {
    const first = this.sources().find(
      ({ id }) => !this.draft().from.some(({ planting }) => String(planting) === id),
    );
    if (first)
      this.patch({ from: [...this.draft().from, { planting: Number(first.id), plants: undefined }] });
  }

  protected takeFrom(at: number): void {
    this.patch({ from: this.draft().from.filter((_, i) => i !== at) });
  }

  protected leave(): void {
    this.halfDone.forget(this.which);
  }

  /** What it names, by the keys that this page was told. */
  private aboutOf(
    batch: number | null,
    line: number | undefined,
    from: Draft['from'],
    seedLot: string | null,
  ): About[] {
    const keyed = (kind: AboutKind, all: readonly { id: number; key?: string }[], id: number): About[] => {
      const key = all.find((each) => each.id === id)?.key;
      return key === undefined ? [] : [{ kind, id, key }];
    };
    const lineKey = this.season.plan.value()?.keys[String(line)];
    const lot = seedLot ? this.lots.one(Number(seedLot)) : undefined;
    return [
      ...(lot?.key ? [{ kind: 'lot' as const, id: lot.id, key: lot.key }] : []),
      ...(batch === null ? [] : keyed('batch', this.batchLines.lines.value() ?? [], batch)),
      ...(lineKey === undefined || line === undefined
        ? []
        : [{ kind: 'line' as const, id: line, key: lineKey }]),
      ...from.flatMap(({ planting }) => keyed('planting', this.standing.value() ?? [], planting)),
    ];
  }

  protected keep(): void {
    const { batch, cells, perCell, from, seedLot, ...draft } = this.draft();
    const takes = draft.start === 'pot' || draft.start === 'split';
    this.busy.set(true);
    this.problem.set('');
    const source = takes ? from : [];
    const existing = called(draft, this.crop() ?? { name: draft.crop });
    this.plants
      .add(
        {
          ...draft,
          on: this.day(),
          halfFilled: draft.halfFilled && draft.start === 'pot',
          cells: checkWhole('cells', cells!, ...limits.plantCells),
          perCell: perCell!,
          batch: batch && this.takesMix() ? Number(batch) : null,
          seedLot: seedLot && draft.start === 'sow' ? Number(seedLot) : null,
          from: source.map((each) => ({ planting: each.planting, plants: each.plants! })),
        },
        existing,
        this.aboutOf(batch ? Number(batch) : null, draft.season?.line, source, seedLot),
      )
      .subscribe({
        next: (made) => {
          this.leave();
          if (!made) {
            this.notices.say(keptHere(existing));
            void this.router.navigate(['/plants/growing'], { replaceUrl: true });
            return;
          }
          if (draft.season) this.season.plan.refresh();
          this.lots.all.refresh();
          this.lots.stock.refresh();
          this.notices.say(texts.isSavedUnderPlants(this.crop()?.name ?? texts.it));
          void this.router.navigate(['/plants', made.id], { replaceUrl: true });
        },
        error: (error: Error) => {
          this.busy.set(false);
          this.problem.set(texts.notKept(error.message));
        },
      });
  }
}
