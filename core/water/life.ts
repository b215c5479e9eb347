import { type Evaluation, evaluateMix, type MixInput } from '#core/mix/evaluate';
import { demandMgPerPlant } from '#core/mix/feeding';
import { type AgainstAcid, givenBy, phAfter, phWatered } from '#core/mix/ph';
import { feedsIn } from '#core/mix/feeding';
import { releasedMgPerL } from '#core/mix/release';
import { dilutionWater, MEQ_PER_MS, MG_PER_MEQ_N } from '#core/mix/salts';
import { MG_CACO3_PER_MEQ } from '#core/water/alkalinity';
import { mixWindows } from '#core/judge/windows';
import { streamOf, uniformAt } from '#core/stats/normal';
import { checkRange, checkWhole } from '#core/units/check';
import { limits } from '#core/units/limits';
import { exposedAreaMm2 } from '#core/vessel/vessel';

/** A reading along the way: the line goes through it. */
export interface DayReading {
  /** At the end of it; from 1. */
  day: number;
  /** EC of what drains. */
  of: 'ph' | 'ecDisplacedMSPerCm';
  value: number;
}

/** How a mix is kept: house, water, hand and plant. */
export interface Keeping {
  /** 1–365 */
  days: number;
  /** Of the weather: the same seed is the same weather. */
  seed: number;
  weather: { evaporationMmPerH: number; tempC: number };
  water: { alkalinityMgPerL: number; ecMSPerCm: number };
  /** Watered when this share of the available water is gone; so much runs through; fed with so much from a day on. */
  rule: { waterAt: number; leachPct: number; feedNMgPerL: number; feedFromDay: number };
  /** Share of the surface under leaves, on the first day and on the last; a straight line between. */
  plant: { leafCoverFrom: number; leafCoverTo: number };
  /** Acidity that the feed leaves behind with each mg of its nitrogen, meq; below 0 where it limes. None where left out. */
  feedAcidMeqPerMgN?: number;
  readings?: readonly DayReading[];
}

/** At the end of a day. */
export interface Day {
  /** From 1. */
  day: number;
  /** Held in the vessel. */
  waterMl: number;
  airPct: number;
  ph: number;
  ecSaturatedMSPerCm: number;
  /** Ready nitrogen in a litre of mix. */
  nMgPerL: number;
  watered: boolean;
}

/** What went in and out, for the balance: mL, meq and mg of one vessel over all days. */
export type Flows = Record<
  | ('evaporatedMl' | 'pouredMl' | 'leachedMl' | 'saltsInMeq' | 'saltsOutMeq')
  | ('nInMg' | 'nReleasedMg' | 'nTakenMg' | 'nLeachedMg'),
  number
>;

export const troubles = ['dry', 'starved', 'salty', 'sour', 'sweet'] as const;
export type Trouble = (typeof troubles)[number];

export interface Life {
  days: Day[];
  /** First day of each; null where it does not come to that. */
  first: Record<Trouble, number | null>;
  flows: Flows;
}

/** A vessel dries by day. Common practice, no source. */
export const HOURS_A_DAY = 10;
/** Bare mix dries too. */
export const LEAST_COVER = 0.3;
/** Days differ by so much either way. Common practice, no source. */
const WEATHER = 0.1;
export const DRY_SHARE = 0.9;
const STARVED_MG_PER_L = 10;

/**
 * Day by day: water evaporates (the hourly figure × 10 h × leaf cover, a tenth more or less by the day), slow feed is set
 * free, the plant takes its nitrogen by leaf cover, and where the rule says so it is watered to container capacity with
 * what must run through. Salts leave with what runs through as perfect mixing says, e^(−v); alkalinity of the water
 * limes the mix, and the feed sours it by what it leaves behind. Own tests of this mix are where its lines start, and
 * readings along the way are what they go through. Model section 21.
 * @throws RangeError as evaluateMix, and for a number out of range
 */
