import { place } from '#words/place';

/** What is commonly said of a material, and what of it holds: a question, its answer, and where that is from. */
export const beliefList = place('mix/belief-list', {
  'sand-in-block.asks': 'Sand in a block: does it bring air?',
  'sand-in-block.holds':
    'Inside it adds weight and no air: its pores are too small. On top a thin layer dries the surface and keeps the green film off.',
  'sand-in-block.source': 'common practice, no source; its air is computed here',
  'gravel-below.asks': 'Gravel as a layer below: does it drain?',
  'gravel-below.holds':
    'No: water stands as high above the layer as above a base. The roots have less room. Mixed in, it can help.',
  'gravel-below.source': 'Chalker-Scott, Horticultural Myths, Washington State Univ. (from memory)',
  'lime-rot.asks': 'Lime or calcium against blossom-end rot?',
  'lime-rot.holds':
    'In a mix with its usual lime more of it does not help. Even water does: the fruit lacks calcium where water comes and goes.',
  'lime-rot.source': 'Saure, Scientia Hort. 90:193, 2001 (from memory)',
  'magnesium-rot.asks': 'Epsom salt against blossom-end rot, or to make seed come up?',
  'magnesium-rot.holds':
    'Neither is shown. Much magnesium keeps calcium out. It helps where magnesium is short.',
  'magnesium-rot.source': 'Marschner, Mineral Nutrition of Higher Plants (from memory)',
  'shell-mould.asks': 'Shell, ash or acid against mould and damping-off?',
  'shell-mould.holds': 'Not shown. Clean trays, air over the seedlings and a drier surface are what helps.',
  'shell-mould.source': 'not shown; the rest common practice, no source',
  'coffee-slugs.asks': 'Coffee grounds against slugs, or as feed?',
  'coffee-slugs.holds':
    'Neither is shown for seedlings. Fresh grounds hold young plants back; compost them first.',
  'coffee-slugs.source': 'Hardgrove & Livesley, Urban For. Urban Green. 18:1, 2016 (from memory)',
  'bone-roots.asks': 'Phosphorus so that roots grow?',
  'bone-roots.holds':
    'A plant that has enough makes no more roots of more. It is needed where phosphorus is short.',
  'bone-roots.source': 'not shown',
  'rock-dust.asks': 'Rock dust or greensand as feed?',
  'rock-dust.holds': 'It gives hardly anything in one season: the rock weathers too slowly.',
  'rock-dust.source': 'Harley & Gilkes, Nutr. Cycl. Agroecosyst. 56:11, 2000 (from memory)',
});
