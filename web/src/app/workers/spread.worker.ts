/// <reference lib="webworker" />
import { libraryOf, type Library } from '#core/recipe/library';
import { mixInputOf } from '#core/recipe/recipe';
import { keptDown } from '#core/spread/kept-down';
import { Sampler } from '#core/spread/sample';
import { type SpreadAnswer, type SpreadRequest } from './spread.protocol';
import { whyOf } from './why';

const PIECE = 250;
let library: Library | null = null;
/** Number of the newest request; whoever finds another number here stops. */
let newest = 0;

const answer = (message: SpreadAnswer): void => postMessage(message);
/** Lets waiting messages in. */
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done));

async function sample(request: Extract<SpreadRequest, { kind: 'sample' }>): Promise<void> {
  const { id, recipe, spreads, seed, draws } = request;
  if (!library) return;
  try {
    const input = mixInputOf(recipe, library);
    const sampler = new Sampler(input, spreads, seed);
    for (let done = 0; done < draws; done += PIECE) {
      sampler.draw(Math.min(PIECE, draws - done));
      answer({ kind: 'progress', id, share: Math.min(1, (done + PIECE) / draws) });
      await breathe();
      if (id !== newest) return;
    }
    const sampled = sampler.result();
    answer({ kind: 'done', id, sampled });
    await breathe();
    if (id !== newest) return;
    answer({ kind: 'kept-down', id, by: keptDown(input, sampled, spreads, seed) });
  } catch (error) {
    answer({ kind: 'impossible', id, why: whyOf(error) });
  }
}

addEventListener('message', ({ data }: MessageEvent<SpreadRequest>) => {
  if (data.kind === 'library') {
    library = {
      ...libraryOf(data.materials, data.amendments, data.vessels),
      ...(data.windows && { windows: data.windows }),
    };
    return;
  }
  newest = data.id;
  void sample(data);
});
