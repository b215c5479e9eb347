/**
 * How many internal units (L, g, mm) are in one of the named unit. All but the metric spoons are exact by
 * definition: international yard and pound agreement of 1959; US liquid gallon of 231 cubic inches.
 * Metric spoons are 5 and 15 mL: common practice, no source.
 */
export const litresIn = {
  litre: 1,
  millilitre: 0.001,
  metricTeaspoon: 0.005,
  metricTablespoon: 0.015,
  teaspoon: 0.00492892159375,
  tablespoon: 0.01478676478125,
  fluidOunce: 0.0295735295625,
  cup: 0.2365882365,
  quart: 0.946352946,
  gallon: 3.785411784,
  cubicInch: 0.016387064,
  cubicFoot: 28.316846592,
  bushel: 35.23907016688,
  cubicYard: 764.554857984,
} as const;

export const gramsIn = { gram: 1, kilogram: 1000, ounce: 28.349523125, pound: 453.59237 } as const;

export const millimetresIn = { millimetre: 1, centimetre: 10, inch: 25.4, foot: 304.8 } as const;

/** 1 lb/yd³ in g/L (about 0.593), the unit in which many published mixes give lime and feed. */
export const gPerLInPoundPerCubicYard = gramsIn.pound / litresIn.cubicYard;

export const celsiusFromFahrenheit = (f: number): number => ((f - 32) * 5) / 9;
export const fahrenheitFromCelsius = (c: number): number => (c * 9) / 5 + 32;
