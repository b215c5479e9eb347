import { OutOfRange } from '#core/units/check';
import { computed, inject, Injectable } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute } from '@angular/router';
import { catchError, map, of, switchMap } from 'rxjs';
import { type Batch } from '#contract/batches';
import { type PlantingPage } from '#contract/plants';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';
import { standing } from '#core/plants/planting';
import { dayNumber } from '#core/season/days';
import { type VesselKind } from '#core/vessel/tray';
import { type DayReading } from '#core/water/life';
import { mixOfPlanting } from '../bench/mix-of-planting';
import { RecipeStore } from '../bench/recipe-store';
import { BatchesService } from '../data/batches';
import { LibraryService } from '../data/library';
import { PlantsService } from '../data/plants';
import { weeksSubject as texts } from '#words/en/places/weeks/weeks-subject';
import { ReaderHere } from '../data/reader-here';

/** What lives: the recipe on the bench, or a planting with its record. */
export interface MixStanding {
  input: MixInput;
  evaluation: Evaluation;
  kind: VesselKind;
  planting: (Pick<PlantingPage, 'id' | 'on' | 'name' | 'crop'> & { batchName: string }) | null;
  readings: readonly DayReading[];
}

/** Whose weeks are shown: by the address. */
@Injectable()
export class WeeksSubject {
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  private readonly library = inject(LibraryService).library;
  private readonly plants = inject(PlantsService);
  private readonly batches = inject(BatchesService);
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
        return { it: subjectOf(found.planting, found.batch, library) };
      } catch (error) {
        if (error instanceof OutOfRange) return { why: this.reader.problem(error) };
        throw error;
      }
    }
    const outcome = this.store.outcome();
    if (outcome.state === 'impossible') return { why: outcome.why };
    if (outcome.state !== 'computed') return null;
    const { input, evaluation } = outcome.judgement;
    return { it: { input, evaluation, kind: this.store.kind(), planting: null, readings: [] } };
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
  planting: PlantingPage,
  batch: Batch,
  library: Parameters<typeof mixOfPlanting>[2],
): MixStanding {
  const input = mixOfPlanting(planting, batch, library);
  const { id, on, name, crop } = planting;
  const kept = standing(planting.events.map(({ id: number, event }) => ({ ...event, id: number })));
  return {
    ...{ input, evaluation: evaluateMix(input), kind: library.vessels.get(planting.vessel)! },
    planting: { id, on, name, crop, batchName: batch.name },
    readings: kept.flatMap((event): DayReading[] => {
      if (event.kind !== 'ph' && event.kind !== 'ec') return [];
      const day = dayNumber(event.on) - dayNumber(on) + 1;
      return [{ day, of: event.kind === 'ph' ? 'ph' : 'ecDisplacedMSPerCm', value: event.value }];
    }),
  };
}
