import { allow } from '#core/units/allowed';
import { readingsOf, type Reading, type ReadingId } from '#core/judge/readings';
import { type Learnable, type Material } from '#core/material/material';
import { adoptCurve, retentionOf } from '#core/material/retention';
import { FIRMING_EXPONENT, MOST_COMPACTION } from '#core/mix/composition';
import { evaluateMix, type Measured, type MixInput } from '#core/mix/evaluate';
import { mixingShrinkage } from '#core/mix/packing';
import { type Dose } from '#core/mix/ph';
import { normalAt, streamOf } from '#core/stats/normal';
import { testSpreads, type Spreads } from '#core/spread/spreads';
import { limits } from '#core/units/limits';
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

/**
 * One world per draw: how far each material, scoop, dose and test is off in it. Names decide the scatter, so that
 * all recipes of one draw share it (common random numbers); a scattered material is made once and shared too.
 */
class World {
  private readonly made = new Map<Material, Material>();

  constructor(
    private readonly spreads: Spreads,
    private readonly seed: number,
    private readonly draw: number,
  ) {}

  scatter(key: string): number {
    return normalAt(this.seed, streamFor(key), this.draw);
  }

  relative(key: string, spread: number): number {
    return Math.max(0.1, 1 + spread * this.scatter(key));
  }

  material(typical: Material, jarTested: boolean): Material {
    // A jar test is of one mix; such a material is not shared.
    if (jarTested) return scattered(typical, this.spreads, this, true);
    let material = this.made.get(typical);
    if (!material) this.made.set(typical, (material = scattered(typical, this.spreads, this, false)));
    return material;
  }
}

/** One recipe with what was weighed for it: fixed by the typical figures; the mix it goes into is not typical. */
interface Made {
  input: MixInput;
  nominal: readonly Reading[];
  doses: readonly Dose[];
}

function make(input: MixInput): Made {
  const evaluation = evaluateMix(input);
  return { input, nominal: readingsOf(input, evaluation), doses: evaluation.doses };
}

function checkSpreads(spreads: Spreads): void {
  for (const [name, value] of Object.entries(spreads)) {
    const [low, high] = name === 'firmingExponent' ? limits.exponentSpread : limits.spread;
    checkRange(`spreads.${name}`, value as number, low, high);
  }
}

/** One run of draws, gathered in pieces so that a worker can tell how far it is and be stopped. */
export class Sampler {
  private readonly values = new Map<ReadingId, number[]>();
  private allInside = 0;
  private done = 0;
  private readonly made: Made;

  /** @throws RangeError as evaluateMix */
  constructor(
    input: MixInput,
    private readonly spreads: Spreads,
    private readonly seed: number,
  ) {
    checkSpreads(spreads);
    this.made = make(input);
  }

  draw(count: number): void {
    for (let i = 0; i < count; i++) {
      const readings = readingsIn(new World(this.spreads, this.seed, this.done + i), this.made, this.spreads);
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
    if (this.done === 0)
      throw new OutOfRange('draws', 0, allow('allowed.number', { low: 1, high: Infinity }));
    const bands = this.made.nominal.map((r): Band => {
      const sorted = Float64Array.from(this.values.get(r.id) ?? []).sort();
      const at = (share: number): number =>
        sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
      const inside = sorted.reduce((n, v) => n + (v >= r.low - 1e-9 && v <= r.high + 1e-9 ? 1 : 0), 0);
      return { id: r.id, low: at(0.05), middle: at(0.5), high: at(0.95), inside: inside / sorted.length };
    });
    return { draws: this.done, bands, allInside: this.allInside / this.done };
  }
}

/** The chance that all windows are met, of many recipes at once in the same worlds. */
export class Odds {
  private readonly made: readonly Made[];
  private readonly hits: Float64Array;
  private done = 0;

  /** @throws RangeError as evaluateMix */
  constructor(
    inputs: readonly MixInput[],
    private readonly spreads: Spreads,
    private readonly seed: number,
  ) {
    checkSpreads(spreads);
    this.made = inputs.map(make);
    this.hits = new Float64Array(inputs.length);
  }

  draw(count: number): void {
    for (let i = 0; i < count; i++) {
      const world = new World(this.spreads, this.seed, this.done + i);
      this.made.forEach((made, k) => {
        if (readingsIn(world, made, this.spreads).every((r) => r.verdict === 'ok')) this.hits[k]!++;
      });
    }
    this.done += count;
  }

