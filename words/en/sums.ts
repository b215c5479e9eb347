import { type MoverFacts, type OriginFacts, type TermFacts } from '#core/explain/sum-facts';
import { type SumTexts, type Words } from '#words/catalog';

/** How each number is computed, by whom, and how far it can be trusted. */
export const sums: Words<SumTexts> = {
  'sum.air.how': () =>
    'All pores, less the water that stays after draining. Near the bottom the pull is weak, so it holds most.',
  'sum.air.source': () =>
    'van Genuchten 1980; air entry after Vogel et al. 2001; pressing after Assouline 2006; idea after Fonteno 1989 and Milks et al. 1989 (from memory)',
  'sum.air.limits': () =>
    'Typical curves, no mat below, no roots yet. Air entry is known to half at best, firming by hand to four points.',
  'sum.airAfterDrydown.how': () => 'Air when drained, plus half of the easily available water.',
  'sum.airAfterDrydown.source': () => 'De Boodt & Verdonck’s suctions (from memory)',
  'sum.airAfterDrydown.limits': () =>
    'A pressed block starts almost full of water. This is how it stands half a day later.',
  'sum.cohesion.how': () =>
    'How well each material binds, by its share of the parts; perlite and vermiculite count twice.',
  'sum.cohesion.source': () => 'common practice, no source',
  'sum.cohesion.limits': () => 'A judgement from 0 to 1. A pressed block tells you more.',
  'sum.ph.how': () => 'pH of the parts, raised by the acid that the lime neutralises, divided by the buffer.',
  'sum.ph.source': () => 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
  'sum.ph.limits': () =>
    'The dose is good to about ±25 % until you test your own peat. Lime needs one to two weeks.',
  'sum.ecSaturated.how': () =>
    'All soluble cations in water that fills every pore. Ten meq per litre read about 1 mS/cm; strong gypsum water a fifth less.',
  'sum.ecSaturated.source': () => 'Sonneveld & Voogt 2009 (from memory); EN 13037, EN 13038 for the methods',
  'sum.ecSaturated.limits': () =>
    'Salts of compost, castings and coir differ from lot to lot: test them with a pen.',
  'sum.n.how': () =>
    'Available nitrogen of the materials and of the soluble feeds. Slow feeds count nothing on the first day.',
  'sum.n.source': () => 'labels; material table; drawdown after Handreck’s index (from memory)',
  'sum.n.limits': () => 'Organic and coated feeds come later: see Weeks ahead.',
  'sum.overSize.how': () => 'Volume in pieces over a quarter of the narrowest side; in blocks over a third.',
  'sum.overSize.source': () => 'common practice, no source',
  'sum.overSize.limits': () =>
    'From the usual and the largest size of each material. A screen test of yours replaces them.',
  'sum.limeDose.how': () =>
    'Acid to neutralise on the way to the pH wanted, divided by the strength of this lime.',
  'sum.limeDose.source': () => 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
  'sum.limeDose.limits': () => 'Of finished mix, ±25 % until you test your own peat.',
  'sum.scooped.how': () =>
    'Loose mix to scoop for each measure in the vessels. What mixing and firming take has to go in as well.',
  'sum.scooped.source': () => 'compressible packing model: de Larrard 1999',
  'sum.scooped.limits': () =>
    'Made for grains. For fibrous materials an estimate, until you measure your own yield.',
  'sum.waterToAdd.how': () => 'Water wanted, less what the materials bring, as a share of the finished mix.',
  'sum.waterToAdd.source': () => 'volumes; moisture as bought from the material table',
  'sum.waterToAdd.limits': () => 'Bales dry out: squeeze a handful, and stop when it feels right.',
  'sum.wetWeight.how': () => 'Dry matter and drained water in one of these vessels.',
  'sum.wetWeight.source': () => 'EN 13041 for the method of the parts',
  'sum.wetWeight.limits': () => 'Without vessel, plant and label.',
};

