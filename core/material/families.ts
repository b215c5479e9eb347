import { type Family } from '#core/material/family';
import { type Material } from '#core/material/material';

type Trait = (material: Pick<Material, 'family' | 'role' | 'cohesion'>) => boolean;
const of =
  (...some: Family[]): Trait =>
  ({ family }) =>
    some.includes(family);

/** Sphagnum and black peat alike. */
export const isPeat = of('peat', 'black-peat');
export const isCoir = of('coir');
export const isBark = of('bark');
/** Not yet aged: it still takes nitrogen for itself by the handful. */
export const isFreshBark = (m: Material): boolean => isBark(m) && m.drawdownMgNPerL >= 80;
export const isVermiculite = of('vermiculite');
export const isPerlite = of('perlite');
export const isSpentMix = of('spent-mix');
/** Comes from a heap: feeds, and rots on in a closed bag. */
export const isCompost = of('compost', 'castings', 'kitchen-compost');
/** Sheds water once it is dry, and floats. */
export const repelsWhenDry = of('peat', 'black-peat', 'coir', 'bark');
/** Holds nutrients and buffers like soil: moves the pH window. */
export const isEarthy: Trait = (m) => m.role === 'food' || m.family === 'loam';
/** Carries what was alive in the heap: weeds, moulds, Legionella. */
export const isLiving: Trait = (m) => m.role === 'food' || m.family === 'leaf-mould';
/** Sets ammonium and manganese free when it is heated too far. */
export const releasesWhenHeated = of(
  'compost',
  'castings',
  'kitchen-compost',
  'loam',
  'leaf-mould',
  'spent-mix',
);
/** Loam, soil, sand and grit. */
export const isGritty = of('loam', 'sand', 'grit');
/** Peat, coir, what is like earth, and loam, sand and grit, by volume, 0–1: what windows and limits on peat look at. */
export const peatShareOf = (m: Material): number => m.madeOf?.peat ?? (m.peatFree ? 0 : 1);
export const coirShareOf = (m: Material): number => m.madeOf?.coir ?? (isCoir(m) ? 1 : 0);
export const grittyShareOf = (m: Material): number => m.madeOf?.gritty ?? (isGritty(m) ? 1 : 0);
export const earthyShareOf = (m: Material): number => m.madeOf?.earthy ?? (isEarthy(m) ? 1 : 0);
/** Bought as a mix, or one that was made here. */
export const isMixAlready = (m: Material): boolean => m.madeOf !== undefined || m.id.startsWith('bag-');
/** Perlite and vermiculite count against a block twice. Common practice, no source. */
export const weightInBlock = (m: Material): number => (isPerlite(m) || isVermiculite(m) ? 2 : 1);
/** Binds too little to press alone. On the scale of cohesion, 0–1. */
export const isLoose: Trait = (m) => m.cohesion < 0.4;
