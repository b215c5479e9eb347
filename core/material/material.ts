import { none } from '#core/units/message';
import { allow } from '#core/units/allowed';
import { OutOfRange } from '#core/units/check';
import { type Amendment } from '#core/material/amendment';
import { type Family } from '#core/material/family';

export const roles = ['water', 'air', 'weight', 'food'] as const;
/** What a material is there for. */
export type Role = (typeof roles)[number];

export const makes = ['organic', 'mineral'] as const;
/** What it is made of; decides its heat capacity. */
export type Make = (typeof makes)[number];

/** What is measured in parts. Fractions 0–1; water contents by volume of the loose heap at the suction named. */
export interface Material {
  id: string;
  name: string;
  family: Family;
  role: Role;
  make: Make;
  dryBulkDensityGPerL: number;
  totalPorosity: number;
  waterAt10Cm: number;
  waterAt50Cm: number;
  waterAt100Cm: number;
  /** Suction up to which no pore empties, cm of water; 0 where it is not known. */
  airEntryCm: number;
  /** Characteristic size for packing, and the largest piece, mm. */
  particleMm: number;
  maxParticleMm: number;
  /** Share of the loose heap that is particle envelope, pores inside particles included. */
  packingFraction: number;
  ph: number;
  bufferMeqPerLPerPh: number;
  /** How much the buffer grows for each pH unit below 5.5, as a share of it; 0 where it is one buffer throughout. */
  bufferSlopePerPh: number;
  /** Free lime that is in it already, meq per litre of the loose heap. */
  carbonateMeqPerL: number;
  /** Water as a fraction of the wet weight, as bought. */
  moistureWetBasis: number;
  /** 0 falls apart, 1 binds like clay; parts-weighted in a mix. */
  cohesion: number;
  saltsMeqPerL: number;
  availableNMgPerL: number;
  availablePMgPerL: number;
  availableKMgPerL: number;
  availableCaMgPerL: number;
  availableMgMgPerL: number;
  /** Ammonium of the nitrogen, and sodium and chloride, in the water. */
  nh4NMgPerL: number;
  naMgPerL: number;
  clMgPerL: number;
  /** Nitrogen that it takes up while it rots. */
  drawdownMgNPerL: number;
  peatFree: boolean;
  renewableWithinDecades: boolean;
  dusty: boolean;
  /** Loses its pores when it is pressed. */
  crushes: boolean;
  /** Made by rotting and not heated since: alive with whatever lives in it. */
  living: boolean;
  /** How much wider than usual its figures scatter; 1 for what handbooks say. */
  doubt: number;
  /** Where own tests tell better: how wide the scatter of a figure is, of the usual one; takes the place of `doubt`. */
  sure?: Partial<Record<Learnable, number>> | undefined;
  /** What it is made of where it is a mix; else all or nothing, by what the material is. */
  madeOf?: MadeOf | undefined;
  /** Slow feed that is in it already, g per litre of the loose heap. */
  carries?: Carried[] | undefined;
}

/** Figures that own tests narrow, by what scatters. */
export const learnables = ['density', 'poreSize', 'particle', 'buffer', 'phUnits', 'salts'] as const;
export type Learnable = (typeof learnables)[number];

/** A feed that came in with a material. */
export interface Carried {
  amendment: Amendment;
  gPerL: number;
}

/** Shares of a mix by volume, 0–1. */
export interface MadeOf {
  peat: number;
  coir: number;
  /** Compost, loam and their like. */
  earthy: number;
  /** Loam, sand and grit; rows of before do not have it. */
  gritty?: number | undefined;
}

/** The same as it stands in the table, in files and on the wire: percentages, camelCase column names. */
export type MaterialRow = Omit<
  Material,
  'totalPorosity' | 'waterAt10Cm' | 'waterAt50Cm' | 'waterAt100Cm' | 'moistureWetBasis'
> & {
  totalPorosityPct: number;
  waterAt10CmPct: number;
  waterAt50CmPct: number;
  waterAt100CmPct: number;
  moistureAsBoughtPctWb: number;
};

/** @throws RangeError when the row contradicts itself: more water held at a higher suction, or more than its pores */
export function materialFromRow(row: MaterialRow): Material {
  const {
    totalPorosityPct,
    waterAt10CmPct,
    waterAt50CmPct,
    waterAt100CmPct,
    moistureAsBoughtPctWb,
    ...same
  } = row;
  if (!(
    totalPorosityPct >= waterAt10CmPct &&
    waterAt10CmPct >= waterAt50CmPct &&
    waterAt50CmPct >= waterAt100CmPct &&
    waterAt100CmPct >= 0
  )) {
    throw new OutOfRange(
      `${row.id}: totalPorosityPct, waterAt10CmPct, waterAt50CmPct and waterAt100CmPct`,
      [totalPorosityPct, waterAt10CmPct, waterAt50CmPct, waterAt100CmPct].join(', '),
      allow('allowed.falling-water', none),
    );
  }
  if (row.maxParticleMm < row.particleMm) {
    throw new OutOfRange(
      `${row.id}: maxParticleMm`,
      row.maxParticleMm,
      allow('allowed.number', { low: row.particleMm, high: Infinity }),
    );
  }
  return {
    ...same,
    totalPorosity: totalPorosityPct / 100,
    waterAt10Cm: waterAt10CmPct / 100,
    waterAt50Cm: waterAt50CmPct / 100,
    waterAt100Cm: waterAt100CmPct / 100,
    moistureWetBasis: moistureAsBoughtPctWb / 100,
  };
}

/** The same as it stands in a table. */
export function materialToRow(material: Material): MaterialRow {
  const { totalPorosity, waterAt10Cm, waterAt50Cm, waterAt100Cm, moistureWetBasis, ...same } = material;
  const pct = (fraction: number): number => Number((fraction * 100).toPrecision(12));
  return {
    ...same,
    totalPorosityPct: pct(totalPorosity),
    waterAt10CmPct: pct(waterAt10Cm),
    waterAt50CmPct: pct(waterAt50Cm),
    waterAt100CmPct: pct(waterAt100Cm),
    moistureAsBoughtPctWb: pct(moistureWetBasis),
  };
}

/** Water carried by a litre of the loose material as bought, g/L: ρ w / (1 − w). */
export function waterAsBoughtGPerL(material: Material): number {
  return (material.dryBulkDensityGPerL * material.moistureWetBasis) / (1 - material.moistureWetBasis);
}
