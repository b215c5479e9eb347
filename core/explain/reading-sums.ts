import { type ReadingId } from '#core/judge/readings';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { bufferOnTheWay, type Dose, givenBy, limedMeqPerL, phAfter } from '#core/mix/ph';
import { weightInBlock } from '#core/material/families';
import { overSizeShare } from '#core/material/over-size';
import { pieceLimitMm } from '#core/vessel/piece-limit';
import { fillDepthMm } from '#core/vessel/vessel';
import { type Evaluation } from '#core/mix/evaluate';
import { mixEcMSPerCm } from '#core/mix/salts';
import { COMPUTED, LIBRARY, lostInMixing, pressed, term, type SumOf, type Term } from '#core/explain/sum';
import { originSays as from, termSays as t } from '#core/explain/sum-facts';
import { named, none } from '#core/units/message';

/** Where the first air goes in, of the parts that have such a suction. */
const airEntries = (e: Evaluation): Term[] =>
  e.composition.parts
    .filter((p) => p.material.airEntryCm > 0)
    .map((p) =>
      term(t('term.air-entry', { material: named(p.material) }), p.material.airEntryCm, 'suction', LIBRARY),
    );

/** How each reading is computed. */
export const readingSums: Record<ReadingId, SumOf> = {
  air: (input, e) => {
    const pores = term(
      t('term.pores', none),
      e.composition.totalPorosity * 100,
      'pct',
      from('from.parts', none),
    );
    const water = term(
      t('term.water-held', { depthMm: fillDepthMm(input.vessel) }),
      e.drained.water * 100,
      'pct',
      from('from.curves', none),
    );
    return {
      kind: 'pct',
      terms: [pores, water, lostInMixing(input, e), pressed(e), ...airEntries(e)],
      result: Math.max(0, pores.value - water.value),
    };
  },
  airAfterDrydown: (_input, e) => {
    const air = term(t('term.air-drained', none), e.drained.air * 100, 'pct', COMPUTED);
    const easy = term(
      t('term.easy-water', none),
      e.easilyAvailableWater * 100,
      'pct',
      from('from.suctions', none),
    );
    return {
      kind: 'pct',
      terms: [air, easy, pressed(e)],
      result: Math.min(e.composition.totalPorosity * 100, air.value + easy.value / 2),
    };
  },
  cohesion: (_input, e) => {
    const counted = e.composition.parts.map((p, i) => e.composition.shares[i]! * weightInBlock(p.material));
    const all = counted.reduce((sum, each) => sum + each, 0);
    const weights = counted.map((each) => each / all);
    const terms = e.composition.parts.map((p, i) =>
      term(
        t('term.material-share', { material: named(p.material), pct: weights[i]! * 100 }),
        p.material.cohesion,
        'plain',
        LIBRARY,
      ),
    );
    return {
      kind: 'plain',
      terms,
      result: terms.reduce((sum, t, i) => sum + t.value * weights[i]!, 0),
    };
  },
  ph: (input, e) => {
    const after = phAfter(e.acidity, givenBy(e.doses));
    const before = term(
      t('term.ph-before', none),
      e.acidity.phBeforeLime,
      'ph',
      from(input.measured?.jar ? 'from.jar-test' : 'from.buffer-mean', none),
    );
    const buffer = term(
      t('term.buffer', none),
      bufferOnTheWay(e.acidity, after),
      'meqPerLPerPh',
      input.measured?.jar ? from('from.jar-test', none) : LIBRARY,
    );
    const limes = e.doses.filter((d) => d.gPerL > 0 && neutralisingMeqPerG(d.amendment) > 0);
    const meq = term(t('term.neutralised', none), limedMeqPerL(e.doses), 'meqPerL', from('from.grams', none));
    const used = buffer.value * (after - before.value);
    const free = e.acidity.carbonateMeqPerL;
    const acting =
      meq.value > 0 && free <= 0 && buffer.value > 0
        ? [term(t('term.lime-acting', none), (100 * used) / meq.value, 'pct', from('from.lime-share', none))]
        : [];
    return {
      kind: 'ph',
      terms: [
        before,
        buffer,
        meq,
        ...acting,
        ...(e.acidity.carbonateMeqPerL > 0
          ? [
              term(
                t('term.free-lime', { ph: e.acidity.carbonatePh }),
                e.acidity.carbonateMeqPerL,
                'meqPerL',
                LIBRARY,
              ),
            ]
          : []),
        ...limes.map((d) =>
          term(
            t('term.product', { product: named(d.amendment) }),
            d.gPerL,
            'dose',
            from('from.per-gram', { meqPerG: neutralisingMeqPerG(d.amendment) }),
          ),
        ),
      ],
      result: after,
    };
  },
  ecSaturated: (_input, e) => {
    const { composition } = e;
    const dissolved = ({ amendment: a, gPerL }: Dose): number =>
      a.solubilityGPerL > 0 ? Math.min(gPerL, a.solubilityGPerL * composition.totalPorosity) : gPerL;
    const terms = [
      ...composition.parts.map((p, i) =>
        term(
          t('term.material', { material: named(p.material) }),
          composition.densification * composition.shares[i]! * p.material.saltsMeqPerL,
          'meqPerL',
          LIBRARY,
        ),
      ),
      ...e.doses
        .filter((d) => d.gPerL * d.amendment.solubleSaltsMeqPerG > 0)
        .map((d) =>
          term(
            t('term.product', { product: named(d.amendment) }),
            dissolved(d) * d.amendment.solubleSaltsMeqPerG,
            'meqPerL',
            dissolved(d) < d.gPerL
              ? from('from.dissolves', { dissolvedGPerL: dissolved(d), gPerL: d.gPerL })
              : from('from.dose', { gPerL: d.gPerL }),
          ),
        ),
    ];
    return {
      kind: 'ec',
      terms: [...terms, term(t('term.pores', none), composition.totalPorosity * 100, 'pct', COMPUTED)],
      result: mixEcMSPerCm(composition, e.doses, composition.totalPorosity),
    };
  },
  n: (_input, e) => {
    const { composition } = e;
    const terms = [
      ...composition.parts
        .map((p, i) =>
          term(
            t('term.material', { material: named(p.material) }),
            composition.densification * composition.shares[i]! * p.material.availableNMgPerL,
            'strength',
            LIBRARY,
          ),
        )
        .filter((t) => t.value > 0),
      ...e.doses
        .filter(
          (d) =>
            (d.amendment.kind === 'salt' || d.amendment.kind === 'lime') && d.gPerL * d.amendment.nPct > 0,
        )
        .map((d) =>
          term(
            t('term.product', { product: named(d.amendment) }),
            d.gPerL * d.amendment.nPct * 10,
            'strength',
            from('from.dose-share', { gPerL: d.gPerL, pct: d.amendment.nPct }),
          ),
        ),
    ];
    if (e.drawdownMgNPerL > 0)
      terms.push(term(t('term.drawdown', none), -e.drawdownMgNPerL, 'strength', LIBRARY));
    return {
      kind: 'strength',
      terms,
      result: Math.max(
        0,
        terms.reduce((sum, t) => sum + t.value, 0),
      ),
    };
  },
  overSize: (input, e) => {
    const mostMm = pieceLimitMm(input.vessel);
    const terms = e.composition.parts.map((p, i) =>
      term(
        t('term.material', { material: named(p.material) }),
        100 * e.composition.shares[i]! * overSizeShare(p.material, mostMm),
        'pct',
        from('from.over-size', {
          mostMm,
          usualMm: p.material.particleMm,
          largestMm: p.material.maxParticleMm,
        }),
      ),
    );
    return { kind: 'pct', terms, result: terms.reduce((sum, { value }) => sum + value, 0) };
  },
};
