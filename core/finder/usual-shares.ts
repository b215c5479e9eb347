import { type Family } from '#core/material/family';
import { isBark, isCompost, isFreshBark } from '#core/material/families';
import { type Material } from '#core/material/material';
import { type Stage } from '#core/mix/stage';
import { type EdgeId, type OwnHabits } from '#core/recipe/habits';
import { type None } from '#core/units/message';
import { type Vessel, volumeL } from '#core/vessel/vessel';

/** Why more of it is unusual. */
export const usualReasons = [
  ...([
    'falls-apart',
    'fills-pores',
    'takes-air',
    'crushes',
    'settles',
    'floats',
    'dry',
    'salty-alive',
  ] as const),
  ...([
    'uneven-salty',
    'closes-pores',
    'little-air',
    'takes-n-sinks',
    'holds-seed-back',
    'coarse-takes-n',
  ] as const),
  ...(['heats', 'bark-lasts', 'no-base', 'no-living'] as const),
] as const;
export type UsualReason = (typeof usualReasons)[number];
/** What the screen calls each kind whose share is looked at, and says of too much of it. */
export type UsualFacts = Record<`usual.${EdgeId}` | `usual.why.${UsualReason}`, None>;

/** A soft edge: more of it than this is unusual. Share of the parts, 0–1. */
export interface UsualLimit {
  id: EdgeId;
  counts: (material: Material) => boolean;
  atMost: number;
  reason: UsualReason;
}

const BASES: readonly Family[] = [
  ...(['peat', 'black-peat', 'coir', 'bark', 'wood'] as const),
  ...(['compost', 'castings', 'kitchen-compost', 'leaf-mould', 'loam', 'spent-mix'] as const),
  // Described by its figures alone: nobody can say that it is none.
  'other',
];
/** Cuttings stand in openers with a little base. */
const LEAST_BASE_ROOTING = 0.2;
/** From here on it is sand with something in it. */
const MOST_SAND = 0.5;
/** Cells under this are drowned by a little sand. */
const SMALL_CELL_L = 0.06;
const LARGE_POT_L = 1;

const family =
  (...some: Family[]) =>
  (m: Material): boolean =>
    some.includes(m.family);

const isSand = family('sand', 'grit');

/** The trade's usual shares for a stage in a vessel. Common practice, no source; each with its reason. */
export function usualEdges(
  stage: Stage,
  vessel: Vessel,
  shelf: readonly Material[],
  { edges = {} }: OwnHabits = {},
): UsualLimit[] {
  const block = vessel.shape === 'block';
  const litres = volumeL(vessel);
  const seed = stage === 'germination';
  const edge = (
    id: EdgeId,
    counts: UsualLimit['counts'],
    atMost: number,
    reason: UsualReason,
  ): UsualLimit => ({
    id,
    counts,
    atMost: edges[id] ?? atMost,
    reason,
  });
  const all = [
    block
      ? edge('sand', isSand, 0.15, 'falls-apart')
      : litres < SMALL_CELL_L
        ? edge('sand', isSand, 0.1, 'fills-pores')
        : edge('sand', isSand, 0.25, 'takes-air'),
    edge('vermiculite', family('vermiculite'), block ? 0.25 : 0.5, block ? 'crushes' : 'settles'),
    edge(
      'perlite',
      family('perlite'),
      block ? 0.25 : stage === 'rooting' ? 0.7 : 0.5,
      block ? 'crushes' : 'floats',
    ),
    edge('hulls', family('hulls'), block ? 0.25 : 0.5, 'dry'),
    edge(
      'compost',
      family('compost', 'kitchen-compost'),
      seed ? 0.15 : 0.35,
      seed ? 'salty-alive' : 'uneven-salty',
    ),
    edge('castings', family('castings'), 0.2, 'closes-pores'),
    edge('loam', family('loam'), 0.6, 'little-air'),
    edge('wood', family('wood'), 0.4, 'takes-n-sinks'),
    edge('coffee', family('coffee'), seed ? 0 : 0.1, 'holds-seed-back'),
    edge('mulch', family('mulch'), litres > LARGE_POT_L ? 0.2 : 0, 'coarse-takes-n'),
    edge('fresh-bark', isFreshBark, 0, 'heats'),
    ...(litres > LARGE_POT_L && shelf.some(isBark)
      ? [edge('peat-and-coir', family('peat', 'black-peat', 'coir'), 0.5, 'bark-lasts')]
      : []),
  ];
  return all.filter(({ counts }) => shelf.some(counts));
}

/** Each point of the parts beyond an edge costs a fifth of what the edge of a window does. */
const COST = 20;
/** More than any window: such a recipe ranks last. */
const LAST = 1000;
const TOLERANCE = 1e-9;

