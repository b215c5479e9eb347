/** What a material is, whoever's it is: the starter library's or the user's own. */
export const families = [
  'peat',
  'black-peat',
  'coir',
  'bark',
  'wood',
  'hulls',
  'compost',
  'castings',
  'kitchen-compost',
  'coffee',
  'mulch',
  'leaf-mould',
  'loam',
  'spent-mix',
  'perlite',
  'vermiculite',
  'pumice',
  'sand',
  'grit',
  'other',
] as const;
export type Family = (typeof families)[number];
