import { wilson } from '#core/stats/counts';
import { type Crop, type CropStep } from '#core/season/crop';
import { type FrostDates } from '#core/season/frost';

/** One crop of the season: so many plants by a day, once or several times. */
export interface SeasonLine {
  id: number;
  crop: string;
  /** The sort, or what it is for; may be empty. */
  name: string;
  /** Wanted of each sowing. */
  plants: number;
  /** Day of the first planting; null where it hangs on the last frost. */
  plantOn: string | null;
  /** Days from the last frost; null for the crop's own. */
  offsetDays: number | null;
  count: number;
  everyDays: number;
  sparePct: number;
  confidence: number;
  /** Share that comes up, as the bag says; null for the crop's own. */
  germination: number | null;
  /** A test of the grower's own. */
  seedTest: { came: number; of: number } | null;
  /** Year of the seed. */
  seedYear: number | null;
  /** Seeds to a cell, block, pot or flat; null for the crop's own. */
  perCell: number | null;
  /** Another path of vessels than the crop's. */
  steps: CropStep[] | null;
  /** Days by which each sowing is moved, from the first on. */
  shifts: number[];
  note: string;
}

export interface Bench {
  name: string;
  m2: number;
  heated: boolean;
  lights: boolean;
}

export interface SeasonSettings {
  frost: FrostDates;
  benches: Bench[];
  /** Of the mix where seed comes up, °C. */
  soilC: number;
  /** On top of what fits the vessels: what falls beside. */
  spillPct: number;
  /** Way of working whose mixes stand for steps that name none; null for the usual ones. */
  school: string | null;
}

/** Of the bag, each year after the first: common practice, no source. */
const LOST_A_YEAR = 0.1;
/** Two-sided 80 %: what the test came to at worst, nine times in ten. */
const Z80 = 1.2815515655446004;

export interface SeedShare {
  /** What is reckoned with. */
  share: number;
  from: 'crop' | 'bag' | 'test';
  /** Interval of a test. */
  low?: number;
  high?: number;
  /** Years of the seed, where it is old. */
  years: number;
}

/**
 * Share of seed that comes up: by a test of one's own its careful end, else the bag or the crop's usual, a tenth less
 * for each year after the first.
 */
export function seedShare(line: SeasonLine, crop: Crop, year: number): SeedShare {
  const years = line.seedYear === null ? 0 : Math.max(0, year - line.seedYear);
  if (line.seedTest) {
    const { came, of } = line.seedTest;
    const { low, high } = wilson(came, of, Z80);
    return { share: Math.max(0.01, low), from: 'test', low, high, years };
  }
  const whole = line.germination ?? crop.germination;
  const share = Math.max(0.01, whole * (1 - LOST_A_YEAR) ** Math.max(0, years - 1));
  return { share, from: line.germination === null ? 'crop' : 'bag', years };
}
