import { allow } from '#core/units/allowed';
import { type Amendment, type AmendmentKind, K_PER_K2O, P_PER_P2O5 } from '#core/material/amendment';
import { saltsByLabel } from '#core/material/label-salts';
import { OutOfRange } from '#core/units/check';
import { litresIn } from '#core/units/factors';

/** What may be printed on a bag, in percent by weight where the name says so; `cupG` is what a level cup weighs. */
export type LabelFigure =
  | ('nPct' | 'pPct' | 'kPct' | 'caPct' | 'mgPct' | 'sPct' | 'ccePct')
  | ('passing2360UmPct' | 'passing250UmPct' | 'longevityWeeks21C')
  | ('cupG' | 'mostYoungGPerL' | 'mostPottingGPerL');
export type LabelFigures = Readonly<Partial<Record<LabelFigure, number | undefined>>>;

export interface ProductLabel {
  kind: AmendmentKind;
  /** Whether it names trace elements. */
  traces: boolean;
  /** Whether P and K are given as P₂O₅ and K₂O, or as the elements. */
  oxides: boolean;
  figures: LabelFigures;
}

const NO_ANALYSIS = { nPct: 0, p2O5Pct: 0, k2OPct: 0, caPct: 0, mgPct: 0, sPct: 0 };
/** The kin of a product where the library has none of its kind. */
export const NO_PRODUCT: Amendment = {
  ...{ id: 'none', name: 'nothing', kind: 'salt', form: '', ...NO_ANALYSIS },
  ...{ ccePct: 0, passing2360UmPct: 0, passing250UmPct: 0, solubleSaltsMeqPerG: 0 },
  ...{ organicNReleaseFraction: 0, releaseRatePerWeek20C: 0, longevityWeeks21C: 0, bulkDensityGPerMl: 1 },
  ...{ caution: '', coarseCredit: 0.5, solubilityGPerL: 0, nh4ShareOfNPct: 0, grainMg: 0 },
  ...{ mostYoungGPerL: 0, mostPottingGPerL: 0, ceilingReason: '' },
};

/** What N, P, K and Ca make of it together, percent as printed. */
export const printedPct = ({ nPct, pPct, kPct, caPct }: LabelFigures): number =>
  [nPct, pPct, kPct, caPct].reduce<number>((sum, pct) => sum + (pct ?? 0), 0);

/**
 * A product by its label. What is not printed is as in its kin; of an analysis that is printed, what is not on it is
 * not in it. A salt's load follows from its ions.
 * @param changes whether the kin is the product itself, of which some figures are put right
 * @throws OutOfRange where N, P, K and Ca make more than all of it
 * @example productByLabel(named, { kind: 'salt', traces: false, oxides: false, figures: { pPct: 4.36 } }, kin).p2O5Pct // 9.99
 */
export function productByLabel(
  named: { id: string; name: string },
  { kind, traces, oxides, figures }: ProductLabel,
  kin: Amendment,
  changes = false,
): Amendment {
  const sum = printedPct(figures);
  if (sum > 100)
    throw new OutOfRange('analysis', sum, allow('allowed.number', { low: -Infinity, high: 100 }));
  const { pPct, kPct, cupG, ...same } = figures;
  const typed = Object.fromEntries(Object.entries(same).filter(([, value]) => value !== undefined));
  const row: Amendment = {
    ...kin,
    ...(!changes && NO_ANALYSIS),
    ...named,
    ...typed,
    ...{ kind, traces },
    ...(pPct !== undefined && { p2O5Pct: oxides ? pPct : pPct / P_PER_P2O5 }),
    ...(kPct !== undefined && { k2OPct: oxides ? kPct : kPct / K_PER_K2O }),
    ...(cupG !== undefined && { bulkDensityGPerMl: cupG / 1000 / litresIn.cup }),
  };
  return row.kind === 'salt' ? { ...row, solubleSaltsMeqPerG: saltsByLabel(row) } : row;
}
