/// <reference lib="webworker" />
import { expose } from 'comlink';
import { clockOf } from '#core/weeks/clock';
import { Living } from '#core/weeks/life';
import { LifeSampler } from '#core/weeks/life-band';
import { RuleSearch } from '#core/weeks/rule';
import './calls';
import { Turns } from './turns';
import { type WeeksApi } from './weeks.protocol';

const LIVES = 25;
const RULES = 40;
const turns = { lives: new Turns(), rule: new Turns() };

const api: WeeksApi = {
  async lives(input, keeping, spreads, draws, progress) {
    const wanted = turns.lives.next();
    const living = new Living(input);
    const typical = living.under(keeping);
    const clock = clockOf(living, keeping, typical);
    const sampler = new LifeSampler(input, keeping, spreads);
    for (let done = 0; done < draws; done += LIVES) {
      sampler.draw(Math.min(LIVES, draws - done));
      progress(Math.min(1, (done + LIVES) / draws));
      if (!(await wanted())) return null;
    }
    return { typical, clock, band: sampler.result() };
  },

  async rule(input, keeping, spreads, progress) {
    const wanted = turns.rule.next();
    const search = new RuleSearch(input, keeping, spreads);
    while (!search.try(RULES)) {
      progress(search.share);
      if (!(await wanted())) return null;
    }
    return search.result();
  },

  stop() {
    turns.lives.stop();
    turns.rule.stop();
  },
};
expose(api);