  /** Share of the draws, in the order of the recipes. */
  result(): number[] {
    if (this.done === 0)
      throw new OutOfRange('draws', 0, allow('allowed.number', { low: 1, high: Infinity }));
    return [...this.hits].map((hits) => hits / this.done);
  }
}

/** The mix as it comes out in one world: with what is in the sacks that day, as it is scooped, weighed and firmed. */
function mixIn(world: World, { input, doses }: Made, spreads: Spreads): MixInput {
  const measured = input.measured ?? {};
  const components = input.components.map(({ material, parts }) => ({
    material: world.material(material, measured.jar !== undefined),
    parts: parts * world.relative(`scoop/${material.id}`, spreads.scoop),
  }));
  const amendments = doses.map(({ amendment, gPerL }) => ({
    gPerL: gPerL * world.relative(`dose/${amendment.id}`, spreads.dose),
    amendment: {
      ...amendment,
      ccePct: amendment.ccePct * world.relative(`strength/${amendment.id}`, spreads.limeStrength),
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
  const shrinkage = Math.min(0.45, Math.max(0, modelled + points * world.scatter('shrinkage')));
  // Nobody firms to the point; what is filled loose is loose.
  const firmed =
    input.compaction > 0
      ? Math.min(
          MOST_COMPACTION,
          Math.max(0, input.compaction + spreads.firmingPoints * world.scatter('firming')),
        )
      : 0;
  const jar = measured.jar && {
    bufferMeqPerLPerPh: measured.jar.bufferMeqPerLPerPh * world.relative('jar/buffer', testSpreads.jarBuffer),
    phBeforeLime: measured.jar.phBeforeLime + testSpreads.jarPhUnits * world.scatter('jar/ph'),
  };
  return {
    stage: input.stage,
    vessel: input.vessel,
    compaction: firmed,
    ...(firmed > 0 && {
      firmingExponent: Math.max(0, FIRMING_EXPONENT + spreads.firmingExponent * world.scatter('exponent')),
    }),
    components,
    amendments,
    measured: { shrinkage, ...(jar && { jar }) },
  };
}

/** The readings of a recipe in one world. */
function readingsIn(world: World, made: Made, spreads: Spreads): Reading[] {
  const { input } = made;
  const evaluation = evaluateMix(mixIn(world, made, spreads));
  const tested: Measured = {
    ecSaturatedMSPerCm: evaluation.ecSaturatedMSPerCm * world.relative('ec/factor', spreads.ecFactor),
    ...testedIn(world, input.measured),
  };
  return readingsOf({ ...input, measured: tested }, evaluation);
}

/** A test of the reading itself leaves only the scatter of the test. */
function testedIn(world: World, { air, ph, ecSaturatedMSPerCm: ec }: Measured = {}): Measured {
  return {
    ...(air !== undefined && {
      air: Math.max(0, air + (testSpreads.airPct / 100) * world.scatter('test/air')),
    }),
    ...(ph !== undefined && { ph: ph + testSpreads.ph * world.scatter('test/ph') }),
    ...(ec !== undefined && { ecSaturatedMSPerCm: ec * world.relative('test/ec', testSpreads.ecRelative) }),
  };
}

const widened = new WeakMap<Spreads, Map<number, Spreads>>();

/** Spreads of a material that is known less well, or better, than usual. */
function doubted(spreads: Spreads, doubt: number): Spreads {
  if (doubt === 1) return spreads;
  let existing = widened.get(spreads);
  if (!existing) widened.set(spreads, (existing = new Map<number, Spreads>()));
  let wide = existing.get(doubt);
  if (!wide) {
    const all = Object.entries(spreads) as [keyof Spreads, number][];
    existing.set(
      doubt,
      (wide = Object.fromEntries(all.map(([name, v]) => [name, v * doubt])) as unknown as Spreads),
    );
  }
  return wide;
}

/** A material a little off its typical figures. Its curve is the typical one, moved: no new fit for each draw. */
function scattered(m: Material, usual: Spreads, world: World, jarTested: boolean): Material {
  const spreads = doubted(usual, m.doubt);
  const of = (name: Learnable): number =>
    m.sure?.[name] === undefined ? spreads[name] : usual[name] * m.sure[name];
  const totalPorosity = Math.min(
    0.99,
    Math.max(0.1, m.totalPorosity + spreads.porosityPoints * world.scatter(`porosity/${m.id}`)),
  );
  const salts = world.relative(`salts/${m.id}`, of('salts'));
  const particle = world.relative(`particle/${m.id}`, of('particle'));
  const other: Material = {
    ...m,
    totalPorosity,
    dryBulkDensityGPerL: m.dryBulkDensityGPerL * world.relative(`density/${m.id}`, of('density')),
    particleMm: m.particleMm * particle,
    bufferMeqPerLPerPh:
      m.bufferMeqPerLPerPh * (jarTested ? 1 : world.relative(`buffer/${m.id}`, of('buffer'))),
    carbonateMeqPerL: m.carbonateMeqPerL
      ? m.carbonateMeqPerL * Math.exp(spreads.carbonate * world.scatter(`carbonate/${m.id}`))
      : 0,
    ph: m.ph + (jarTested ? 0 : of('phUnits') * world.scatter(`ph/${m.id}`)),
    saltsMeqPerL: m.saltsMeqPerL * salts,
    availableNMgPerL: m.availableNMgPerL * salts,
  };
  const curve = retentionOf(m);
  adoptCurve(other, {
    ...curve,
    thetaS: totalPorosity,
    thetaR: Math.min(curve.thetaR, totalPorosity),
    alphaPerCm: curve.alphaPerCm * Math.exp(of('poreSize') * world.scatter(`pores/${m.id}`)),
    airEntryCm: curve.airEntryCm
      ? curve.airEntryCm * Math.exp(spreads.airEntry * world.scatter(`entry/${m.id}`))
      : 0,
  });
  return other;
}

/** The mix of one recipe as it comes out in one world after another: draw n of a seed is always the same. */
export class Worlds {
  private readonly made: Made;

  /** @throws RangeError as evaluateMix */
  constructor(
    input: MixInput,
    private readonly spreads: Spreads,
    private readonly seed: number,
  ) {
    checkSpreads(spreads);
    this.made = make(input);
  }

  /** @param draw from 0 */
  at(draw: number): MixInput {
    const { windows, measured } = this.made.input;
    const world = new World(this.spreads, this.seed, draw);
    const mix = mixIn(world, this.made, this.spreads);
    return {
      ...mix,
      measured: { ...mix.measured, ...testedIn(world, measured) },
      ...(windows && { windows }),
    };
  }
}

/** All draws at once. @param draws 1–200,000 */
export function sampleReadings(input: MixInput, spreads: Spreads, seed: number, draws: number): Sampled {
  checkRange('draws', draws, ...limits.draws);
  const sampler = new Sampler(input, spreads, seed);
  sampler.draw(draws);
  return sampler.result();
}
