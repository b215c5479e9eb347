/** What a number is a number of, and its unit: so that it can be said in another system. */
export const kinds = [
  // Percent; a number without a unit; pH; mS/cm.
  ...(['pct', 'plain', 'ph', 'ec'] as const),
  // mg/L; mm; cm of suction; L; g; g/L as it weighs; g/L as it is dosed.
  ...(['strength', 'length', 'suction', 'volume', 'mass', 'density', 'dose'] as const),
  // Charge: to the litre; to the litre and unit of pH; to the gram.
  ...(['meqPerL', 'meqPerLPerPh', 'meqPerG'] as const),
] as const;
export type Kind = (typeof kinds)[number];
