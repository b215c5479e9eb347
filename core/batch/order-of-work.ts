import { targetSaturation, type BatchSheet, type Moisture } from '#core/batch/sheet';
import { capital, spoken } from '#core/judge/flag';
import { type Judgement } from '#core/judge/judge';
import { said, type Said } from '#core/units/said';

/** One thing to do, why it is done so, and what to mind. */
export interface Step {
  id: string;
  text: Said;
  why?: Said;
  caution?: Said;
}

const shortName = (name: string): string => name.replace(/\s*\(.*\)$/, '');

/** The steps of mixing a batch, in order. Trade practice, no source, but for the amounts. */
export function orderOfWork(judgement: Judgement, sheet: BatchSheet, moisture: Moisture): Step[] {
  const { input, evaluation } = judgement;
  const { parts } = evaluation.composition;
  const steps: Step[] = [];
  const dusty = parts.filter((p) => p.material.dusty);
  if (dusty.length > 0) {
    steps.push({
      id: 'damp-down',
      text: said`Put on a fitted mask. Sprinkle the ${spoken(dusty.map((p) => p.material.name.split(',')[0]!))} before tipping.`,
      why: said`Dry peat and coir also repel water: damp takes up water, dust floats.`,
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
  steps.push({
    id: 'layer',
    text: [
      'Tip a quarter of everything at a time, in layers: ',
      ...sheet.components.flatMap((c, i): Said => [
        ...(i ? ['; '] : []),
        { volumeL: c.looseLitres / 4 },
        ` ${spoken([parts[i]!.material.name])}`,
      ]),
      given.length > 0 ? '; and a quarter of the blend. Turn three times.' : '. Turn three times.',
    ],
    why: said`It settles from ${{ volumeL: sheet.components.reduce((a, c) => a + c.looseLitres, 0) }} scooped to ${{ volumeL: sheet.litres }} in the ${input.vessel.shape === 'block' ? 'blocks' : 'vessels'}: fines slip between the coarse.`,
  });
  if (sheet.waterLitres > 0) {
    steps.push({
      id: 'water',
      text: said`Pour on ${{ volumeL: sheet.waterLitres }} of water in three portions, turning between. Warm water wets dry peat and coir sooner.`,
      why: said`Takes the mix to ${Math.round(targetSaturation[moisture] * 100)} % of its pores full.`,
    });
  }
  steps.push(
    moisture === 'block'
      ? {
          id: 'squeeze',
          text: said`Squeeze a handful: like a stiff batter, water oozes between the fingers, none stands in the tub.`,
          why: said`Blocks press at 70–90 % of pores full. It gets soupier as you press: keep a bucket of dry mix by.`,
        }
      : {
          id: 'squeeze',
          text: said`Squeeze a handful: it holds, and crumbs open again when poked.`,
          why: said`Drops mean too wet, dust means too dry.`,
        },
  );
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
    text: said`Lift in loads that suit your back: this batch weighs about ${{ massG: sheet.components.reduce((a, c) => a + c.massKg, 0) * 1000 + sheet.waterLitres * 1000 }} wet.`,
  });
  return steps;
}
