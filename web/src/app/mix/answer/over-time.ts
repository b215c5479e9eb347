import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Fold } from '../../ui/fold';
import { type BatchSheet } from '#core/batch/sheet';
import { targetSaturation, usualMoisture } from '#core/mix/moisture';
import { type Judgement } from '#core/judge/judge';
import { besides } from '#core/judge/beside';
import { Units } from '../../data/units';
import { phOnDay } from '#core/mix/lime-reaction';
import { squeezeAt } from '#core/mix/moisture';
import { limedMeqPerL } from '#core/mix/ph';
import { dilutionWater, mixEcMSPerCm, type EcMethod } from '#core/mix/salts';
import { drain, columnOf } from '#core/mix/water-air';
import { fixed } from '#core/units/show';
import { Amount } from '../../ui/words/amount';
import { ecMethodNames } from '../../ui/words/words';
import { MixClock } from './mix-clock';
import { WhereFrom } from './where-from';
import { overTime as texts } from '#words/en/places/mix/answer/over-time';
import { ReaderHere } from '../../data/reader-here';

/** How the mix behaves once it is made: by the squeeze, in the sun, as lime acts, until feed runs out. */
@Component({
  selector: 'app-over-time',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './over-time.html',
  styleUrl: './over-time.scss',
  imports: [Amount, Fold, MixClock, WhereFrom],
})
export class OverTime {
  protected readonly texts = texts;
  protected readonly reader = inject(ReaderHere);
  private readonly units = inject(Units);
  readonly judgement = input.required<Judgement>();
  readonly sheet = input.required<BatchSheet>();
  readonly noun = input.required<string>();
  protected readonly waterFrom = signal(false);
  protected readonly weightFrom = signal(false);

  private readonly evaluation = computed(() => this.judgement().evaluation);
  protected readonly wetWeightG = computed(() => this.evaluation().wetWeightG);

  protected readonly squeeze = computed(() => {
    const { composition } = this.evaluation();
    const now = composition.waterAsBought / composition.totalPorosity;
    const aim = targetSaturation[usualMoisture(this.judgement().input.vessel)];
    return {
      now: { pct: fixed(now * 100, 0), says: this.reader.word(`squeeze.${squeezeAt(now)}`) },
      aim: {
        pct: fixed(Math.max(now, aim) * 100, 0),
        says: this.reader.word(`squeeze.${squeezeAt(Math.max(now, aim))}`),
      },
    };
  });
  /** Nitrogen and salts in their worst week, against half as much again as the window allows. */
  protected readonly worst = computed(() => {
    const { input, evaluation } = this.judgement();
    const all = besides(input, evaluation);
    const ppm = this.units.system() === 'us' ? 'ppm' : 'mg/L';
    return all.flatMap((beside) => {
      if (beside.week === undefined) return [];
      const n = beside.id === 'nAtWorst';
      return [
        {
          says: n ? 'nitrogen' : 'salts',
          value: fixed(beside.value, n ? 0 : 2),
          unit: n ? ppm : 'mS/cm',
          off: beside.verdict === 'high' ? texts.isTheMost(fixed(beside.high!, n ? 0 : 2)) : '',
        },
      ];
    });
  });
  protected readonly lime = computed(() => {
    const { acidity, doses } = this.evaluation();
    if (limedMeqPerL(doses) <= 0) return null;
    return [0, 3, 7, 14, 28].map((day) => ({ day, ph: fixed(phOnDay(acidity, doses, day), 1) }));
  });
  protected readonly ec = computed(() => {
    const { composition, drained, doses } = this.evaluation();
    return (Object.keys(dilutionWater) as EcMethod[]).map((method) => ({
      says: ecMethodNames[method],
      ec: fixed(
        mixEcMSPerCm(composition, doses, dilutionWater[method](composition.totalPorosity, drained.water)),
        2,
      ),
    }));
  });
  /** On a mat that draws, the whole column is drier. */
  protected readonly onMat = computed(() => {
    const { composition, column } = this.evaluation();
    const { vessel } = this.judgement().input;
    if (vessel.shape === 'block') return null;
    const mat = drain(composition, columnOf(vessel), MAT_SUCTION_CM);
    return column && fixed(mat.air * 100, 1);
  });
}

/** A sand bed 10 cm deep with its water table at the bottom. Common practice, no source. */
const MAT_SUCTION_CM = 10;
