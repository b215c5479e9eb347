import { allow } from '#core/units/allowed';
import { type Amendment, neutralisingMeqPerG } from '#core/material/amendment';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** Parts of a dry blend: by cups (any measure, all alike) or by weight. */
export interface BlendPart {
  product: Amendment;
  parts: number;
}

type Summed = Pick<
  Amendment,
  | 'nPct'
  | 'p2O5Pct'
  | 'k2OPct'
  | 'caPct'
  | 'mgPct'
  | 'sPct'
  | 'ccePct'
  | 'passing2360UmPct'
  | 'passing250UmPct'
  | 'solubleSaltsMeqPerG'
>;
const SUMMED = [
  ...(['nPct', 'p2O5Pct', 'k2OPct', 'caPct', 'mgPct', 'sPct'] as const),
  ...(['ccePct', 'passing2360UmPct', 'passing250UmPct', 'solubleSaltsMeqPerG'] as const),
] satisfies (keyof Summed)[];

/** Share by weight of each part, 0–1. @param by whether parts are measured by cups or weighed */
export function sharesByWeight(parts: readonly BlendPart[], by: 'volume' | 'weight'): number[] {
  const weights = parts.map(({ product, parts: n }) => n * (by === 'volume' ? product.bulkDensityGPerMl : 1));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}

/**
 * A dry blend of products, with its analysis worked out, so that it is dosed like one: "4 : 1 : 1 : 1" by cups.
 * Kind: organic or coated where such feed is in it (the slowest decides what is said of it), else a salt or lime.
 * Ceilings are those at which the first of its parts reaches its own.
 * @throws OutOfRange for fewer than two parts, or parts out of range
 */
export function dryBlend(
  { id, name }: { id: string; name: string },
  parts: readonly BlendPart[],
  by: 'volume' | 'weight',
): Amendment {
  if (parts.length < 2 || parts.length > limits.blendParts[1])
    throw new OutOfRange(
      'parts',
      parts.length,
      allow('allowed.things', { low: 2, high: limits.blendParts[1], what: 'products' }),
    );
  parts.forEach(({ parts: n }, i) => checkRange(`parts.${i}`, n, ...limits.typedParts));
  const shares = sharesByWeight(parts, by);
  // Rounding must not make 100.00000000000001 % of it.
  const mean = (of: (a: Amendment) => number): number =>
    Number(parts.reduce((sum, { product }, i) => sum + shares[i]! * of(product), 0).toPrecision(12));
  const n = mean((a) => a.nPct);
  /** Of what carries the nitrogen: a blend releases as its nitrogen does. */
  const byNitrogen = (of: (a: Amendment) => number, kinds: readonly Amendment['kind'][]): number => {
    const carry = parts.map(({ product }, i) =>
      kinds.includes(product.kind) ? shares[i]! * product.nPct : 0,
    );
    const sum = carry.reduce((a, b) => a + b, 0);
    return sum > 0 ? parts.reduce((s, { product }, i) => s + carry[i]! * of(product), 0) / sum : 0;
  };
  const shareOf = (kind: Amendment['kind']): number =>
    parts.reduce((sum, { product }, i) => sum + (product.kind === kind ? shares[i]! : 0), 0);
  const kinds = (['coated', 'organic', 'salt', 'lime', 'mineral', 'trace', 'wetting'] as const)
    .map((kind) => ({ kind, share: shareOf(kind) }))
    .filter(({ share }) => share > 0);
  const carriesN = parts.some(({ product }) => product.nPct > 0);
  const slow = kinds.find(({ kind }) => kind === 'coated' || kind === 'organic');
  const kind = carriesN && slow ? slow.kind : kinds.reduce((a, b) => (b.share > a.share ? b : a)).kind;
  const volume = parts.reduce((sum, { product }, i) => sum + shares[i]! / product.bulkDensityGPerMl, 0);
  const ceiling = (of: (a: Amendment) => number): number => {
    const all = parts.flatMap(({ product }, i) => (of(product) > 0 ? [of(product) / shares[i]!] : []));
    return all.length > 0 ? Math.min(...all) : 0;
  };
  const cautions = parts.map(({ product }) => product.caution);
  const most = ceiling((a) => a.mostYoungGPerL);
  const strongest = parts.find(
    ({ product }, i) =>
      product.mostYoungGPerL > 0 && Math.abs(product.mostYoungGPerL / shares[i]! - most) < 1e-9,
  );
  const summed = Object.fromEntries(SUMMED.map((key) => [key, mean((a) => a[key])])) as unknown as Summed;
  // Lime keeps its strength: fineness and purity do not average each by itself.
  const strength = mean((a) => neutralisingMeqPerG(a));
  const blend: Amendment = {
    ...{ id, name, kind, form: '' as const, ...summed },
    coarseCredit: 0.5,
    solubilityGPerL: 0,
    organicNReleaseFraction: byNitrogen((a) => a.organicNReleaseFraction, ['organic']),
    releaseRatePerWeek20C: byNitrogen((a) => a.releaseRatePerWeek20C, ['organic']),
    longevityWeeks21C: byNitrogen((a) => a.longevityWeeks21C, ['coated']),
    bulkDensityGPerMl: 1 / volume,
    caution: (['caustic', 'oxidiser', 'dust'] as const).find((c) => cautions.includes(c)) ?? '',
    nh4ShareOfNPct:
      n > 0
        ? Math.min(
            100,
            mean((a) => (a.nPct * a.nh4ShareOfNPct) / n),
          )
        : 0,
    grainMg: 0,
    mostYoungGPerL: most,
    mostPottingGPerL: ceiling((a) => a.mostPottingGPerL),
    ceilingReason: strongest?.product.ceilingReason ?? '',
    ...(parts.some(({ product }) => product.traces === true || product.kind === 'trace') && { traces: true }),
  };
  const now = neutralisingMeqPerG(blend);
  return now > 0 ? { ...blend, ccePct: (blend.ccePct * strength) / now } : blend;
}
