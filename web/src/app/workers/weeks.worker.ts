/// <reference lib="webworker" />
import { lifeOf } from '#core/water/life';
import { LifeSampler } from '#core/water/life-band';
import { RuleSearch } from '#core/water/rule';
import { type WeeksAnswer, type WeeksRequest } from './weeks.protocol';
import { whyOf } from './why';

const LIVES = 25;
const RULES = 40;
/** Number of the newest request of each kind; whoever finds another number here stops. */
const newest = { lives: 0, rule: 0 };

const answer = (message: WeeksAnswer): void => postMessage(message);
/** Lets waiting messages in. @returns whether it is still wanted */
const wanted = async (kind: keyof typeof newest, id: number): Promise<boolean> => {
  await new Promise((done) => setTimeout(done));
  return id === newest[kind];
};

async function lives({
  id,
  input,
  keeping,
  spreads,
  draws,
}: Extract<WeeksRequest, { kind: 'lives' }>): Promise<void> {
  const typical = lifeOf(input, keeping);
  const sampler = new LifeSampler(input, keeping, spreads);
  for (let done = 0; done < draws; done += LIVES) {
    sampler.draw(Math.min(LIVES, draws - done));
    answer({ kind: 'progress', of: 'lives', id, share: Math.min(1, (done + LIVES) / draws) });
    if (!(await wanted('lives', id))) return;
  }
  answer({ kind: 'lives', id, typical, band: sampler.result() });
}

async function rule({ id, input, keeping }: Extract<WeeksRequest, { kind: 'rule' }>): Promise<void> {
  const search = new RuleSearch(input, keeping);
  while (!search.try(RULES)) {
    answer({ kind: 'progress', of: 'rule', id, share: search.share });
    if (!(await wanted('rule', id))) return;
  }
  answer({ kind: 'rule', id, found: search.result()! });
}

addEventListener('message', ({ data }: MessageEvent<WeeksRequest>) => {
  if (data.kind === 'stop') {
    newest[data.of]++;
    return;
  }
  const { kind, id } = data;
  newest[kind] = id;
  (kind === 'lives' ? lives(data) : rule(data)).catch((error: unknown) =>
    answer({
      kind: 'impossible',
      of: kind,
      id,
      why: whyOf(error),
    }),
  );
});
