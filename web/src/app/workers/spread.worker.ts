/// <reference lib="webworker" />
import { expose } from 'comlink';
import { type MixInput } from '#core/mix/evaluate';
import { libraryOf, type Library } from '#core/recipe/library';
import { mixInputOf } from '#core/recipe/recipe';
import { keptDown } from '#core/spread/kept-down';
import { Sampler, type Sampled } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import './calls';
import { type SpreadApi } from './spread.protocol';
import { Turns } from './turns';

const PIECE = 250;
const turns = new Turns();
let library: Library | null = null;
let last: { input: MixInput; sampled: Sampled; spreads: Spreads; seed: number } | null = null;

const api: SpreadApi = {
  stock({ materials, amendments, vessels, windows }) {
    library = { ...libraryOf(materials, amendments, vessels), ...(windows && { windows }) };
  },

  async sample(recipe, spreads, seed, draws, progress) {
    const wanted = turns.next();
    last = null;
    if (!library) return null;
    const input = mixInputOf(recipe, library);
    const sampler = new Sampler(input, spreads, seed);
    for (let done = 0; done < draws; done += PIECE) {
      sampler.draw(Math.min(PIECE, draws - done));
      progress(Math.min(1, (done + PIECE) / draws));
      if (!(await wanted())) return null;
    }
    const sampled = sampler.result();
    last = { input, sampled, spreads, seed };
    return sampled;
  },

  keptDown: () => Promise.resolve(last && keptDown(last.input, last.sampled, last.spreads, last.seed)),
};
expose(api);
