import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';
import { byShape, areaAtMm2, fillDepthMm, volumeL, type Vessel } from '#core/vessel/vessel';

/** A vessel as it is bought and counted: so many to a tray, or one by one. */
export interface VesselKind {
  id: string;
  name: string;
  /** One of it, in the singular, as spoken at the bench: "cell", "block", "pot", "flat". */
  noun: string;
  vessel: Vessel;
  /** Vessels to one tray or set; 1 where it is counted one by one. */
  perTray: number;
  /** Firming it usually gets, fraction of volume lost: 0 tapped, 0.25 pressed (common practice, no source). */
  usualCompaction: number;
  /** A pressed disc or plug that is its own mix: nothing goes in. */
  ownMix?: boolean | undefined;
  /** What one tray, set or single vessel stands on, m². */
  footprintM2?: number | undefined;
  /** Of one tray, set or single vessel, in the nursery's money, and how often it is used. */
  price?: number | undefined;
  uses?: number | undefined;
  /** Minutes to fill, or press, a hundred single vessels. */
  minutesPerHundred?: number | undefined;
}

/** Litres of finished mix that one of it takes: nothing where it is its own. */
export const mixOfOneL = ({ vessel, ownMix }: Pick<VesselKind, 'vessel' | 'ownMix'>): number =>
  ownMix ? 0 : volumeL(vessel);

/**
 * Litres of finished mix for a job.
 * @param vessels how many single vessels (cells, not trays), 1–1,000,000
 * @param spare fraction on top, 0–2
 */
export function jobLitres(vessel: Vessel, vessels: number, spare: number): number {
  checkRange('vessels', vessels, ...limits.vessels);
  checkRange('spare', spare, 0, 2);
  return vessels * volumeL(vessel) * (1 + spare);
}

const filled = new WeakMap<VesselKind, Map<number, VesselKind>>();

/**
 * The vessel filled up to a share of its usual depth for now; the rest is topped up as the stem grows.
 * @param fillPct 10–100; blocks are pressed whole
 */
export function filledTo(kind: VesselKind, fillPct: number): VesselKind {
  checkRange('fillPct', fillPct, ...limits.fillPct);
  const { vessel } = kind;
  if (vessel.shape === 'block' || fillPct === 100) return kind;
  let existing = filled.get(kind);
  if (!existing) filled.set(kind, (existing = new Map<number, VesselKind>()));
  let made = existing.get(fillPct);
  if (!made) {
    const depth = Math.max(limits.vesselMm[0], (fillDepthMm(vessel) * fillPct) / 100);
    made = { ...kind, vessel: { ...vessel, headspaceMm: vessel.depthMm - depth } };
    existing.set(fillPct, made);
  }
  return made;
}

/** Rims, ribs and gaps between vessels that stand side by side: common practice, no source. */
const BETWEEN = 1.15;

/** Bench that one tray, set or single vessel takes, m²: as measured, else by its tops side by side. */
export function footprintOf(kind: VesselKind): number {
  if (kind.footprintM2 !== undefined) return kind.footprintM2;
  const { vessel } = kind;
  // Round ones stand in squares.
  const top = byShape(vessel, { round: ({ topMm }) => topMm ** 2, rect: topAreaMm2, block: topAreaMm2 });
  return (kind.perTray * top * BETWEEN) / 1e6;
}

/** Open top of one vessel, mm². */
export function topAreaMm2(vessel: Vessel): number {
  return areaAtMm2(vessel, vessel.depthMm);
}
