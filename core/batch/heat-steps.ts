import { OutOfRange } from '#core/units/check';
import { hotWater } from '#core/batch/hot-water';
import { type Kit } from '#core/batch/kit';
import { type Step } from '#core/batch/step';
import { type BatchSheet } from '#core/batch/sheet';
import { type Judgement } from '#core/judge/judge';
import { isEarthy } from '#core/material/families';
import { compose } from '#core/mix/composition';
import { stepSays } from '#core/batch/step-facts';
import { none } from '#core/units/message';

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
  const ammonium = parts.some((p) => isEarthy(p.material));
  const { text, drowns, waterLitres } = heatStep(judgement, sheet, kit);
  const by = kit.heat === 'none' ? 'boiling' : kit.heat;
  const steps: Step[] = [
    {
      id: 'heat',
      timerMin: HOLD_MIN,
      text,
      why: stepSays('step.heat.why', { celsius: HEAT_TO_C, minutes: HOLD_MIN }),
      caution: stepSays('step.heat.caution', { by, drowns, ammonium }),
    },
    {
      id: 'cool',
      test: 'cooling',
      text: stepSays('step.cool', none),
      why: stepSays('step.cool.why', none),
    },
  ];
  return { steps, waterLitres };
}

interface Heated {
  text: Step['text'];
  /** Boiling water alone would be too much of it. */
  drowns: boolean;
  /** Water that it leaves in the mix. */
  waterLitres: number;
}

function heatStep(judgement: Judgement, sheet: BatchSheet, kit: Kit): Heated {
  switch (kit.heat) {
    case 'oven':
    case 'steam':
      return {
        text: stepSays('step.heat', { by: kit.heat, celsius: HEAT_TO_C }),
        drowns: false,
        waterLitres: 0,
      };
    default:
      return boiling(judgement, sheet, kit);
  }
}

/** Where boiling water alone would drown the mix, it says what else will do. */
function boiling(judgement: Judgement, sheet: BatchSheet, kit: Kit): Heated {
  const { composition } = judgement.evaluation;
  try {
    const { waterLitres, finalSaturation } = hotWater(
      compose(composition.parts, 0),
      sheet.litres,
      SHED_C,
      100,
      HEAT_TO_C,
    );
    const wetter = waterLitres > sheet.waterLitres * 1.02;
    return {
      text: stepSays('step.heat-boiling', {
        litres: waterLitres,
        kettles: Math.ceil(waterLitres / kit.kettleLitres),
        celsius: HEAT_TO_C,
        wetPct: wetter ? finalSaturation * 100 : null,
      }),
      drowns: false,
      waterLitres,
    };
  } catch (error) {
    if (!(error instanceof OutOfRange)) throw error;
    return { text: stepSays('step.heat-drowns', { celsius: HEAT_TO_C }), drowns: true, waterLitres: 0 };
  }
}
