/// <reference lib="webworker" />
import { type FinderJob } from '#core/finder/formulate';
import { type Base, FewMixes } from '#core/season/few-mixes';
import { fitBench } from '#core/season/fit-bench';
import { Odds } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import { type BaseTold, type SeasonAnswer, type SeasonRequest } from './season.protocol';
import { whyOf } from './why';

const SLICE = 2000;
const DRAWS = 300;
const SEED = 1;
/** Number of the newest request; whoever finds another number here stops. */
let newest = 0;

const answer = (message: SeasonAnswer): void => postMessage(message);
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done));

async function few({ id, jobs, spreads }: Extract<SeasonRequest, { kind: 'few' }>): Promise<void> {
  const search = new FewMixes(jobs);
  while (!search.step(SLICE)) {
    answer({ kind: 'progress', id, share: search.progress, tried: search.tried });
    await breathe();
    if (id !== newest) return;
  }
  const { tried, impossible, chosen, further } = search.result();
  const told = {
    ...{ tried, impossible },
    chosen: chosen.map((base) => tellBase(search, jobs, base, spreads)),
    further: further.map(({ base, gains }) => {
      const told = tellBase(search, jobs, base, spreads);
      // Said in odds, as everywhere: the score is for the search alone.
      const oddsOf = (one: BaseTold, of: number): number => one.cases.find((c) => c.of === of)?.odds ?? 0;
      return { told, gains: gains.map(({ of }) => ({ of, to: oddsOf(told, of) })) };
    }),
  };
  const best = jobs.map((_, of) =>
    Math.max(0, ...told.chosen.map((one) => one.cases.find((c) => c.of === of)?.odds ?? 0)),
  );
  answer({
    kind: 'few',
    id,
    told: {
      ...told,
      further: told.further.map(({ told: base, gains }) => ({
        base,
        gains: gains.map(({ of, to }) => ({ of, from: best[of]!, to })).filter(({ from, to }) => to > from),
      })),
    },
  });
}

function tellBase(search: FewMixes, jobs: readonly FinderJob[], base: Base, spreads: Spreads): BaseTold {
  const { shelved } = jobs[0]!;
  return {
    parts: [...base.parts].flatMap((parts, i) =>
      parts > 0 ? [{ name: shelved[i]!.material.name, parts }] : [],
    ),
    cases: jobs.flatMap((_, of) => {
      if (!(base.mask & (1 << of))) return [];
      const { judgement, doses } = search.told(base, of);
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

addEventListener('message', ({ data }: MessageEvent<SeasonRequest>) => {
  newest = data.kind === 'stop' ? -1 : data.id;
  if (data.kind === 'stop') return;
  const { id } = data;
  const failed = (error: unknown): void => answer({ kind: 'impossible', id, why: whyOf(error) });
  try {
    if (data.kind === 'fit') answer({ kind: 'fit', id, fit: fitBench(data.items, data.benchM2) });
    else void few(data).catch(failed);
  } catch (error) {
    failed(error);
  }
});
