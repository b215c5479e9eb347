import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/**
 * What the mix goes into. Inside dimensions in mm. `headspaceMm` is left empty below the rim.
 * A block has no walls: it stands on its base, open on top and four sides.
 */
export type Vessel =
  | ({ shape: 'round'; topMm: number; baseMm: number } & Walled)
  | ({ shape: 'rect'; topMm: [number, number]; baseMm: [number, number] } & Walled)
  | { shape: 'block'; edgeMm: [number, number]; depthMm: number };

interface Walled {
  depthMm: number;
  headspaceMm: number;
  /** False where no water can leave at the foot. */
  holes?: boolean | undefined;
  /** What lets water out through the sides too; left out where nothing does. */
  walls?: (typeof breathing)[number] | undefined;
}

/** Fabric bags and pots, and pots of peat or wood fibre. */
export const breathing = ['fabric', 'fibre'] as const;

const [SMALLEST_MM] = limits.vesselMm;

/** @throws RangeError for any size outside 5–2000 mm, or a headspace that leaves nothing to fill */
export function checkVessel(vessel: Vessel): Vessel {
  const check = (name: string, value: number): number =>
    checkRange(`vessel.${name}`, value, ...limits.vesselMm);
  check('depthMm', vessel.depthMm);
  if (vessel.shape === 'block') {
    check('edgeMm.0', vessel.edgeMm[0]);
    check('edgeMm.1', vessel.edgeMm[1]);
    return vessel;
  }
  if (vessel.shape === 'round') {
    check('topMm', vessel.topMm);
    check('baseMm', vessel.baseMm);
  } else {
    for (const side of [0, 1] as const) {
      check(`topMm.${side}`, vessel.topMm[side]);
      check(`baseMm.${side}`, vessel.baseMm[side]);
    }
  }
  checkRange('vessel.headspaceMm', vessel.headspaceMm, 0, vessel.depthMm - SMALLEST_MM);
  return vessel;
}

/** Height of the mix in the vessel, mm. */
export function fillDepthMm(vessel: Vessel): number {
  return vessel.shape === 'block' ? vessel.depthMm : vessel.depthMm - vessel.headspaceMm;
}

/** Width across the drawn face at height z above the base, mm. @param zMm 0 (base) to depth (rim) */
export function widthAtMm(vessel: Vessel, zMm: number): number {
  return facesAt(vessel, zMm)[0];
}

/** Horizontal area at height z above the base, mm². */
export function areaAtMm2(vessel: Vessel, zMm: number): number {
  const [width, length] = facesAt(vessel, zMm);
  return vessel.shape === 'round' ? (Math.PI / 4) * width * length : width * length;
}

/** Volume of mix that fills the vessel up to its headspace, L. Simpson is exact: area is quadratic in height. */
export function volumeL(vessel: Vessel): number {
  const d = fillDepthMm(vessel);
  return ((areaAtMm2(vessel, 0) + 4 * areaAtMm2(vessel, d / 2) + areaAtMm2(vessel, d)) * d) / 6 / 1e6;
}

/**
 * Surface from which water leaves, mm²: the top, and the filled sides too of a block and of walls that breathe. That
 * these dry as fast as the top: common practice, no source.
 */
export function exposedAreaMm2(vessel: Vessel): number {
  const depth = fillDepthMm(vessel);
  const top = areaAtMm2(vessel, depth);
  if (vessel.shape === 'block') return top + 2 * (vessel.edgeMm[0] + vessel.edgeMm[1]) * vessel.depthMm;
  if (vessel.walls === undefined) return top;
  if (vessel.shape === 'round') {
    const [low, high] = [vessel.baseMm / 2, widthAtMm(vessel, depth) / 2];
    return top + Math.PI * (low + high) * Math.hypot(depth, high - low);
  }
  const [low, high] = [facesAt(vessel, 0), facesAt(vessel, depth)];
  return (
    top +
    (low[0] + high[0]) * Math.hypot(depth, (high[1] - low[1]) / 2) +
    (low[1] + high[1]) * Math.hypot(depth, (high[0] - low[0]) / 2)
  );
}

/** The narrowest horizontal side anywhere in the filled part, mm: what a large piece has to fit into. */
export function narrowestSideMm(vessel: Vessel): number {
  return Math.min(...facesAt(vessel, 0), ...facesAt(vessel, fillDepthMm(vessel)));
}

function facesAt(vessel: Vessel, zMm: number): [number, number] {
  if (vessel.shape === 'block') return vessel.edgeMm;
  const t = zMm / vessel.depthMm;
  const between = (base: number, top: number): number => base + (top - base) * t;
  if (vessel.shape === 'round') {
    const diameter = between(vessel.baseMm, vessel.topMm);
    return [diameter, diameter];
  }
  return [between(vessel.baseMm[0], vessel.topMm[0]), between(vessel.baseMm[1], vessel.topMm[1])];
}
