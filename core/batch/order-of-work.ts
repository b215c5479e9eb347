import { heatSteps } from '#core/batch/heat-steps';
import { type Kit, usualKit } from '#core/batch/kit';
import { type Step } from '#core/batch/step';
import { type BatchSheet } from '#core/batch/sheet';
import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { type Judgement } from '#core/judge/judge';
import { isCoir, isPeat } from '#core/material/families';
import { type Filled, stepSays } from '#core/batch/step-facts';
import { named, none } from '#core/units/message';

/** Dry coir takes 4–6 L of water to the kilogram: common practice, no source. */
const COIR_WATER_L_PER_KG = 5;

/** What holds organic feed waits: common practice, no source. */
const REST_DAYS = 14;

/** Vessels that are filled so far for now, % of the usual depth, and what fills them up later. */
export interface TopUp {
  fillPct: number;
  litres: number;
}

/** All that the steps are written from. */
interface Work {
  judgement: Judgement;
  sheet: BatchSheet;
  moisture: Moisture;
  kit: Kit;
  topUp: TopUp | null;
  parts: Judgement['evaluation']['composition']['parts'];
  given: Judgement['evaluation']['doses'];
}

/** The steps of mixing a batch, in order. Trade practice, no source, but for the amounts. */
export function orderOfWork(
  judgement: Judgement,
  sheet: BatchSheet,
  moisture: Moisture,
  kit: Kit = usualKit,
  topUp: TopUp | null = null,
): Step[] {
  const { evaluation } = judgement;
  const { parts } = evaluation.composition;
  const given = evaluation.doses.filter((d) => d.gPerL > 0 && d.layer === undefined);
  const bricks = brickWater(sheet, parts);
  const work: Work = { judgement, sheet, moisture, kit, topUp, parts, given };
  // Feed is never heated: it would gas off or burn. What is heated is dosed once it is cool.
  const hot = kit.heat !== 'none';
  const heated = hot ? heatSteps(judgement, sheet, kit) : null;
  return [
    ...screen(work),
    ...dampDown(work),
    ...(bricks ? [hydrate(bricks)] : []),
    ...(hot ? [] : preBlend(work)),
    layer(work, hot ? [] : given),
    ...(heated?.steps ?? []),
    ...water(work, heated?.waterLitres ?? 0),
    ...(hot ? preBlend(work, true) : []),
    squeeze(moisture),
    ...drainTest(work),
    ...rest(work),
    fill(work),
    ...topUpLater(work),
    ...strew(work),
    { id: 'label', text: stepSays('step.label', none) },
    ...reTests(work),
    ...wash(work),
  ];
}

/** Dry, before anything is damped: wet material does not go through a screen. */
function screen({ judgement, sheet, parts }: Work): Step[] {
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
  const particles = judgement.readings.find((r) => r.id === 'largestParticle');
  if (particles?.verdict !== 'high') return asked;
  const coarse = parts.filter((p) => p.material.maxParticleMm > particles.high);
  return [
    ...asked,
    {
      id: 'screen',
      text: stepSays('step.screen-coarse', {
        materials: coarse.map((p) => named(p.material)),
        mm: particles.high,
      }),
      why: stepSays('step.screen-coarse.why', none),
      ...dust(coarse),
    },
  ];
}

function dampDown({ parts, given }: Work): Step[] {
  const dusty = parts.filter((p) => p.material.dusty);
  if (dusty.length === 0) return [];
  return [
    {
      id: 'damp-down',
      text: stepSays('step.damp-down', {
        materials: dusty.map((p) => named(p.material)),
        keepDry: given.length > 0,
      }),
      why: stepSays('step.damp-down.why', { bale: dusty.some((p) => isPeat(p.material)) }),
      caution: stepSays('step.damp-down.caution', none),
    },
  ];
}

interface BrickWater {
  /** What is poured on the bricks. */
  litres: number;
  /** Of it, what is beyond the moisture of loose coir. */
  beyondLitres: number;
}

/** Water for coir that comes dry, in bricks: never more than the batch takes in all. */
function brickWater(sheet: BatchSheet, parts: Work['parts']): BrickWater | null {
  let [dryKg, heldLitres] = [0, 0];
  sheet.components.forEach((c, i) => {
    const { material } = parts[i]!;
    if (!isCoir(material)) return;
    dryKg += c.massKg * (1 - material.moistureWetBasis);
    heldLitres += c.massKg * material.moistureWetBasis;
  });
  if (dryKg <= 0) return null;
  const litres = Math.min(Math.max(dryKg * COIR_WATER_L_PER_KG, heldLitres), heldLitres + sheet.waterLitres);
  return { litres, beyondLitres: litres - heldLitres };
}

const hydrate = ({ litres, beyondLitres }: BrickWater): Step => ({
  id: 'hydrate',
  text: stepSays('step.hydrate', { litres, lessLaterLitres: beyondLitres > 0.005 ? beyondLitres : 0 }),
  why: stepSays('step.hydrate.why', none),
  timerMin: 30,
});

