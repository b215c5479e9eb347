/** How a mix is heated through: each way has its own steps and its own dangers. */
export const heats = ['none', 'boiling', 'oven', 'steam'] as const;
export type Heat = (typeof heats)[number];

/** What the maker works with. */
export interface Kit {
  /** Largest loose volume turned at once, L. */
  tubLitres: number;
  /** Most that one person should lift, kg. */
  liftKg: number;
  kettleLitres: number;
  /** How the mix is heated through before use. */
  heat: Heat;
}

/** Common practice, no source. */
export const usualKit: Kit = { tubLitres: 60, liftKg: 20, kettleLitres: 1.7, heat: 'none' };
