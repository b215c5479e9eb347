/** A way in which a sowing could stand otherwise: moved by days, or in other vessels. */
export interface FitOption {
  /** What is done, for whoever reads it. */
  move: { days: number } | { vessel: string };
  /** Plants times the days that they are moved. */
  plantDays: number;
  /** Bench by week number, m². */
  loads: ReadonlyMap<number, number>;
}

export interface FitItem {
  line: number;
  sowing: number;
  /** As it stands now. */
  loads: ReadonlyMap<number, number>;
  options: readonly FitOption[];
}

export interface Fit {
  /** `fits`: every week is under the line · `impossible`: no choice of moves brings it there. */
  outcome: 'fits' | 'impossible';
  /** Whether everything was looked through: nothing with fewer plant-days fits. */
  exact: boolean;
  moves: { line: number; sowing: number; option: FitOption }[];
  plantDays: number;
  /** Weeks over the line, and by how much, as it stood. */
  over: { week: number; m2: number }[];
}

const EPS = 1e-9;

/**
 * The fewest plant-days moved that bring every week under the line. Some sowing of the worst week must move, so the
 * search branches on which one and how; a branch that cannot beat the best so far is left.
 * @param benchM2 what there is
 * @param most moves looked at before it stops with the best so far; it is exact unless they were not enough
 */
export function fitBench(items: readonly FitItem[], benchM2: number, most = 2_000_000): Fit {
  const total = new Map<number, number>();
  const add = (loads: ReadonlyMap<number, number>, sign: number): void => {
    for (const [week, m2] of loads) total.set(week, (total.get(week) ?? 0) + sign * m2);
  };
  for (const { loads } of items) add(loads, 1);
  const over = [...total]
    .filter(([, m2]) => m2 > benchM2 + EPS)
    .map(([week, m2]) => ({ week, m2: m2 - benchM2 }))
    .sort((a, b) => a.week - b.week);
  const none = { exact: true, moves: [], plantDays: 0, over };
  if (over.length === 0) return { outcome: 'fits', ...none };

  /** Of each sowing: the option taken, and those that are ruled out in this branch. */
  const taken = new Map<number, FitOption>();
  const barred = items.map(() => new Set<FitOption>());
  /** Whom a week can be relieved by. */
  const touching = new Map<number, number[]>();
  items.forEach(({ loads, options }, i) => {
    if (options.length > 0)
      for (const week of loads.keys()) touching.set(week, [...(touching.get(week) ?? []), i]);
  });
  let best: { plantDays: number; moves: [number, FitOption][] } | null = null;
  let looked = 0;
  let cost = 0;

  const worst = (): number | null => {
    let [at, most]: [number | null, number] = [null, benchM2 + EPS];
    for (const [week, m2] of total) if (m2 > most) [at, most] = [week, m2];
    return at;
  };
  /** What relieving a week costs at the very least: the cheapest shares of the best moves. */
  const atLeast = (week: number, free: readonly Relief[]): number => {
    let wanted = total.get(week)! - benchM2;
    let least = 0;
    for (const { relief, plantDays } of free) {
      if (wanted <= EPS) break;
      const share = Math.min(1, wanted / relief);
      least += share * plantDays;
      wanted -= share * relief;
    }
    return wanted > EPS ? Infinity : least;
  };

  const look = (): void => {
    if (looked++ >= most) return;
    const week = worst();
    if (week === null) {
      if (!best || cost < best.plantDays - EPS) best = { plantDays: cost, moves: [...taken] };
      return;
    }
    const reliefs = (touching.get(week) ?? []).flatMap((i): Relief[] => {
      if (taken.has(i)) return [];
      const { loads, options } = items[i]!;
      const now = loads.get(week)!;
      looked += options.length;
      return options.flatMap((option) => {
        const relief = now - (option.loads.get(week) ?? 0);
        return relief > EPS && !barred[i]!.has(option)
          ? [{ i, option, relief, plantDays: option.plantDays }]
          : [];
      });
    });
    reliefs.sort((a, b) => a.plantDays / a.relief - b.plantDays / b.relief);
    if (cost + atLeast(week, bestOfEach(reliefs)) >= (best?.plantDays ?? Infinity) - EPS) return;
    const ruledOut: [number, FitOption][] = [];
    for (const { i, option } of reliefs) {
      if (looked >= most) break;
      add(items[i]!.loads, -1);
      add(option.loads, 1);
      taken.set(i, option);
      cost += option.plantDays;
      look();
      cost -= option.plantDays;
      taken.delete(i);
      add(option.loads, -1);
      add(items[i]!.loads, 1);
      // All with it has been looked through: what is left is without it.
      barred[i]!.add(option);
      ruledOut.push([i, option]);
    }
    for (const [i, option] of ruledOut) barred[i]!.delete(option);
  };
  look();
  const found = best as { plantDays: number; moves: [number, FitOption][] } | null;
  const exact = looked < most;
  if (!found) return { ...none, outcome: 'impossible', exact };
  const moves = found.moves
    .map(([i, option]) => ({ line: items[i]!.line, sowing: items[i]!.sowing, option }))
    .sort((a, b) => a.line - b.line || a.sowing - b.sowing);
  return { outcome: 'fits', exact, moves, plantDays: found.plantDays, over };
}

interface Relief {
  i: number;
  option: FitOption;
  relief: number;
  plantDays: number;
}

/**
 * For a bound each sowing counts once, with more than it can give: its greatest relief at its cheapest price for each
 * square metre.
 */
function bestOfEach(reliefs: readonly Relief[]): Relief[] {
  const best = new Map<number, Relief>();
  for (const relief of reliefs) {
    const existing = best.get(relief.i);
    if (!existing) best.set(relief.i, { ...relief });
    else if (relief.relief > existing.relief) {
      // The first is the cheapest by the square metre.
      existing.plantDays = (existing.plantDays / existing.relief) * relief.relief;
      existing.relief = relief.relief;
    }
  }
  return [...best.values()].sort((a, b) => a.plantDays / a.relief - b.plantDays / b.relief);
}
