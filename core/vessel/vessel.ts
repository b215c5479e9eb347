import { limits } from '#core/units/limits';
import { checkRange } from '#core/units/check';

/**
 * What the mix goes into. Inside dimensions in mm. `headspaceMm` is left empty below the rim.
 * A block has no walls: it stands on its base, open on top and four sides.
 */
export type Vessel =
  | ({ shape: 'round'; topMm: number; baseMm: number } & Walled)
  | ({ shape: 'rect'; topMm: [number, number]; baseMm: [number, number] } & Walled)
  | {
      shape: 'block';
      edgeMm: [number, number];
      depthMm: number;
      /** Depth of the hole that the press leaves for the seed. */
      holeMm?: number | undefined;
    };

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

type Shape = Vessel['shape'];
/**
 * What each shape has of its own: a shape that is new does not compile until it is said here too.
 * @example byShape(vessel, { round: (v) => v.topMm, rect: (v) => v.topMm[0], block: (v) => v.edgeMm[0] })
 */
export function byShape<T>(
  vessel: Vessel,
  cases: { readonly [S in Shape]: (vessel: Extract<Vessel, { shape: S }>) => T },
): T {
  return (cases[vessel.shape] as (vessel: Vessel) => T)(vessel);
}

const [SMALLEST_MM] = limits.vesselMm;

/** @throws RangeError for any size outside 5–2000 mm, or a headspace that leaves nothing to fill */
export function checkVessel(vessel: Vessel): Vessel {
  const check = (name: string, value: number): number =>
    checkRange(`vessel.${name}`, value, ...limits.vesselMm);
  check('depthMm', vessel.depthMm);
  const sides = (name: string, [a, b]: readonly [number, number]): void => {
    check(`${name}.0`, a);
    check(`${name}.1`, b);
  };
  const headspace = ({ headspaceMm, depthMm }: Walled): void => {
    checkRange('vessel.headspaceMm', headspaceMm, 0, depthMm - SMALLEST_MM);
  };
  byShape(vessel, {
    block: ({ edgeMm }) => sides('edgeMm', edgeMm),
    round: (pot) => {
      check('topMm', pot.topMm);
      check('baseMm', pot.baseMm);
      headspace(pot);
    },
    rect: (pot) => {
      sides('topMm', pot.topMm);
      sides('baseMm', pot.baseMm);
      headspace(pot);
    },
  });
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
  // A switch, not byShape: this is summed over every slice of every recipe that is tried.
  switch (vessel.shape) {
    case 'round':
      return (Math.PI / 4) * width * length;
    case 'rect':
    case 'block':
      return width * length;
  }
}

/** Volume of mix that fills the vessel up to its headspace, L. Simpson is exact: area is quadratic in height. */
export function volumeL(vessel: Vessel): number {
  const d = fillDepthMm(vessel);
  return ((areaAtMm2(vessel, 0) + 4 * areaAtMm2(vessel, d / 2) + areaAtMm2(vessel, d)) * d) / 6 / 1e6;
}

/** The open top of what is filled, mm². */
export const filledTopMm2 = (vessel: Vessel): number => areaAtMm2(vessel, fillDepthMm(vessel));

/**
 * Surface from which water leaves, mm²: the top, and the filled sides too of a block and of walls that breathe. That
 * these dry as fast as the top: common practice, no source.
 */
export function exposedAreaMm2(vessel: Vessel): number {
  const depth = fillDepthMm(vessel);
  const breathes = 'walls' in vessel && vessel.walls !== undefined;
  return (
    filledTopMm2(vessel) +
    byShape(vessel, {
      block: ({ edgeMm, depthMm }) => 2 * (edgeMm[0] + edgeMm[1]) * depthMm,
      round: (pot) => {
        if (!breathes) return 0;
        const [low, high] = [pot.baseMm / 2, widthAtMm(pot, depth) / 2];
        return Math.PI * (low + high) * Math.hypot(depth, high - low);
      },
      rect: (pot) => {
        if (!breathes) return 0;
        const [low, high] = [facesAt(pot, 0), facesAt(pot, depth)];
        return (
          (low[0] + high[0]) * Math.hypot(depth, (high[1] - low[1]) / 2) +
          (low[1] + high[1]) * Math.hypot(depth, (high[0] - low[0]) / 2)
        );
      },
    })
  );
}

/** The narrowest horizontal side anywhere in the filled part, mm: what a large piece has to fit into. */
export function narrowestSideMm(vessel: Vessel): number {
  return Math.min(...facesAt(vessel, 0), ...facesAt(vessel, fillDepthMm(vessel)));
}

const between = (base: number, top: number, t: number): number => base + (top - base) * t;

function facesAt(vessel: Vessel, zMm: number): [number, number] {
  const t = zMm / vessel.depthMm;
  switch (vessel.shape) {
    case 'block':
      return vessel.edgeMm;
    case 'round': {
      const diameter = between(vessel.baseMm, vessel.topMm, t);
      return [diameter, diameter];
    }
    case 'rect':
      return [between(vessel.baseMm[0], vessel.topMm[0], t), between(vessel.baseMm[1], vessel.topMm[1], t)];
  }
}