/** @param late once the mix is heated, cooled and wetted: nothing dry is left to carry it but what was kept back */
function preBlend({ parts, given, sheet }: Work, late = false): Step[] {
  if (given.length === 0) return [];
  const carrier = [...parts].sort((a, b) => b.parts - a.parts)[0]!.material;
  return [
    {
      id: 'pre-blend',
      text: stepSays('step.pre-blend', {
        doses: given.map((d) => ({ product: named(d.amendment), grams: d.gPerL * sheet.litres })),
        carrier: named(carrier),
        keptDry: carrier.dusty,
        late,
      }),
      why: stepSays('step.pre-blend.why', { late }),
      caution: stepSays('step.pre-blend.caution', {
        caustic: given.some((d) => d.amendment.caution === 'caustic'),
      }),
    },
  ];
}

const filledOf = ({ input }: Judgement): Filled => (input.vessel.shape === 'block' ? 'block' : 'vessel');

function layer({ sheet, parts, kit, judgement }: Work, blended: Work['given']): Step {
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

/** What goes into the top or a trench, once the vessels are filled. */
function strew({ judgement, sheet }: Work): Step[] {
  const { doses, column } = judgement.evaluation;
  return doses.flatMap((d): Step[] =>
    d.layer === undefined || d.gPerL === 0
      ? []
      : [
          {
            id: `strew-${d.amendment.id}`,
            text: stepSays('step.strew', {
              product: named(d.amendment),
              eachGrams: d.gPerL * column.volumeL,
              allGrams: d.gPerL * sheet.litres,
              filled: filledOf(judgement),
              topPct: 100 * d.layer,
            }),
            why: stepSays('step.strew.why', none),
          },
        ],
  );
}

/** What is still wanted once bricks and boiling water have brought theirs. */
function water({ sheet, moisture }: Work, hotLitres: number): Step[] {
  const litres = sheet.waterLitres - hotLitres;
  if (litres < 0.005 * sheet.litres) return [];
  return [
    {
      id: 'water',
      text: stepSays('step.water', { litres }),
      why: stepSays('step.water.why', { pct: targetSaturation[moisture] * 100 }),
    },
  ];
}

function squeeze(moisture: Moisture): Step {
  const block = moisture === 'block';
  return {
    id: 'squeeze',
    test: 'squeeze',
    text: stepSays('step.squeeze', { block }),
    why: stepSays('step.squeeze.why', { block }),
  };
}

function drainTest({ judgement }: Work): Step[] {
  if (filledOf(judgement) === 'block') return [];
  return [
    {
      id: 'drain-test',
      test: 'drain',
      text: stepSays('step.drain-test', none),
      why: stepSays('step.drain-test.why', none),
    },
  ];
}

function rest({ given, judgement }: Work): Step[] {
  if (!given.some((d) => d.amendment.kind === 'organic')) return [];
  return [
    {
      id: 'rest',
      text: stepSays('step.rest', { stage: judgement.input.stage }),
      why: stepSays('step.rest.why', none),
      waitDays: REST_DAYS,
    },
  ];
}

function fill({ judgement }: Work): Step {
  const firmingPct = Math.round(judgement.evaluation.composition.compaction * 100);
  return filledOf(judgement) === 'block'
    ? { id: 'fill', text: stepSays('step.fill-block', { firmingPct }) }
    : {
        id: 'fill',
        text: stepSays('step.fill', { firmingPct }),
        why: stepSays('step.fill.why', { firmingPct }),
      };
}

function topUpLater({ topUp }: Work): Step[] {
  if (!topUp) return [];
  return [
    { id: 'top-up', text: stepSays('step.top-up', { ...topUp }), why: stepSays('step.top-up.why', none) },
  ];
}

/** Each day has a box of its own: a tick on the seventh leaves the fourteenth. */
function reTests({ given }: Work): Step[] {
  if (!given.some((d) => d.amendment.kind === 'lime')) return [];
  return [
    {
      id: 're-test',
      test: 'ph',
      waitDays: 7,
      text: stepSays('step.re-test', { day: 7 }),
      why: stepSays('step.re-test.why', none),
    },
    { id: 're-test-14', test: 'ph', waitDays: 14, text: stepSays('step.re-test', { day: 14 }) },
  ];
}

function wash({ parts }: Work): Step[] {
  if (!parts.some((p) => p.material.role === 'food')) return [];
  return [{ id: 'wash', text: stepSays('step.wash', none), caution: stepSays('step.wash.caution', none) }];
}

/** Materials as they come, doses and water, kg. */
export const wetKg = (sheet: BatchSheet): number =>
  sheet.components.reduce((sum, c) => sum + c.massKg, 0) +
  sheet.amendments.reduce((sum, a) => sum + a.grams, 0) / 1000 +
  sheet.waterLitres;

/** So many loads that none overfills the tub and none, wet, is more than three lifts' weight on the turning arm. */
export function loadsOf(sheet: BatchSheet, kit: Kit): number {
  const loose = sheet.components.reduce((sum, c) => sum + c.looseLitres, 0);
  return Math.max(
    1,
    Math.ceil(loose / kit.tubLitres - 1e-9),
    Math.ceil(wetKg(sheet) / (3 * kit.liftKg) - 1e-9),
  );
}
