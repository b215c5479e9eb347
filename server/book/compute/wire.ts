import { twoBeforeOne } from '#core/finder/compare';
import { conflictOf, formulated, type FinderJob } from '#core/finder/formulate';
import { type SearchResult } from '#core/finder/search';
import { type FastEvaluation } from '#core/finder/fast-evaluation';
import { airFirmed, besides } from '#core/judge/beside';
import { type Judgement } from '#core/judge/judge';
import { readOut } from '#core/units/said';
import { type Reader } from '#words/reader';

/** The answer of `/api/evaluate`: percentages at the edge, fractions inside. */
export function evaluationToWire({ input, evaluation: e, readings, flags }: Judgement, { units }: Reader) {
  const pct = (fraction: number): number => fraction * 100;
  const firmed = airFirmed(input);
  return {
    mix: {
      mixingShrinkagePct: pct(e.composition.shrinkage),
      dryBulkDensityGPerL: e.composition.dryBulkDensityGPerL,
      totalPorosityPct: pct(e.composition.totalPorosity),
      waterAt10CmPct: pct(e.waterAt10Cm),
      airAt10CmPct: pct(e.airAt10Cm),
      easilyAvailableWaterPct: pct(e.easilyAvailableWater),
      bufferMeqPerLPerPh: e.acidity.bufferMeqPerLPerPh,
      phBeforeLime: e.acidity.phBeforeLime,
      ph: e.ph,
      saltsMeqPerL: e.saltsMeqPerL,
      ecSaturatedMSPerCm: e.ecSaturatedMSPerCm,
      ec1to2MSPerCm: e.ec1to2MSPerCm,
      ecDisplacedMSPerCm: e.ecDisplacedMSPerCm,
      elementsMgPerL: e.elementsMgPerL,
      largestParticleMm: e.largestParticleMm,
      cohesion: e.cohesion,
      peatPct: pct(e.peat),
    },
    vessel: {
      volumeMl: e.column.volumeL * 1000,
      waterPct: pct(e.drained.water),
      airPct: pct(e.drained.air),
      airAfterDrydownPct: pct(e.airAfterDrydown),
      wetWeightG: e.wetWeightG,
      availableWaterMl: e.availableWaterMl,
      airPctFirmed: { loose: pct(firmed.loose), firmer: pct(firmed.firmer) },
    },
    lime: e.lime && { amendment: e.lime.amendment.id, gPerL: e.lime.gPerL },
    readings: [
      ...readings.map(({ id, value, unit, low, high, verdict, byWater }) => ({
        ...{ id, value, unit, verdict },
        // Nothing holds this pH: it has no window.
        ...(byWater ? { low: null, high: null } : { low, high }),
      })),
      ...besides(input, e),
    ],
    flags: flags.map(({ code, severity, text, remedy }) => ({
      code,
      severity,
      text: readOut(text, units),
      remedy: readOut(remedy, units),
    })),
  };
}

/** The answer of `/api/formulate`. */
export function formulateToWire(job: FinderJob, fast: FastEvaluation, result: SearchResult, reader: Reader) {
  const conflict = conflictOf(fast, result);
  const ids = job.shelved.map((s) => s.material.id);
  const found = result.best.map(({ parts }) => formulated(job, fast, parts));
  const ranked = job.like ? found : twoBeforeOne(found, (each) => ({ found: each, odds: null }));
  return {
    tried: result.tried,
    commonDivisor: result.commonDivisor,
    overLimits: result.overLimits,
    noPores: result.noPores,
    feasible: result.feasible,
    recipes: ranked.map((f) => ({
      parts: f.parts,
      score: f.score,
      costPerL: f.costPerL,
      lime: f.lime && { amendment: f.lime.amendment.id, gPerL: f.lime.gPerL },
      amendments: f.doses.map((d) => ({ amendment: d.amendment.id, gPerL: d.gPerL })),
      evaluation: evaluationToWire(f.judgement, reader),
    })),
    conflict: conflict && {
      ...conflict,
      nearest: conflict.nearest && {
        reading: conflict.nearest.id,
        value: conflict.nearest.value,
        parts: Object.fromEntries(
          ids.flatMap((id, i) => (conflict.nearest!.parts[i] ? [[id, conflict.nearest!.parts[i]]] : [])),
        ),
      },
    },
  };
}
