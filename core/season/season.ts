import { allow } from '#core/units/allowed';
import { type Crop, type CropStep } from '#core/season/crop';
import { dayNumber } from '#core/season/days';
import { type SeasonLine, type SeasonSettings, type SeedShare, seedShare } from '#core/season/line';
import {
  planCrop,
  type CropPlan,
  type PlannedCrop,
  type StepPlan,
  type WeekPlan,
  weeksOf,
} from '#core/season/plan';
import { isOpenFlat, seedsInOne } from '#core/season/per-vessel';
import { weeksOfRoom } from '#core/season/pot-on';
import { OutOfRange } from '#core/units/check';
import { volumeL } from '#core/vessel/vessel';
import { footprintOf, mixOfOneL, topAreaMm2, type VesselKind } from '#core/vessel/tray';

/** A step of a sowing as it runs on the bench. */
export interface SeasonStep extends StepPlan {
  step: CropStep;
  kind: VesselKind;
  /** Mix to make for it, what falls beside included. */
  mixL: number;
  /** What covers the seed, and how much. */
  cover: { with: Crop['cover']; litres: number };
}

export interface SeasonSowing {
  line: SeasonLine;
  crop: Crop;
  /** From 1. */
  sowing: number;
  plantOn: string;
  steps: SeasonStep[];
  /** Seeds, or cuttings, to one vessel of the first step. */
  perCell: number;
  seed: SeedShare;
}

export interface Season {
  sowings: SeasonSowing[];
  weeks: WeekPlan[];
  /** All benches together; null where none is told. */
  benchM2: number | null;
}

/**
 * What counts of a cell: one where it is thinned; every seedling where they are pricked out, planted from where they
 * stand, or sown in an open flat; the clump where it is potted on as it is.
 */
const keepOf = ({ spares }: Crop, steps: number, first: VesselKind): 'one' | 'all' =>
  !isOpenFlat(first) && (spares === 'thin' || (spares === 'keep' && steps > 1)) ? 'one' : 'all';

type Vessels = ReadonlyMap<string, VesselKind>;
type Crops = ReadonlyMap<string, Crop>;

/** A line of the season in the terms of the counting. @throws OutOfRange for a crop or vessel that there is not */
function plannedOf(
  line: SeasonLine,
  crop: Crop,
  { frost }: SeasonSettings,
  vessels: Vessels,
): PlannedCrop & { kinds: VesselKind[]; path: CropStep[]; perCell: number; seed: SeedShare } {
  const path = line.steps ?? crop.steps;
  const kinds = path.map(({ vessel }) => {
    const kind = vessels.get(vessel);
    if (!kind) throw new OutOfRange('vessel', vessel, allow('allowed.one-of', { ids: [...vessels.keys()] }));
    return kind;
  });
  const plantOutDays =
    line.plantOn === null
      ? (line.offsetDays ?? crop.plantOutDays)
      : dayNumber(line.plantOn, 'plantOn') - dayNumber(frost.usual);
  const seed = seedShare(line, crop, Number((line.plantOn ?? frost.usual).slice(0, 4)));
  const perCell = seedsInOne(line, crop, kinds[0]!);
  const seeds = {
    ...{ perCell, germination: seed.share, confidence: line.confidence },
    keep: keepOf(crop, path.length, kinds[0]!),
  };
  const litresOf = (id: string): number | undefined => {
    const kind = vessels.get(id);
    return kind && volumeL(kind.vessel);
  };
  // The same room as a planting of it is given.
  const roomFor = (i: number): number => {
    const before = path.slice(0, i).reduce((sum, { weeks }) => sum + weeks, 0);
    return Math.max(1, weeksOfRoom(crop, volumeL(kinds[i]!.vessel), litresOf) - before);
  };
  return {
    id: String(line.id),
    ...{ plants: line.plants, plantOutDays, sparePct: line.sparePct, shifts: line.shifts },
    sowings: { count: line.count, everyDays: line.everyDays },
    steps: path.map((step, i) => ({
      vessel: kinds[i]!.vessel,
      perTray: kinds[i]!.perTray,
      trayM2: footprintOf(kinds[i]!),
      weeks: step.weeks,
      lossPct: step.lossPct,
      mostWeeks: step.mostWeeks ?? roomFor(i),
      // What is divided is counted as it is.
      ...(i === 0 && crop.start !== 'divide' && { seeds }),
    })),
    ...{ kinds, path, perCell, seed },
  };
}

