import { messages, type MessageOf, type Named, type None } from '#core/units/message';

/** What goes into a sum. */
export interface TermFacts {
  'term.material': { material: Named };
  'term.material-share': { material: Named; pct: number };
  'term.product': { product: Named };
  'term.air-entry': { material: Named };
  'term.pores': None;
  'term.water-held': { depthMm: number };
  'term.lost-in-mixing': None;
  'term.firmed': None;
  'term.air-drained': None;
  'term.easy-water': None;
  'term.ph-before': None;
  'term.ph-wanted': None;
  'term.buffer': None;
  'term.neutralised': None;
  'term.lime-acting': None;
  'term.neutralised-by-others': None;
  'term.lime-strength': None;
  'term.free-lime': { ph: number };
  'term.drawdown': None;
  'term.pores-to-fill': None;
  'term.water-brought': None;
  'term.volume': None;
  'term.dry-matter': None;
  'term.water-drained': None;
}

/** Where a term is from. */
export interface OriginFacts {
  'from.library': None;
  'from.computed': None;
  'from.recipe': None;
  'from.recipe-pressing': None;
  'from.vessel': None;
  'from.parts': None;
  'from.curves': None;
  'from.packing': None;
  'from.yield-test': None;
  'from.jar-test': None;
  'from.buffer-mean': None;
  'from.practice': None;
  'from.bought': None;
  'from.suctions': None;
  'from.fineness': None;
  'from.grams': None;
  'from.lime-share': None;
  'from.per-gram': { meqPerG: number };
  'from.dose': { gPerL: number };
  'from.dissolves': { dissolvedGPerL: number; gPerL: number };
  'from.dose-share': { gPerL: number; pct: number };
  'from.over-size': { mostMm: number; usualMm: number; largestMm: number };
}

/** What is changed to see what moves a number. */
export interface MoverFacts {
  'mover.part': { material: Named };
  'mover.dose': { product: Named };
  'mover.lime': { ph: number };
  'mover.firmer': { pct: number };
  'mover.deeper': { mm: number };
}

export type TermMessage = MessageOf<TermFacts>;
export type OriginMessage = MessageOf<OriginFacts>;
export type MoverMessage = MessageOf<MoverFacts>;
export const termSays = messages<TermFacts>();
export const originSays = messages<OriginFacts>();
export const moverSays = messages<MoverFacts>();
