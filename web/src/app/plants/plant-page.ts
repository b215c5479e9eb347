import { coldestNight } from '#core/season/roots-in-pots';
import { OutOfRange } from '#core/units/check';
import { WrittenPipe } from '../ui/words/written';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { catchError, firstValueFrom, of, switchMap } from 'rxjs';
import { type About } from '#contract/about';
import { addressOf } from '#contract/routes';
import { called, daysToFeed } from '#core/plants/care';
import { foundOf } from '#core/plants/found';
import {
  checkEvent,
  type KeptEvent,
  type PlantEvent,
  standing,
  tallyOf,
  countsApart,
} from '#core/plants/planting';
import { dayNumber } from '#core/season/days';
import { volumeL } from '#core/vessel/vessel';
import { BatchesService } from '../data/batches';
import { LotsService } from '../data/lots';
import { LibraryService } from '../data/library';
import { MixesService } from '../data/mixes';
import { Notices } from '../data/notices';
import { keptHere } from '../data/making';
import { type ForThing } from '../data/outbox';
import { NurseryService } from '../data/nursery';
import { PlantWater } from './plant-water';
import { PlantRecordService } from '../data/plant-record';
import { PlantsService } from '../data/plants';
import { resourceOf } from '../data/resource';
import { SeasonService } from '../data/season';
import { ReaderHere } from '../data/reader-here';
import { Units } from '../data/units';
import { RecipeStore } from '../bench/recipe-store';
import { FetchState } from '../ui/fetch-state';
import { SaidPipe } from '../ui/words/said';
import { EventSheet } from './event-sheet';
import { eventSays } from '#words/read';
import { PlantCurves } from './plant-curves';
import { startWords, tallySays } from './plant-words';
import { smallPicture } from './small-picture';
import { WhatsWrong } from './whats-wrong';
import { plantPage as texts } from '#words/en/places/plants/plant-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

const HOUSE_C = 20;

/** The life of one planting: what happened, what it wants, what is wrong with it, and what to change. */
@Component({
  selector: 'app-plant-page',
  providers: [PlantRecordService],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plant-page.html',
  styleUrl: './plant-page.scss',
  imports: [
    DayPipe,
    TitlePipe,
    WrittenPipe,
    EventSheet,
    FetchState,
    PlantCurves,
    RouterLink,
    SaidPipe,
    WhatsWrong,
    PlantWater,
  ],
})
export class PlantPage {
  protected readonly texts = texts;
  protected readonly common = common;
  /** From the address. */
  readonly id = input.required<string>();
  private readonly plants = inject(PlantsService);
  private readonly batches = inject(BatchesService);
  private readonly lots = inject(LotsService);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly nursery = inject(NurseryService);
  private readonly store = inject(RecipeStore);
  private readonly units = inject(Units);
  private readonly reader = inject(ReaderHere);
  private readonly mixes = inject(MixesService);
  private readonly library = inject(LibraryService).library;
  private readonly crops = inject(SeasonService).crops;
  protected readonly record = inject(PlantRecordService);
  private readonly sheet = viewChild(EventSheet);
  protected readonly fetched = resourceOf(this.id, (id) => this.plants.one(id));
  protected readonly problem = signal('');
  /** Of what is done with the whole: a picture, putting away. */
  protected readonly wayProblem = signal('');
  protected readonly says = tallySays;
  protected readonly eventSays = eventSays;
  protected readonly startWords = startWords;

  /** What it stands in, as it was made. */
  protected readonly batch = toSignal(
    toObservable(computed(() => this.fetched.value()?.batch ?? null)).pipe(
      switchMap((id) =>
        id === null ? of(undefined) : this.batches.one(id).pipe(catchError(() => of(undefined))),
      ),
    ),
  );

