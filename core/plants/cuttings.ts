import { allow } from '#core/units/allowed';
import { wilson } from '#core/stats/counts';
import { evaluateMix, type MixInput } from '#core/mix/evaluate';
import { mixWindows } from '#core/mix/windows';
import { checkRange, checkWhole, OutOfRange } from '#core/units/check';
import { daysAfter } from '#core/units/day';
import { limits } from '#core/units/limits';
import { airOnceSettled, settledAfter } from '#core/weeks/settling';

/** How ripe the shoot is from which it is cut. */
export const woods = ['softwood', 'semi-ripe', 'hardwood'] as const;
export type Wood = (typeof woods)[number];

/** What its leaves stand: soft and leafy; grey or fleshy, which rot when they stay wet; none at all. */
export const leafKinds = ['leafy', 'grey', 'bare'] as const;
export type LeafKind = (typeof leafKinds)[number];

export const cuttingStages = ['stick', 'callus', 'root', 'tone'] as const;
export type CuttingStage = (typeof cuttingStages)[number];

/** One of the list: days at `baseC` of the mix. */
export interface Cutting {
  id: string;
  name: string;
  wood: Wood;
  leaves: LeafKind;
  callusDays: number;
  /** First and last of a batch that root. */
  rootDays: readonly [low: number, high: number];
  baseC: number;
  /** Of a quick dip, mg/L of auxin; 0 where it roots without. */
  hormonePpm: readonly [low: number, high: number];
}

/**
 * Warmth of the mix until roots are there, °C: base heat under mist (model section 21); less of it where leaves have to
 * stay dry; none for leafless wood, whose buds would break before it roots (model section 25). Common practice, no source.
 */
export const baseHeatC: Record<LeafKind, { low: number; high: number }> = {
  leafy: { low: 21, high: 25 },
  grey: { low: 18, high: 22 },
  bare: { low: 10, high: 18 },
};

type VpdWindow = Record<CuttingStage, { low: number; high: number }>;
/** Vapour pressure deficit that a stage bears and wants, kPa; null where there are no leaves. Common practice, no source. */
export const vpdWindow: Record<LeafKind, VpdWindow | null> = {
  leafy: {
    stick: { low: 0, high: 0.3 },
    callus: { low: 0.1, high: 0.5 },
    root: { low: 0.3, high: 0.8 },
    tone: { low: 0.5, high: 1.2 },
  },
  grey: {
    stick: { low: 0.3, high: 0.8 },
    callus: { low: 0.4, high: 0.9 },
    root: { low: 0.5, high: 1.1 },
    tone: { low: 0.6, high: 1.3 },
  },
  bare: null,
};

/** Stronger dips than so burn the foot of such wood, mg/L. Common practice, no source: the label decides. */
export const strongestPpm: Record<Wood, number> = { softwood: 3000, 'semi-ripe': 8000, hardwood: 20_000 };

/** Weaning, once they are rooted. Common practice, no source. */
const TONE_DAYS = 14;
/** Roots come twice as fast for ten degrees more. Common practice, no source. */
const Q10 = 2;
/** Tested ones that must have roots before a tray is weaned. Common practice, no source. */
const ROOTED_SHARE = 0.8;

/** Saturation vapour pressure, kPa: FAO Irrigation and Drainage Paper 56 (1998), equation 11. @param celsius −10–60 */
export function vapourPressureKPa(celsius: number): number {
  checkRange('celsius', celsius, -10, 60);
  return 0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3));
}

/**
 * Vapour pressure deficit of air over leaves as warm as it, kPa.
 * @param humidityPct 0–100
 * @example vpdKPa(25, 80) // 0.63
 */
export function vpdKPa(celsius: number, humidityPct: number): number {
  checkRange('humidityPct', humidityPct, ...limits.humidityPct);
  return vapourPressureKPa(celsius) * (1 - humidityPct / 100);
}

/** What mist a stage wants in such air; null where nothing wants any. */
export function mistIn(leaves: LeafKind, stage: CuttingStage, kPa: number): 'more' | 'right' | 'less' | null {
  const window = vpdWindow[leaves]?.[stage];
  if (!window) return null;
  const { low, high } = window;
  return kPa > high ? 'more' : kPa < low ? 'less' : 'right';
}

export interface Diluted {
  stockMl: number;
  waterMl: number;
  /** Parts of water, or alcohol, to one of the stock. */
  toOne: number;
}

