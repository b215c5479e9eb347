import { type FigureUnits } from '#core/spread/learn-material';
import { type Words } from '#words/catalog';

/** What figures that tests move are counted in. */
export const figures: Words<FigureUnits> = {
  'figure.unit.density': () => 'g/L dry',
  'figure.unit.moisture': () => '% of its wet weight',
  'figure.unit.air': () => '% air in that vessel',
  'figure.unit.salts': () => 'mS/cm, 1 part in 5',
  'figure.unit.buffer': () => 'meq/L for a pH unit',
  'figure.unit.size': () => 'mm',
  'figure.unit.cohesion': () => 'of 1',
};
