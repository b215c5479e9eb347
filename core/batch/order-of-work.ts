import { hotWater } from '#core/batch/hot-water';
import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { compose } from '#core/mix/composition';
import { type BatchSheet } from '#core/batch/sheet';
import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { capital, spoken } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { isCoir, isEarthy, isPeat } from '#core/material/families';
import { said, type Said } from '#core/units/said';

/** One thing to do, why it is done so, and what to mind. */
export interface Step {
  id: string;
  text: Said;
  why?: Said;
  caution?: Said;
  /** Ticked so many times: once for each load. */
  times?: number;
  /** Time matters: minutes on the clock. */
  timerMin?: number;
  /** Days until it is due, counted from the day of mixing; or until the mix is ready. */
  waitDays?: number;
  /** A test at the bench that goes with it. */
  test?: BenchTestId;
}

/** What the maker works with. */
export interface Kit {
  /** Largest loose volume turned at once, L. */
  tubLitres: number;
  /** Most that one person should lift, kg. */
  liftKg: number;
  kettleLitres: number;
  /** Heat the mix through before use. */
  heat: boolean;
}

/** Common practice, no source. */
export const usualKit: Kit = { tubLitres: 60, liftKg: 20, kettleLitres: 1.7, heat: false };

/** Dry coir takes 4–6 L of water to the kilogram: common practice, no source. */
const COIR_WATER_L_PER_KG = 5;
const HEAT_TO_C = 60;
const HOLD_MIN = 30;

const shortName = (name: string): string => name.replace(/\s*\(.*\)$/, '');

/** The steps of mixing a batch, in order. Trade practice, no source, but for the amounts. */
export function orderOfWork(
  judgement: Judgement,
  sheet: BatchSheet,
  moisture: Moisture,
  kit: Kit = usualKit,
): Step[] {
  const { input, evaluation } = judgement;
  const { parts } = evaluation.composition;
  const steps: Step[] = [];
  const dusty = parts.filter((p) => p.material.dusty);
  if (dusty.length > 0) {
    steps.push({
      id: 'damp-down',
      text: said`Put on a fitted mask. Sprinkle the ${spoken(dusty.map((p) => p.material.name.split(',')[0]!))} before you pour it out.`,
      why: dusty.some((p) => isPeat(p.material))
        ? said`Measure peat loose: a compressed bale loosens to about twice its volume. Dry peat also repels water: damp takes it up, dust floats.`
        : said`Dry peat and coir repel water: damp takes up water, dust floats.`,
      caution: said`Dust, some of it silica. Never sweep dry.`,
    });
  }
  const particles = judgement.readings.find((r) => r.id === 'largestParticle');
  if (particles?.verdict === 'high') {
    const coarse = parts
      .filter((p) => p.material.maxParticleMm > particles.high)
      .map((p) => shortName(p.material.name));
    steps.push({
      id: 'screen',
      text: said`Screen the ${spoken(coarse)} through ${{ lengthMm: particles.high }}.`,
      why: said`Larger bits do not fit this job. Do it dry: wet material will not go through.`,
    });
  }
  const coir = sheet.components.filter((c, i) => isCoir(parts[i]!.material) && c.massKg > 0);
  if (coir.length > 0) {
    const dryKg = coir.reduce((sum, c) => {
      const { moistureWetBasis } = parts.find((p) => p.material.id === c.material)!.material;
      return sum + c.massKg * (1 - moistureWetBasis);
    }, 0);
    steps.push({
      id: 'hydrate',
      text: said`If the coir comes as bricks: pour about ${{ volumeL: dryKg * COIR_WATER_L_PER_KG }} of warm water on it and wait until it falls apart.`,
      why: said`Warm water goes in faster. Old bricks sometimes never take up water: leave those out. Count this water off what is poured on later.`,
      timerMin: 30,
    });
  }
  const given = evaluation.doses.filter((d) => d.gPerL > 0);
  const doses = given
    .flatMap((d): Said => [{ massG: d.gPerL * sheet.litres }, ` ${d.amendment.name.toLowerCase()}`, '; '])
    .slice(0, -1);
  if (given.length > 0) {
    const carrier = [...parts].sort((a, b) => b.parts - a.parts)[0]!;
    const caustic = given.some((d) => d.amendment.caution === 'caustic');
    steps.push({
      id: 'pre-blend',
      text: ['Weigh ', ...doses, `. Blend it into one scoop of dry ${spoken([carrier.material.name])}.`],
      why: said`A small dose spreads evenly only in a carrier.`,
      caution: caustic
        ? said`Caustic: goggles and gloves. Its label decides.`
        : said`Lime and feed in eyes: rinse long with water. Labels decide.`,
    });
  }
  const loads = loadsOf(sheet, kit);
  steps.push({
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
      given.length > 0
        ? `; and ${loads > 1 ? `its share of the blend, 1 part in ${4 * loads}` : 'a quarter of the blend'}. Turn three times.`
        : '. Turn three times.',
    ],
    ...(loads > 1 && { times: loads }),
    why: said`It settles from ${{ volumeL: sheet.components.reduce((a, c) => a + c.looseLitres, 0) }} scooped to ${{ volumeL: sheet.litres }} in the ${input.vessel.shape === 'block' ? 'blocks' : 'vessels'}: fines slip between the coarse.`,
  });
  if (sheet.waterLitres > 0) {
    steps.push({
      id: 'water',
      text: said`Pour on ${{ volumeL: sheet.waterLitres }} of water in three portions, turning between. Warm water wets dry peat and coir sooner.`,
      why: said`Takes the mix to ${Math.round(targetSaturation[moisture] * 100)} % of its pores full.`,
    });
  }
  if (kit.heat) {
    steps.push(heatStep(judgement, sheet, kit), {
      id: 'cool',
      test: 'cooling',
      text: said`Let it cool below 30 °C with the lid ajar. Two readings of the probe tell how long that takes.`,
      why: said`Seed sown into a hot mix dies; a sealed warm mix grows mould.`,
    });
  }
  steps.push(
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
        },
  );
  if (input.vessel.shape !== 'block') {
    steps.push({
      id: 'drain-test',
      test: 'drain',
      text: said`Fill a pot, pour on water: it should stand a second or two, then run through.`,
      why: said`Water that stands tells of too many fines before a tray is lost.`,
    });
  }
  if (given.some((d) => d.amendment.kind === 'organic')) {
    steps.push({
      id: 'rest',
      text: said`Let it rest two weeks, moist, cool, lid ajar, before anything is sown.`,
      why: said`Organic feed does nothing for one to three weeks, and can harm while it starts.`,
      waitDays: 14,
    });
  }
  const firming = Math.round(evaluation.composition.compaction * 100);
  steps.push(
    input.vessel.shape === 'block'
      ? {
          id: 'fill',
          text: said`Charge the press hard, push several times, scrape level, eject, rinse. Reckoned with ${firming} % pressed out.`,
        }
      : {
          id: 'fill',
          text: said`Fill loose, tap once, strike level${firming > 0 ? `, firm by ${firming} %` : ''}. Do not press.`,
          why: said`Pressing takes the air first.`,
        },
    { id: 'label', text: said`Label the tub and the first tray: name, date, this batch.` },
  );
  if (given.some((d) => d.amendment.kind === 'lime')) {
    steps.push({
      id: 're-test',
      test: 'ph',
      waitDays: 7,
      text: said`Test pH on day 7 and again on day 14.`,
      why: said`Lime needs one to two weeks of moist mix to act. Today's reading would mislead.`,
    });
  }
  if (parts.some((p) => p.material.role === 'food')) {
    steps.push({
      id: 'wash',
      text: said`Wash your hands. Store cool, lid ajar.`,
      caution: said`${capital('compost')} can carry Legionella and moulds. Warm, wet and sealed it also turns feed to ammonium.`,
    });
  }
  steps.push({
    id: 'lift',
    text: said`Lift at most ${{ massG: kit.liftKg * 1000 }} at a time, or with two: this batch weighs about ${{ massG: wetKg(sheet) * 1000 }} wet.`,
  });
  return steps;
}

