import { type ApproachFacts } from '#core/recipe/approaches';
import { type Words } from '#words/catalog';

/** Approaches: what each is, what it is good at, what it costs and what it risks. Common practice, no source. */
export const approaches: Words<ApproachFacts> = {
  'approach.acid-peat.name': () => 'Fine acid peat',
  'approach.acid-peat.says': () =>
    'Sow in nearly bare, acid, fine peat. Acid keeps mould down; the seed brings its own food.',
  'approach.acid-peat.goodAt': () => 'Small seed, even moisture, little damping off.',
  'approach.acid-peat.costs': () => 'Prick out early: there is nothing to eat and little lime.',
  'approach.acid-peat.risks': () => 'Too acid for cabbages, lettuce and beet if they stay.',
  'approach.limed-peat-perlite.name': () => 'Limed peat with perlite',
  'approach.limed-peat-perlite.says': () =>
    'Peat for water, perlite for air, lime to a set pH, a small charge of feed. The same every time.',
  'approach.limed-peat-perlite.goodAt': () => 'Uniform trays, clean, easy to feed by liquid.',
  'approach.limed-peat-perlite.costs': () => 'Peat and perlite are bought in; feed must follow within weeks.',
  'approach.limed-peat-perlite.risks': () => 'Once dry it repels water.',
  'approach.coir.name': () => 'Coir',
  'approach.coir.says': () => 'Coir pith in place of peat: wets at once, near neutral, no lime to get wrong.',
  'approach.coir.goodAt': () => 'Rewetting, long standing, peat-free sales.',
  'approach.coir.costs': () => 'Wash it and give it calcium first; feed more nitrogen than in peat.',
  'approach.coir.risks': () => 'Salt and potassium from a bad lot.',
  'approach.living-compost.name': () => 'Living compost and sand',
  'approach.living-compost.says': () =>
    'Compost from the heap carries the plant; sand opens it. Nothing is sterilised, the life is the point.',
  'approach.living-compost.goodAt': () => 'Cost, pot-ups and blocks that go straight to the field.',
  'approach.living-compost.costs': () => 'Weight, weeds to pull, every heap is different: test each one.',
  'approach.living-compost.risks': () => 'Salt and weeds under seed; gnats indoors.',
  'approach.loam.name': () => 'Compost with loam',
  'approach.loam.says': () =>
    'Sterilised loam gives body and a buffer, peat holds the water, sand drains. Pots that stand and forgive.',
  'approach.loam.goodAt': () => 'Weight against wind, steady feed, blocks that hold.',
  'approach.loam.costs': () => 'Heavy to carry; loam must be found and sterilised.',
  'approach.loam.risks': () =>
    'Little air in small cells; heated too far it gives off ammonium and manganese.',
  'approach.aged-bark.name': () => 'Aged bark',
  'approach.aged-bark.says': () =>
    'Half to two thirds aged pine bark from the local mill, the rest peat. Air that lasts.',
  'approach.aged-bark.goodAt': () => 'Shrubs, long crops, outdoor pots in rain.',
  'approach.aged-bark.costs': () => 'Water more often; more nitrogen, since bark takes some.',
  'approach.aged-bark.risks': () => 'Fresh bark heats and starves; too coarse for small cells.',
  'approach.gritty-mineral.name': () => 'Gritty mineral',
  'approach.gritty-mineral.says': () =>
    'Pumice, grit and bark, screened of fines: drains at once, stands for years. For trees in warm climates.',
  'approach.gritty-mineral.goodAt': () => 'Deep pots, long standing, roots that hate wet feet.',
  'approach.gritty-mineral.costs': () => 'Weight; water daily in heat; feed from the top.',
  'approach.gritty-mineral.risks': () => 'Dries out; useless in small cells.',
  'approach.old-mix.name': () => 'Rotted old mix',
  'approach.old-mix.says': () =>
    'Emptied trays rot for a season and come back with compost: nothing is thrown away, little is bought.',
  'approach.old-mix.goodAt': () => 'Pot-ups and growing on, at almost no cost.',
  'approach.old-mix.costs': () => 'A heap, a screen, and half a year of patience.',
  'approach.old-mix.risks': () => 'Weeds, gnats and old salts: never under seed, and test each heap.',
  'approach.compost-blocks.name': () => 'Compost, sand and eggshell, pressed',
  'approach.compost-blocks.says': () =>
    'Nothing bought: screened compost with a little sand and crushed eggshell, pressed wet into blocks.',
  'approach.compost-blocks.goodAt': () => 'Blocks for the field without peat or pots.',
  'approach.compost-blocks.costs': () => 'Old, leached compost; a mix that is heavy and short of air.',
  'approach.compost-blocks.risks': () =>
    'Salt burns small seed: water it through, and try a pinch of cress first.',
  'approach.hardwood-bark.name': () => 'Hardwood and pine bark',
  'approach.hardwood-bark.says': () =>
    'Two barks, composted and aged: the hard one feeds and holds, the soft one keeps it open.',
  'approach.hardwood-bark.goodAt': () => 'Shrubs and trees in pots that stand for years.',
  'approach.hardwood-bark.costs': () => 'Needs a supply of aged bark; water often at first.',
  'approach.hardwood-bark.risks': () => 'Young bark starves the plant of nitrogen.',
  'approach.young-trees.name': () => 'Peat, grit and scoria',
  'approach.young-trees.says': () =>
    'Eleven of peat, five of grit, four of scoria: weight, grip and air for young trees.',
  'approach.young-trees.goodAt': () => 'Tall young trees that must not blow over.',
  'approach.young-trees.costs': () => 'Heavy to carry and to ship.',
  'approach.young-trees.risks': () => 'Grit takes the air in shallow pots: only deep ones.',
  'approach.meals.name': () => 'Meals mixed in from the start',
  'approach.meals.says': () =>
    'Peat and a little compost with slow meals in it from the first day: no can of feed for weeks.',
  'approach.meals.goodAt': () => 'Growers without liquid feed; steady growth in warm houses.',
  'approach.meals.costs': () => 'Must rest moist two to three weeks before use.',
  'approach.meals.risks': () => 'Warm and closed it turns to ammonium; gnats like it.',
};
