import { heatSteps } from '#core/batch/heat-steps';
import { type Kit, usualKit } from '#core/batch/kit';
import { type Step } from '#core/batch/step';
import { type BatchSheet } from '#core/batch/sheet';
import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { capital, spoken } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { isCoir, isPeat } from '#core/material/families';
import { type Stage } from '#core/mix/stage';
import { said, type Said } from '#core/units/said';

/** Dry coir takes 4–6 L of water to the kilogram: common practice, no source. */
const COIR_WATER_L_PER_KG = 5;

const shortName = (name: string): string => name.replace(/\s*\(.*\)$/, '');

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
    { id: 'label', text: said`Label the tub and the first tray: name, date, this batch.` },
    ...reTests(work),
    ...wash(work),
  ];
}

/** Dry, before anything is damped: wet material does not go through a screen. */
function screen({ judgement, sheet, parts }: Work): Step[] {
  const dust = (some: Work['parts']): Pick<Step, 'caution'> =>
    some.some((p) => p.material.dusty)
      ? { caution: said`Dust: outdoors or by an open door, with a fitted mask.` }
      : {};
  const asked = parts.flatMap((part, i): Step[] => {
    if (!part.screen || part.screen.oversizeShare === 0) return [];
    const through = sheet.components[i]!.looseLitres;
    const on = through / (1 - part.screen.oversizeShare);
    return [
      {
        id: `screen-${part.material.id}`,
        text: said`Screen ${spoken([shortName(part.material.name)])} through ${{ lengthMm: part.screen.mm }} while it is dry: ${{ volumeL: on }} goes on, ${{ volumeL: through }} through.`,
        why: said`What stays on, about ${{ volumeL: on - through }}, is good for larger pots: keep it as a lot. Clean the screen between batches.`,
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
      text: said`Screen the ${spoken(coarse.map((p) => shortName(p.material.name)))} through ${{ lengthMm: particles.high }} while it is dry.`,
      why: said`Larger bits do not fit this job. Wet material will not go through.`,
      ...dust(coarse),
    },
  ];
}

function dampDown({ parts, given }: Work): Step[] {
  const dusty = parts.filter((p) => p.material.dusty);
  if (dusty.length === 0) return [];
  const names = spoken(dusty.map((p) => p.material.name.split(',')[0]!));
  const aside = given.length > 0 ? ' Keep one scoop of it back, dry, for the doses.' : '';
  return [
    {
      id: 'damp-down',
      text: said`Put on a fitted mask. Sprinkle the ${names} before you pour it out.${aside}`,
      why: dusty.some((p) => isPeat(p.material))
        ? said`Measure peat loose: a compressed bale loosens to about twice its volume. Dry peat also repels water: damp takes it up, dust floats.`
        : said`Dry peat and coir repel water: damp takes up water, dust floats.`,
      caution: said`Dust, some of it silica. Never sweep dry.`,
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

function hydrate({ litres, beyondLitres }: BrickWater): Step {
  const off: Said =
    beyondLitres > 0.005
      ? [' Then pour on ', { volumeL: beyondLitres }, ' less below.']
      : [' It then stands as loose coir does.'];
  return {
    id: 'hydrate',
    text: [
      ...said`If the coir comes as bricks: pour about ${{ volumeL: litres }} of warm water on it and wait until it falls apart.`,
      ...off,
    ],
    why: said`Warm water goes in faster. Old bricks sometimes never take up water: leave those out.`,
    timerMin: 30,
  };
}

/** @param late once the mix is heated, cooled and wetted: nothing dry is left to carry it but what was kept back */
function preBlend({ parts, given, sheet }: Work, late = false): Step[] {
  if (given.length === 0) return [];
  const doses = given
    .flatMap((d): Said => [{ massG: d.gPerL * sheet.litres }, ` ${d.amendment.name.toLowerCase()}`, '; '])
    .slice(0, -1);
  const carrier = [...parts].sort((a, b) => b.parts - a.parts)[0]!;
  const scoop = `one scoop of ${spoken([carrier.material.name])}${carrier.material.dusty ? ' kept back dry' : ''}`;
  return [
    {
      id: 'pre-blend',
      text: [
        'Weigh ',
        ...doses,
        `. Blend it into ${scoop}${late ? ', and that through the cooled mix' : ''}.`,
      ],
      why: late
        ? said`Feed in a hot mix gasses off or burns: it goes in when all is cool.`
        : said`A small dose spreads evenly only in a carrier.`,
      caution: given.some((d) => d.amendment.caution === 'caustic')
        ? said`Caustic: goggles and gloves. Its label decides.`
        : said`Lime and feed in eyes: rinse long with water. Labels decide.`,
    },
  ];
}

function layer({ sheet, parts, kit, judgement }: Work, blended: Work['given']): Step {
  const loads = loadsOf(sheet, kit);
  const loose = sheet.components.reduce((sum, c) => sum + c.looseLitres, 0);
  const share = loads > 1 ? `its share of the blend, 1 part in ${4 * loads}` : 'a quarter of the blend';
  const block = judgement.input.vessel.shape === 'block';
  const shrinks = parts.length > 1 && judgement.evaluation.composition.shrinkage > 0.005;
  return {
    id: 'layer',
    text: [
      loads > 1
        ? `In ${loads} loads, each: tip a quarter at a time, in layers: `
        : 'Tip a quarter of everything at a time, in layers: ',
      ...sheet.components.flatMap((c, i): Said => [
        ...(i ? ['; '] : []),
        { volumeL: c.looseLitres / loads / 4 },
        ` ${spoken([parts[i]!.material.name])}`,
      ]),
      blended.length > 0 ? `; and ${share}. Turn three times.` : '. Turn three times.',
    ],
    ...(loads > 1 && { times: loads }),
    why: [
      'It settles from ',
      { volumeL: loose },
      ' scooped to ',
      { volumeL: sheet.litres },
      ` in the ${block ? 'blocks' : 'vessels'}${shrinks ? ': fines slip between the coarse.' : '.'}`,
    ],
    ...(wetKg(sheet) > kit.liftKg && {
      caution: said`All of it weighs about ${{ massG: wetKg(sheet) * 1000 }} wet. Lift at most ${{ massG: kit.liftKg * 1000 }} at a time, or with two.`,
    }),
  };
}

/** What goes into the top or a trench, once the vessels are filled. */
function strew({ judgement, sheet }: Work): Step[] {
  const { evaluation, input } = judgement;
  const each = evaluation.column.volumeL;
  return evaluation.doses.flatMap((d): Step[] =>
    d.layer === undefined || d.gPerL === 0
      ? []
      : [
          {
            id: `strew-${d.amendment.id}`,
            text: said`Strew ${{ massG: d.gPerL * each }} of ${d.amendment.name.toLowerCase()} to each ${input.vessel.shape === 'block' ? 'block' : 'vessel'}, ${{ massG: d.gPerL * sheet.litres }} in all, into the top ${Math.round(100 * d.layer)} % of the mix.`,
            why: said`It is not mixed through: roots come to it. Keep it a finger from stems and seed.`,
          },
        ],
  );
}

/** What is still wanted once bricks and boiling water have brought theirs. */
function water({ sheet, moisture }: Work, hotLitres: number): Step[] {
  const left = sheet.waterLitres - hotLitres;
  if (left < 0.005 * sheet.litres) return [];
  return [
    {
      id: 'water',
      text: said`Pour on ${{ volumeL: left }} of water in three portions, turning between. Warm water wets dry peat and coir sooner.`,
      why: said`Takes the mix to ${Math.round(targetSaturation[moisture] * 100)} % of its pores full.`,
    },
  ];
}

const squeeze = (moisture: Moisture): Step =>
  moisture === 'block'
    ? {
        id: 'squeeze',
        test: 'squeeze',
        text: said`Squeeze a handful: like a stiff batter, water oozes between the fingers, none stands in the tub.`,
        why: said`Blocks press at 70–90 % of pores full. It gets soupier as you press: keep a bucket of dry mix by.`,
      }
    : {
        id: 'squeeze',
        test: 'squeeze',
        text: said`Squeeze a handful: it holds, and crumbs open again when poked.`,
        why: said`Drops mean too wet, dust means too dry.`,
      };

function drainTest({ judgement }: Work): Step[] {
  if (judgement.input.vessel.shape === 'block') return [];
  return [
    {
      id: 'drain-test',
      test: 'drain',
      text: said`Fill a pot, pour on water: it should stand a second or two, then run through.`,
      why: said`Water that stands tells of too many fines before a tray is lost.`,
    },
  ];
}

const before: Record<Stage, string> = {
  germination: 'anything is sown',
  rooting: 'cuttings are struck',
  seedling: 'seedlings go in',
  potting: 'anything is potted',
};

function rest({ given, judgement }: Work): Step[] {
  if (!given.some((d) => d.amendment.kind === 'organic')) return [];
  return [
    {
      id: 'rest',
      text: said`Let it rest two weeks, moist, cool, lid ajar, before ${before[judgement.input.stage]}.`,
      why: said`Organic feed does nothing for one to three weeks, and can harm while it starts.`,
      waitDays: 14,
    },
  ];
}

function fill({ judgement }: Work): Step {
  const firming = Math.round(judgement.evaluation.composition.compaction * 100);
  if (judgement.input.vessel.shape === 'block')
    return {
      id: 'fill',
      text: said`Charge the press hard, push several times, scrape level, eject, rinse. Reckoned with ${firming} % pressed out.`,
    };
  return firming > 0
    ? {
        id: 'fill',
        text: said`Fill loose, firm by ${firming} %, strike level.`,
        why: said`That much is reckoned with. More takes the air first.`,
      }
    : {
        id: 'fill',
        text: said`Fill loose, tap once, strike level. Do not press.`,
        why: said`Pressing takes the air first.`,
      };
}

function topUpLater({ topUp }: Work): Step[] {
  if (!topUp) return [];
  return [
    {
      id: 'top-up',
      text: said`Filled to ${topUp.fillPct} % for now. As the stems grow, top up to the usual rim: ${{ volumeL: topUp.litres }} more of the same mix.`,
      why: said`It is not in this batch: keep or make as much. Roots come from the buried stem of tomatoes; most others rot if buried.`,
    },
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
      text: said`Test pH on day 7.`,
      why: said`Lime needs one to two weeks of moist mix to act. Today's reading would mislead.`,
    },
    { id: 're-test-14', test: 'ph', waitDays: 14, text: said`Test pH again on day 14.` },
  ];
}

function wash({ parts }: Work): Step[] {
  if (!parts.some((p) => p.material.role === 'food')) return [];
  return [
    {
      id: 'wash',
      text: said`Wash your hands. Store cool, lid ajar.`,
      caution: said`${capital('compost')} can carry Legionella and moulds. Warm, wet and sealed it also turns feed to ammonium.`,
    },
  ];
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
