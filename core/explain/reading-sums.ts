import { type ReadingId } from '#core/judge/readings';
import { neutralisingMeqPerG } from '#core/material/amendment';
import {
  bufferOnTheWay,
  CARBONATE_CEILING_PH,
  type Dose,
  limedMeqPerL,
  phAfter,
  uncappedPh,
} from '#core/mix/ph';
import { fixed } from '#core/units/show';
import { fillDepthMm } from '#core/vessel/vessel';
import { type Evaluation } from '#core/mix/evaluate';
import { mixEcMSPerCm } from '#core/mix/salts';
import { COMPUTED, LIBRARY, term, type SumOf, type Term } from '#core/explain/sum';

/** Where the first air goes in, of the parts that have such a suction. */
const airEntries = (e: Evaluation): Term[] =>
  e.composition.parts
    .filter((p) => p.material.airEntryCm > 0)
    .map((p) => term(`${p.material.name}: full up to a pull of`, p.material.airEntryCm, 'cm', LIBRARY));

/** How each reading is reckoned. */
export const readingSums: Record<ReadingId, SumOf> = {
  air: (input, e) => {
    const pores = term('pores', e.composition.totalPorosity * 100, '%', 'parts, shrinkage and firming');
    const water = term(
      `water held over ${fixed(fillDepthMm(input.vessel), 0)} mm of depth`,
      e.drained.water * 100,
      '%',
      'retention curves, height by height',
    );
    return {
      how: 'All pores, less the water that stays after draining. Low down the pull is weak, so the foot holds most.',
      terms: [
        pores,
        water,
        term(
          'lost in mixing',
          e.composition.shrinkage * 100,
          '%',
          input.measured?.shrinkage === undefined ? 'de Larrard 1999' : 'your yield test',
        ),
        term('firmed by', e.composition.compaction * 100, '%', 'the recipe; pressing narrows the gaps'),
        ...airEntries(e),
      ],
      result: Math.max(0, pores.value - water.value),
      source:
        'van Genuchten 1980; air entry after Vogel et al. 2001; pressing after Assouline 2006; idea after Fonteno 1989 and Milks et al. 1989 (from memory)',
      limits:
        'No mat below, no roots yet, typical curves. Where the first air goes in is known to half at best, firming by hand to four points.',
    };
  },
  airAfterDrydown: (_input, e) => {
    const air = term('air when drained', e.drained.air * 100, '%', COMPUTED);
    const easy = term(
      'easily available water',
      e.easilyAvailableWater * 100,
      '%',
      'water at 10 cm less water at 50 cm',
    );
    return {
      how: 'Air when drained, and half of the easily available water gone.',
      terms: [
        air,
        easy,
        term('firmed by', e.composition.compaction * 100, '%', 'the recipe; pressing narrows the gaps'),
      ],
      result: Math.min(e.composition.totalPorosity * 100, air.value + easy.value / 2),
      source: 'De Boodt & Verdonck’s suctions (from memory)',
      limits: 'A pressed block starts near saturation; this is how it stands half a day later.',
    };
  },
  cohesion: (_input, e) => {
    const terms = e.composition.parts.map((p, i) =>
      term(p.material.name, p.material.cohesion, `× ${fixed(e.composition.shares[i]! * 100, 0)} %`, LIBRARY),
    );
    return {
      how: 'Binding of each material, by its share of the parts.',
      terms,
      result: terms.reduce((sum, t, i) => sum + t.value * e.composition.shares[i]!, 0),
      source: 'common practice, no source',
      limits: 'A judgement on a scale from 0 to 1; a pressed block tells you more.',
    };
  },
  ph: (input, e) => {
    const before = term(
      'pH of the parts',
      e.acidity.phBeforeLime,
      '',
      input.measured?.jar ? 'your jar test' : 'buffer-weighted mean, material table',
    );
    const buffer = term(
      'buffer',
      bufferOnTheWay(e.acidity, uncappedPh(e.acidity, limedMeqPerL(e.doses))),
      'meq/L per pH',
      input.measured?.jar ? 'your jar test' : LIBRARY,
    );
    const limes = e.doses.filter((d) => d.gPerL > 0 && neutralisingMeqPerG(d.amendment) > 0);
    const meq = term('acid neutralised', limedMeqPerL(e.doses), 'meq/L', 'grams × strength × fineness');
    const raised =
      meq.value > 0
        ? Math.min(
            CARBONATE_CEILING_PH,
            buffer.value > 0 ? before.value + meq.value / buffer.value : Infinity,
          )
        : before.value;
    return {
      how: 'pH of the parts, lifted by the acid that the lime neutralises, divided by the buffer.',
      terms: [
        before,
        buffer,
        meq,
        ...(e.acidity.carbonateMeqPerL > 0
          ? [
              term(
                `free lime in composts, acting up to pH ${fixed(e.acidity.carbonatePh, 1)}`,
                e.acidity.carbonateMeqPerL,
                'meq/L',
                LIBRARY,
              ),
            ]
          : []),
        ...limes.map((d) =>
          term(
            d.amendment.name,
            d.gPerL,
            'g/L',
            `${fixed(neutralisingMeqPerG(d.amendment), 1)} meq per gram`,
          ),
        ),
      ],
      result:
        e.acidity.carbonateMeqPerL > 0
          ? phAfter(e.acidity, limedMeqPerL(e.doses))
          : Math.max(before.value, raised),
      source: 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
      limits: 'About ±25 % in the dose until you test your own peat. Lime needs one to two weeks.',
    };
  },
  ecSaturated: (_input, e) => {
    const { composition } = e;
    const dissolved = ({ amendment: a, gPerL }: Dose): number =>
      a.solubilityGPerL > 0 ? Math.min(gPerL, a.solubilityGPerL * composition.totalPorosity) : gPerL;
    const terms = [
      ...composition.parts.map((p, i) =>
        term(
          p.material.name,
          composition.densification * composition.shares[i]! * p.material.saltsMeqPerL,
          'meq/L',
          LIBRARY,
        ),
      ),
      ...e.doses
        .filter((d) => d.gPerL * d.amendment.solubleSaltsMeqPerG > 0)
        .map((d) =>
          term(
            d.amendment.name,
            dissolved(d) * d.amendment.solubleSaltsMeqPerG,
            'meq/L',
            dissolved(d) < d.gPerL
              ? `${fixed(dissolved(d), 2)} of ${fixed(d.gPerL, 2)} g/L dissolves`
              : `${fixed(d.gPerL, 2)} g/L`,
          ),
        ),
    ];
    return {
      how: 'All soluble cations, dissolved in water that fills every pore; ten meq per litre read about 1 mS/cm, strong gypsum water a fifth less.',
      terms: [...terms, term('pores', composition.totalPorosity * 100, '%', COMPUTED)],
      result: mixEcMSPerCm(composition, e.doses, composition.totalPorosity),
      source: 'Sonneveld & Voogt 2009 (from memory); EN 13037, EN 13038 for the methods',
      limits: 'Salts of compost, castings and coir differ from lot to lot: pen-test them.',
    };
  },
  n: (_input, e) => {
    const { composition } = e;
    const terms = [
      ...composition.parts
        .map((p, i) =>
          term(
            p.material.name,
            composition.densification * composition.shares[i]! * p.material.availableNMgPerL,
            'mg/L',
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
            d.amendment.name,
            d.gPerL * d.amendment.nPct * 10,
            'mg/L',
            `${fixed(d.gPerL, 2)} g/L × ${d.amendment.nPct} %`,
          ),
        ),
    ];
    if (e.drawdownMgNPerL > 0)
      terms.push(term('taken by wood and bark that rot', -e.drawdownMgNPerL, 'mg/L', LIBRARY));
    return {
      how: 'Nitrogen that the materials hold ready, and that of the soluble feeds. Slow feeds count nothing on the first day.',
      terms,
      result: Math.max(
        0,
        terms.reduce((sum, t) => sum + t.value, 0),
      ),
      source: 'labels; material table; drawdown after Handreck’s index (from memory)',
      limits: 'Organic and coated feeds come later: see when feed runs out.',
    };
  },
  largestParticle: (_input, e) => {
    const terms = e.composition.parts.map((p) =>
      term(p.material.name, p.material.maxParticleMm, 'mm', LIBRARY),
    );
    return {
      how: 'The largest piece of any part, against a quarter of the narrowest side.',
      terms,
      result: Math.max(...terms.map((t) => t.value)),
      source: 'common practice, no source',
      limits: 'Screening changes it.',
    };
  },
};
