import { type MessageOf, messages, type Named, named, none, type None } from '#core/units/message';
import { neutralisingMeqPerG, type Amendment } from '#core/material/amendment';
import { givenBy, phAfter, type Acidity, type Dose } from '#core/mix/ph';
import { limeScale, phOfLimeScale } from '#core/mix/lime-curve';
import { checkRange } from '#core/units/check';

/** Rates per day in moist, warm mix: common practice, no source. */
const FINE_PER_DAY = 0.3;
const COARSE_PER_DAY = 0.08;
/** Bits of shell: Argo & Huang (from memory). */
const SHELL_PER_DAY = 0.01;
/** What counts less than this of its coarse bits is shell. */
const SHELL_CREDIT = 0.4;

/** Share of a lime's strength that has acted after so many days, 0–1: two pools, below and above 0.25 mm. */
export function limeReacted(product: Amendment, days: number): number {
  checkRange('days', days, 0, 3650);
  const fine = product.passing250UmPct;
  const coarse = (product.passing2360UmPct - product.passing250UmPct) * product.coarseCredit;
  const coarsePerDay = product.coarseCredit < SHELL_CREDIT ? SHELL_PER_DAY : COARSE_PER_DAY;
  if (fine + coarse <= 0) return 0;
  const done = (rate: number): number => 1 - Math.exp(-rate * days);
  return (fine * done(FINE_PER_DAY) + coarse * done(coarsePerDay)) / (fine + coarse);
}

/** pH on a day after mixing. */
export function phOnDay(state: Acidity, doses: readonly Dose[], days: number): number {
  const acted = doses.flatMap((d) =>
    neutralisingMeqPerG(d.amendment) > 0 ? [{ ...d, gPerL: d.gPerL * limeReacted(d.amendment, days) }] : [],
  );
  return phAfter(state, givenBy(acted));
}

export interface JarReading {
  gPerL: number;
  ph: number;
}

/** What a jar test says of a mix and a lime, or why it cannot be used. */
/** Why jars cannot be used. */
export interface JarFacts {
  'jar.no-lime': { product: Named };
  'jar.dose': { gPerL: number; most: number };
  'jar.ph': { ph: number; from: number; to: number };
  'jar.too-few': { ph: number };
  'jar.no-rise': None;
}
const jar = messages<JarFacts>();
const MOST_G_PER_L = 50;
const [LOWEST_PH, HIGHEST_PH] = [2.5, 11];
/** From here on lime does not dissolve any more. */
export const PLATEAU_PH = 7.3;

export type JarFit =
  | { outcome: 'fitted'; phBeforeLime: number; bufferMeqPerLPerPh: number; largestMissPh: number }
  | { outcome: 'unusable'; why: MessageOf<JarFacts> };

/**
 * Equal jars with 0, 2, 4, 6, 8 g/L of lime, read on day 7: a straight line through the pH on the scale of
 * lime (`limeScale`) against dose gives the buffer. Jars above pH 7.3 lie on the plateau of carbonate and are left out.
 * @param readings two or more usable jars
 */
export function fitJarTest(readings: readonly JarReading[], product: Amendment): JarFit {
  const strength = neutralisingMeqPerG(product) * limeReacted(product, 7);
  if (!(strength > 0)) return { outcome: 'unusable', why: jar('jar.no-lime', { product: named(product) }) };
  for (const r of readings) {
    if (!(r.gPerL >= 0 && r.gPerL <= MOST_G_PER_L))
      return { outcome: 'unusable', why: jar('jar.dose', { gPerL: r.gPerL, most: MOST_G_PER_L }) };
    if (!(r.ph >= LOWEST_PH && r.ph <= HIGHEST_PH))
      return { outcome: 'unusable', why: jar('jar.ph', { ph: r.ph, from: LOWEST_PH, to: HIGHEST_PH }) };
  }
  const used = readings.filter((r) => r.ph <= PLATEAU_PH).map((r) => ({ ...r, y: limeScale(r.ph) }));
  if (new Set(used.map((r) => r.gPerL)).size < 2) {
    return { outcome: 'unusable', why: jar('jar.too-few', { ph: PLATEAU_PH }) };
  }
  const mean = (of: (r: (typeof used)[number]) => number): number =>
    used.reduce((sum, r) => sum + of(r), 0) / used.length;
  const [g0, y0] = [mean((r) => r.gPerL), mean((r) => r.y)];
  const slope = mean((r) => (r.gPerL - g0) * (r.y - y0)) / mean((r) => (r.gPerL - g0) ** 2);
  if (!(slope > 0)) return { outcome: 'unusable', why: jar('jar.no-rise', none) };
  const start = y0 - slope * g0;
  const misses = used.map((r) => Math.abs(phOfLimeScale(start + slope * r.gPerL) - r.ph));
  return {
    outcome: 'fitted',
    phBeforeLime: phOfLimeScale(start),
    bufferMeqPerLPerPh: strength / slope,
    largestMissPh: Math.max(...misses),
  };
}