/**
 * C₁V₁ = C₂V₂.
 * @param fromPpm of what there is, mg/L
 * @param toPpm wanted
 * @throws OutOfRange for more than there is, and for more than the wood bears
 * @example dilute(10_000, 1500, 100) // 15 mL and 85 mL: one part and 5.67
 */
export function dilute(fromPpm: number, toPpm: number, volumeMl: number, wood?: Wood): Diluted {
  checkRange('fromPpm', fromPpm, ...limits.hormonePpm);
  checkRange('toPpm', toPpm, ...limits.hormonePpm);
  checkRange('volumeMl', volumeMl, ...limits.dipMl);
  if (toPpm > fromPpm)
    throw new OutOfRange('toPpm', toPpm, allow('allowed.no-stronger', { mgPerL: fromPpm }));
  if (wood && toPpm > strongestPpm[wood])
    throw new OutOfRange(
      'toPpm',
      toPpm,
      allow('allowed.burns-the-base', { mgPerL: strongestPpm[wood], wood }),
    );
  const stockMl = (volumeMl * toPpm) / fromPpm;
  return { stockMl, waterMl: volumeMl - stockMl, toOne: fromPpm / toPpm - 1 };
}

export interface CuttingStep {
  stage: CuttingStage;
  /** YYYY-MM-DD */
  from: string;
  until: string;
}

/**
 * Stages of a cutting by their days, faster or slower with the warmth of the mix.
 * @param on YYYY-MM-DD, struck
 * @param baseC of the mix, 5–35
 */
export function cuttingDays(cutting: Cutting, on: string, baseC: number): CuttingStep[] {
  checkRange('baseC', baseC, ...limits.baseC);
  const slower = Q10 ** ((cutting.baseC - baseC) / 10);
  const day = (days: number): string => daysAfter(on, Math.round(days * slower));
  const [low, high] = cutting.rootDays;
  const callus = day(cutting.callusDays);
  const rooted = day(high);
  return [
    { stage: 'stick', from: on, until: day(Math.min(3, cutting.callusDays)) },
    { stage: 'callus', from: day(Math.min(3, cutting.callusDays)), until: callus },
    { stage: 'root', from: day(low), until: rooted },
    { stage: 'tone', from: rooted, until: daysAfter(rooted, TONE_DAYS) },
  ];
}

export interface AirUnderMist {
  /** Least air over the days, %, as the mix settles most and least. */
  low: number;
  high: number;
  /** Least that roots want at this stage, %. */
  limit: number;
  /** First day on which even least settling leaves too little, and on which most settling does; null for none. */
  surelyFrom: number | null;
  perhapsFrom: number | null;
}

/**
 * Air of the mix while mist keeps it as wet as it can be, and it settles.
 * @param days 1–365
 */
export function airUnderMist(input: MixInput, days: number): AirUnderMist {
  checkWhole('days', days, ...limits.lifeDays);
  const evaluation = evaluateMix(input);
  const { composition } = evaluation;
  const limit = mixWindows(input, evaluation).airPct.low;
  const airAt = (day: number, end: 'low' | 'high'): number =>
    airOnceSettled(input, Math.min(0.5, settledAfter(composition, day)[end]));
  // A mix only ever sinks: once it has too little air it stays so.
  const firstUnder = (end: 'low' | 'high'): number | null => {
    const under = (day: number): boolean => airAt(day, end) < limit - 1e-9;
    if (!under(days)) return null;
    let [above, below] = [0, days];
    while (below - above > 1) {
      const middle = (above + below) >> 1;
      if (under(middle)) below = middle;
      else above = middle;
    }
    return below;
  };
  return {
    ...{ low: airAt(days, 'high'), high: airAt(days, 'low'), limit },
    ...{ surelyFrom: firstUnder('low'), perhapsFrom: firstUnder('high') },
  };
}

/** Of tested ones with roots: the share, where it lies in nineteen of twenty trays, and whether the tray is weaned. */
export function rootedOf(
  rooted: number,
  of: number,
): { share: number; low: number; high: number; wean: boolean } {
  checkWhole('of', of, ...limits.plantCells);
  checkWhole('rooted', rooted, 0, of);
  const share = rooted / of;
  return { share, ...wilson(rooted, of), wean: share >= ROOTED_SHARE };
}
