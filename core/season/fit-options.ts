import { dayNumber, weekNumber } from '#core/season/days';
import { type FitItem, type FitOption } from '#core/season/fit-bench';
import { type Season, type SeasonSowing, type SeasonStep } from '#core/season/season';
import { footprintOf, type VesselKind } from '#core/vessel/tray';

/** Bench of a sowing by week number, m², moved by days, perhaps with one step in other vessels. */
function loadsOf(
  steps: readonly SeasonStep[],
  days: number,
  other?: { index: number; kind: VesselKind },
): Map<number, number> {
  const loads = new Map<number, number>();
  steps.forEach((step, i) => {
    const m2 =
      other?.index === i
        ? Math.ceil(step.cells / other.kind.perTray) * footprintOf(other.kind)
        : step.benchM2;
    const [from, to] = [dayNumber(step.from) + days, dayNumber(step.to) + days];
    if (to > from)
      for (let week = weekNumber(from); week <= weekNumber(to - 1); week++)
        loads.set(week, (loads.get(week) ?? 0) + m2);
  });
  return loads;
}

/**
 * How each sowing could stand otherwise: by whole weeks within what the crop allows and not before today, or its first
 * step in blocks where it stands in cells. Another vessel moves no plant in time; it counts one day for each.
 * @param swaps vessel that a vessel may be changed for
 */
export function fitItems(
  { sowings }: Pick<Season, 'sowings'>,
  today: string,
  begun: (line: number, sowing: number) => boolean,
  swaps: (kind: VesselKind) => VesselKind | null,
): FitItem[] {
  const now = dayNumber(today);
  return sowings.map((sowing): FitItem => {
    const { line, steps } = sowing;
    const about = { line: line.id, sowing: sowing.sowing, loads: loadsOf(steps, 0) };
    if (begun(line.id, sowing.sowing) || dayNumber(steps[0]!.from) < now) return { ...about, options: [] };
    return { ...about, options: [...shiftsOf(sowing, now), ...swapsOf(sowing, swaps)] };
  });
}

function shiftsOf({ crop, line, sowing, steps }: SeasonSowing, now: number): FitOption[] {
  // What was moved before counts against the window.
  const moved = line.shifts[sowing - 1] ?? 0;
  const options: FitOption[] = [];
  for (let days = -7 * Math.floor(crop.earlierDays / 7); days <= crop.laterDays; days += 7) {
    const by = days - moved;
    if (by === 0 || by % 7 !== 0 || dayNumber(steps[0]!.from) + by < now) continue;
    options.push({ move: { days: by }, plantDays: line.plants * Math.abs(by), loads: loadsOf(steps, by) });
  }
  return options;
}

function swapsOf({ line, steps }: SeasonSowing, swaps: (kind: VesselKind) => VesselKind | null): FitOption[] {
  const kind = swaps(steps[0]!.kind);
  // A swap is of the line: offered where it is sown once.
  if (!kind || line.count > 1) return [];
  const loads = loadsOf(steps, 0, { index: 0, kind });
  return [{ move: { vessel: kind.id }, plantDays: line.plants, loads }];
}
