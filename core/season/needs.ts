import { evaluateMix } from '#core/mix/evaluate';
import { type Stage } from '#core/mix/stage';
import { takesOf } from '#core/mix/takes';
import { type Library } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { approachOf } from '#core/recipe/approaches';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type Demand } from '#core/season/demand';
import { mixingDays, type MixingDay, type MixNeed, mixRestOf } from '#core/season/mixing';
import { type Season, vesselsOfStep } from '#core/season/season';
import { type DayForecast } from '#core/season/weather-risks';

/** A mix that a step may name. */
export interface KeptMix {
  id: number;
  name: string;
  recipe: Recipe;
}

export interface NamedMix {
  /** "mix-4" for a kept one, "stage-potting" for the approach's own. */
  key: string;
  name: string;
  recipe: Recipe;
}

const STAGE_MIX: Record<Stage, string> = {
  germination: 'Seed mix',
  rooting: 'Cutting mix',
  seedling: 'Seedling mix',
  potting: 'Potting mix',
};

/** The mix of a step: the kept one that it names, where there is such a one, else that of the approach. */
export function mixOf(
  { stage, mix }: { stage: Stage; mix?: number | undefined },
  kept: ReadonlyMap<number, KeptMix>,
  way: string | null,
): NamedMix {
  const named = mix === undefined ? undefined : kept.get(mix);
  if (named) return { key: `mix-${named.id}`, name: named.name, recipe: named.recipe };
  const recipe = (way === null ? undefined : approachOf(way)?.mixes[stage]) ?? starterMixes[stage];
  return { key: `stage-${stage}`, name: STAGE_MIX[stage], recipe };
}

/** What covers seed, of the starter library. */
const COVERING = { vermiculite: 'vermiculite-fine', sand: 'sand-sharp' } as const;

/** What has been done of a sowing already. */
export interface DoneOf {
  /** Whether the mix of a step is made. */
  made: (line: number, sowing: number, step: number) => boolean;
  /** Whether it is sown, struck or divided: its first step takes nothing any more. */
  begun: (line: number, sowing: number) => boolean;
}

export interface SeasonNeeds {
  mixes: ReadonlyMap<string, NamedMix>;
  days: MixingDay[];
  demands: Demand[];
}

/**
 * What the season still takes from now on: mixing days, and materials, products, vessels and seed by the day.
 * @param today what lies before it is left out
 */
export function needsOf(
  { sowings }: Pick<Season, 'sowings'>,
  kept: ReadonlyMap<number, KeptMix>,
  way: string | null,
  library: Library,
  today: string,
  { made, begun }: DoneOf,
  forecast: readonly DayForecast[] = [],
): SeasonNeeds {
  const mixes = new Map<string, NamedMix>();
  const keys = new Map<string, string>();
  const keyOf = (step: Parameters<typeof mixOf>[0]): string => {
    const asked = `${step.stage} ${step.mix ?? ''}`;
    let key = keys.get(asked);
    if (key === undefined) {
      const mix = mixOf(step, kept, way);
      mixes.set(mix.key, mix);
      keys.set(asked, (key = mix.key));
    }
    return key;
  };
  const needs: MixNeed[] = [];
  const demands: Demand[] = [];
  for (const { line, crop, sowing, steps, perCell } of sowings)
    steps.forEach((seasonStep, i) => {
      if (seasonStep.from < today || (i === 0 && begun(line.id, sowing))) return;
      const mix = keyOf(seasonStep.step);
      if (seasonStep.mixL > 0 && !made(line.id, sowing, i))
        needs.push({ mix, on: seasonStep.from, litres: seasonStep.mixL, line: line.id, sowing, step: i });
      if (seasonStep.kind.vessel.shape !== 'block')
        demands.push({
          kind: 'vessel',
          item: seasonStep.kind.id,
          amount: vesselsOfStep(seasonStep),
          on: seasonStep.from,
          // Trays come back; a single pot goes with its plant.
          backOn: seasonStep.kind.perTray > 1 ? seasonStep.to : null,
        });
      if (seasonStep.cover.with === 'vermiculite' || seasonStep.cover.with === 'sand')
        demands.push({
          kind: 'material',
          item: COVERING[seasonStep.cover.with],
          amount: seasonStep.cover.litres,
          on: seasonStep.from,
        });
      if (i === 0 && crop.start === 'sow')
        demands.push({
          kind: 'seed',
          item: crop.name,
          amount: seasonStep.cells * perCell,
          on: seasonStep.from,
        });
    });
  const rests = new Map([...mixes].map(([key, { recipe }]) => [key, mixRestOf(recipe, library)]));
  const days = mixingDays(needs, (mix) => rests.get(mix)!, today, forecast);
  for (const day of days) {
    const { recipe } = mixes.get(day.mix)!;
    for (const { item, perLitre } of takesOf(evaluateMix(mixInputOf(recipe, library))))
      demands.push({
        kind: library.amendments.has(item) ? 'product' : 'material',
        ...{ item, amount: perLitre * day.litres, on: day.on },
      });
  }
  return { mixes, days, demands: demands.filter((demand) => demand.amount > 0) };
}