export function lifeOf(input: MixInput, keeping: Keeping): Life {
  check(keeping);
  const e = evaluateMix(input);
  const { rule } = keeping;
  const vessel = new Vessel(e, input, keeping);
  const windows = mixWindows(input, e);
  const { ph } = windows;
  const first: Life['first'] = { dry: null, starved: null, salty: null, sour: null, sweet: null };
  const days: Day[] = [];
  for (let day = 1; day <= keeping.days; day++) {
    vessel.dry(day);
    vessel.feedSlowly(day);
    vessel.take(day);
    const watered = vessel.goneShare >= rule.waterAt - 1e-12;
    if (watered) vessel.water(day);
    for (const reading of keeping.readings ?? []) if (reading.day === day) vessel.read(reading);
    const now = vessel.at(day, watered);
    days.push(now);
    const is: Record<Trouble, boolean> = {
      dry: vessel.goneShare >= DRY_SHARE,
      starved: now.nMgPerL < STARVED_MG_PER_L,
      salty: now.ecSaturatedMSPerCm > windows.ecSaturatedMSPerCm.high + e.harmlessEcMSPerCm + 1e-9,
      sour: now.ph < ph.low - 1e-9,
      sweet: now.ph > ph.high + 1e-9,
    };
    for (const trouble of troubles) if (is[trouble] && first[trouble] === null) first[trouble] = day;
  }
  return { days, first, flows: vessel.flows };
}

/** One vessel with what it holds. */
class Vessel {
  private readonly litres: number;
  private readonly full: number;
  private readonly available: number;
  private readonly evaporationMlPerDay: number;
  private readonly stream = streamOf('weather');
  private readonly given: AgainstAcid;
  /** mL, meq, mg of the vessel; meq of lime that came with water. */
  private waterMl: number;
  private saltsMeq: number;
  private nMg: number;
  private alkalineMeq = 0;
  private released: number;
  /** What tests and readings say, over what is reckoned: the line goes on from there. */
  private phOff: number;
  readonly flows: Flows = {
    ...{ evaporatedMl: 0, pouredMl: 0, leachedMl: 0, saltsInMeq: 0, saltsOutMeq: 0 },
    ...{ nInMg: 0, nReleasedMg: 0, nTakenMg: 0, nLeachedMg: 0 },
  };

  constructor(
    private readonly e: Evaluation,
    private readonly input: MixInput,
    private readonly keeping: Keeping,
  ) {
    this.litres = e.column.volumeL;
    const { ph, air, ecSaturatedMSPerCm: ec } = input.measured ?? {};
    const pores = e.composition.totalPorosity;
    this.full = 1000 * this.litres * (air === undefined ? e.drained.water : Math.max(0.01, pores - air));
    this.phOff = ph === undefined ? 0 : ph - e.ph;
    this.available = e.availableWaterMl;
    this.evaporationMlPerDay =
      (keeping.weather.evaporationMmPerH * HOURS_A_DAY * exposedAreaMm2(input.vessel)) / 1000;
    this.waterMl = this.full;
    // Salts that dissolve whole; gypsum is counted with the reading.
    this.saltsMeq = (ec ?? e.ecSaturatedMSPerCm) * MEQ_PER_MS * pores * this.litres;
    this.nMg = e.readyNMgPerL * this.litres;
    this.given = givenBy(e.doses);
    this.released = this.slow(0);
  }

  get goneShare(): number {
    return this.available > 0 ? (this.full - this.waterMl) / this.available : 1;
  }

  private cover(day: number): number {
    const { days, plant } = this.keeping;
    const t = days > 1 ? (day - 1) / (days - 1) : 0;
    return plant.leafCoverFrom + (plant.leafCoverTo - plant.leafCoverFrom) * t;
  }

  dry(day: number): void {
    const weather = 1 + WEATHER * (2 * uniformAt(this.keeping.seed, this.stream, day) - 1);
    const wanted = this.evaporationMlPerDay * Math.max(LEAST_COVER, this.cover(day)) * weather;
    // What is held tighter than roots pull does not leave.
    const lost = Math.min(wanted, Math.max(0, this.waterMl - (this.full - this.available)));
    this.waterMl -= lost;
    this.flows.evaporatedMl += lost;
  }

  private slow(day: number): number {
    return releasedMgPerL(feedsIn(this.e), 'n', day / 7, this.keeping.weather.tempC) * this.litres;
  }

  feedSlowly(day: number): void {
    const free = this.slow(day);
    const more = free - this.released;
    this.released = free;
    this.nMg += more;
    this.saltsMeq += more / MG_PER_MEQ_N;
    this.flows.nReleasedMg += more;
    this.flows.saltsInMeq += more / MG_PER_MEQ_N;
  }

