/**
 * How far things scatter from their typical figure, as one standard deviation. Common practice, no source: chosen
 * so that lime comes out at about ±25 % (nine in ten) untested. Every one can be edited.
 */
export interface Spreads {
  /** Relative: dry bulk density, particle size. */
  density: number;
  particle: number;
  /** Points of volume: total porosity. */
  porosityPoints: number;
  /** Relative: pore size, which moves the retention curve along the suction axis. */
  poreSize: number;
  /** Relative, as a factor: suction at which the first pores empty. */
  airEntry: number;
  /** Points of volume: firming by hand, where a mix is firmed. */
  firmingPoints: number;
  /** Power with which pores narrow as they are pressed: the usual one is of mineral soils. */
  firmingExponent: number;
  /** Relative, as a factor: free lime of composts. */
  carbonate: number;
  /** Points of volume: mixing shrinkage beyond what the model says. */
  shrinkagePoints: number;
  /** Relative: buffer; and pH units: acidity of each material. */
  buffer: number;
  phUnits: number;
  /** Relative: salts and nutrients of each material. */
  salts: number;
  /** Relative: how full a scoop is struck, how well a dose is weighed, how strong the lime is. */
  scoop: number;
  dose: number;
  limeStrength: number;
  /** Relative: EC of a solution of so many meq. */
  ecFactor: number;
}

export const defaultSpreads: Spreads = {
  density: 0.08,
  particle: 0.2,
  porosityPoints: 0.012,
  poreSize: 0.15,
  airEntry: 0.5,
  firmingPoints: 0.025,
  firmingExponent: 1.5,
  carbonate: 0.6,
  shrinkagePoints: 0.02,
  buffer: 0.1,
  phUnits: 0.12,
  salts: 0.25,
  scoop: 0.05,
  dose: 0.03,
  limeStrength: 0.1,
  ecFactor: 0.1,
};

/** What is left of the scatter once a test was done: one standard deviation of the test itself. Common practice, no source. */
export const testSpreads = {
  shrinkagePoints: 0.008,
  airPct: 1.2,
  ph: 0.1,
  ecRelative: 0.05,
  jarBuffer: 0.05,
  jarPhUnits: 0.08,
};
