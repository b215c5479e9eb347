import { type Step } from '#core/batch/step';
import { stepSays } from '#core/batch/step-facts';
import { filledOf, loadsOf, type Work } from '#core/batch/work';
import { targetSaturation, type Moisture } from '#core/mix/moisture';
import { named, none } from '#core/units/message';

/** What holds organic feed waits: common practice, no source. */
const REST_DAYS = 14;

/** What goes into the top or a trench, once the vessels are filled. */
export function strew({ judgement, sheet }: Work): Step[] {
  const { doses, column } = judgement.evaluation;
  return doses.flatMap((d): Step[] =>
    d.layer === undefined || d.gPerL === 0
      ? []
      : [
          {
            id: `strew-${d.amendment.id}`,
            text: stepSays('step.strew', {
              product: named(d.amendment),
              eachGrams: d.gPerL * column.volumeL,
              allGrams: d.gPerL * sheet.litres,
              filled: filledOf(judgement),
              topPct: 100 * d.layer,
            }),
            why: stepSays('step.strew.why', none),
          },
        ],
  );
}

/** What is still wanted once bricks and boiling water have brought theirs. */
export function water({ sheet, moisture, kit }: Work, beforeLitres: number): Step[] {
  const litres = sheet.waterLitres - beforeLitres;
  if (litres < 0.005 * sheet.litres) return [];
  const loads = loadsOf(sheet, kit);
  return [
    {
      id: 'water',
      text: stepSays('step.water', {
        litres,
        ...(loads > 1 && { loads }),
        ...(beforeLitres > 0 && { beforeLitres }),
      }),
      ...(loads > 1 && { times: loads }),
      why: stepSays('step.water.why', { pct: targetSaturation[moisture] * 100 }),
    },
  ];
}

export function squeeze(moisture: Moisture): Step {
  const block = moisture === 'block';
  return {
    id: 'squeeze',
    test: 'squeeze',
    text: stepSays('step.squeeze', { block }),
    why: stepSays('step.squeeze.why', { block }),
  };
}

export function drainTest({ judgement }: Work): Step[] {
  if (filledOf(judgement) === 'block') return [];
  return [
    {
      id: 'drain-test',
      test: 'drain',
      text: stepSays('step.drain-test', none),
      why: stepSays('step.drain-test.why', none),
    },
  ];
}

export function rest({ given, judgement }: Work): Step[] {
  if (!given.some((d) => d.amendment.kind === 'organic')) return [];
  return [
    {
      id: 'rest',
      text: stepSays('step.rest', { stage: judgement.input.stage }),
      why: stepSays('step.rest.why', none),
      waitDays: REST_DAYS,
    },
  ];
}

export function fill({ judgement, kit }: Work): Step {
  const firmingPct = Math.round(judgement.evaluation.composition.compaction * 100);
  return filledOf(judgement) === 'block'
    ? { id: 'fill', text: stepSays('step.fill-block', { firmingPct, breakPct: kit.breakPct ?? 0 }) }
    : {
        id: 'fill',
        text: stepSays('step.fill', { firmingPct }),
        why: stepSays('step.fill.why', { firmingPct }),
      };
}

export function topUpLater({ topUp }: Work): Step[] {
  if (!topUp) return [];
  return [
    { id: 'top-up', text: stepSays('step.top-up', { ...topUp }), why: stepSays('step.top-up.why', none) },
  ];
}

/** Each day has a box of its own: a tick on the seventh leaves the fourteenth. */
export function reTests({ given }: Work): Step[] {
  if (!given.some((d) => d.amendment.kind === 'lime')) return [];
  return [
    {
      id: 're-test',
      test: 'ph',
      waitDays: 7,
      text: stepSays('step.re-test', { day: 7 }),
      why: stepSays('step.re-test.why', none),
    },
    { id: 're-test-14', test: 'ph', waitDays: 14, text: stepSays('step.re-test', { day: 14 }) },
  ];
}

export function wash({ parts }: Work): Step[] {
  if (!parts.some((p) => p.material.role === 'food')) return [];
  return [{ id: 'wash', text: stepSays('step.wash', none), caution: stepSays('step.wash.caution', none) }];
}
