import { type Evaluation, evaluateMix, type MixInput } from '#core/mix/evaluate';
import { feedsIn } from '#core/mix/feeding';
import { type AgainstAcid, type Dose, givenBy, phAfter, phWatered } from '#core/mix/ph';
import { releasedMgPerL } from '#core/mix/release';
import { dilutionWater, MEQ_PER_MS, MG_PER_MEQ_N } from '#core/mix/salts';
import { Ages } from '#core/weeks/ages';
import { MG_CACO3_PER_MEQ } from '#core/weeks/alkalinity';
import { type Drier, drierOf, HOURS_A_DAY, Leaving } from '#core/weeks/drying';
import {
  airOn,
  checkKeeping,
  type DayReading,
  type Keeping,
  leafCoverOn,
  wantsFeedFrom,
} from '#core/weeks/keeping';
import { acidityMeqPerG, acidityMeqPerMgN } from '#core/weeks/liquid-feed';
import { type Luck, meanLuck } from '#core/weeks/weather';

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
  /** How often it was watered that day. */
  timesWatered: number;
  /** Of that day. */
  transpiredMl: number;
  evaporatedMl: number;
  leachedMl: number;
  uptakeNMg: number;
}

/** What went in and out, for the balance: mL, meq and mg of one vessel over all days. */
export type Flows = Record<
  | ('evaporatedMl' | 'transpiredMl' | 'pouredMl' | 'leachedMl' | 'saltsInMeq' | 'saltsOutMeq')
  | ('nInMg' | 'nReleasedMg' | 'nTakenMg' | 'nLeachedMg' | 'alkalineInMeq' | 'acidInMeq'),
  number
>;

export const troubles = ['dry', 'starved', 'salty', 'sour', 'sweet'] as const;
export type Trouble = (typeof troubles)[number];

export interface Life {
  days: Day[];
  /** First day of each; null where it does not come to that. */
  first: Record<Trouble, number | null>;
  flows: Flows;
  /** How often it was watered: on some days more than once. */
  waterings: number;
}

export const DRY_SHARE = 0.9;
/** Nitrogen that a litre drunk takes along (uptake concentrations, Sonneveld & Voogt 2009, from memory: 70–150). */
const UPTAKE_MG_PER_L = 120;
/** Nitrogen that the water which leaves drank would carry, mg. */
export const wantedNMg = (transpiredMl: number): number => (transpiredMl / 1000) * UPTAKE_MG_PER_L;
/** Below so much ready nitrogen in a litre of mix it takes less, in a line down to none. */
export const UPTAKE_FALLS_MG_PER_L = 15;
/** Leaves over so much of the top starve where over so many days they get less than so much of what they would take. */
const STARVES = { fromCover: 0.15, days: 7, share: 0.5 } as const;

interface Freed {
  n: number;
  acidMeq: number;
}
const nothingFreed: Freed = { n: 0, acidMeq: 0 };

/** Points of the pH curve stand so far apart, meq/L: between them it is straight to 0.0001. */
const PH_STEP = 0.25;

/** What is so on the first day no watering made: it is the mix's own. */
export const isOfTheMix = (trouble: Trouble, first: number | null): boolean =>
  first === 1 && trouble !== 'dry' && trouble !== 'starved';

/**
 * One mix in its vessel, made ready to be lived through under many keepings: what does not hang on the keeping is worked
 * out once. Model § 24.
 */
export class Living {
  readonly drier: Drier;
  readonly litres: number;
  private readonly saltsMeq: number;
  private readonly latentMeq: number;
  private readonly slow: readonly { dose: Dose; acidMeqPerMgN: number }[];
  private readonly given: AgainstAcid;
  readonly phOff: number;
  private readonly phAtFirst: number;
  private readonly freedOn = new Map<number, Freed>();
  private readonly phPoints = new Map<number, number>();