/** A line counted back: its sowings, and what it takes by week. */
export interface LineSeason {
  line: SeasonLine;
  sowings: SeasonSowing[];
  byWeek: CropPlan['byWeek'];
  /** Why it cannot be counted: its crop or a vessel is there no more. */
  missing: string | null;
}

/** One line counted back, step by step. */
export function lineSeason(
  settings: SeasonSettings,
  line: SeasonLine,
  crops: Crops,
  vessels: Vessels,
): LineSeason {
  try {
    const crop = crops.get(line.crop);
    if (!crop) throw new OutOfRange('crop', line.crop, allow('allowed.one-of', { ids: [...crops.keys()] }));
    const { kinds, path, perCell, seed, ...planned } = plannedOf(line, crop, settings, vessels);
    const { sowings, byWeek } = planCrop(dayNumber(settings.frost.usual, 'lastFrost'), planned);
    const spill = 1 + settings.spillPct / 100;
    // The same for all sowings of a line.
    const shared = sowings[0]!.steps.map((stepPlan, i) =>
      sharedOf(stepPlan, path[i]!, kinds[i]!, i === 0 ? crop : null, spill),
    );
    const whole = sowings.map(({ sowing, plantOn, steps }): SeasonSowing => ({
      ...{ line, crop, sowing, plantOn, perCell, seed },
      steps: steps.map((stepPlan, i): SeasonStep => {
        // Written out: spreading so many objects would cost more than all the counting.
        const { step, kind, mixL, cover } = shared[i]!;
        const { from, to, plants, cells, trays, litres, benchM2, tooLongWeeks } = stepPlan;
        return { from, to, plants, cells, trays, litres, benchM2, tooLongWeeks, step, kind, mixL, cover };
      }),
    }));
    return { line, sowings: whole, byWeek, missing: null };
  } catch (error) {
    if (!(error instanceof OutOfRange)) throw error;
    return { line, sowings: [], byWeek: new Map(), missing: error.message };
  }
}

/** Lines that are counted back, together. */
export function seasonOfLines(
  { benches }: Pick<SeasonSettings, 'benches'>,
  counted: readonly LineSeason[],
): Season & { missing: { line: SeasonLine; why: string }[] } {
  const benchM2 = benches.length > 0 ? benches.reduce((sum, bench) => sum + bench.m2, 0) : null;
  return {
    sowings: counted.flatMap(({ sowings }) => sowings),
    weeks: weeksOf(counted, benchM2 ?? undefined),
    benchM2,
    missing: counted.flatMap(({ line, missing }) => (missing === null ? [] : [{ line, why: missing }])),
  };
}

/**
 * The whole season counted back: every sowing of every line, step by step, and bench and mix by week.
 * A line of a crop or vessel that there is no more is left out and named in `missing`.
 */
export const seasonOf = (
  settings: SeasonSettings,
  lines: readonly SeasonLine[],
  crops: Crops,
  vessels: Vessels,
): ReturnType<typeof seasonOfLines> =>
  seasonOfLines(
    settings,
    lines.map((line) => lineSeason(settings, line, crops, vessels)),
  );

type Shared = Pick<SeasonStep, 'step' | 'kind' | 'mixL' | 'cover'>;

/** @param sown the crop, for its first step; null for the others */
function sharedOf(
  stepPlan: StepPlan,
  step: CropStep,
  kind: VesselKind,
  sown: Crop | null,
  spill: number,
): Shared {
  const coverMm = sown?.start === 'sow' && sown.cover !== 'none' ? sown.coverMm : 0;
  const coverL = (stepPlan.cells * topAreaMm2(kind.vessel) * coverMm) / 1e6;
  // What of a tray stays empty takes no mix.
  const filled = stepPlan.cells * mixOfOneL(kind);
  const own = sown?.cover === 'mix' ? coverL : 0;
  return { step, kind, mixL: (filled + own) * spill, cover: { with: sown?.cover ?? 'none', litres: coverL } };
}

/** Single vessels of a step, whole trays. */
export const vesselsOfStep = ({ trays, kind }: SeasonStep): number => trays * kind.perTray;
