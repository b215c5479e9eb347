/** How a mix is heated through: each way has its own steps and its own dangers. */
export const heats = ['none', 'boiling', 'oven', 'steam'] as const;
export type Heat = (typeof heats)[number];

/** How a material comes, where it is not as it usually is. */
export const dampnesses = ['usual', 'dry', 'damp', 'wet', 'bricks'] as const;
export type Dampness = (typeof dampnesses)[number];

/** What the maker works with. */
export interface Kit {
  /** Largest loose volume turned at once, L. */
  tubLitres: number;
  /** Most that one person should lift, kg. */
  liftKg: number;
  kettleLitres: number;
  /** How the mix is heated through before use. */
  heat: Heat;
  /** Share of the heat of boiling water that tub and air take, %; `usualHeatLossPct` where nobody measured it. */
  heatLossPct?: number | undefined;
  /** Blocks that break before they are sown or set out, %; left out where nobody counted. */
  breakPct?: number | undefined;
  /** How each material comes, by its id: asked when a batch is begun. Who is not in it was not asked about. */
  comes?: Record<string, Dampness> | undefined;
}

/** Common practice, no source. */
export const usualHeatLossPct = 15;

/** Common practice, no source. */
export const usualKit: Kit = { tubLitres: 60, liftKg: 20, kettleLitres: 1.7, heat: 'none' };