/** Usual shares of a shelf, made ready for many recipes. Indices are those of the shelf. */
export class UsualShares {
  readonly edges: readonly UsualLimit[];
  private readonly members: Uint8Array[];
  /** By material: the edges that count it. */
  private readonly edgesOf: Uint8Array[];
  private readonly shares: Float64Array;
  private readonly atMost: Float64Array;
  private readonly sand: Uint8Array;
  /** 0 for a base; else a number for each other kind. */
  private readonly group: Uint8Array;
  private readonly groups: Float64Array;
  private readonly baseNeeded: boolean;
  private readonly living: Uint8Array;
  private readonly livingAtLeast: number;
  private readonly rooting: boolean;

  constructor(stage: Stage, vessel: Vessel, shelf: readonly Material[], habits: OwnHabits = {}) {
    this.edges = usualEdges(stage, vessel, shelf, habits);
    const of = (counts: UsualLimit['counts']): Uint8Array =>
      Uint8Array.from(shelf, (m) => (counts(m) ? 1 : 0));
    this.members = this.edges.map(({ counts }) => of(counts));
    this.edgesOf = shelf.map((_, at) =>
      Uint8Array.from(this.edges.flatMap((_, e) => (this.members[e]![at] === 1 ? [e] : []))),
    );
    this.shares = new Float64Array(this.edges.length);
    this.atMost = Float64Array.from(this.edges, (edge) => edge.atMost);
    this.sand = of(isSand);
    const kinds = [...new Set(shelf.map((m) => m.family).filter((each) => !BASES.includes(each)))];
    this.group = Uint8Array.from(shelf, (m) => kinds.indexOf(m.family) + 1);
    this.groups = new Float64Array(kinds.length + 1);
    this.rooting = stage === 'rooting';
    this.living = of(isCompost);
    this.livingAtLeast = this.living.includes(1) ? (habits.livingAtLeast ?? 0) : 0;
    // With no base on the shelf all are alike: nothing to say.
    this.baseNeeded = habits.noBaseNeeded !== true && this.group.includes(0);
  }

  /** What a recipe's habits add to its score; 0 where nothing is unusual. @param total of the parts */
  cost(members: ArrayLike<number>, parts: ArrayLike<number>, total: number): number {
    const { shares, edgesOf, atMost, group, groups, sand, living } = this;
    shares.fill(0);
    groups.fill(0);
    let sandy = 0;
    let alive = 0;
    for (let i = 0; i < members.length; i++) {
      const at = members[i]!;
      const n = parts[i]!;
      groups[group[at]!]! += n;
      sandy += sand[at]! * n;
      alive += living[at]! * n;
      const counting = edgesOf[at]!;
      // eslint-disable-next-line @typescript-eslint/prefer-for-of -- an iterator for each member is what takes the time here
      for (let k = 0; k < counting.length; k++) shares[counting[k]!]! += n;
    }
    let cost = 0;
    for (let e = 0; e < shares.length; e++) {
      const beyond = shares[e]! - atMost[e]! * total;
      if (beyond > TOLERANCE) cost += (COST * beyond) / total;
    }
    const short = this.livingAtLeast * total - alive;
    if (short > TOLERANCE) cost += (COST * short) / total;
    return this.ledByNone(sandy, total) ? cost + LAST : cost;
  }

  /** Of what was summed last. */
  private ledByNone(sandy: number, total: number): boolean {
    const { groups } = this;
    if (sandy >= (MOST_SAND - TOLERANCE) * total) return true;
    if (!this.baseNeeded) return false;
    const base = groups[0]!;
    if (this.rooting) return base < (LEAST_BASE_ROOTING - TOLERANCE) * total;
    for (let g = 1; g < groups.length; g++) if (groups[g]! > base + TOLERANCE) return true;
    return false;
  }

  /** What is unusual about a recipe. */
  said(members: ArrayLike<number>, parts: ArrayLike<number>): Unusual[] {
    const total = Array.from(parts).reduce((a, b) => a + b, 0);
    const unusual = this.edges.flatMap((edge, e): Unusual[] => {
      const share =
        Array.from(members).reduce((sum, at, i) => sum + this.members[e]![at]! * parts[i]!, 0) / total;
      return share > edge.atMost + TOLERANCE
        ? [{ what: edge.id, share, atMost: edge.atMost, reason: edge.reason }]
        : [];
    });
    const alive = Array.from(members).reduce((sum, at, i) => sum + this.living[at]! * parts[i]!, 0) / total;
    if (alive < this.livingAtLeast - TOLERANCE)
      unusual.push({ what: null, share: alive, atMost: 1, reason: 'no-living' });
    // The sums of this very recipe decide whether anything leads it.
    return this.cost(members, parts, total) >= LAST
      ? [{ what: null, share: 0, atMost: 0, reason: 'no-base' }, ...unusual]
      : unusual;
  }
}

/** A share beyond what is usual; `what` is null where nothing leads that should, or too little lives. Shares 0–1. */
export interface Unusual {
  what: EdgeId | null;
  share: number;
  atMost: number;
  reason: UsualReason;
}
