import { type None } from '#core/units/message';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { type Learnable, type Material, materialToRow, materialFromRow } from '#core/material/material';
import { withPores } from '#core/material/pores';
import { withSalts } from '#core/material/salty';
import { compose } from '#core/mix/composition';
import { limeScale } from '#core/mix/lime-curve';
import { PLATEAU_PH } from '#core/mix/lime-reaction';
import { convertEc, dilutionWater, MEQ_PER_MS } from '#core/mix/salts';
import { columnOf, drain } from '#core/mix/water-air';
import { checkTest, type LotTest, type LotTestId } from '#core/spread/lot-test';
import { learn, type Estimate } from '#core/stats/learn';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { type Vessel } from '#core/vessel/vessel';

/** What each figure is counted in, as the screen says it; pH has no unit. */
export type FigureUnits = Record<`figure.unit.${Exclude<Learned['figure'], 'ph'>}`, None>;

/** A figure of the book, the grower's own, and how sure each is (one standard deviation). */
export interface Learned {
  figure: 'density' | 'moisture' | 'air' | 'ph' | 'salts' | 'buffer' | 'size' | 'cohesion';
  book: Estimate;
  yours: Estimate;
  tests: number;
}

/**
 * How far a lot may lie from the book, one standard deviation, and how exact a test is. Relative where it says so.
 * Common practice, no source; wider than a draw's scatter, which is of one lot and not of all makes.
 */
const BOOK = {
  density: 0.15,
  moisture: 8,
  logPores: 0.35,
  ph: 0.4,
  salts: 0.4,
  buffer: 0.3,
  size: 0.35,
  cohesion: 0.15,
};
const TEST = {
  density: 0.03,
  moisture: 2,
  airPct: 1.2,
  ph: 0.1,
  salts: 0.1,
  buffer: 0.08,
  size: 0.15,
  cohesion: 0.1,
};

/** Falls survived → cohesion (model § 11 of the bench's own tests; common practice, no source). */
const FALLS = [0.3, 0.5, 0.65, 0.775, 0.9];

/** @param falls whole, 0 or more @example cohesionOfFalls(2) // 0.65 */
export function cohesionOfFalls(falls: number): number {
  checkRange('falls', falls, ...limits.blockFalls);
  return FALLS[Math.min(FALLS.length - 1, Math.floor(falls))]!;
}

/** Air of a single material in a vessel, drained, 0–1. */
const airIn = (material: Material, vessel: Vessel): number =>
  drain(compose([{ material, parts: 1 }], 0), columnOf(vessel)).air;

const LN_RANGE = Math.log(12);