  protected readonly crop = computed(() =>
    (this.crops.value() ?? []).find(({ id }) => id === this.fetched.value()?.crop),
  );
  protected readonly name = computed(() => {
    const planting = this.fetched.value();
    return planting ? called(planting, this.crop() ?? { name: planting.crop }) : '';
  });
  /** Entries that the server would not take. */
  protected readonly refused = computed(() =>
    this.record.refused().filter(({ planting }) => planting === Number(this.id())),
  );
  /** How it stands, with what this device entered and has not sent yet. */
  protected readonly tally = computed(() => {
    const planting = this.fetched.value();
    if (!planting) return null;
    const { lost, lostSum: _, ...tally } = tallyOf(planting, this.events());
    return {
      ...planting,
      tally: {
        ...tally,
        lost: [...lost].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count),
      },
    };
  });
  protected readonly vessel = computed(() => this.library()?.vessels.get(this.fetched.value()?.vessel ?? ''));
  protected readonly events = computed((): KeptEvent[] =>
    this.record.of(Number(this.id()), this.fetched.value()?.events ?? []),
  );
  /** Newest first; what was taken back stays in sight, struck through. */
  protected readonly lines = computed(() => {
    const stands = new Set(standing(this.events()).map(({ id }) => id));
    const unsent = new Set(this.record.own().flatMap((ownEvent) => (ownEvent.sent ? [] : [ownEvent.id])));
    return [...this.events()]
      .filter(({ kind }) => kind !== 'undo')
      .sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : b.id - a.id))
      .map((event) => ({
        event,
        stands: stands.has(event.id),
        says: eventSays(event),
        /** A potting is taken back there: by putting away what it went into. */
        to: event.kind === 'moved' ? event.to : null,
        picture: event.kind === 'picture' ? addressOf('picture', { id: event.picture }) : null,
        undoable: event.kind !== 'moved',
        waits: unsent.has(event.id),
      }));
  });
  /** Counts of one day that were made on devices out of each other's reach. */
  protected readonly apart = computed(() =>
    countsApart(this.events()).map(({ holds, earlier }) => ({
      ...{ id: earlier.id, on: earlier.on, earlierAt: earlier.at, holdsAt: holds.at },
      ...{ earlier: earlier.alive, holds: holds.alive },
    })),
  );
  /** Vessels out with it, by the delivery that they are of. */
  protected readonly out = computed(() =>
    (this.fetched.value()?.vesselsOut ?? []).map((each) => ({
      ...each,
      out: Math.max(0, each.amount - each.back),
    })),
  );
  /** Cells that the last count on the picture of the tray found empty. */
  protected readonly emptyBefore = computed(
    () =>
      standing(this.events())
        .flatMap((event) => ('empty' in event && event.empty ? [event.empty] : []))
        .at(-1) ?? [],
  );
  protected readonly labels = computed(() =>
    addressOf('plantLabels', { id: Number(this.id()) }, { units: this.units.system() }),
  );
  protected readonly reading = (id: 'ph' | 'ecSaturated' | 'air' | 'airAfterDrydown') =>
    this.batch()?.snapshot.readings.find((each) => each.id === id);
  protected readonly ph = computed(() => this.reading('ph'));
  protected readonly ec = computed(() => this.reading('ecSaturated'));
  protected readonly volume = computed(() => {
    const kind = this.vessel();
    return kind ? volumeL(kind.vessel) : 0.06;
  });

  protected readonly found = computed(() => {
    const [planting, crop, kind] = [this.fetched.value(), this.crop(), this.vessel()];
    if (!planting || !crop || !kind) return {};
    const batch = this.batch();
    const air = this.reading('air') ?? this.reading('airAfterDrydown');
    // As it is told under what it wants; fed or past that it is by the crop.
    const feed = planting.allCare.find(({ id }) => id === 'feed');
    return foundOf(planting, this.events(), {
      ...{ today: this.nursery.today(), ph: this.ph(), ec: this.ec() },
      ...(air && { airPct: air.value, air }),
      coldestC: coldestNight(crop).potC,
      roomDays: planting.roomDays,
      firstFeedDays: feed
        ? dayNumber(feed.on) - dayNumber(planting.on)
        : daysToFeed(planting.start, crop, HOUSE_C, undefined),
      madeOn: batch?.madeOn,
      living: batch?.snapshot.materials.some((material) => material.living),
    });
  });

  constructor() {
    this.record.follow(() => this.fetched.refresh());
    // A picture that had waited on this device.
    this.plants
      .arrived()
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.fetched.refresh());
  }

  protected enter(event: PlantEvent): void {
    const planting = this.fetched.value();
    if (!planting) return;
    try {
      checkEvent(planting, this.events(), event);
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
      this.problem.set(texts.notEntered2(this.reader.problem(error)));
      return;
    }
    this.problem.set('');
    const thing = this.thing(planting);
    const key = this.record.enter(thing, event, this.aboutOf(event));
    this.sheet()?.done();
    if (event.kind !== 'undo')
      this.notices.say(texts.entered(this.reader.read(eventSays(event))), () =>
        this.record.takeBack(thing, key, event.on),
      );
  }

  private thing({ id, key }: ForThing): ForThing {
    return { id, key, name: this.name() };
  }

  /** The entry that a taking back is about. */
  private aboutOf(event: PlantEvent): About[] {
    if (event.kind !== 'undo') return [];
    const key = this.fetched.value()?.events.find(({ id }) => id === event.of)?.key;
    return key === undefined ? [] : [{ kind: 'event', id: event.of, key }];
  }

  /** Made small on the device, and kept with the day. */
  protected picture(file: HTMLInputElement): void {
    const taken = file.files?.[0];
    file.value = '';
    const planting = this.fetched.value();
    if (!taken || !planting) return;
    this.wayProblem.set('');
    smallPicture(taken)
      .then((jpeg) => firstValueFrom(this.plants.addPicture(planting, this.nursery.today(), jpeg)))
      .then((kept) => {
        if (kept) this.fetched.refresh();
        this.notices.say(kept ? texts.thePictureIsKept : keptHere(texts.thePicture));
      })
      .catch((error: unknown) => this.wayProblem.set(texts.thePictureIsNotKept((error as Error).message)));
  }

  protected takeBack(of: number, on: string): void {
    const [own, planting] = [this.record.own().find(({ id }) => id === of), this.fetched.value()];
    if (own && planting) this.record.takeBack(this.thing(planting), own.key, on);
    else this.enter({ kind: 'undo', on, of });
  }

  /** Its vessels are empty and washed: they can be sown again. */
  protected cameBack({ lot, out }: { lot: number; out: number }): void {
    const planting = Number(this.id());
    this.wayProblem.set('');
    this.lots
      .move(lot, { kind: 'back', amount: out, on: this.nursery.today(), note: '', planting })
      .subscribe({
        next: () => {
          this.notices.say(texts.areBack(out));
          this.fetched.refresh();
        },
        error: (error: Error) => this.wayProblem.set(texts.notBack(error.message)),
      });
  }

  protected putAway(): void {
    const id = Number(this.id());
    this.plants.putAway(id).subscribe({
      next: () => {
        this.notices.say(texts.itIsArchived, () => this.bringBack());
        void this.router.navigate(['/plants/growing']);
      },
      error: (error: Error) => this.wayProblem.set(texts.stillThere(error.message)),
    });
  }

  protected bringBack(): void {
    this.plants.bringBack(Number(this.id())).subscribe({
      next: () => this.fetched.refresh(),
      error: (error: Error) => {
        this.wayProblem.set(texts.stillArchived(error.message));
        this.notices.say(texts.stillArchived(error.message));
      },
    });
  }

  /** The recipe of its batch on the bench, to be changed; of a kept mix what is kept is its next version. */
  protected changeMix(): void {
    const batch = this.batch();
    if (!batch) return;
    const kept = (this.mixes.all.value() ?? []).find(({ id }) => id === batch.mixVersionId);
    const it = this.fetched.value();
    const why = it ? `${this.name()}: ${tallySays(it)}` : '';
    this.store.changeFor(kept?.recipe ?? batch.snapshot.recipe, kept ?? null, why);
    void this.router.navigate(['/mix']);
  }
}
