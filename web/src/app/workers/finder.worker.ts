/// <reference lib="webworker" />
import { expose } from 'comlink';
import { bindingWindow, edgeOver, missingMaterial, neighboursOf } from '#core/finder/compare';
import { conflictOf, formulated, fastAndLimits, type FinderJob } from '#core/finder/formulate';
import { Search } from '#core/finder/search';
import { swapsFor } from '#core/finder/swap';
import { judgeMix } from '#core/judge/judge';
import { type Material } from '#core/material/material';
import { Odds } from '#core/spread/sample';
import './calls';
import { type FinderApi, type Told } from './finder.protocol';
import { Turns } from './turns';

/** Recipes, and draws, between two looks at the messages. */
const SLICE = 8000;
const DRAWS = 50;
const turns = new Turns();
/** Whether the newest search is still the one whose odds are drawn. */
let wanted = turns.next();

/** The same material as one object, whichever message brings it: its fitted curve hangs on the object. */
const existing = new Map<string, Material>();
function same(material: Material): Material {
  const key = JSON.stringify(material);
  let each = existing.get(key);
  if (!each) existing.set(key, (each = material));
  return each;
}

const sameJob = (job: FinderJob): FinderJob => ({
  ...job,
  shelved: job.shelved.map((s) => ({ ...s, material: same(s.material) })),
});

const api: FinderApi = {
  async search(job, keep, share, progress) {
    const still = (wanted = turns.next());
    const { fast, limits } = fastAndLimits(sameJob(job));
    const run = new Search(fast, limits, keep, share);
    while (!run.step(SLICE)) {
      progress(run.progress, run.tried);
      if (!(await still())) return null;
    }
    return run.result();
  },

  async odds(inputs, spreads, seed, draws) {
    const still = wanted;
    const { vessel } = inputs[0]!;
    const run = new Odds(
      inputs.map((input) => ({
        ...input,
        vessel,
        components: input.components.map((c) => ({ ...c, material: same(c.material) })),
      })),
      spreads,
      seed,
    );
    for (let done = 0; done < draws; done += DRAWS) {
      run.draw(Math.min(DRAWS, draws - done));
      if (!(await still())) return null;
    }
    return run.result();
  },

  tell(asked, result, keep) {
    const job = sameJob(asked);
    const { fast } = fastAndLimits(job);
    // A recipe that is in both lists is one object, so its odds are drawn once.
    const made = new Map<string, Told>();
    const answer = ({ parts }: { parts: Uint8Array }): Told => {
      let each = made.get(parts.join());
      if (!each) made.set(parts.join(), (each = { parts, found: formulated(job, fast, parts) }));
      return each;
    };
    return {
      every: result.best.slice(0, keep).map(answer),
      perSet: result.perSet.slice(0, keep).map(answer),
      conflict: conflictOf(fast, result),
    };
  },

  why(asked, { found, parts }, first, familiar, elsewhere) {
    const job = sameJob(asked);
    const { fast } = fastAndLimits(job);
    return {
      binding: bindingWindow(job, found),
      neighbours: neighboursOf(job, fast, parts),
      missing: missingMaterial(job, found, elsewhere.map(same)),
      overFamiliar: familiar && edgeOver(fast, first, familiar),
    };
  },

  swaps: (input, from, candidates, help) => swapsFor(judgeMix(input), from, candidates, help),

  stop: () => turns.stop(),
};
expose(api);
