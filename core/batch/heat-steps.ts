import { OutOfRange } from '#core/units/check';
import { BOILING_C, heatCapacity, hotWater } from '#core/batch/hot-water';
import { type Kit, usualHeatLossPct } from '#core/batch/kit';
import { loadsOf } from '#core/batch/work';
import { type Step } from '#core/batch/step';
import { type BatchSheet } from '#core/batch/sheet';
import { type Judgement } from '#core/judge/judge';
import { isEarthy } from '#core/material/families';
import { compose } from '#core/mix/composition';
import { stepSays } from '#core/batch/step-facts';
import { none } from '#core/units/message';

export const HEAT_TO_C = 60;
const HOLD_MIN = 30;
/** What the mix is at before. */
export const SHED_C = 15;

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
      why: stepSays('step.heat.why', {
        celsius: HEAT_TO_C,
        minutes: HOLD_MIN,
        ...(by === 'boiling' && !drowns && { lossPct: kit.heatLossPct ?? usualHeatLossPct }),
      }),
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
  const tapped = compose(judgement.evaluation.composition.parts, 0);
  const drowned = {
    text: stepSays('step.heat-drowns', { celsius: HEAT_TO_C }),
    drowns: true,
    waterLitres: 0,
  };
  let bare: number;
  try {
    bare = hotWater(tapped, sheet.litres, SHED_C, BOILING_C, HEAT_TO_C).waterLitres;
  } catch (error) {
    if (!(error instanceof OutOfRange)) throw error;
    return drowned;
  }
  const lossPct = kit.heatLossPct ?? usualHeatLossPct;
  const waterLitres = bare / (1 - lossPct / 100);
  const saturation =
    (sheet.litres * tapped.waterAsBought + waterLitres) / (sheet.litres * tapped.totalPorosity);
  if (saturation > 1) return drowned;
  const wetter = waterLitres > sheet.waterLitres * 1.02;
  const loads = loadsOf(sheet, kit);
  return {
    text: stepSays('step.heat-boiling', {
      litres: waterLitres,
      kettles: Math.ceil(waterLitres / loads / kit.kettleLitres - 1e-9),
      celsius: HEAT_TO_C,
      wetPct: wetter ? saturation * 100 : null,
      ...{ loads, mixKJPerK: heatCapacity(tapped, sheet.litres) },
    }),
    drowns: false,
    waterLitres,
  };
}
