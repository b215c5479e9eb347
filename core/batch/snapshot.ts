import { asItComes } from '#core/batch/dampness';
import { orderOfWork } from '#core/batch/order-of-work';
import { type TopUp } from '#core/batch/work';
import { usualKit, type Kit } from '#core/batch/kit';
import { type Step } from '#core/batch/step';
import { type Scoop } from '#core/batch/scoops';
import { batchSheet, type BatchSheet, dosesGiven } from '#core/batch/sheet';
import { type Moisture, usualMoisture } from '#core/mix/moisture';
import { judgeRecipe } from '#core/judge/judge';
import { type TestContext } from '#core/batch/tests/bench-test';
import { type MixInput } from '#core/mix/evaluate';
import { type AskedWindows } from '#core/mix/windows-asked';
import { mixWindows, type StageWindows, windowsOf } from '#core/mix/windows';
import { targetSaturation } from '#core/mix/moisture';
import { type KeptFlag, type KeptKnown } from '#core/judge/flag';
import { heatWithFeed } from '#core/judge/flags/heat-feed';
import { type KeptReading } from '#core/judge/readings';
import { type Amendment } from '#core/material/amendment';
import { type Material } from '#core/material/material';
import { lookUp, type Library } from '#core/recipe/library';
import { litresOf, vesselOf, type Recipe } from '#core/recipe/recipe';
import { type Approach } from '#core/recipe/approaches';
import { type UnitSystem } from '#core/units/show';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';

/** Windows that a batch's own tests are held against, where they are not the stage's: asked for, or moved by loam and sand. */
function windowsOfTests(input: MixInput, mixed: StageWindows): { windows?: AskedWindows } {
  const usual = windowsOf(input);
  const moved = (['airPct', 'ecSaturatedMSPerCm'] as const).filter(
    (id) => mixed[id].low !== usual[id].low || mixed[id].high !== usual[id].high,
  );
  if (moved.length === 0) return input.windows ? { windows: input.windows } : {};
  return { windows: { ...input.windows, ...Object.fromEntries(moved.map((id) => [id, mixed[id]])) } };
}

/** How the maker wants to read and measure it. */
export interface CardChoice {
  units: UnitSystem;
  scoop: string;
  /** That measure as it was on the day; cards from before own measures have none. */
  measure?: Scoop;
}

/**
 * Everything that a batch was made from and came to, frozen on the day: later edits of the mix, the library
 * or the model do not reach it.
 */
export interface BatchSnapshot {
  format: 3;
  /** It had a stop, and was made all the same: somebody said so. */
  anyway?: true | undefined;
  recipe: Recipe;
  vessel: VesselKind;
  materials: Material[];
  amendments: Amendment[];
  doses: { amendment: string; gPerL: number }[];
  moisture: Moisture;
  sheet: BatchSheet;
  steps: Step[];
  readings: KeptReading[];
  flags: KeptFlag[];
  /** What was not said: known to work here. */
  known?: KeptKnown[] | undefined;
  ph: number;
  shrinkage: number;
  wetWeightG: number;
  choice: CardChoice;
  /** What its tests are judged against. */
  context: TestContext;
  /** What stays on the screens of parts that are screened, loose litres; none where nothing is. */
  oversize?: { material: string; litres: number }[] | undefined;
  /** Money of all of it by the prices of the day, and how many of its items had none; none where nothing had one. */
  cost?: { money: number; unpriced: number } | undefined;
  /** What it was to be made with; batches from before kits were asked have none. */
  kit?: Kit;
}

/**
 * @param school whose loudness its flags are told in
 * @throws RangeError as judgeRecipe and batchSheet
 */
export function snapshotBatch(
  recipe: Recipe,
  lookedUp: Library,
  choice: CardChoice,
  kit: Kit = usualKit,
  school?: Approach,
): BatchSnapshot {
  const library = asItComes(lookedUp, kit.comes);
  const judgement = judgeRecipe(recipe, library, school?.loudness);
  const { evaluation } = judgement;
  const vessel = vesselOf(recipe, library);
  const moisture: Moisture = usualMoisture(vessel.vessel);
  const sheet = batchSheet(evaluation, litresOf(recipe.job, vessel), moisture);
  const windows = mixWindows(judgement.input, evaluation);
  const window = windows.ph;
  const oversize = evaluation.composition.parts.flatMap(({ material, screen }, i) => {
    const share = screen?.oversizeShare ?? 0;
    const litres = (sheet.components[i]!.looseLitres * share) / (1 - share);
    return litres > 0 ? [{ material: material.id, litres }] : [];
  });
  // What must not be heated gets no steps that heat it.
  const unheatable = kit.heat === 'none' ? null : heatWithFeed(judgement);
  return {
    format: 3,
    recipe,
    vessel,
    materials: evaluation.composition.parts.map((p) => p.material),
    amendments: dosesGiven(evaluation).map((d) => d.amendment),
    doses: dosesGiven(evaluation).map((d) => ({ amendment: d.amendment.id, gPerL: d.gPerL })),
    moisture,
    sheet,
    steps: orderOfWork(
      judgement,
      sheet,
      moisture,
      unheatable ? { ...kit, heat: 'none' } : kit,
      topUpOf(recipe, library, sheet.litres),
    ),
    readings: [...judgement.readings],
    flags: [...(unheatable ? [unheatable] : []), ...judgement.flags],
    ...(judgement.known.length > 0 && {
      known: judgement.known.map(({ code, text, why, on }) => ({ code, text, why, on })),
    }),
    ph: evaluation.ph,
    shrinkage: evaluation.composition.shrinkage,
    wetWeightG: evaluation.wetWeightG,
    choice,
    kit,
    ...(oversize.length > 0 && { oversize }),
    context: {
      stage: recipe.stage,
      ...windowsOfTests(judgement.input, windows),
      ph: { low: window.low, high: window.high },
      totalPorosity: evaluation.composition.totalPorosity,
      drainedWater: evaluation.drained.water,
      dryBulkDensityGPerL: evaluation.composition.dryBulkDensityGPerL,
      targetSaturation: targetSaturation[moisture],
      looseLitres: sheet.components.reduce((sum, c) => sum + c.looseLitres, 0),
    },
  };
}

/** What fills the vessels up that are filled only so far for now. */
function topUpOf(recipe: Recipe, library: Library, litres: number): TopUp | null {
  const { fillPct = 100 } = recipe;
  const whole = lookUp(library.vessels, recipe.vessel, 'vessel').vessel;
  const now = vesselOf(recipe, library).vessel;
  const more = volumeL(whole) / volumeL(now) - 1;
  return more > 0 ? { fillPct, litres: litres * more } : null;
}
