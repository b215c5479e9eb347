import highsLoader from 'highs';
import { stageAims, type Aims } from '#core/finder/aims';
import { type FinderJob } from '#core/finder/formulate';
import { noPreferences } from '#core/finder/fast-spec';

/**
 * The linear sub-problem of the finder as integer programs, one for each total, for the general solver HiGHS: the
 * cheapest whole parts within floors, ceilings, a share of peat and a largest
 * number of materials. Linear only where nothing shrinks, so sizes must be equal.
 */
export async function milpSolver(): Promise<(job: FinderJob) => number | null> {
  const highs = await highsLoader();
  return (job) => {
    let best: number | null = null;
    for (let total = 1; total <= job.maxTotal; total++) {
      const solution = highs.solve(model(job, total));
      if (solution.Status !== 'Optimal') continue;
      const cost = solution.ObjectiveValue / total;
      if (best === null || cost < best - 1e-12) best = cost;
    }
    return best;
  };
}

function model(job: FinderJob, total: number): string {
  const index = job.shelved.map((_, i) => i);
  const sum = (of: (i: number) => number, name = 'x'): string =>
    index.map((i) => `${of(i).toFixed(9)} ${name}${i}`).join(' + ');
  const id = (i: number): string => job.shelved[i]!.material.id;
  const most = (i: number): number => Math.min(total, job.maxParts[id(i)] ?? total);
  return [
    'Minimize',
    ` cost: ${sum((i) => job.shelved[i]!.costPerL ?? 0)}`,
    'Subject To',
    ` total: ${sum(() => 1)} = ${total}`,
    ` peat: ${sum((i) => (job.shelved[i]!.material.peatFree ? 0 : 1))} <= ${job.peatMax * total}`,
    ` kinds: ${sum(() => 1, 'u')} <= ${job.materialsMax}`,
    ...index.map((i) => ` used${i}: x${i} - ${most(i)} u${i} <= 0`),
    'Bounds',
    ...index.map((i) => ` ${job.minParts[id(i)] ?? 0} <= x${i} <= ${most(i)}`),
    'Generals',
    ` ${index.map((i) => `x${i}`).join(' ')}`,
    'Binaries',
    ` ${index.map((i) => `u${i}`).join(' ')}`,
    'End',
  ].join('\n');
}

/** Windows so wide that nothing in them counts. */
export function noWindows(job: FinderJob): Aims {
  const wide = { low: -1e9, high: 1e9, kind: 'between' as const };
  const { slides: _, ...aims } = stageAims(job.stage, job.vessel);
  return {
    ...(Object.fromEntries(Object.keys(aims).map((id) => [id, wide])) as typeof aims),
    slides: null,
  };
}

/** The job with every material of one size and nothing wished for but a low price. */
export function linearised(job: FinderJob): FinderJob {
  return {
    ...job,
    compaction: 0,
    shelved: job.shelved.map((s) => ({
      ...s,
      material: { ...s.material, particleMm: 1, packingFraction: 0.55 },
    })),
    preferences: { ...noPreferences, price: 1 },
    lime: null,
    starter: [],
  };
}