const wetKg = (sheet: BatchSheet): number =>
  sheet.components.reduce((sum, c) => sum + c.massKg, 0) + sheet.waterLitres;

/** So many loads that none overfills the tub and none, wet, is more than three lifts' weight on the turning arm. */
export function loadsOf(sheet: BatchSheet, kit: Kit): number {
  const loose = sheet.components.reduce((sum, c) => sum + c.looseLitres, 0);
  return Math.max(
    1,
    Math.ceil(loose / kit.tubLitres - 1e-9),
    Math.ceil(wetKg(sheet) / (3 * kit.liftKg) - 1e-9),
  );
}

/** Boiling water over the lidded tub, or another way where it would drown the mix. */
function heatStep(judgement: Judgement, sheet: BatchSheet, kit: Kit): Step {
  const { composition } = judgement.evaluation;
  const living = composition.parts.some((p) => isEarthy(p.material));
  const base = {
    id: 'heat',
    timerMin: HOLD_MIN,
    why: said`${HEAT_TO_C} °C for ${HOLD_MIN} minutes kills most damping-off fungi. Sow only below 30 °C.`,
    caution: said`Boiling water and steam scald.${living ? ' Above about 82 °C compost and loam give off ammonium and manganese.' : ''}`,
  };
  try {
    const { waterLitres } = hotWater(compose(composition.parts, 0), sheet.litres, 15, 100, HEAT_TO_C);
    const kettles = Math.ceil(waterLitres / kit.kettleLitres);
    return {
      ...base,
      text: said`Pour ${{ volumeL: waterLitres }} of boiling water over it, about ${kettles} kettles, in place of the water above. Lid on, hold at ${HEAT_TO_C} °C.`,
    };
  } catch {
    return {
      ...base,
      text: said`Heat it in an oven or with steam to ${HEAT_TO_C} °C, lid on: boiling water alone would drown it.`,
    };
  }
}
