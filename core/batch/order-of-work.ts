import * as dry from '#core/batch/dry-steps';
import { heatSteps } from '#core/batch/heat-steps';
import { type Kit, usualKit } from '#core/batch/kit';
import { type BatchSheet } from '#core/batch/sheet';
import { type Step } from '#core/batch/step';
import { stepSays } from '#core/batch/step-facts';
import * as wet from '#core/batch/wet-steps';
import { type TopUp, type Work } from '#core/batch/work';
import { type Judgement } from '#core/judge/judge';
import { type Moisture } from '#core/mix/moisture';
import { none } from '#core/units/message';

/** The steps of mixing a batch, in order. Trade practice, no source, but for the amounts. */
export function orderOfWork(
  judgement: Judgement,
  sheet: BatchSheet,
  moisture: Moisture,
  kit: Kit = usualKit,
  topUp: TopUp | null = null,
): Step[] {
  const { evaluation } = judgement;
  const { parts } = evaluation.composition;
  const given = evaluation.doses.filter((d) => d.gPerL > 0 && d.layer === undefined);
  const bricks = dry.brickWater(sheet, parts, kit);
  const work: Work = { judgement, sheet, moisture, kit, topUp, parts, given };
  // Feed is never heated: it would gas off or burn. What is heated is dosed once it is cool.
  const hot = kit.heat !== 'none';
  const heated = hot ? heatSteps(judgement, sheet, kit) : null;
  // What bricks take that nobody was sure of is said off the rest; of the others it is off the rest.
  const before = (bricks?.sure ? bricks.litres : 0) + (heated?.waterLitres ?? 0);
  return [
    ...dry.screen(work),
    ...dry.dampDown(work),
    ...(bricks ? [dry.hydrate(bricks, Math.max(0, sheet.waterLitres - bricks.litres))] : []),
    ...(hot ? [] : dry.preBlend(work)),
    dry.layer(work, hot ? [] : given),
    ...(heated?.steps ?? []),
    ...wet.water(work, before),
    ...(hot ? dry.preBlend(work, true) : []),
    wet.squeeze(moisture),
    ...wet.drainTest(work),
    ...wet.rest(work),
    wet.fill(work),
    ...wet.topUpLater(work),
    ...wet.strew(work),
    { id: 'label', text: stepSays('step.label', none) },
    ...wet.reTests(work),
    ...wet.wash(work),
  ];
}
