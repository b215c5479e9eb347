import { type Judgement } from '#core/judge/judge';
import { readOut } from '#core/units/said';

/** The answer of `/api/evaluate`: percentages at the edge, fractions inside. */
export function evaluationToWire({ evaluation: e, readings, flags }: Judgement) {
  const pct = (fraction: number): number => fraction * 100;
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
    },
    lime: e.lime && { amendment: e.lime.amendment.id, gPerL: e.lime.gPerL },
    readings: readings.map(({ id, value, unit, low, high, verdict }) => ({
      id,
      value,
      unit,
      low,
      high,
      verdict,
    })),
    flags: flags.map(({ code, severity, text, remedy }) => ({
      code,
      severity,
      text: readOut(text, 'metric'),
      remedy: readOut(remedy, 'metric'),
    })),
  };
}
