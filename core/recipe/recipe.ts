import { type VesselKind } from '#core/vessel/tray';
import { type Stage } from '#core/mix/stage';
import { type Measured, type MixInput } from '#core/mix/evaluate';
import { partOf } from '#core/mix/composition';
import { lookUp, type Library } from '#core/recipe/library';
import { type CropGroup, windowsWanted } from '#core/recipe/windows-wanted';
import { filledTo, jobLitres } from '#core/vessel/tray';

export interface RecipePart {
  material: string;
  parts: number;
  /** Screened at this aperture before it is scooped. */
  screenedMm?: number;
}

/** So many grams for each litre of finished mix. */
export interface RecipeDose {
  amendment: string;
  gPerL: number;
  /** Strewn into the top, or a trench, that is so much of the root volume, %; left out where it is mixed through. */
  layerPct?: number | undefined;
}

/** A recipe as people keep and pass it on: ids and plain numbers, all that a link or a file has to hold. */
export interface Recipe {
  stage: Stage;
  /** Id of a vessel kind. */
  vessel: string;
  compactionPct: number;
  components: RecipePart[];
  lime: { amendment: string; ph: number } | null;
  amendments: RecipeDose[];
  job: HowMuch;
  /** Plants that want other windows than the stage gives. */
  crops?: CropGroup;
  /** Filled so far for now, % of the usual depth; topped up later. */
  fillPct?: number | undefined;
  /** Dust-fine seed: begonia, lobelia, petunia. */
  tinySeed?: boolean | undefined;
  /** The user's own tests of this mix, as they were read. */
  measured?: MeasuredByHand;
  /** What is told of it and known to work here. */
  known?: KnownHere[] | undefined;
}

/** A rule that a person has quieted for one recipe: it works here, and why. Never a stop, never care at work. */
export interface KnownHere {
  /** Of the rule; one of before says nothing any more. */
  code: string;
  /** As loudly as it spoke then: louder, it speaks again. */
  severity: 'warn' | 'note';
  why: string;
  /** The day on which it was said, `2026-05-04`. */
  on: string;
}

/** Tests in the units in which they are read. */
export interface MeasuredByHand {
  shrinkagePct?: number;
  airPct?: number;
  ph?: number;
  ecSaturatedMSPerCm?: number;
  jar?: { bufferMeqPerLPerPh: number; phBeforeLime: number };
}

/** How much to make: trays (or single vessels where they are counted so) with some to spare, or litres. */
export type HowMuch =
  | ({ trays: number } & Counted)
  /** Single ones of what comes in trays or sets: twenty-five blocks. */
  | ({ vessels: number } & Counted)
  | { litres: number };

interface Counted {
  sparePct: number;
  /** Other vessels that the same batch fills, each of so many litres. */
  also?: AlsoFilled[] | undefined;
}
export interface AlsoFilled {
  vessel: string;
  count: number;
  eachL: number;
}

/**
 * Ids become materials, amendments and a vessel, percentages become fractions.
 * @param path where the recipe stands in what was given, for the error: `recipe.`
 * @throws OutOfRange for an unknown id
 */
export function mixInputOf(recipe: Recipe, library: Library, path = ''): MixInput {
  const kind = vesselOf(recipe, library, path);
  const undrained = alsoOf(recipe.job).flatMap((each) => {
    const also = library.vessels.get(each.vessel);
    return also && also.vessel.shape !== 'block' && also.vessel.holes === false ? [also.name] : [];
  });
  const windows = windowsWanted(recipe.stage, recipe.crops, library.windows);
  return {
    stage: recipe.stage,
    vessel: kind.vessel,
    compaction: recipe.compactionPct / 100,
    components: recipe.components.map((c, i) =>
      partOf(lookUp(library.materials, c.material, `${path}components.${i}.material`), c.parts, c.screenedMm),
    ),
    litres: litresOf(recipe.job, kind),
    ...(undrained.length > 0 && { undrained }),
    ...(recipe.tinySeed && { tinySeed: true }),
    ...(windows && { windows }),
    ...(recipe.measured && { measured: measuredOf(recipe.measured) }),
    amendments: recipe.amendments.map((d, i) => ({
      gPerL: d.gPerL,
      ...(d.layerPct !== undefined && { layer: d.layerPct / 100 }),
      amendment: lookUp(library.amendments, d.amendment, `${path}amendments.${i}.amendment`),
    })),
    ...(recipe.lime && {
      limeToPh: {
        ph: recipe.lime.ph,
        amendment: lookUp(library.amendments, recipe.lime.amendment, `${path}lime.amendment`),
      },
    }),
  };
}

/** What it goes into, filled as far as it is for now. @throws OutOfRange for an unknown vessel */
export function vesselOf(
  { vessel, fillPct }: Pick<Recipe, 'vessel' | 'fillPct'>,
  { vessels }: Pick<Library, 'vessels'>,
  path = '',
): VesselKind {
  const kind = lookUp(vessels, vessel, `${path}vessel`);
  return fillPct === undefined ? kind : filledTo(kind, fillPct);
}

const alsoOf = (job: HowMuch): readonly AlsoFilled[] => ('litres' in job ? [] : (job.also ?? []));

/** Single vessels in a job counted in trays. */
export const vesselsOf = (job: HowMuch, kind: VesselKind): number =>
  'trays' in job ? job.trays * kind.perTray : 'vessels' in job ? job.vessels : 0;

/** Litres of finished mix that the job takes. */
export function litresOf(job: HowMuch, kind: VesselKind): number {
  if ('litres' in job) return job.litres;
  const also = (job.also ?? []).reduce((sum, { count, eachL }) => sum + count * eachL, 0);
  return jobLitres(kind.vessel, vesselsOf(job, kind), job.sparePct / 100) + also * (1 + job.sparePct / 100);
}

export function measuredOf({ shrinkagePct, airPct, ...same }: MeasuredByHand): Measured {
  return {
    ...same,
    ...(shrinkagePct !== undefined && { shrinkage: shrinkagePct / 100 }),
    ...(airPct !== undefined && { air: airPct / 100 }),
  };
}

/** What a change of a recipe leaves of the user's own tests: a test holds only for the mix that it was made on. */
export function withValidTests(before: Recipe, after: Recipe): Recipe {
  const { measured } = after;
  if (!measured || measured !== before.measured) return after;
  const differs = (key: keyof Recipe): boolean => JSON.stringify(before[key]) !== JSON.stringify(after[key]);
  const parts = differs('components');
  const packed = parts || differs('compactionPct');
  const dosed = parts || differs('lime') || differs('amendments');
  const { shrinkagePct, airPct, ph, ecSaturatedMSPerCm, jar } = measured;
  return withTests(after, {
    ...(shrinkagePct !== undefined && !parts && { shrinkagePct }),
    ...(airPct !== undefined && !packed && !differs('vessel') && { airPct }),
    ...(ph !== undefined && !dosed && { ph }),
    ...(ecSaturatedMSPerCm !== undefined && !dosed && { ecSaturatedMSPerCm }),
    ...(jar && !packed && { jar }),
  });
}

/** The recipe with these tests and no others. */
export function withTests(recipe: Recipe, measured: MeasuredByHand): Recipe {
  const bare = { ...recipe };
  delete bare.measured;
  return Object.keys(measured).length > 0 ? { ...bare, measured } : bare;
}
