import { dayNumber, dayOf } from '#core/season/days';

/** So much of something by a day; vessels come back when they are emptied. */
export interface Demand {
  kind: 'material' | 'product' | 'vessel' | 'seed';
  item: string;
  amount: number;
  on: string;
  /** The day on which it is free again; null where it is used up. */
  backOn?: string | null;
}

/** What the season takes of one thing. */
export interface ToBuy {
  kind: Demand['kind'];
  item: string;
  /** Of all that is used up, or the most at once of what comes back. */
  needed: number;
  left: number | null;
  /** 0 where it lasts; all of it where nobody counted. */
  short: number;
  /** The first day on which it is not there; null where it lasts. */
  by: string | null;
}

/**
 * What must be bought by when, soonest first: what is taken is summed day by day against what is left.
 * @param leftOf null where nobody counted
 */
export function toBuy(
  demands: readonly Demand[],
  leftOf: (kind: Demand['kind'], item: string) => number | null,
): ToBuy[] {
  const byItem = new Map<string, Demand[]>();
  for (const demand of demands) {
    const key = `${demand.kind}/${demand.item}`;
    const existing = byItem.get(key);
    if (existing) existing.push(demand);
    else byItem.set(key, [demand]);
  }
  const lines = [...byItem.values()].map((all): ToBuy => {
    const { kind, item } = all[0]!;
    const left = leftOf(kind, item);
    // On one day what comes back is there before what is taken.
    const events = all
      .flatMap(({ amount, on, backOn }) => [
        { day: dayNumber(on), amount },
        ...(backOn ? [{ day: dayNumber(backOn), amount: -amount }] : []),
      ])
      .sort((a, b) => a.day - b.day || a.amount - b.amount);
    let [taken, needed] = [0, 0];
    let by: number | null = null;
    for (const { day, amount } of events) {
      taken += amount;
      needed = Math.max(needed, taken);
      if (by === null && taken > (left ?? 0) + 1e-9) by = day;
    }
    const short = Math.max(0, needed - Math.max(0, left ?? 0));
    return { kind, item, needed, left, short, by: by === null ? null : dayOf(by) };
  });
  return lines.sort((a, b) =>
    (a.by ?? '9999') < (b.by ?? '9999') ? -1 : (a.by ?? '9999') > (b.by ?? '9999') ? 1 : 0,
  );
}

/** What stands in the shed of one thing; of seed all lots that are called after the crop. Null where nobody counted. */
export function leftIn(
  stock: readonly { kind: Demand['kind']; item: string; left: number | null }[],
  kind: Demand['kind'],
  item: string,
): number | null {
  const name = item.toLowerCase();
  const those = stock.filter(
    (each) =>
      each.kind === kind && (kind === 'seed' ? each.item.toLowerCase().startsWith(name) : each.item === item),
  );
  const result = those.flatMap(({ left }) => (left === null ? [] : [left]));
  return result.length > 0 ? result.reduce((sum, left) => sum + left, 0) : null;
}