export const terms: Words<TermFacts> = {
  'term.material': ({ material }, f) => f.title(material),
  'term.material-share': ({ material, pct }, f) => `${f.title(material)}, ${f.pct(pct)} of the parts`,
  'term.product': ({ product }, f) => f.title(product),
  'term.air-entry': ({ material }, f) => `${f.title(material)}: full up to a pull of`,
  'term.pores': () => 'pores',
  'term.water-held': ({ depthMm }, f) => `water held over ${f.length(depthMm)} of depth`,
  'term.lost-in-mixing': () => 'lost in mixing',
  'term.firmed': () => 'firmed by',
  'term.air-drained': () => 'air when drained',
  'term.easy-water': () => 'easily available water',
  'term.ph-before': () => 'pH of the parts',
  'term.ph-wanted': () => 'pH wanted',
  'term.buffer': () => 'buffer',
  'term.neutralised': () => 'acid that it could neutralise',
  'term.lime-acting': () => 'of it, what acts on the way',
  'term.neutralised-by-others': () => 'done by other doses',
  'term.lime-strength': () => 'strength of the lime',
  'term.free-lime': ({ ph }, f) => `free lime in composts, acting up to pH ${f.ph(ph)}`,
  'term.drawdown': () => 'taken by wood and bark that rot',
  'term.pores-to-fill': () => 'pores to fill with water',
  'term.water-brought': () => 'water that the materials bring, by volume',
  'term.volume': () => 'volume',
  'term.dry-matter': () => 'dry matter',
  'term.water-drained': () => 'water when drained',
};

export const origins: Words<OriginFacts> = {
  'from.library': () => 'material table',
  'from.computed': () => 'computed',
  'from.recipe': () => 'the recipe',
  'from.recipe-pressing': () => 'the recipe; pressing narrows the gaps',
  'from.vessel': () => 'the vessel',
  'from.parts': () => 'parts, shrinkage and firming',
  'from.curves': () => 'retention curves, height by height',
  'from.packing': () => 'de Larrard 1999',
  'from.yield-test': () => 'your yield test',
  'from.jar-test': () => 'your jar test',
  'from.buffer-mean': () => 'mean by buffer, material table',
  'from.practice': () => 'common practice, no source',
  'from.bought': () => 'moisture as bought, material table',
  'from.suctions': (_, f) => `water at ${f.length(100)} of suction, less water at ${f.length(500)}`,
  'from.fineness': () => 'calcium carbonate equivalent × fineness',
  'from.lime-share': () => 'less and less dissolves towards pH 7.5',
  'from.grams': () => 'dose × strength × fineness',
  'from.per-gram': ({ meqPerG }, f) => `${f.digits(meqPerG, 3)} meq per gram`,
  'from.dose': ({ gPerL }, f) => f.dose(gPerL),
  'from.dissolves': ({ dissolvedGPerL, gPerL }, f) =>
    `${f.dose(dissolvedGPerL)} of ${f.dose(gPerL)} dissolves`,
  'from.over-size': ({ mostMm, usualMm, largestMm }, f) =>
    `over ${f.length(mostMm)}: usually ${f.length(usualMm)}, largest ${f.length(largestMm)}`,
  'from.dose-share': ({ gPerL, pct }, f) => `${f.dose(gPerL)} of ${f.digits(pct, 2)} %`,
};

export const movers: Words<MoverFacts> = {
  'mover.part': ({ material }, f) => `one part more ${f.name(material)}`,
  'mover.dose': ({ product }, f) => `a tenth more ${f.name(product)}`,
  'mover.lime': ({ ph }, f) => `liming ${f.digits(ph, 1)} pH higher`,
  'mover.firmer': ({ pct }) => `firming by ${pct} points more`,
  'mover.deeper': ({ mm }, f) => `a vessel ${f.length(mm)} deeper`,
};
