import { type Evaluation } from '#core/mix/evaluate';
import { type Cover } from '#core/weeks/keeping';
import { exposedAreaMm2, fillDepthMm, filledTopMm2, type Vessel } from '#core/vessel/vessel';

/** A vessel dries by day, so many hours. Common practice, no source. */
export const HOURS_A_DAY = 10;
/** Leaves lose so much of the potential, each m² of them (FAO 56, from memory, for a short crop that is well watered). */
const LEAVES = 1.1;
/** Water that leaves an open mix as from a wet surface, mm; FAO 56, table 19 (from memory). */
const READILY_MM = 7;
/** Water deeper down than this does not come to the surface by evaporation, mm (FAO 56, eq. 73, from memory). */
const MOST_TEW_MM = 120;
/** And slower than this share it does not go. */
const LEAST_KE = 0.1;
/** Where blocks stand together their sides dry by a third. Common practice, no source. */
const BLOCK_SIDES = 1 / 3;
/** What comes through what lies on the mix. Common practice, no source. */
const through: Record<Cover, number> = { bare: 1, grit: 0.5, vermiculite: 0.5, lid: 0.1 };

/** What a vessel holds and by which faces it dries, mL and mm². */
export interface Drier {
  fullMl: number;
  /** Between full and wilting. */
  availableMl: number;
  /** Evaporation ends at half of what is left at 100 cm. */
  floorMl: number;
  topMm2: number;
  /** Of blocks, and of walls that breathe, as they count. */
  sidesMm2: number;
  /** Total evaporable water, mm. */
  tewMm: number;
}

/** @param fullMl where a test of its air says otherwise than the evaluation */
export function drierOf(
  e: Evaluation,
  vessel: Vessel,
  fullMl = 1000 * e.column.volumeL * e.drained.water,
): Drier {
  const topMm2 = filledTopMm2(vessel);
  const sides = exposedAreaMm2(vessel) - topMm2;
  const floorMl = Math.max(0, fullMl - e.availableWaterMl) / 2;
  const held = (fullMl - floorMl) / (1000 * e.column.volumeL);
  return {
    ...{ fullMl, availableMl: e.availableWaterMl, floorMl, topMm2 },
    sidesMm2: vessel.shape === 'block' ? sides * BLOCK_SIDES : sides,
    tewMm: Math.min(MOST_TEW_MM, held * fillDepthMm(vessel)),
  };
}

/**
 * Share of the potential at which an open mix still dries: whole until 7 mm have gone, then in a line down to a tenth
 * (FAO 56, eq. 73–74, from memory).
 * @param goneMm all water lost since the vessel was full, over the area that dries
 */
export function dryingShare(goneMm: number, tewMm: number): number {
  if (goneMm <= READILY_MM) return 1;
  return tewMm <= READILY_MM ? LEAST_KE : Math.max(LEAST_KE, (tewMm - goneMm) / (tewMm - READILY_MM));
}

/**
 * What leaves a vessel, piece by piece of a day: by its open top and sides, and through leaves; below half of the available
 * water these take less, in a line down to none.
 */
export class Leaving {
  /** Of the last piece, mL. */
  evaporatedMl = 0;
  transpiredMl = 0;
  private readonly areaMm2: number;
  private readonly openMm2: number;
  private readonly leavesMm2: number;
  private readonly wiltsMl: number;

  /** @param leafCover leaves over the top of the vessel, 0–4 */
  constructor(
    private readonly drier: Drier,
    leafCover: number,
    cover: Cover = 'bare',
  ) {
    const { topMm2, sidesMm2, fullMl, availableMl } = drier;
    const lid = cover === 'lid' ? through.lid : 1;
    const top = topMm2 * (1 - Math.min(1, leafCover)) * (cover === 'lid' ? 1 : through[cover]);
    this.areaMm2 = topMm2 + sidesMm2;
    this.openMm2 = lid * (top + sidesMm2);
    this.leavesMm2 = availableMl > 0 ? lid * LEAVES * leafCover * topMm2 : 0;
    this.wiltsMl = fullMl - availableMl;
  }

  /** @param potentialMm of that piece of the day @returns what is left, mL */
  after(waterMl: number, potentialMm: number): number {
    const { fullMl, availableMl, floorMl, tewMm } = this.drier;
    const goneMm = ((fullMl - waterMl) / this.areaMm2) * 1000;
    const open = (potentialMm * dryingShare(goneMm, tewMm) * this.openMm2) / 1000;
    this.evaporatedMl = Math.min(open, Math.max(0, waterMl - floorMl));
    const left = waterMl - this.evaporatedMl - this.wiltsMl;
    this.transpiredMl =
      left <= 0
        ? 0
        : Math.min(left, (potentialMm * this.leavesMm2 * Math.min(1, left / (availableMl / 2))) / 1000);
    return waterMl - this.evaporatedMl - this.transpiredMl;
  }
}

/** How a full vessel is left to dry. */
export interface LeftAlone {
  potentialMmPerDay: number;
  leafCover: number;
  cover?: Cover | undefined;
  driesBy?: number | undefined;
  /** Share that has gone already; none where left out. */
  gone?: number | undefined;
}
/** Not waited for any longer. */
const MOST_DAYS = 120;

/**
 * Days without watering until a share of what it holds for roots has gone, in one weather that stays; in hours of the
 * ten that a day has. Infinity where it does not come to that in 120 days.
 * @param share 0–1
 */
export function daysUntilGone(
  drier: Drier,
  share: number,
  { potentialMmPerDay, leafCover, cover = 'bare', driesBy = 1, gone = 0 }: LeftAlone,
): number {
  const hourly = (potentialMmPerDay * driesBy) / HOURS_A_DAY;
  const until = drier.fullMl - share * drier.availableMl;
  let water = drier.fullMl - gone * drier.availableMl;
  if (water <= until) return 0;
  const leaving = new Leaving(drier, leafCover, cover);
  for (let hour = 0; hour < MOST_DAYS * HOURS_A_DAY; hour++) {
    const next = leaving.after(water, hourly);
    if (next <= until + 1e-9)
      return (hour + (water > next ? Math.min(1, (water - until) / (water - next)) : 1)) / HOURS_A_DAY;
    water = next;
  }
  return Infinity;
}

/** Share of the available water that has gone after so many days without watering. */
export function goneAfter(
  drier: Drier,
  days: number,
  { potentialMmPerDay, leafCover, cover = 'bare', driesBy = 1, gone = 0 }: LeftAlone,
): number {
  const hourly = (potentialMmPerDay * driesBy) / HOURS_A_DAY;
  let water = drier.fullMl - gone * drier.availableMl;
  const leaving = new Leaving(drier, leafCover, cover);
  for (let hour = 0; hour < Math.round(days * HOURS_A_DAY); hour++) water = leaving.after(water, hourly);
  return drier.availableMl > 0 ? (drier.fullMl - water) / drier.availableMl : 1;
}
