import { type Stage } from '#core/mix/stage';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { mixWindows, type StageWindows } from '#core/mix/windows';
import { type Keeping, usualDays } from '#core/weeks/keeping';

/** Too salty from so much over the upper end of a window; too acid or alkaline from so far beyond it. */
const SALTY = 1.5;
const PH_BEYOND = 0.2;
/** A seedling bears what a seedling's mix has so long after it is up. Common practice, no source. */
const AFTER_UP_DAYS = 7;

/** First day on which the mix is judged as a seedling's. */
function seedlingFrom(stage: Stage, plant: Keeping['plant']): number {
  if (stage === 'germination') return (plant.upOn ?? usualDays.upOn) + AFTER_UP_DAYS + 1;
  return stage === 'rooting' ? (plant.rootedOn ?? usualDays.rootedOn) + 1 : Infinity;
}

/** What is too much on a day, by the age of what stands in it. */
export interface AgeBounds {
  saltyMSPerCm: number;
  sourPh: number;
  sweetPh: number;
}

function boundsOf({ ecSaturatedMSPerCm: ec, ph }: StageWindows, harmless: number): AgeBounds {
  return {
    saltyMSPerCm: SALTY * ec.high + harmless,
    sourPh: ph.low - PH_BEYOND,
    sweetPh: ph.high + PH_BEYOND,
  };
}

/** Windows by age: those of the stage, a seedling's once it is one. What was asked for stays as it is. */
export class Ages {
  private readonly from: number;
  readonly young: StageWindows;
  readonly grown: StageWindows;
  private readonly bounds: readonly [AgeBounds, AgeBounds];

  constructor(input: Pick<MixInput, 'stage' | 'windows'>, e: Evaluation, plant: Keeping['plant']) {
    this.from = seedlingFrom(input.stage, plant);
    this.young = mixWindows(input, e);
    this.grown = Number.isFinite(this.from) ? mixWindows({ ...input, stage: 'seedling' }, e) : this.young;
    this.bounds = [boundsOf(this.young, e.harmlessEcMSPerCm), boundsOf(this.grown, e.harmlessEcMSPerCm)];
  }

  windowsOn(day: number): StageWindows {
    return day < this.from ? this.young : this.grown;
  }

  boundsOn(day: number): AgeBounds {
    return this.bounds[day < this.from ? 0 : 1];
  }
}
