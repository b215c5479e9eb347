import { gPerLInPoundPerCubicYard, gramsIn, litresIn, millimetresIn } from '#core/units/factors';
import { type UnitSystem } from '#core/units/show';
import { shownIn as texts } from '#words/en/places/ui/words/shown-in';

/** How a kept number is read and typed: `shown = kept / per + zero`. */
export interface ShownIn {
  unit: string;
  per: number;
  zero: number;
}

const shown = (unit: string, per: number, zero = 0): ShownIn => ({ unit, per, zero });

/** Units whose name is not what is shown even in metric. */
const inMetric: Record<string, ShownIn> = {
  measureL: shown('L', 1),
  share: shown('', 0.01),
};

const inUs: Record<string, ShownIn> = {
  '°C': shown('°F', 5 / 9, 32),
  mL: shown(texts.flOz, litresIn.fluidOunce * 1000),
  g: shown('oz', gramsIn.ounce),
  kg: shown('lb', gramsIn.pound / 1000),
  L: shown('gal', litresIn.gallon),
  mm: shown('in', millimetresIn.inch),
  measureL: shown('quarts', litresIn.quart),
  'mg/L': shown('ppm', 1),
  'g/L': shown('lb/yd³', gPerLInPoundPerCubicYard),
  'm²': shown('ft²', 0.09290304),
  'L/kg': shown('quarts/lb', (litresIn.quart * 1000) / gramsIn.pound),
  'per cm²': shown('per in²', 1 / 6.4516),
  'per L': shown(texts.perGal, 1 / litresIn.gallon),
};

/** What a number kept in a unit is read and typed in; a unit that both systems share stays. */
export const shownIn = (kept: string, system: UnitSystem): ShownIn =>
  (system === 'us' ? inUs[kept] : undefined) ?? inMetric[kept] ?? shown(kept, 1);
