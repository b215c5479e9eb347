/// <reference lib="webworker" />
import { OutOfRange } from '#core/units/check';
import { bindingWindow, edgeOver, missingMaterial, neighboursOf } from '#core/finder/compare';
import { conflictOf, formulated, fastAndLimits, type FinderJob } from '#core/finder/formulate';
import { Search } from '#core/finder/search';
import { swapsFor } from '#core/finder/swap';
import { judgeMix } from '#core/judge/judge';
import { type Material } from '#core/material/material';
import { Odds } from '#core/spread/sample';
import { type FinderAnswer, type FinderRequest, type Told } from './finder.protocol';
import { whyOf } from './why';

/** Recipes, and draws, between two looks at the messages. */
const SLICE = 8000;
const DRAWS = 50;
/** Number of the newest request; whoever finds another number here stops. */
let newest = 0;

const answer = (message: FinderAnswer): void => postMessage(message);
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done));

/** The same material as one object, whichever message brings it: its fitted curve hangs on the object. */
const known = new Map<string, Material>();
function same(material: Material): Material {
  const key = JSON.stringify(material);
  let one = known.get(key);
  if (!one) known.set(key, (one = material));
  return one;
}

const sameJob = (job: FinderJob): FinderJob => ({
  ...job,
  shelved: job.shelved.map((s) => ({ ...s, material: same(s.material) })),
});

async function search({
  id,
  job,
  keep,
  worker,
  of,
}: Extract<FinderRequest, { kind: 'search' }>): Promise<void> {
  const { fast, limits } = fastAndLimits(sameJob(job));
  const run = new Search(fast, limits, keep, { worker, of });
  while (!run.step(SLICE)) {
    answer({ kind: 'progress', id, worker, share: run.progress, tried: run.tried });
    await breathe();
    if (id !== newest) return;
  }
  answer({ kind: 'found', id, worker, result: run.result() });
}

async function odds({
  id,
  inputs,
  spreads,
  seed,
  draws,
}: Extract<FinderRequest, { kind: 'odds' }>): Promise<void> {
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
    await breathe();
    if (id !== newest) return;
  }
  answer({ kind: 'odds', id, odds: run.result() });
}

function tell(request: Extract<FinderRequest, { kind: 'tell' }>): void {
  const { id, result, keep } = request;
  const job = sameJob(request.job);
  const { fast } = fastAndLimits(job);
  // A recipe that is in both lists is one object, so its odds are drawn once.
  const made = new Map<string, Told>();
  const told = ({ parts }: { parts: Uint8Array }): Told => {
    let one = made.get(parts.join());
    if (!one) made.set(parts.join(), (one = { parts, found: formulated(job, fast, parts) }));
    return one;
  };
  answer({
    kind: 'told',
    id,
    every: result.best.slice(0, keep).map(told),
    perSet: result.perSet.slice(0, keep).map(told),
    conflict: conflictOf(fast, result),
  });
}

function why(request: Extract<FinderRequest, { kind: 'why' }>): void {
  const { id, one, first, familiar, elsewhere } = request;
  const job = sameJob(request.job);
  const { fast } = fastAndLimits(job);
  answer({
    kind: 'why',
    id,
    parts: one.parts,
    why: {
      binding: bindingWindow(job, one.found),
      neighbours: neighboursOf(job, fast, one.parts),
      missing: missingMaterial(job, one.found, elsewhere.map(same)),
      overFamiliar: familiar && edgeOver(fast, first, familiar),
    },
  });
}

async function handle(request: FinderRequest): Promise<void> {
  if (request.kind === 'stop') {
    newest = -1;
    return;
  }
  const { id } = request;
  if (request.kind === 'search') newest = id;
  try {
    if (request.kind === 'search') await search(request);
    else if (request.kind === 'odds') await odds(request);
    else if (request.kind === 'tell') tell(request);
    else if (request.kind === 'why') why(request);
    else {
      const { input, from, candidates, help } = request;
      answer({ kind: 'swaps', id, swaps: swapsFor(judgeMix(input), from, candidates, help) });
    }
  } catch (error) {
    if (!(error instanceof OutOfRange)) throw error;
    answer({ kind: 'impossible', id, why: whyOf(error) });
  }
}

addEventListener('message', ({ data }: MessageEvent<FinderRequest>) => {
  void handle(data);
});
