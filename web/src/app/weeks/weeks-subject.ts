import { OutOfRange } from '#core/units/check';
import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute } from '@angular/router';
import { catchError, map, of, switchMap } from 'rxjs';
import { type Batch } from '#contract/batches';
import { type PlantingPage } from '#contract/plants';
import { judgeMix, type Judgement } from '#core/judge/judge';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { keptPlanting, type PlantingKept, readingsAlong, weighedTogether } from '#core/plants/planting-clock';
import { type Crop } from '#core/season/crop';
import { type VesselKind } from '#core/vessel/tray';
import { type DayReading } from '#core/weeks/keeping';
import { Living } from '#core/weeks/life';
import { keepingOf, type KeptThings, type UsualKeeping } from '#core/weeks/usual-keeping';
import { mixOfPlanting } from '#core/plants/mix-of-planting';
import { RecipeStore } from '../bench/recipe-store';
import { BatchesService } from '../data/batches';
import { LibraryService } from '../data/library';
import { NurseryService } from '../data/nursery';
import { PlantsService } from '../data/plants';
import { SeasonService } from '../data/season';
import { weeksSubject as texts } from '#words/en/places/weeks/weeks-subject';
import { ReaderHere } from '../data/reader-here';

/** What lives: the recipe on the bench, or a planting with its record. */
export interface MixStanding {
  input: MixInput;
  evaluation: Evaluation;
  judgement: Judgement;
  living: Living;
  kind: VesselKind;
  planting:
    | (Pick<PlantingPage, 'id' | 'name' | 'crop' | 'since' | 'keeping'> &
        Pick<Batch, 'mixId'> & { batchName: string })
    | null;
  readings: readonly DayReading[];
  /** How it is kept by what is usual, or its own. */
  keptBy: (usual: UsualKeeping, things: KeptThings) => PlantingKept;
}

/** Whose weeks are shown: by the address. */
@Injectable()
export class WeeksSubject {
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  private readonly library = inject(LibraryService).library;
  private readonly plants = inject(PlantsService);
  private readonly batches = inject(BatchesService);
  private readonly season = inject(SeasonService);
  private readonly nursery = inject(NurseryService);
  readonly asked = toSignal(
    inject(ActivatedRoute).queryParamMap.pipe(map((query) => Number(query.get('planting')) || null)),
    { initialValue: null },
  );
  private readonly found = toSignal(
    toObservable(this.asked).pipe(
      switchMap((id) =>
        id === null
          ? of(null)
          : this.plants.one(id).pipe(
              switchMap((planting) =>
                planting.batch === null
                  ? of({ planting, batch: null })
                  : this.batches.one(planting.batch).pipe(map((batch) => ({ planting, batch }))),
              ),
              catchError((error: Error) => of({ why: error.message })),
            ),
      ),
    ),
    { initialValue: null },
  );

  private readonly outcome = computed((): { why: string } | { it: MixStanding } | null => {
    if (this.asked() !== null) {
      const [found, library] = [this.found(), this.library()];
      if (!found || !library) return null;
      if ('why' in found) return found;
      if (!found.batch) return { why: texts.itIsInNoSaved };
      try {
        const [crops, settings] = [this.season.crops.value(), this.season.plan.value()?.settings];
        if (!crops || !settings) return null;
        const crop = crops.find(({ id }) => id === found.planting.crop);
        return { it: subjectOf(found.planting, found.batch, library, crop, settings.soilC) };
      } catch (error) {
        if (error instanceof OutOfRange) return { why: this.reader.problem(error) };
        throw error;
      }
    }
    const outcome = this.store.outcome();
    if (outcome.state === 'impossible') return { why: outcome.why };
    if (outcome.state !== 'computed') return null;
    const { judgement } = outcome;
    const { input, evaluation } = judgement;
    const today = this.nursery.today();
    return {
      it: {
        ...{ input, evaluation, judgement, kind: this.store.kind() },
        living: new Living(input, evaluation),
        ...{ planting: null, readings: [] },
        keptBy: (usual, things) => ({
          ...{ keeping: keepingOf(usual, things, { on: today }), driesBy: undefined },
        }),
      },
    };
  });
  readonly now = computed(() => {
    const outcome = this.outcome();
    return outcome && 'it' in outcome ? outcome.it : null;
  });
  readonly why = computed(() => {
    const outcome = this.outcome();
    return outcome && 'why' in outcome ? outcome.why : '';
  });
}

function subjectOf(
  ...[planting, batch, library, crop, soilC]: [
    PlantingPage,
    Batch,
    Parameters<typeof mixOfPlanting>[2],
    Crop | undefined,
    soilC: number,
  ]
): MixStanding {
  const input = mixOfPlanting(planting, batch.snapshot.recipe, library);
  const judgement = judgeMix(input, { library, known: batch.snapshot.recipe.known });
  const living = new Living(input, judgement.evaluation);
  const kind = library.vessels.get(planting.vessel)!;
  const { id, since, name, keeping } = planting;
  const events = planting.events.map(({ id: number, at, event }) => ({ ...event, id: number, at }));
  const count = weighedTogether(kind.perTray, planting.cells);
  return {
    ...{ input, judgement, living, evaluation: living.e, kind },
    planting: { id, since, name, keeping, crop: planting.crop, batchName: batch.name, mixId: batch.mixId },
    readings: readingsAlong(events, since),
    keptBy: (usual, things) =>
      keptPlanting(living, planting, events, usual, { crop, soilC, since, count, things }),
  };
}