  take(day: number): void {
    const demand = demandMgPerPlant[this.input.stage];
    const week = Math.min(demand.length - 1, Math.floor((day - 1) / 7));
    const taken = Math.min(this.nMg, (demand[week]! / 7) * Math.min(1, this.cover(day)));
    const salts = Math.min(this.saltsMeq, taken / MG_PER_MEQ_N);
    this.nMg -= taken;
    this.saltsMeq -= salts;
    this.flows.nTakenMg += taken;
    this.flows.saltsOutMeq += salts;
  }

  water(day: number): void {
    const { rule, water } = this.keeping;
    const missing = this.full - this.waterMl;
    const poured = missing / (1 - rule.leachPct / 100);
    const through = poured - missing;
    const feed = day >= rule.feedFromDay ? rule.feedNMgPerL : 0;
    const litres = poured / 1000;
    const nIn = feed * litres;
    const saltsIn = (water.ecMSPerCm * MEQ_PER_MS + feed / MG_PER_MEQ_N) * litres;
    this.nMg += nIn;
    this.saltsMeq += saltsIn;
    const acid = feed * (this.keeping.feedAcidMeqPerMgN ?? 0);
    this.alkalineMeq += (water.alkalinityMgPerL / MG_CACO3_PER_MEQ - acid) * (litres - through / 1000);
    const out = 1 - Math.exp(-through / this.full);
    this.flows.nLeachedMg += this.nMg * out;
    this.flows.saltsOutMeq += this.saltsMeq * out;
    this.nMg *= 1 - out;
    this.saltsMeq *= 1 - out;
    this.waterMl = this.full;
    this.flows.pouredMl += poured;
    this.flows.leachedMl += through;
    this.flows.nInMg += nIn;
    this.flows.saltsInMeq += saltsIn;
  }

  private get ph(): number {
    const { acidity } = this.e;
    const more = this.alkalineMeq / this.litres;
    if (more < 0) return this.phOff + phAfter(acidity, { ...this.given, lime: this.given.lime + more });
    return this.phOff + phWatered(acidity, phAfter(acidity, this.given), more);
  }

  read({ of, value }: DayReading): void {
    if (of === 'ph') {
      this.phOff += value - this.ph;
      return;
    }
    const { composition, drained } = this.e;
    const water = dilutionWater.displaced(composition.totalPorosity, drained.water);
    const more = value * MEQ_PER_MS * water * this.litres - this.saltsMeq;
    this.saltsMeq += more;
    this.flows[more > 0 ? 'saltsInMeq' : 'saltsOutMeq'] += Math.abs(more);
  }

  at(day: number, watered: boolean): Day {
    const { e, litres } = this;
    const pores = e.composition.totalPorosity;
    return {
      day,
      waterMl: this.waterMl,
      airPct: 100 * Math.max(0, pores - this.waterMl / 1000 / litres),
      ph: this.ph,
      ecSaturatedMSPerCm: this.saltsMeq / litres / pores / MEQ_PER_MS,
      nMgPerL: this.nMg / litres,
      watered,
    };
  }
}

function check({ days, seed, weather, water, rule, plant, readings = [], ...more }: Keeping): void {
  checkRange('feedAcidMeqPerMgN', more.feedAcidMeqPerMgN ?? 0, ...limits.feedAcidMeqPerMgN);
  readings.forEach(({ day, of, value }, i) => {
    checkWhole(`readings.${i}.day`, day, ...limits.lifeDays);
    const [low, high] = of === 'ph' ? limits.measuredPh : limits.plantEcMSPerCm;
    checkRange(`readings.${i}.value`, value, low, high);
  });
  checkWhole('days', days, ...limits.lifeDays);
  checkWhole('seed', seed, ...limits.seed);
  checkRange('weather.tempC', weather.tempC, ...limits.houseC);
  checkRange('water.alkalinityMgPerL', water.alkalinityMgPerL, ...limits.alkalinityMgPerL);
  checkRange('water.ecMSPerCm', water.ecMSPerCm, ...limits.waterEcMSPerCm);
  checkRange('rule.waterAt', rule.waterAt, ...limits.waterAt);
  checkRange('rule.leachPct', rule.leachPct, ...limits.leachPct);
  checkRange('rule.feedNMgPerL', rule.feedNMgPerL, ...limits.lifeFeedNMgPerL);
  checkWhole('rule.feedFromDay', rule.feedFromDay, ...limits.feedFromDay);
  checkRange('plant.leafCoverFrom', plant.leafCoverFrom, ...limits.leafCover);
  checkRange('plant.leafCoverTo', plant.leafCoverTo, ...limits.leafCover);
}
