import { type StepFacts } from '#core/batch/step-facts';
import { type Words } from '#words/catalog';

const before = {
  germination: 'you sow',
  rooting: 'you stick cuttings',
  seedling: 'seedlings go in',
  potting: 'you pot',
} as const;
const filledWith = { block: 'blocks', vessel: 'vessels' } as const;
const AMMONIUM = (at: string): string =>
  ` Above about ${at} compost and loam give off ammonium and manganese.`;

export const steps: Words<StepFacts> = {
  'step.screen': ({ material, mm, onLitres, throughLitres }, f) =>
    `Screen the ${f.name(material)} through ${f.length(mm)} while it is dry. Put ${f.volume(onLitres)} on; ${f.volume(throughLitres)} goes through.`,
  'step.screen.why': ({ overLitres }, f) =>
    `About ${f.volume(overLitres)} stays on the screen: save it for larger pots. Clean the screen between batches.`,
  'step.screen-coarse': ({ materials, mm }, f) =>
    `Screen the ${f.names(materials)} through ${f.length(mm)} while it is dry.`,
  'step.screen-coarse.why': () => 'Larger pieces do not fit this job. Wet material will not go through.',
  'step.dust': () => 'Dust: work outdoors or by an open door, with a fitted mask.',
  'step.damp-down': ({ materials, keepDry }, f) =>
    `With a fitted mask on, dampen the ${f.names(materials)} before pouring.${keepDry ? ' Save one dry scoop for the doses.' : ''}`,
  'step.damp-down.why': ({ bale }) =>
    bale
      ? 'Measure peat loose: a bale loosens to about twice its volume. Dry peat also repels water.'
      : 'Dry peat and coir repel water. Damp they take it up; dry they float.',
  'step.damp-down.caution': () => 'Dust, some of it silica. Never sweep it dry.',
  'step.hydrate': ({ litres, lessLaterLitres, sure, restLitres = 0 }, f) =>
    sure
      ? `Pour ${f.volume(litres)} of warm water on the coir bricks and wait until they fall apart. ${
          restLitres > 0.005
            ? `${f.volume(restLitres)} follows later: ${f.volume(litres + restLitres)} in all.`
            : 'That is all the water of this batch.'
        }`
      : `For coir bricks: pour on about ${f.volume(litres)} of warm water and wait until they fall apart.${
          lessLaterLitres > 0
            ? ` Then use ${f.volume(lessLaterLitres)} less water below.`
            : ' They are then as damp as loose coir.'
        }`,
  'step.hydrate.why': () => 'Warm water goes in faster. Throw out old bricks that do not take up water.',
  'step.pre-blend': ({ doses, carrier, keptDry, late }, f) =>
    `Weigh ${doses.map(({ product, grams }) => `${f.mass(grams)} ${f.name(product)}`).join('; ')}. Blend it into one ${keptDry ? 'dry ' : ''}scoop of ${late ? 'the cooled mix, then mix that into the rest' : f.name(carrier)}.`,
  'step.pre-blend.why': ({ late }) =>
    late
      ? 'Feed in a hot mix turns to gas or burns: it goes in once the mix is cool.'
      : 'A small dose spreads evenly only in a carrier.',
  'step.pre-blend.caution': ({ caustic }) =>
    caustic
      ? 'Caustic: goggles and gloves. Follow its label.'
      : 'Lime or feed in the eyes: rinse long with water. Follow the labels.',
  'step.layer': ({ loads, quarters, blend }, f) => {
    const layers = quarters
      .map(({ material, litres }) => `${f.scooped(litres)} ${f.name(material)}`)
      .join('; ');
    const share = loads > 1 ? `1 part in ${4 * loads} of the blend` : 'a quarter of the blend';
    const tip =
      loads > 1 ? `Make ${f.counted(loads, { one: 'load', other: 'loads' })}, each tipped` : 'Tip everything';
    return `${tip} in four layers: ${layers}${blend ? `; ${share}` : ''} each time. Turn three times.`;
  },
  'step.layer.why': ({ looseLitres, litres, filled, shrinks }, f) =>
    `${f.volume(looseLitres)} scooped settles to ${f.volume(litres)} in the ${filledWith[filled]}${shrinks ? ': fine pieces fill the gaps between coarse ones' : ''}.`,
  'step.layer.caution': ({ grams, liftGrams }, f) =>
    `The whole batch weighs about ${f.mass(grams)} wet. Lift at most ${f.mass(liftGrams)} at a time, or with two.`,
  'step.strew': ({ product, eachGrams, allGrams, filled, topPct }, f) =>
    `Strew ${f.mass(eachGrams)} ${f.name(product)} on each ${filled}, into the top ${f.pct(topPct)} of the mix. That is ${f.mass(allGrams)} in all.`,
  'step.strew.why': () =>
    'It is not mixed through: roots grow to it. Stay a finger away from stems and seed.',
  'step.water': ({ litres, loads = 1, beforeLitres = 0 }, f) =>
    `${
      loads > 1
        ? `Pour ${f.volume(litres / loads)} of water on each load in three portions: ${f.volume(litres)} in all`
        : `Pour on ${f.volume(litres)} of water in three portions, turning between`
    }${beforeLitres > 0 ? `, ${f.volume(litres + beforeLitres)} with the water before` : ''}. Warm water wets dry peat and coir sooner.`,
  'step.water.why': ({ pct }, f) => `This fills ${f.pct(pct)} of the pores.`,
  'step.squeeze': ({ block }) =>
    block
      ? 'Squeeze a handful: it should feel like stiff batter. Water oozes between the fingers, none stands in the tub.'
      : 'Squeeze a handful: it should hold, and crumble when poked.',
  'step.squeeze.why': ({ block }) =>
    block
      ? 'Blocks press well with 70–90 % of the pores full. It gets wetter as you press: have dry mix ready.'
      : 'Drops mean too wet. Dust means too dry.',
  'step.drain-test': () => 'Fill a pot and pour on water: it should stand a second or two, then run through.',
  'step.drain-test.why': () => 'Standing water shows too many fines before a tray is lost.',
  'step.rest': ({ stage }) => `Let it rest two weeks before ${before[stage]}: moist, cool, lid ajar.`,
  'step.rest.why': () => 'Organic feed gives nothing for one to three weeks, and can harm while it starts.',
  'step.fill-block': ({ firmingPct, breakPct = 0 }, f) =>
    `Charge the press hard, push several times, scrape level, eject, rinse. The amounts count on ${f.pct(firmingPct)} pressed out${breakPct > 0 ? `; count on ${breakPct} of 100 breaking` : ''}.`,
  'step.fill': ({ firmingPct }, f) =>
    firmingPct > 0
      ? `Fill loose, firm by ${f.pct(firmingPct)}, strike level.`
      : 'Fill loose, tap once, strike level. Do not press.',
  'step.fill.why': ({ firmingPct }) =>
    firmingPct > 0
      ? 'The amounts count on this much. More firming takes the air first.'
      : 'Pressing takes the air first.',
  'step.top-up': ({ fillPct, litres }, f) =>
    `Filled to ${f.pct(fillPct)} for now. As the stems grow, top up to the rim with ${f.volume(litres)} more of this mix.`,
  'step.top-up.why': () =>
    'That is not in this batch: save or make as much. Buried stems of tomatoes root; most others rot.',
  'step.label': () => 'Label the tub and the first tray: name, date, this batch.',
  'step.re-test': ({ day }) => (day > 7 ? `Test pH again on day ${day}.` : `Test pH on day ${day}.`),
  'step.re-test.why': () => 'Lime needs one to two weeks in moist mix. A reading today would mislead.',
  'step.wash': () => 'Wash your hands. Store it cool, lid ajar.',
  'step.wash.caution': () =>
    'Compost can carry Legionella and moulds. Warm, wet and sealed it also turns feed to ammonium.',
  'step.heat': ({ by, celsius }, f) =>
    by === 'oven'
      ? `Moisten it in a lidded tray, a hand deep at most. Heat it in the oven until the middle holds ${f.celsius(celsius)}.`
      : `Steam it from below, lid shut, until the probe in the middle holds ${f.celsius(celsius)}.`,
  'step.heat-boiling': ({ litres, kettles, celsius, wetPct, loads = 1 }, f) =>
    `Pour ${f.volume(litres / loads)} of boiling water on ${loads > 1 ? 'each load' : 'it'}, about ${f.counted(kettles, { one: 'kettle', other: 'kettles' })}; shut the lid and hold it at ${f.celsius(celsius)}.${
      wetPct === null ? '' : ` That leaves ${f.pct(wetPct)} of its pores full, too wet: spread it out to dry.`
    }`,
  'step.heat-drowns': ({ celsius }, f) =>
    `Boiling water alone would drown it. Heat it in the oven or with steam to ${f.celsius(celsius)}, lid shut.`,
  'step.heat.why': ({ celsius, minutes, lossPct }, f) =>
    `${f.celsius(celsius)} for ${minutes} minutes kills most damping-off fungi.${
      lossPct === undefined ? '' : ` Tub and air take ${f.pct(lossPct)} of the heat: that is counted in.`
    }`,
  'step.heat.caution': ({ by, drowns, ammonium }, f) => {
    const danger =
      by === 'oven'
        ? 'Hot trays burn, and it smells: air the kitchen, or use another oven.'
        : by === 'steam'
          ? 'Steam scalds: gloves, sleeves, and open the lid away from you.'
          : drowns
            ? 'Steam and hot trays burn: gloves and sleeves.'
            : 'Boiling water scalds: gloves and sleeves.';
    return `${danger}${ammonium ? AMMONIUM(f.celsius(82)) : ''}`;
  },
  'step.cool': (_, f) =>
    `Let it cool below ${f.celsius(30)} with the lid ajar. Two readings of the probe show how long that takes.`,
  'step.cool.why': () => 'Seed sown into a hot mix dies. A sealed warm mix grows mould.',
};
