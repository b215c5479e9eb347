import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { byShape, fillDepthMm, type Vessel, volumeL } from '#core/vessel/vessel';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** A litre of water weighs a kilogram, near enough at a bench. */
const KG_PER_L = 1;

/**
 * The vessel with its base as wide as the water that it takes to the brim says; mouth and depth stay as measured.
 * @param waterKg of one vessel, filled to the rim, 0.005–500
 * @throws OutOfRange where no base between 5 mm and the mouth and a half more gives that
 */
export function byWaterWeight(vessel: Vessel, waterKg: number): Vessel {
  checkRange('waterKg', waterKg, ...limits.waterWeightKg);
  const noWater = (): never => {
    throw new OutOfRange('waterKg', waterKg, allow('allowed.not-for-blocks', none));
  };
  const wanted = waterKg / KG_PER_L;
  const [smallest] = limits.vesselMm;
  const mouth = byShape(vessel, {
    round: ({ topMm }) => topMm,
    rect: ({ topMm }) => Math.min(...topMm),
    block: noWater,
  });
  const withBase = (share: number): Vessel =>
    byShape<Vessel>(vessel, {
      round: (pot) => ({ ...pot, baseMm: pot.topMm * share }),
      rect: (pot) => ({ ...pot, baseMm: [pot.topMm[0] * share, pot.topMm[1] * share] }),
      block: noWater,
    });
  const brim = (share: number): number => volumeL({ ...withBase(share), headspaceMm: 0 } as Vessel);
  let [low, high] = [smallest / mouth, 1.5];
  if (!(brim(low) <= wanted && wanted <= brim(high)))
    throw new OutOfRange(
      'waterKg',
      waterKg,
      allow('allowed.water-of-mouth', { low: 1000 * brim(low), high: 1000 * brim(high) }),
    );
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (brim(middle) < wanted) low = middle;
    else high = middle;
  }
  return withBase((low + high) / 2);
}

/**
 * Firming of a press, from how many blocks came out of so much loose mix.
 * @returns fraction of volume lost, 0–0.5
 * @throws OutOfRange where the blocks are larger than what went in, or less than half of it
 * @example firmingOfBlocks({ shape: 'block', edgeMm: [50, 50], depthMm: 50 }, 60, 10) // 0.25
 */
export function firmingOfBlocks(block: Vessel, count: number, looseLitres: number): number {
  const firming = 1 - (count * volumeL(block)) / looseLitres;
  const most = limits.compactionPct[1] / 100;
  if (!(firming >= 0 && firming <= most)) {
    const [fewest, mostBlocks] = [
      Math.ceil((looseLitres * (1 - most)) / volumeL(block)),
      Math.floor(looseLitres / volumeL(block)),
    ];
    throw new OutOfRange(
      'blocks',
      count,
      allow('allowed.blocks-of-mix', { fewest, most: mostBlocks, mm: fillDepthMm(block) }),
    );
  }
  return firming;
}

/** Bags are a fifth wider than they are high, and are filled to nine tenths: common practice, no source. */
const BAG_WIDE = 1.2;
const BAG_FILLED = 0.9;

/**
 * A round bag by the volume that it is sold as: what its makers call so much, filled to nine tenths.
 * @param litres 0.1–500
 * @example bagSoldAs(15.14) // a bag of 4 gallons: 284 mm across, 237 mm high
 */
export function bagSoldAs(litres: number): {
  topMm: number;
  baseMm: number;
  depthMm: number;
  headspaceMm: number;
} {
  checkRange('soldAs', litres, ...limits.soldAsLitres);
  const depth = Math.cbrt((litres * 1e6 * 4) / (Math.PI * BAG_WIDE ** 2));
  const wide = Math.round(BAG_WIDE * depth);
  const depthMm = Math.round(depth);
  return { topMm: wide, baseMm: wide, depthMm, headspaceMm: Math.round((1 - BAG_FILLED) * depthMm) };
}