/** ln of the factor by which pores are wider, so that the drained air is what was measured, by halving. */
function logPoresOf(material: Material, vessel: Vessel, air: number): number {
  let [low, high] = [-LN_RANGE, LN_RANGE];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (airIn(withPores(material, Math.exp(middle)), vessel) < air) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

interface Learning {
  material: Material;
  figures: Learned[];
}

/** Moves a figure by what was found, and writes it down. @returns the figure as it is now */
type Took = (
  figure: Learned['figure'],
  prior: Estimate,
  found: readonly { value: number; sd: number }[],
  narrows?: Learnable,
  shown?: (value: Estimate) => Estimate,
) => number;

const relative = (mean: number, share: number): Estimate => ({ mean, sd: mean * share });

/**
 * What each test teaches, in the order in which they build on each other: the material as it is now, after those
 * before, and the book's.
 */
const lessons: {
  readonly [Id in LotTestId]: (
    tests: readonly Extract<LotTest, { test: Id }>[],
    m: Material,
    book: Material,
    took: Took,
  ) => Material;
} = {
  /** A dried sample tells the water that was in it. */
  dry: (dried, m, book, took) => {
    const prior = { mean: 100 * book.moistureWetBasis, sd: BOOK.moisture };
    const found = dried.map(({ wetG, dryG }) => ({ value: (100 * (wetG - dryG)) / wetG, sd: TEST.moisture }));
    return { ...m, moistureWetBasis: took('moisture', prior, found) / 100 };
  },

  /** A struck measure, weighed, tells the weight; the water in it is told before. */
  weigh: (weighed, m, book, took) => {
    const dryGPerL = ({ litres, kg }: { litres: number; kg: number }): number =>
      (1000 * kg * (1 - m.moistureWetBasis)) / litres;
    const found = weighed.map((each) => ({ value: dryGPerL(each), sd: TEST.density * dryGPerL(each) }));
    const density = took('density', relative(book.dryBulkDensityGPerL, BOOK.density), found, 'density');
    return {
      ...m,
      dryBulkDensityGPerL: checkRange('dryBulkDensityGPerL', density, ...limits.bulkDensityGPerL),
    };
  },

  /** Bits are spread over the logarithm of their size from the largest down, the usual size in the middle. */
  screen: (sieved, m, book, took) => {
    const largest = Math.max(...sieved.map((each) => each.largestMm));
    const found = sieved.map(({ mm, overPct, largestMm }) => {
      const spread = Math.log(largestMm / mm) / (2 * Math.max(0.01, overPct / 100));
      const value = largestMm * Math.exp(-Math.max(0.05, spread));
      return { value, sd: TEST.size * value };
    });
    const size = took('size', relative(book.particleMm, BOOK.size), found, 'particle');
    return { ...m, particleMm: Math.min(size, largest), maxParticleMm: largest };
  },

  /** What ran out of a vessel tells how wide the pores are. */
  drain: (drained, m, book, took) => {
    const air = ({ vessel, drainedMl }: { vessel: Vessel; drainedMl: number }): number =>
      drainedMl / 1000 / columnOf(vessel).volumeL;
    const vessel = drained.at(-1)!.vessel;
    const found = drained.map((each) => {
      const value = logPoresOf(m, each.vessel, air(each));
      const slope =
        (airIn(withPores(m, Math.exp(value + 0.1)), each.vessel) -
          airIn(withPores(m, Math.exp(value - 0.1)), each.vessel)) /
        0.2;
      return { value, sd: TEST.airPct / 100 / Math.max(0.02, slope) };
    });
    const before = m;
    const shown = ({ mean, sd }: Estimate): Estimate => {
      const airAt = (x: number): number => 100 * airIn(withPores(before, Math.exp(x)), vessel);
      return { mean: airAt(mean), sd: (airAt(mean + sd) - airAt(mean - sd)) / 2 };
    };
    const wider = took('air', { mean: 0, sd: BOOK.logPores }, found, 'poreSize', shown);
    return withPores(m, Math.exp(wider));
  },

  /** A pen tells the pH. */
  ph: (soured, m, book, took) => {
    const found = soured.map(({ ph }) => ({ value: ph, sd: TEST.ph }));
    return { ...m, ph: took('ph', { mean: book.ph, sd: BOOK.ph }, found, 'phUnits') };
  },

  /** A pen tells the salts. */
  ec: (salted, m, book, took) => {
    const at = { totalPorosity: m.totalPorosity, water: m.waterAt10Cm };
    const found = salted.map(({ ec, method }) => {
      const value = ec * MEQ_PER_MS * dilutionWater[method](at.totalPorosity, at.water);
      return { value, sd: TEST.salts * Math.max(0.2, value) };
    });
    const prior = { mean: book.saltsMeqPerL, sd: Math.max(1, BOOK.salts * book.saltsMeqPerL) };
    const inEc = ({ mean, sd }: Estimate): Estimate => {
      const ec = (meq: number): number =>
        convertEc(meq / MEQ_PER_MS / at.totalPorosity, 'saturated', 'oneToFive', at);
      return { mean: ec(mean), sd: ec(sd) };
    };
    const salts = Math.max(0, took('salts', prior, found, 'salts', inEc));
    return withSalts(m, salts);
  },

  /** Lime in a jar tells the buffer. */
  jar: (jarred, m, book, took) => {
    // On the plateau of carbonate a jar tells nothing of the buffer.
    const telling = jarred.filter(({ phAfter }) => phAfter <= PLATEAU_PH);
    if (telling.length === 0) return m;
    const found = telling.map(({ lime, gPerL, phBefore, phAfter }) => {
      const value = (gPerL * neutralisingMeqPerG(lime)) / (limeScale(phAfter) - limeScale(phBefore));
      return { value, sd: TEST.buffer * value };
    });
    const prior = { mean: book.bufferMeqPerLPerPh, sd: Math.max(1, BOOK.buffer * book.bufferMeqPerLPerPh) };
    return { ...m, bufferMeqPerLPerPh: took('buffer', prior, found, 'buffer') };
  },

  /** A dropped block tells how it holds together. */
  falls: (dropped, m, book, took) => {
    const found = dropped.map(({ falls }) => ({ value: cohesionOfFalls(falls), sd: TEST.cohesion }));
    return {
      ...m,
      cohesion: Math.min(1, Math.max(0, took('cohesion', { mean: book.cohesion, sd: BOOK.cohesion }, found))),
    };
  },
};
const order = Object.keys(lessons) as LotTestId[];

/**
 * A material after tests of its lots: each test moves its figure by how sure book and test are (normal–normal, model
 * § 20) and narrows its band. The order of the tests does not matter.
 * @throws OutOfRange for a reading that cannot be
 */
export function learnMaterial(book: Material, tests: readonly LotTest[]): Learning {
  tests.forEach(checkTest);
  const figures: Learned[] = [];
  const sure: Partial<Record<Learnable, number>> = { ...book.sure };
  const took: Took = (figure, prior, found, narrows, shown = (value) => value) => {
    const now = learn(prior, found);
    figures.push({ figure, book: shown(prior), yours: shown(now), tests: found.length });
    if (narrows) sure[narrows] = Math.min(1, now.sd / prior.sd);
    return now.mean;
  };
  const teach = <Id extends LotTestId>(id: Id, m: Material): Material => {
    const done = tests.filter((lotTest): lotTest is Extract<LotTest, { test: Id }> => lotTest.test === id);
    return done.length > 0 ? lessons[id](done, m, book, took) : m;
  };
  const m = order.reduce((so, id) => teach(id, so), book);
  if (figures.length === 0) return { material: book, figures };
  return { material: materialFromRow(materialToRow({ ...m, sure })), figures };
}
