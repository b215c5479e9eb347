import { OutOfRange } from '#core/units/check';
import { hotWater } from '#core/batch/hot-water';
import { type Kit } from '#core/batch/kit';
import { type Step } from '#core/batch/step';
import { type BatchSheet } from '#core/batch/sheet';
import { type Judgement } from '#core/judge/judge';
import { isEarthy } from '#core/material/families';
import { compose } from '#core/mix/composition';
import { said } from '#core/units/said';

const HEAT_TO_C = 60;
const HOLD_MIN = 30;
const SHED_C = 15;

/** Boiling water over the lidded tub, the oven or steam; then cooling. @returns the steps, and the water they bring */
export function heatSteps(
  judgement: Judgement,
  sheet: BatchSheet,
  kit: Kit,
): { steps: Step[]; waterLitres: number } {
  const { parts } = judgement.evaluation.composition;
  const living = parts.some((p) => isEarthy(p.material));
  const ammonium = living ? ' Above about 82 °C compost and loam give off ammonium and manganese.' : '';
  const heated = hotStep(judgement, sheet, kit);
  const steps: Step[] = [
    {
      id: 'heat',
      timerMin: HOLD_MIN,
      text: heated.text,
      why: said`${HEAT_TO_C} °C for ${HOLD_MIN} minutes kills most damping-off fungi.`,
      caution: said`${heated.danger}${ammonium}`,
    },
    {
      id: 'cool',
      test: 'cooling',
      text: said`Let it cool below 30 °C with the lid ajar. Two readings of the probe tell how long that takes.`,
      why: said`Seed sown into a hot mix dies; a sealed warm mix grows mould.`,
    },
  ];
  return { steps, waterLitres: heated.waterLitres };
}

interface Hot {
  text: Step['text'];
  danger: string;
  /** Water that it leaves in the mix. */
  waterLitres: number;
}

function hotStep(judgement: Judgement, sheet: BatchSheet, kit: Kit): Hot {
  switch (kit.heat) {
    case 'oven':
      return {
        text: said`Moisten it, put it in the oven in a lidded tray no deeper than a hand, and hold it at ${HEAT_TO_C} °C by the probe in the middle.`,
        danger: 'Hot trays burn; it smells: not in a kitchen oven without airing.',
        waterLitres: 0,
      };
    case 'steam':
      return {
        text: said`Steam it from below, lid on, until the probe in the middle has held ${HEAT_TO_C} °C.`,
        danger: 'Steam scalds: gloves, sleeves, and open the lid away from you.',
        waterLitres: 0,
      };
    default:
      return boiling(judgement, sheet, kit);
  }
}

/** Where boiling water alone would drown the mix, it says so and what else will do. */
function boiling(judgement: Judgement, sheet: BatchSheet, kit: Kit): Hot {
  const danger = 'Boiling water scalds: gloves and sleeves.';
  const { composition } = judgement.evaluation;
  try {
    const { waterLitres, finalSaturation } = hotWater(
      compose(composition.parts, 0),
      sheet.litres,
      SHED_C,
      100,
      HEAT_TO_C,
    );
    const kettles = Math.ceil(waterLitres / kit.kettleLitres);
    const wetter = waterLitres > sheet.waterLitres * 1.02;
    return {
      text: said`Pour ${{ volumeL: waterLitres }} of boiling water over it, about ${kettles} ${kettles === 1 ? 'kettle' : 'kettles'}, lid on, and hold it at ${HEAT_TO_C} °C.${wetter ? ` That leaves it wetter than it is used, ${Math.round(finalSaturation * 100)} % of its pores full: spread it out to dry afterwards.` : ''}`,
      danger,
      waterLitres,
    };
  } catch (error) {
    if (!(error instanceof OutOfRange)) throw error;
    return {
      text: said`Boiling water alone would drown it: heat it in the oven or with steam to ${HEAT_TO_C} °C, lid on.`,
      danger: 'Steam and hot trays burn: gloves and sleeves.',
      waterLitres: 0,
    };
  }
}
