import { starterFor, type FinderJob } from '#core/finder/formulate';
import { noPreferences } from '#core/finder/fast-spec';
import { vesselKind, amendment, amendments, material } from '#testing/library';

const library = new Map(amendments.map((a) => [a.id, a]));

/** A search over these materials, without limits or wishes but those that are given. */
export function finderJob(ids: readonly string[], change: Partial<FinderJob> = {}): FinderJob {
  const stage = change.stage ?? 'germination';
  const vessel = change.vessel ?? vesselKind('cell-72').vessel;
  return {
    stage,
    vessel,
    compaction: vessel.shape === 'block' ? 0.25 : 0,
    shelved: ids.map((id) => ({ material: material(id) })),
    maxTotal: 6,
    minParts: {},
    maxParts: {},
    materialsMax: 10,
    peatMax: 1,
    preferences: noPreferences,
    lime: amendment('lime-dolomitic'),
    starter: starterFor(stage, library),
    fixedDoses: [],
    ...change,
  };
}