  /** @throws RangeError as evaluateMix */
  constructor(
    readonly input: MixInput,
    readonly e: Evaluation = evaluateMix(input),
  ) {
    const { ph, air, ecSaturatedMSPerCm: ec } = input.measured ?? {};
    const pores = e.composition.totalPorosity;
    this.litres = e.column.volumeL;
    const water = air === undefined ? e.drained.water : Math.max(0.01, pores - air);
    this.drier = drierOf(e, input.vessel, 1000 * this.litres * water);
    this.phOff = ph === undefined ? 0 : ph - e.ph;
    this.saltsMeq = (ec ?? e.ecSaturatedMSPerCm) * MEQ_PER_MS * pores * this.litres;
    this.given = givenBy(e.doses);
    this.phAtFirst = phAfter(e.acidity, this.given);
    this.latentMeq =
      this.litres *
      e.doses.reduce(
        (sum, { amendment: a, gPerL }) =>
          sum + (a.kind === 'salt' && a.nPct > 0 ? gPerL * acidityMeqPerG(a) : 0),
        0,
      );
    this.slow = feedsIn(e)
      .filter(({ amendment: a }) => a.nPct > 0 && a.kind !== 'salt' && a.kind !== 'lime')
      .map((dose) => ({ dose, acidMeqPerMgN: acidityMeqPerMgN(dose.amendment) }));
  }

  /** What there is of each on the first morning: mL, meq, mg. */
  start(): { waterMl: number; saltsMeq: number; nMg: number; latentMeq: number } {
    const { saltsMeq, latentMeq } = this;
    return { waterMl: this.drier.fullMl, saltsMeq, latentMeq, nMg: this.e.readyNMgPerL * this.litres };
  }

  /** Nitrogen that slow feed sets free on a day in a litre of mix, mg, and the acid that it leaves once it is taken up, meq. */
  freed(day: number, tempC: number): Freed {
    if (this.slow.length === 0) return nothingFreed;
    const key = day + tempC / 1000;
    let freed = this.freedOn.get(key);
    if (!freed) {
      freed = { n: 0, acidMeq: 0 };
      for (const { dose, acidMeqPerMgN } of this.slow) {
        const free = (until: number): number => releasedMgPerL([dose], 'n', until / 7, tempC);
        const more = free(day) - free(day - 1);
        freed.n += more;
        freed.acidMeq += more * acidMeqPerMgN;
      }
      this.freedOn.set(key, freed);
    }
    return freed;
  }

  /** pH with so much limed, or soured where below 0, since the first day, meq/L: in a line between points of its curve. */
  phWith(meqPerL: number): number {
    const at = Math.floor(meqPerL / PH_STEP);
    const t = meqPerL / PH_STEP - at;
    const low = this.phPoint(at);
    return t === 0 ? low : low + t * (this.phPoint(at + 1) - low);
  }

  private phPoint(n: number): number {
    let ph = this.phPoints.get(n);
    if (ph === undefined) {
      const { acidity } = this.e;
      const more = n * PH_STEP;
      const { given } = this;
      ph =
        more < 0
          ? phAfter(acidity, { ...given, lime: given.lime + more })
          : phWatered(acidity, this.phAtFirst, more);
      this.phPoints.set(n, ph);
    }
    return ph;
  }

  /** @throws RangeError for a number of the keeping that is out of range */
  under(keeping: Keeping, luck: Luck = meanLuck(keeping.seed)): Life {
    checkKeeping(keeping);
    const vessel = new Vessel(this, keeping, luck);
    const ages = new Ages(this.input, this.e, keeping.plant);
    const first: Life['first'] = { dry: null, starved: null, salty: null, sour: null, sweet: null };
    const days: Day[] = [];
    for (let day = 1; day <= keeping.days; day++) {
      const now = vessel.live(day);
      days.push(now);
      const { saltyMSPerCm, sourPh, sweetPh } = ages.boundsOn(day);
      const is: Record<Trouble, boolean> = {
        dry: vessel.wasDry,
        starved: vessel.starves(day),
        salty: now.ecSaturatedMSPerCm > saltyMSPerCm + 1e-9,
        sour: now.ph < sourPh - 1e-9,
        sweet: now.ph > sweetPh + 1e-9,
      };
      for (const trouble of troubles) if (first[trouble] === null && is[trouble]) first[trouble] = day;
    }
    return { days, first, flows: vessel.flows, waterings: vessel.waterings };
  }
}

/**
 * Day by day: water leaves by the open top and by leaves, in ten hours; slow feed is set free, the plant takes nitrogen with
 * the water that it drinks, and at any hour, or at the looks that somebody says, it is watered by the rule to container
 * capacity with what must run through. Salts leave with what runs through as perfect mixing says, e^(−v). Alkalinity of
 * the water limes as it is poured, liquid feed sours less what runs through, slow feed and starter as they are taken up.
 * Own tests of this mix are where its lines start, and readings along the way are what they go through.
 * @throws RangeError as evaluateMix, and for a number out of range
 */
export const lifeOf = (input: MixInput, keeping: Keeping): Life => new Living(input).under(keeping);

