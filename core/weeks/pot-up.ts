import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Evaluation } from '#core/mix/evaluate';
import { columnOf, drain, type Drained, waterHeld } from '#core/mix/water-air';
import { checkRange, OutOfRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { fillDepthMm, volumeL, type Vessel, widthAtMm } from '#core/vessel/vessel';

/** Air and water, % of the ball. */
export interface BallState {
  airPct: number;
  waterPct: number;
}

export interface PotUp {
  /**
   * The ball on its own base, drained; and in the new pot, watered and drained. A pressed block after its first
   * dry-down, in both: half of its easily available water has gone, as Mix judges it.
   */
  before: BallState;
  after: BallState;
  /** Its water and air by height of its own base, in the new pot. */
  drained: Drained;
  /** What is filled around it, in the whole new pot. */
  around: BallState;
  /** Base of the ball over the base of the pot, mm. */
  baseMm: number;
  /** New mix beside it where it is least, mm a side. */
  besideMm: number;
  /** New mix that goes in around the ball, L; and of it below the ball, before the plant is set. */
  mixL: number;
  belowL: number;
  /** Water that the new mix draws out of the ball once both are drained, mL; below 0 where it gives some. */
  drawnMl: number;
  /** Which of both holds more water at the ball's heights. */
  joint: 'ball-wetter' | 'mix-wetter' | 'alike';
}

/** In so many points of water both are alike. Common practice, no source. */
const ALIKE = 0.05;

/** Volume of the filled part up to a height, L. */
const volumeTo = (vessel: Vessel, mm: number): number =>
  mm <= 0
    ? 0
    : volumeL(
        vessel.shape === 'block'
          ? { ...vessel, depthMm: mm }
          : { ...vessel, headspaceMm: vessel.depthMm - mm },
      );

/**
 * A root-ball set into a larger pot. At rest the suction is the same on both sides of the joint, and nil at the base of
 * the new pot: the ball is reckoned at its new heights. Model section 21.
 * @param ball its mix, in the vessel out of which it comes
 * @param into the new mix, in the new pot
 * @param deeperMm its top lies so much below the new surface, 0–300
 * @throws OutOfRange where the pot is too shallow or too narrow for it
 */
export function potUp(ball: Evaluation, into: Evaluation, deeperMm = 0): PotUp {
  checkRange('deeperMm', deeperMm, ...limits.deeperMm);
  const [from, pot] = [ball.column.vessel, into.column.vessel];
  const [ballDepth, depth] = [fillDepthMm(from), fillDepthMm(pot)];
  const baseMm = depth - deeperMm - ballDepth;
  if (baseMm < 0)
    throw new OutOfRange(
      'deeperMm',
      deeperMm,
      depth >= ballDepth
        ? allow('allowed.deeper-in-pot', { mm: Math.floor(depth - ballDepth) })
        : allow('allowed.pot-filled-deeper', { ballMm: Math.ceil(ballDepth), potMm: Math.floor(depth) }),
    );
  const besideMm = Math.min(
    ...[0, 0.25, 0.5, 0.75, 1].map(
      (share) => (widthAtMm(pot, baseMm + share * ballDepth) - widthAtMm(from, share * ballDepth)) / 2,
    ),
  );
  if (besideMm < 0)
    throw new OutOfRange(
      'pot',
      `${Math.round(-2 * besideMm)} mm too narrow`,
      allow('allowed.wider-than-ball', none),
    );
  // Heights over a free base far below are a pull at the ball's own.
  const drained = drain(ball.composition, columnOf(from), Math.min(100, baseMm / 10));
  const pores = ball.composition.totalPorosity;
  const dried = from.shape === 'block' ? ball.easilyAvailableWater / 2 : 0;
  const state = (drainedTo: number): BallState => {
    const water = Math.max(0, drainedTo - dried);
    return { airPct: 100 * (pores - water), waterPct: 100 * water };
  };
  const middleCm = (baseMm + ballDepth / 2) / 10;
  const differ = waterHeld(ball.composition, middleCm) - waterHeld(into.composition, middleCm);
  const mixL = volumeL(pot) - volumeL(from);
  if (mixL <= 0)
    throw new OutOfRange('pot', `${volumeL(pot).toFixed(2)} L`, allow('allowed.larger-than-ball', none));
  return {
    before: state(ball.drained.water),
    after: state(drained.water),
    drained,
    around: { airPct: 100 * into.drained.air, waterPct: 100 * into.drained.water },
    baseMm,
    besideMm,
    mixL,
    belowL: volumeTo(pot, baseMm),
    drawnMl: 1000 * volumeL(from) * (ball.drained.water - drained.water),
    joint: Math.abs(differ) < ALIKE ? 'alike' : differ > 0 ? 'ball-wetter' : 'mix-wetter',
  };
}

/**
 * Water that a dry ball takes before it is set, mL: what has gone of what it holds for roots.
 * @param gone share of the water between container capacity and wilting, 0–1
 */
export function thirstMl(ball: Evaluation, gone: number): number {
  checkRange('gone', gone, 0, 1);
  return gone * ball.availableWaterMl;
}
