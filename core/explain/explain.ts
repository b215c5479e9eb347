import { targetSaturation, usualMoisture } from '#core/mix/moisture';
import { type Judgement } from '#core/judge/judge';
import { type ReadingId } from '#core/judge/readings';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';
import { CARBONATE_CEILING_PH, limedMeqPerL } from '#core/mix/ph';
import { fixed } from '#core/units/show';
import { fillDepthMm } from '#core/vessel/vessel';

/** One number that goes into a sum, and where it is from. */
export interface Term {
  name: string;
  value: number;
  unit: string;
  from: string;
}

/** What moves a reading, as found by moving it and computing again. */
export interface Mover {
  what: string;
  by: number;
}

/** Computed numbers beside the readings that can say where they come from. */
export const amountIds = ['limeDose', 'scooped', 'waterToAdd', 'wetWeight'] as const;
export type AmountId = (typeof amountIds)[number];
export type ExplainedId = ReadingId | AmountId;

/** Where a number comes from: the sum in plain words, its inputs, its source, and what would change it most. */
export interface Explanation {
  id: ExplainedId;
  how: string;
  terms: Term[];
  /** The sum done again from the terms above. */
  result: number;
  source: string;
  limits: string;
  movers: Mover[];
}

const LIBRARY = 'material table';
const COMPUTED = 'computed';

interface Sum {
  how: string;
  terms: Term[];
  result: number;
  source: string;
  limits: string;
}

const term = (name: string, value: number, unit: string, from: string): Term => ({ name, value, unit, from });

