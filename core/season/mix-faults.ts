import { verdictOf } from '#core/advise/findings';
import { judgeRecipe, type JudgedBy, type Judgement } from '#core/judge/judge';
import { intoVessel } from '#core/recipe/fix';
import { withKnownStill } from '#core/recipe/known';
import { type Library } from '#core/recipe/library';
import { type KeptMix, mixOf } from '#core/season/needs';
import { type SeasonSowing } from '#core/season/season';
import { OutOfRange } from '#core/units/check';
import { type VesselKind } from '#core/vessel/tray';

/** A mix of a line that is not ready for the vessel that it goes into there. */
export interface MixFault {
  line: number;
  /** Of the step, from 0. */
  step: number;
  mix: string;
  kind: VesselKind;
  judgement: Judgement;
}

/** Judges mixes in the vessels of a season, each in each once, as the Mix place would. */
export class MixFaults {
  private readonly judged = new Map<string, Judgement | null>();

  constructor(
    private readonly kept: ReadonlyMap<number, KeptMix>,
    private readonly way: string | null,
    private readonly library: Library,
    private readonly loudness?: JudgedBy['loudness'],
  ) {}

  /** What is wrong at each step of a sowing that takes mix; nothing for what is ready there. */
  of({ line, steps }: Pick<SeasonSowing, 'line' | 'steps'>): MixFault[] {
    return steps.flatMap(({ step, kind, mixL }, i): MixFault[] => {
      if (mixL === 0) return [];
      const mix = mixOf(step, this.kept, this.way);
      const key = `${mix.key} ${kind.id}`;
      let judgement = this.judged.get(key);
      if (judgement === undefined) this.judged.set(key, (judgement = this.judge(mix.recipe, kind)));
      if (!judgement || verdictOf(judgement) === 'ready') return [];
      return [{ ...{ line: line.id, step: i, mix: mix.name }, kind, judgement }];
    });
  }

  /** null where it cannot be computed. */
  private judge(recipe: KeptMix['recipe'], { id }: VesselKind): Judgement | null {
    const { library } = this;
    try {
      const there = recipe.vessel === id ? recipe : intoVessel(recipe, id, library);
      return judgeRecipe(withKnownStill(recipe, there), library, this.loudness);
    } catch (error) {
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  }
}
