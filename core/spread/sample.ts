import { readingsOf, type Reading, type ReadingId } from '#core/judge/readings';
import { type Material } from '#core/material/material';
import { adoptCurve, retentionOf } from '#core/material/retention';
import { evaluateMix, type MixInput } from '#core/mix/evaluate';
import { mixingShrinkage } from '#core/mix/packing';
import { type Dose } from '#core/mix/ph';
import { normalAt, streamOf } from '#core/spread/normal';
import { testSpreads, type Spreads } from '#core/spread/spreads';
import { checkRange, OutOfRange } from '#core/units/check';

/** Where a reading is likely to lie: nine in ten between low and high. */
export interface Band {
  id: ReadingId;
  low: number;
  middle: number;
  high: number;
  /** Share of the draws inside the window. */
  inside: number;
}

export interface Sampled {
  draws: number;
  bands: Band[];
  /** Share of the draws in which every window is met at once. */
  allInside: number;
}

const streams = new Map<string, number>();
function streamFor(key: string): number {
  let stream = streams.get(key);
  if (stream === undefined) streams.set(key, (stream = streamOf(key)));
  return stream;
}

/** One run of draws, gathered in pieces so that a worker can tell how far it is and be stopped. */
export class Sampler {
  private readonly values = new Map<ReadingId, number[]>();
  private allInside = 0;
  private done = 0;
  private readonly nominal: Reading[];
  private readonly doses: readonly Dose[];

  /** @throws RangeError as evaluateMix */
  constructor(
    private readonly input: MixInput,
    private readonly spreads: Spreads,
    private readonly seed: number,
  ) {
    for (const [name, value] of Object.entries(spreads)) checkRange(`spreads.${name}`, value as number, 0, 1);
    const evaluation = evaluateMix(input);
    this.nominal = readingsOf(input, evaluation);
    // What is weighed is fixed by the typical figures; the mix it goes into is not typical.
    this.doses = evaluation.doses;
  }

  /** Draws on. Draw number and names decide the scatter, so that two recipes share it (common random numbers). */
  draw(count: number): void {
    for (let i = 0; i < count; i++) {
      const draw = this.done + i;
      const readings = this.readingsAt(draw);
      let all = true;
      for (const r of readings) {
        let list = this.values.get(r.id);
        if (!list) this.values.set(r.id, (list = []));
        list.push(r.value);
        if (r.verdict !== 'ok') all = false;
      }
      if (all) this.allInside++;
    }
    this.done += count;
  }

  result(): Sampled {
    if (this.done === 0) throw new OutOfRange('draws', 0, 'at least 1');
    const bands = this.nominal.map((r): Band => {
      const sorted = Float64Array.from(this.values.get(r.id) ?? []).sort();
      const at = (share: number): number =>
        sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
      const inside = sorted.reduce((n, v) => n + (v >= r.low - 1e-9 && v <= r.high + 1e-9 ? 1 : 0), 0);
      return { id: r.id, low: at(0.05), middle: at(0.5), high: at(0.95), inside: inside / sorted.length };
    });
    return { draws: this.done, bands, allInside: this.allInside / this.done };
  }

  private readingsAt(draw: number): Reading[] {
    const { input, spreads } = this;
    const scatter = (key: string): number => normalAt(this.seed, streamFor(key), draw);
    const relative = (key: string, spread: number): number => Math.max(0.1, 1 + spread * scatter(key));
    const measured = input.measured ?? {};

    const components = input.components.map(({ material, parts }) => ({
      material: scattered(material, spreads, scatter, relative, measured.jar !== undefined),
      parts: parts * relative(`scoop/${material.id}`, spreads.scoop),
    }));
    const amendments = this.doses.map(({ amendment, gPerL }) => ({
      gPerL: gPerL * relative(`dose/${amendment.id}`, spreads.dose),
      amendment: {
        ...amendment,
        ccePct: amendment.ccePct * relative(`strength/${amendment.id}`, spreads.limeStrength),
      },
    }));
    // Size and packing scatter move the model's shrinkage; the rest is what the model does not know.
    const modelled =
      measured.shrinkage ??
      mixingShrinkage(
        components.map((c) => ({
          volume: c.parts,
          packingFraction: c.material.packingFraction,
          particleMm: c.material.particleMm,
        })),
      );
    const points = measured.shrinkage === undefined ? spreads.shrinkagePoints : testSpreads.shrinkagePoints;
    const shrinkage = Math.min(0.45, Math.max(0, modelled + points * scatter('shrinkage')));
    const jar = measured.jar && {
      bufferMeqPerLPerPh: measured.jar.bufferMeqPerLPerPh * relative('jar/buffer', testSpreads.jarBuffer),
      phBeforeLime: measured.jar.phBeforeLime + testSpreads.jarPhUnits * scatter('jar/ph'),
    };
    const evaluation = evaluateMix({
      stage: input.stage,
      vessel: input.vessel,
      compaction: input.compaction,
      components,
      amendments,
      measured: { shrinkage, ...(jar && { jar }) },
    });
    // A test of the reading itself leaves only the scatter of the test.
    const tested = {
      ...(measured.air !== undefined && {
        air: Math.max(0, measured.air + (testSpreads.airPct / 100) * scatter('test/air')),
      }),
      ...(measured.ph !== undefined && { ph: measured.ph + testSpreads.ph * scatter('test/ph') }),
      ecSaturatedMSPerCm:
        measured.ecSaturatedMSPerCm === undefined
          ? evaluation.ecSaturatedMSPerCm * relative('ec/factor', spreads.ecFactor)
          : measured.ecSaturatedMSPerCm * relative('test/ec', testSpreads.ecRelative),
    };
    return readingsOf({ stage: input.stage, vessel: input.vessel, measured: tested }, evaluation);
  }
}

/** A material a little off its typical figures. Its curve is the typical one, moved: no new fit for each draw. */
function scattered(
  m: Material,
  spreads: Spreads,
  scatter: (key: string) => number,
  relative: (key: string, spread: number) => number,
  jarTested: boolean,
): Material {
  const totalPorosity = Math.min(
    0.99,
    Math.max(0.1, m.totalPorosity + spreads.porosityPoints * scatter(`porosity/${m.id}`)),
  );
  const salts = relative(`salts/${m.id}`, spreads.salts);
  const particle = relative(`particle/${m.id}`, spreads.particle);
  const other: Material = {
    ...m,
    totalPorosity,
    dryBulkDensityGPerL: m.dryBulkDensityGPerL * relative(`density/${m.id}`, spreads.density),
    particleMm: m.particleMm * particle,
    bufferMeqPerLPerPh: m.bufferMeqPerLPerPh * (jarTested ? 1 : relative(`buffer/${m.id}`, spreads.buffer)),
    ph: m.ph + (jarTested ? 0 : spreads.phUnits * scatter(`ph/${m.id}`)),
    saltsMeqPerL: m.saltsMeqPerL * salts,
    availableNMgPerL: m.availableNMgPerL * salts,
  };
  const curve = retentionOf(m);
  adoptCurve(other, {
    ...curve,
    thetaS: totalPorosity,
    thetaR: Math.min(curve.thetaR, totalPorosity),
    alphaPerCm: curve.alphaPerCm * Math.exp(spreads.poreSize * scatter(`pores/${m.id}`)),
  });
  return other;
}

/** All draws at once. @param draws 1–200,000 */
export function sampleReadings(input: MixInput, spreads: Spreads, seed: number, draws: number): Sampled {
  checkRange('draws', draws, 1, 200_000);
  const sampler = new Sampler(input, spreads, seed);
  sampler.draw(draws);
  return sampler.result();
}
