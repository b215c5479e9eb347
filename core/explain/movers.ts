import { evaluateMix, type MixInput } from '#core/mix/evaluate';
import { type MoverMessage, moverSays } from '#core/explain/sum-facts';
import { named } from '#core/units/message';
import { type SumOf } from '#core/explain/sum';

/** What moves a reading, as found by moving it and computing again. */
export interface Mover {
  what: MoverMessage;
  by: number;
}

const MOST_MOVERS = 3;

/** What moves a number most, found by computing the recipe again with one thing changed. */
export function moversOf(input: MixInput, sum: SumOf): Mover[] {
  const read = (changed: MixInput): number | null => {
    try {
      return sum(changed, evaluateMix(changed)).result;
    } catch {
      return null;
    }
  };
  const start = read(input);
  if (start === null) return [];
  return variations(input)
    .flatMap(({ what, changed }) => {
      const value = read(changed);
      return value === null || Math.abs(value - start) < 1e-9 ? [] : [{ what, by: value - start }];
    })
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, MOST_MOVERS);
}

function variations(input: MixInput): { what: MoverMessage; changed: MixInput }[] {
  const parts = input.components.map((c, i) => ({
    what: moverSays('mover.part', { material: named(c.material) }),
    changed: {
      ...input,
      components: input.components.map((o, j) => (i === j ? { ...o, parts: o.parts + 1 } : o)),
    },
  }));
  const doses = input.amendments.map((d, i) => ({
    what: moverSays('mover.dose', { product: named(d.amendment) }),
    changed: {
      ...input,
      amendments: input.amendments.map((o, j) => (i === j ? { ...o, gPerL: o.gPerL * 1.1 } : o)),
    },
  }));
  const lime = input.limeToPh && {
    what: moverSays('mover.lime', { ph: 0.2 }),
    changed: { ...input, limeToPh: { ...input.limeToPh, ph: Math.min(8, input.limeToPh.ph + 0.2) } },
  };
  const firmer = {
    what: moverSays('mover.firmer', { pct: 5 }),
    changed: { ...input, compaction: Math.min(0.5, input.compaction + 0.05) },
  };
  const deeper = {
    what: moverSays('mover.deeper', { mm: 10 }),
    changed: { ...input, vessel: { ...input.vessel, depthMm: input.vessel.depthMm + 10 } },
  };
  return [...parts, ...doses, ...(lime ? [lime] : []), firmer, deeper];
}
