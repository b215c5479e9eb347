import { type Step } from '#core/batch/step';
import { stepSays } from '#core/batch/step-facts';
import { type BatchSheet } from '#core/batch/sheet';
import { type Kit } from '#core/batch/kit';
import { filledOf, loadsOf, wetKg, type Work } from '#core/batch/work';
import { isCoir, isPeat } from '#core/material/families';
import { apertureFor } from '#core/vessel/piece-limit';
import { named, none } from '#core/units/message';

/** Dry coir takes 4–6 L of water to the kilogram: common practice, no source. */
const COIR_WATER_L_PER_KG = 5;

/** Dry, before anything is damped: wet material does not go through a screen. */
export function screen({ judgement, sheet, parts }: Work): Step[] {
  const dust = (some: Work['parts']): Pick<Step, 'caution'> =>
    some.some((p) => p.material.dusty) ? { caution: stepSays('step.dust', none) } : {};
  const asked = parts.flatMap((part, i): Step[] => {
    if (!part.screen || part.screen.oversizeShare === 0) return [];
    const throughLitres = sheet.components[i]!.looseLitres;
    const onLitres = throughLitres / (1 - part.screen.oversizeShare);
    const { mm } = part.screen;
    return [
      {
        id: `screen-${part.material.id}`,
        text: stepSays('step.screen', { material: named(part.material), mm, onLitres, throughLitres }),
        why: stepSays('step.screen.why', { overLitres: onLitres - throughLitres }),
        ...dust([part]),
      },
    ];
  });
  const particles = judgement.readings.find((r) => r.id === 'overSize');
  if (particles?.verdict !== 'high') return asked;
  const mm = apertureFor(judgement.input.vessel);
  const coarse = parts.filter((p) => p.material.maxParticleMm > mm);
  return [
    ...asked,
    {
      id: 'screen',
      text: stepSays('step.screen-coarse', {
        materials: coarse.map((p) => named(p.material)),
        mm,
      }),
      why: stepSays('step.screen-coarse.why', none),
      ...dust(coarse),
    },
  ];
}

export function dampDown({ parts, given, kit }: Work): Step[] {
  const dusty = parts.filter((p) => p.material.dusty);
  if (dusty.length === 0) return [];
  return [
    {
      id: 'damp-down',
      text: stepSays('step.damp-down', {
        materials: dusty.map((p) => named(p.material)),
        // What is heated takes its doses in a scoop of the cooled mix: nothing goes in that was not heated.
        keepDry: given.length > 0 && kit.heat === 'none',
      }),
      why: stepSays('step.damp-down.why', { bale: dusty.some((p) => isPeat(p.material)) }),
      caution: stepSays('step.damp-down.caution', none),
    },
  ];
}

export interface BrickWater {
  /** What is poured on the bricks. */
  litres: number;
  /** Of it, what is beyond the moisture of the coir that was counted on. */
  beyondLitres: number;
  /** They are bricks: somebody said so. */
  sure: boolean;
}

/** Water for coir that comes dry, in bricks: never more than the batch takes in all. */
export function brickWater(sheet: BatchSheet, parts: Work['parts'], { comes = {} }: Kit): BrickWater | null {
  let [dryKg, heldLitres] = [0, 0];
  const sure = parts.some(({ material }) => isCoir(material) && comes[material.id] === 'bricks');
  sheet.components.forEach((c, i) => {
    const { material } = parts[i]!;
    const as = comes[material.id] ?? (sure ? 'usual' : 'bricks');
    if (!isCoir(material) || as !== 'bricks') return;
    dryKg += c.massKg * (1 - material.moistureWetBasis);
    heldLitres += c.massKg * material.moistureWetBasis;
  });
  if (dryKg <= 0) return null;
  if (sure) {
    const litres = Math.min(dryKg * COIR_WATER_L_PER_KG, sheet.waterLitres);
    return { litres, beyondLitres: litres, sure };
  }
  const litres = Math.min(Math.max(dryKg * COIR_WATER_L_PER_KG, heldLitres), heldLitres + sheet.waterLitres);
  return { litres, beyondLitres: litres - heldLitres, sure };
}

export const hydrate = ({ litres, beyondLitres, sure }: BrickWater, restLitres: number): Step => ({
  id: 'hydrate',
  text: sure
    ? stepSays('step.hydrate', { litres, lessLaterLitres: 0, sure, restLitres })
    : stepSays('step.hydrate', { litres, lessLaterLitres: beyondLitres > 0.005 ? beyondLitres : 0 }),
  why: stepSays('step.hydrate.why', none),
  timerMin: 30,
});

/** @param late once the mix is heated, cooled and wetted: a scoop of it carries them */
export function preBlend({ parts, given, sheet }: Work, late = false): Step[] {
  if (given.length === 0) return [];
  const carrier = [...parts].sort((a, b) => b.parts - a.parts)[0]!.material;
  return [
    {
      id: 'pre-blend',
      text: stepSays('step.pre-blend', {
        doses: given.map((d) => ({ product: named(d.amendment), grams: d.gPerL * sheet.litres })),
        carrier: named(carrier),
        keptDry: carrier.dusty && !late,
        late,
      }),
      why: stepSays('step.pre-blend.why', { late }),
      caution: stepSays('step.pre-blend.caution', {
        caustic: given.some((d) => d.amendment.caution === 'caustic'),
      }),
    },
  ];
}

export function layer({ sheet, parts, kit, judgement }: Work, blended: Work['given']): Step {
  const loads = loadsOf(sheet, kit);
  const shrinks = parts.length > 1 && judgement.evaluation.composition.shrinkage > 0.005;
  return {
    id: 'layer',
    text: stepSays('step.layer', {
      loads,
      quarters: sheet.components.map((c, i) => ({
        material: named(parts[i]!.material),
        litres: c.looseLitres / loads / 4,
      })),
      blend: blended.length > 0,
    }),
    ...(loads > 1 && { times: loads }),
    why: stepSays('step.layer.why', {
      looseLitres: sheet.components.reduce((sum, c) => sum + c.looseLitres, 0),
      litres: sheet.litres,
      filled: filledOf(judgement),
      shrinks,
    }),
    ...(wetKg(sheet) > kit.liftKg && {
      caution: stepSays('step.layer.caution', {
        grams: wetKg(sheet) * 1000,
        liftGrams: kit.liftKg * 1000,
      }),
    }),
  };
}