const sums: Record<ExplainedId, (input: MixInput, e: Evaluation) => Sum> = {
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
        term('firmed by', e.composition.compaction * 100, '%', 'the recipe'),
      ],
      result: Math.max(0, pores.value - water.value),
      source: 'van Genuchten 1980; idea after Fonteno 1989 and Milks et al. 1989',
      limits: 'No mat below, no roots yet, typical curves for each material.',
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
      terms: [air, easy],
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
      e.acidity.bufferMeqPerLPerPh,
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
        ...limes.map((d) =>
          term(
            d.amendment.name,
            d.gPerL,
            'g/L',
            `${fixed(neutralisingMeqPerG(d.amendment), 1)} meq per gram`,
          ),
        ),
      ],
      result: Math.max(before.value, raised),
      source: 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
      limits: 'About ±25 % in the dose until you test your own peat. Lime needs one to two weeks.',
    };
  },
  ecSaturated: (_input, e) => {
    const { composition } = e;
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
            d.gPerL * d.amendment.solubleSaltsMeqPerG,
            'meq/L',
            `${fixed(d.gPerL, 2)} g/L`,
          ),
        ),
    ];
    return {
      how: 'All soluble cations, dissolved in water that fills every pore; ten meq per litre read about 1 mS/cm.',
      terms: [...terms, term('pores', composition.totalPorosity * 100, '%', COMPUTED)],
      result: terms.reduce((sum, t) => sum + t.value, 0) / composition.totalPorosity / 10,
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
    return {
      how: 'Nitrogen that the materials hold ready, and that of the soluble feeds. Slow feeds count nothing on the first day.',
      terms,
      result: terms.reduce((sum, t) => sum + t.value, 0),
      source: 'labels; material table',
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
  limeDose: (input, e) => {
    const target = input.limeToPh;
    const strength = target ? neutralisingMeqPerG(target.amendment) : 0;
    const aim = term('pH wanted', target?.ph ?? e.acidity.phBeforeLime, '', 'the recipe');
    const before = term('pH of the parts', e.acidity.phBeforeLime, '', 'buffer-weighted mean');
    const buffer = term(
      'buffer',
      e.acidity.bufferMeqPerLPerPh,
      'meq/L per pH',
      input.measured?.jar ? 'your jar test' : LIBRARY,
    );
    const others = term('done by other doses', limedMeqPerL(input.amendments), 'meq/L', COMPUTED);
    const need = buffer.value * (aim.value - before.value) - others.value;
    return {
      how: 'Acid to neutralise on the way to the pH wanted, divided by the strength of a gram of this lime.',
      terms: [
        aim,
        before,
        buffer,
        others,
        term('strength of the lime', strength, 'meq/g', 'calcium carbonate equivalent × fineness'),
      ],
      result: strength > 0 ? Math.max(0, need / strength) : 0,
      source: 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
      limits: 'g per litre of finished mix, ±25 % until you test your own peat.',
    };
  },
  scooped: (input, e) => {
    const lost = term(
      'lost in mixing',
      e.composition.shrinkage * 100,
      '%',
      input.measured?.shrinkage === undefined ? 'de Larrard 1999' : 'your yield test',
    );
    const firmed = term('firmed by', e.composition.compaction * 100, '%', 'the recipe');
    return {
      how: 'Loose litres to scoop for each litre in the vessels: what mixing and firming take has to go in as well.',
      terms: [lost, firmed],
      result: 1 / ((1 - lost.value / 100) * (1 - firmed.value / 100)),
      source: 'compressible packing model: de Larrard 1999',
      limits: 'Made for grains; for fibrous stuff an estimate, until you measure your own yield.',
    };
  },
  waterToAdd: (input, e) => {
    const moisture = usualMoisture(input.vessel);
    const pores = term('pores', e.composition.totalPorosity * 100, '%', COMPUTED);
    const target = term(
      'pores to fill with water',
      targetSaturation[moisture] * 100,
      '%',
      'common practice, no source',
    );
    const brought = term(
      'water the materials bring',
      e.composition.waterAsBought * 100,
      '% of volume',
      'moisture as bought, material table',
    );
    return {
      how: 'Water that is wanted, less what the materials bring along, per litre of finished mix.',
      terms: [pores, target, brought],
      result: Math.max(0, (pores.value * target.value) / 1e4 - brought.value / 100),
      source: 'volumes; moisture as bought from the material table',
      limits: 'Bales dry out: squeeze a handful and stop when it feels right.',
    };
  },
  wetWeight: (_input, e) => {
    const volume = term('volume', e.column.volumeL, 'L', 'the vessel');
    const dry = term('dry matter', e.composition.dryBulkDensityGPerL, 'g/L', LIBRARY);
    const water = term('water when drained', e.drained.water * 1000, 'g/L', COMPUTED);
    return {
      how: 'Dry matter and drained water in one of these vessels.',
      terms: [volume, dry, water],
      result: volume.value * (dry.value + water.value),
      source: 'EN 13041 for the method of the parts',
      limits: 'Without vessel, plant and label.',
    };
  },
};

/** Explains a number. Movers are found by computing the recipe again with one thing changed. */
export function explain({ input, evaluation }: Judgement, id: ExplainedId): Explanation {
  return { id, ...sums[id](input, evaluation), movers: moversOf(input, id) };
}

const MOST_MOVERS = 3;

function moversOf(input: MixInput, id: ExplainedId): Mover[] {
  const read = (changed: MixInput): number | null => {
    try {
      return sums[id](changed, evaluateMix(changed)).result;
    } catch {
      return null;
    }
  };
  const start = read(input);
  if (start === null) return [];
  return variations(input)
    .flatMap(({ what, changed }) => {
      const value = read(changed);
      return value === null || Math.abs(value - start) < 1e-9 ? [] : [{ what, by: value - start }];
    })
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, MOST_MOVERS);
}

function variations(input: MixInput): { what: string; changed: MixInput }[] {
  const parts = input.components.map((c, i) => ({
    what: `one part more of ${c.material.name}`,
    changed: {
      ...input,
      components: input.components.map((o, j) => (i === j ? { ...o, parts: o.parts + 1 } : o)),
    },
  }));
  const doses = input.amendments.map((d, i) => ({
    what: `a tenth more ${d.amendment.name.toLowerCase()}`,
    changed: {
      ...input,
      amendments: input.amendments.map((o, j) => (i === j ? { ...o, gPerL: o.gPerL * 1.1 } : o)),
    },
  }));
  const lime = input.limeToPh && {
    what: 'liming 0.2 pH higher',
    changed: { ...input, limeToPh: { ...input.limeToPh, ph: Math.min(8, input.limeToPh.ph + 0.2) } },
  };
  const firmer = {
    what: 'firming by 5 points more',
    changed: { ...input, compaction: Math.min(0.5, input.compaction + 0.05) },
  };
  const deeper = {
    what: 'a vessel 10 mm deeper',
    changed: { ...input, vessel: { ...input.vessel, depthMm: input.vessel.depthMm + 10 } },
  };
  return [...parts, ...doses, ...(lime ? [lime] : []), firmer, deeper];
}
