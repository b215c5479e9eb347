import { messages, type MessageOf, type Named, type None } from '#core/units/message';
import { type Heat } from '#core/batch/kit';
import { type Stage } from '#core/mix/stage';

/** Pressed blocks are spoken of by their name, all else as vessels. */
export type Filled = 'block' | 'vessel';

/** What the steps of a batch are about. */
export interface StepFacts {
  'step.screen': { material: Named; mm: number; onLitres: number; throughLitres: number };
  'step.screen.why': { overLitres: number };
  'step.screen-coarse': { materials: readonly Named[]; mm: number };
  'step.screen-coarse.why': None;
  'step.dust': None;
  'step.damp-down': { materials: readonly Named[]; keepDry: boolean };
  'step.damp-down.why': { bale: boolean };
  'step.damp-down.caution': None;
  /** `sure`: they are bricks, and the rest of the water follows. Else nobody said, and less is poured later. */
  'step.hydrate': { litres: number; lessLaterLitres: number; sure?: boolean; restLitres?: number };
  'step.hydrate.why': None;
  'step.pre-blend': {
    doses: readonly { product: Named; grams: number }[];
    carrier: Named;
    keptDry: boolean;
    late: boolean;
  };
  'step.pre-blend.why': { late: boolean };
  'step.pre-blend.caution': { caustic: boolean };
  'step.layer': {
    loads: number;
    quarters: readonly { material: Named; litres: number }[];
    blend: boolean;
  };
  'step.layer.why': { looseLitres: number; litres: number; filled: Filled; shrinks: boolean };
  'step.layer.caution': { grams: number; liftGrams: number };
  'step.strew': { product: Named; eachGrams: number; allGrams: number; filled: Filled; topPct: number };
  'step.strew.why': None;
  /** In all; so many loads share it, and so much went in before, on bricks or boiling. */
  'step.water': { litres: number; loads?: number; beforeLitres?: number };
  'step.water.why': { pct: number };
  'step.squeeze': { block: boolean };
  'step.squeeze.why': { block: boolean };
  'step.drain-test': None;
  'step.drain-test.why': None;
  'step.rest': { stage: Stage };
  'step.rest.why': None;
  'step.fill-block': { firmingPct: number; breakPct?: number | undefined };
  'step.fill': { firmingPct: number };
  'step.fill.why': { firmingPct: number };
  'step.top-up': { fillPct: number; litres: number };
  'step.top-up.why': None;
  'step.label': None;
  'step.re-test': { day: number };
  'step.re-test.why': None;
  'step.wash': None;
  'step.wash.caution': None;
  'step.heat': { by: Exclude<Heat, 'none' | 'boiling'>; celsius: number };
  /** `litres` in all, `kettles` to a load; the mix by itself takes `mixKJPerK` to be a degree warmer. */
  'step.heat-boiling': {
    litres: number;
    kettles: number;
    celsius: number;
    wetPct: number | null;
    loads?: number;
    mixKJPerK?: number;
  };
  'step.heat-drowns': { celsius: number };
  'step.heat.why': { celsius: number; minutes: number; lossPct?: number };
  'step.heat.caution': { by: Exclude<Heat, 'none'>; drowns: boolean; ammonium: boolean };
  'step.cool': None;
  'step.cool.why': None;
}

export type StepMessage = MessageOf<StepFacts>;
export const stepSays = messages<StepFacts>();
