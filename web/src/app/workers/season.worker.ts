/// <reference lib="webworker" />
import { expose } from 'comlink';
import { type FinderJob } from '#core/finder/formulate';
import { type Base, FewMixes } from '#core/season/few-mixes';
import { fitBench } from '#core/season/fit-bench';
import { Odds } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import './calls';
import { type BaseTold, type SeasonApi } from './season.protocol';
import { Turns } from './turns';

const SLICE = 2000;
const DRAWS = 300;
const SEED = 1;
const turns = new Turns();

const api: SeasonApi = {
  fit(items, benchM2) {
    turns.stop();
    return fitBench(items, benchM2);
  },

  async few(jobs, spreads, progress) {
    const wanted = turns.next();
    const search = new FewMixes(jobs);
    while (!search.step(SLICE)) {
      progress(search.progress, search.tried);
      if (!(await wanted())) return null;
    }
    const { tried, impossible, chosen, further } = search.result();
    const result = chosen.map((base) => tellBase(search, jobs, base, spreads));
    const oddsOf = (baseTold: BaseTold, of: number): number =>
      baseTold.cases.find((c) => c.of === of)?.odds ?? 0;
    const best = jobs.map((_, of) => Math.max(0, ...result.map((baseTold) => oddsOf(baseTold, of))));
    return {
      tried,
      impossible,
      chosen: result,
      further: further.map(({ base: one, gains }) => {
        const base = tellBase(search, jobs, one, spreads);
        // Said in odds, as everywhere: the score is for the search alone.
        const inOdds = gains.map(({ of }) => ({ of, from: best[of]!, to: oddsOf(base, of) }));
        return { base, gains: inOdds.filter(({ from, to }) => to > from) };
      }),
    };
  },

  stop: () => turns.stop(),
};

function tellBase(search: FewMixes, jobs: readonly FinderJob[], base: Base, spreads: Spreads): BaseTold {
  const { shelved } = jobs[0]!;
  return {
    parts: [...base.parts].flatMap((parts, i) =>
      parts > 0 ? [{ name: shelved[i]!.material.name, parts }] : [],
    ),
    cases: jobs.flatMap((_, of) => {
      if (!(base.mask & (1 << of))) return [];
      const { judgement, doses } = search.formulated(base, of);
      const odds = new Odds([judgement.input], spreads, SEED);
      odds.draw(DRAWS);
      return [
        {
          of,
          odds: odds.result()[0]!,
          doses: doses.map(({ amendment, gPerL }) => ({ name: amendment.name, gPerL })),
        },
      ];
    }),
  };
}

expose(api);