/** Days at either end by which a rhythm is told. */
const RHYTHM_DAYS = 14;

/** Waterings a day in the first and in the last two weeks. */
export function rhythmOf(days: readonly Day[]): { first: number; last: number } {
  const perDay = (some: readonly Day[]): number =>
    some.reduce((sum, { timesWatered }) => sum + timesWatered, 0) / some.length;
  return { first: perDay(days.slice(0, RHYTHM_DAYS)), last: perDay(days.slice(-RHYTHM_DAYS)) };
}

/** One vessel with what it holds. */
class Vessel {
  /** mL, meq, mg of the vessel. */
  private waterMl: number;
  private saltsMeq: number;
  private nMg: number;
  /** Acid that comes free as the nitrogen that is there is taken up, meq. */
  private latentMeq: number;
  /** What limed and soured since the first day, meq: in sum, above 0 where it limed. */
  private alkalineMeq = 0;
  /** What tests and readings say, over what is reckoned: the line goes on from there. */
  private phOff: number;
  private readonly wantedMg: Float64Array;
  private readonly takenMg: Float64Array;
  private readonly fedFrom: number;
  wasDry = false;
  waterings = 0;
  readonly flows: Flows = {
    ...{ evaporatedMl: 0, transpiredMl: 0, pouredMl: 0, leachedMl: 0, saltsInMeq: 0, saltsOutMeq: 0 },
    ...{ nInMg: 0, nReleasedMg: 0, nTakenMg: 0, nLeachedMg: 0, alkalineInMeq: 0, acidInMeq: 0 },
  };

  constructor(
    private readonly mix: Living,
    private readonly keeping: Keeping,
    private readonly luck: Luck,
  ) {
    const { waterMl, saltsMeq, nMg, latentMeq } = mix.start();
    this.waterMl = waterMl;
    this.saltsMeq = saltsMeq;
    this.nMg = nMg;
    this.latentMeq = latentMeq;
    this.phOff = mix.phOff;
    this.wantedMg = new Float64Array(keeping.days + 1);
    this.takenMg = new Float64Array(keeping.days + 1);
    this.fedFrom = wantsFeedFrom(mix.input.stage, keeping.plant);
  }

  private get goneShare(): number {
    const { fullMl, availableMl } = this.mix.drier;
    return availableMl > 0 ? (fullMl - this.waterMl) / availableMl : 1;
  }

  live(day: number): Day {
    const { keeping } = this;
    const leached = this.flows.leachedMl;
    const { potentialMmPerDay, tempC } = airOn(keeping, day);
    const lost = this.dry(day, potentialMmPerDay * this.luck.day(day) * (keeping.driesBy ?? 1));
    this.feedSlowly(day, tempC);
    this.take(day, lost.transpiredMl);
    for (const reading of keeping.readings ?? []) if (reading.day === day) this.read(reading);
    const { e, litres } = this.mix;
    const pores = e.composition.totalPorosity;
    return {
      day,
      waterMl: this.waterMl,
      airPct: 100 * Math.max(0, pores - this.waterMl / 1000 / litres),
      ph: this.ph,
      ecSaturatedMSPerCm: this.saltsMeq / litres / pores / MEQ_PER_MS,
      nMgPerL: this.nMg / litres,
      watered: lost.times > 0,
      timesWatered: lost.times,
      transpiredMl: lost.transpiredMl,
      evaporatedMl: lost.evaporatedMl,
      leachedMl: this.flows.leachedMl - leached,
      uptakeNMg: this.takenMg[day]!,
    };
  }

  /** Whether it starves by that day. */
  starves(day: number): boolean {
    const { fromCover, days, share } = STARVES;
    // All of these days it wanted feed.
    if (day < days || day < this.fedFrom + days - 1 || leafCoverOn(this.keeping, day) <= fromCover)
      return false;
    let [wanted, taken] = [0, 0];
    for (let each = day - days + 1; each <= day; each++) {
      wanted += this.wantedMg[each]!;
      taken += this.takenMg[each]!;
    }
    return taken < share * wanted - 1e-12;
  }

  /** The hours of a day, watered where the rule says so. */
  private dry(
    day: number,
    potentialMm: number,
  ): { evaporatedMl: number; transpiredMl: number; times: number } {
    const { rule, looks, cover = 'bare' } = this.keeping;
    const { drier } = this.mix;
    const leaving = new Leaving(drier, leafCoverOn(this.keeping, day), cover);
    const [hourly, hours] = [potentialMm / HOURS_A_DAY, HOURS_A_DAY];
    let [evaporatedMl, transpiredMl, times] = [0, 0, 0];
    this.wasDry = false;
    for (let hour = 1; hour <= hours; hour++) {
      this.waterMl = leaving.after(this.waterMl, hourly);
      evaporatedMl += leaving.evaporatedMl;
      transpiredMl += leaving.transpiredMl;
      // Dry is asked before watering.
      const gone = this.goneShare;
      if (gone >= DRY_SHARE) this.wasDry = true;
      const looked = looks === undefined || (hour * looks) % hours === 0;
      if (looked && gone >= rule.waterAt - 1e-12) {
        this.water(day);
        times++;
      }
    }
    this.flows.evaporatedMl += evaporatedMl;
    this.flows.transpiredMl += transpiredMl;
    return { evaporatedMl, transpiredMl, times };
  }

  private feedSlowly(day: number, tempC: number): void {
    const { n, acidMeq } = this.mix.freed(day, tempC);
    if (n === 0) return;
    const more = n * this.mix.litres;
    this.nMg += more;
    this.latentMeq += acidMeq * this.mix.litres;
    this.saltsMeq += more / MG_PER_MEQ_N;
    this.flows.nReleasedMg += more;
    this.flows.saltsInMeq += more / MG_PER_MEQ_N;
  }

  private take(day: number, transpiredMl: number): void {
    const wanted = wantedNMg(transpiredMl) * this.luck.uptake;
    const falls = Math.min(1, this.nMg / this.mix.litres / UPTAKE_FALLS_MG_PER_L);
    const taken = Math.min(this.nMg, wanted * falls);
    this.wantedMg[day] = wanted;
    this.takenMg[day] = taken;
    if (taken <= 0) return;
    this.sour(this.latentMeq * (taken / this.nMg));
    this.latentMeq *= 1 - taken / this.nMg;
    const salts = Math.min(this.saltsMeq, taken / MG_PER_MEQ_N);
    this.nMg -= taken;
    this.saltsMeq -= salts;
    this.flows.nTakenMg += taken;
    this.flows.saltsOutMeq += salts;
  }

  private sour(meq: number): void {
    this.alkalineMeq -= meq;
    this.flows.acidInMeq += meq;
  }

  private water(day: number): void {
    const { rule, water, feedAcidMeqPerMgN = 0 } = this.keeping;
    const { luck } = this;
    const { fullMl } = this.mix.drier;
    const missing = fullMl - this.waterMl;
    const poured = missing / (1 - Math.min(0.95, (luck.leach * rule.leachPct) / 100));
    const through = poured - missing;
    const feed = day >= rule.feedFromDay ? rule.feedNMgPerL : 0;
    const litres = poured / 1000;
    const nIn = (feed + (water.nMgPerL ?? 0)) * litres;
    const saltsIn = (luck.water * water.ecMSPerCm * MEQ_PER_MS + feed / MG_PER_MEQ_N) * litres;
    this.nMg += nIn;
    this.saltsMeq += saltsIn;
    this.sour(feed * feedAcidMeqPerMgN * (missing / 1000));
    const limes = ((luck.water * water.alkalinityMgPerL) / MG_CACO3_PER_MEQ) * litres;
    this.alkalineMeq += limes;
    const out = 1 - Math.exp(-through / fullMl);
    this.flows.nLeachedMg += this.nMg * out;
    this.flows.saltsOutMeq += this.saltsMeq * out;
    this.nMg *= 1 - out;
    this.saltsMeq *= 1 - out;
    this.latentMeq *= 1 - out;
    this.waterMl = fullMl;
    this.waterings++;
    this.flows.pouredMl += poured;
    this.flows.leachedMl += through;
    this.flows.nInMg += nIn;
    this.flows.saltsInMeq += saltsIn;
    this.flows.alkalineInMeq += limes;
  }

  private get ph(): number {
    return this.phOff + this.mix.phWith(this.alkalineMeq / this.mix.litres);
  }

  private read({ of, value }: DayReading): void {
    if (of === 'ph') {
      this.phOff += value - this.ph;
      return;
    }
    const { composition, drained } = this.mix.e;
    const water = dilutionWater.displaced(composition.totalPorosity, drained.water);
    const more = value * MEQ_PER_MS * water * this.mix.litres - this.saltsMeq;
    this.saltsMeq += more;
    this.flows[more > 0 ? 'saltsInMeq' : 'saltsOutMeq'] += Math.abs(more);
  }
}
