import { type MixInput } from '#core/mix/evaluate';
import { type Stage } from '#core/mix/stage';
import { Worlds } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import { byShape } from '#core/vessel/vessel';
import { type Keeping, type WateringRule, wantsFeedFrom } from '#core/weeks/keeping';
import { isOfTheMix, type Life, Living, rhythmOf, type Trouble, troubles } from '#core/weeks/life';
import { staysInside } from '#core/weeks/life-band';
import { changesOf, type Change, changed } from '#core/weeks/rule-change';
import { type Luck, luckOf } from '#core/weeks/weather';

export interface FoundRule {
  rule: WateringRule;
  /** Of 500 fresh lives the share in which all stays inside under it, what the mix has from its first day left aside. */
  odds: number;
  /** Troubles that no rule mends, the likeliest first. */
  left: Trouble[];
  /** The one thing to change where no rule does it, and the odds with it. */
  change: { change: Change; odds: number } | null;
  /** Waterings of the mean life in its first and its last two weeks, a day. */
  perDay: { first: number; last: number };
  tried: number;
}

const grid = {
  waterAt: [0.6, 0.5, 0.4, 0.3, 0.2],
  leachPct: [0, 10, 20, 30],
  feedNMgPerL: [0, 25, 50, 75, 100, 150, 200, 250],
  feedFromDay: [7, 14, 21, 28],
} as const;

/** Share of the water that may be gone at most before it is watered: seed, cells and blocks, pots. Common practice, no source. */
const LATEST = { seed: 0.4, cell: 0.5, pot: 0.6 } as const;
/** A pot from here on, L. */
const POT_FROM_L = 0.2;
/** Strongest feed, mg/L of nitrogen. Common practice, no source. */
const STRONGEST: Record<Stage, number> = { germination: 75, rooting: 100, seedling: 150, potting: 250 };

/** How late a vessel may be watered. */
export function latestWatering(
  { stage, vessel }: Pick<MixInput, 'stage' | 'vessel'>,
  litres: number,
): number {
  if (stage === 'germination') return LATEST.seed;
  const walled = byShape(vessel, { block: () => false, round: () => true, rect: () => true });
  return walled && litres >= POT_FROM_L ? LATEST.pot : LATEST.cell;
}

/** Every rule that a person would follow here. */
export function rulesFor(living: Living, keeping: Keeping): WateringRule[] {
  const { stage } = living.input;
  const latest = latestWatering(living.input, living.litres);
  const from = wantsFeedFrom(stage, keeping.plant);
  const days = grid.feedFromDay.filter((day) => day >= from);
  if (days.length === 0) (days as number[]).push(from);
  return grid.waterAt
    .filter((waterAt) => waterAt <= latest + 1e-9)
    .flatMap((waterAt) =>
      grid.leachPct.flatMap((leachPct) =>
        grid.feedNMgPerL
          .filter((mg) => mg <= STRONGEST[stage])
          .flatMap((feedNMgPerL) =>
            (feedNMgPerL === 0 ? days.slice(0, 1) : days).map((feedFromDay) => ({
              ...{ waterAt, leachPct, feedNMgPerL, feedFromDay },
            })),
          ),
      ),
    );
}

/** Rounds of a search: so many lives more for each rule, then so many of them stay. */
type Rounds = readonly { lives: number; stay: number }[];
const ROUNDS: Rounds = [
  { lives: 4, stay: 60 },
  { lives: 16, stay: 12 },
  { lives: 80, stay: 1 },
];
/** Of what may be changed each is searched shorter. */
const SHORT_ROUNDS: Rounds = [
  { lives: 3, stay: 12 },
  { lives: 20, stay: 1 },
];
/** Odds are known to about this. */
const AS_GOOD = 0.05;
const FRESH = 500;
/** Lives by which a change is told, and what it must gain. */
const TO_CHANGE = 100;
const LEAST_GAIN = 0.1;
/** Fresh lives are of another seed. */
const FRESH_SEED = 7919;
/** Where the best rule does not come to this, what holds it down is named. */
export const WORTH_FOLLOWING = 0.3;

interface Tried {
  rule: WateringRule;
  inside: number;
  lives: number;
  waterings: number;
}

const easier = (a: Tried, b: Tried): number =>
  a.rule.leachPct - b.rule.leachPct ||
  a.rule.feedNMgPerL - b.rule.feedNMgPerL ||
  a.waterings / a.lives - b.waterings / b.lives ||
  b.rule.feedFromDay - a.rule.feedFromDay;
const share = ({ inside, lives }: Tried): number => inside / lives;

/** All rules of a mix, tried in rounds of more and more lives; those that do worst drop out. */
class Rounded {
  private readonly worlds: Worlds;
  private readonly drawn: { living: Living; luck: Luck }[] = [];
  private tried: Tried[];
  private round = 0;
  private at = 0;
  readonly rules: number;

  constructor(
    input: MixInput,
    private readonly keeping: Keeping,
    spreads: Spreads,
    private readonly rounds: Rounds,
  ) {
    this.worlds = new Worlds(input, spreads, keeping.seed);
    const each = rulesFor(new Living(input), keeping);
    this.tried = each.map((rule) => ({ rule, inside: 0, lives: 0, waterings: 0 }));
    this.rules = each.length;
  }

  get share(): number {
    return (this.round + this.at / this.tried.length) / this.rounds.length;
  }

  private life(draw: number, rule: WateringRule): Life {
    const { days, seed } = this.keeping;
    const { living, luck } = (this.drawn[draw] ??= {
      living: new Living(this.worlds.at(draw)),
      luck: luckOf(seed, draw, days),
    });
    return living.under({ ...this.keeping, rule, readings: undefined }, luck);
  }

  /** So many rules more, each in the lives of its round. @returns whether all rounds are done */
  try(count: number): boolean {
    for (let i = 0; i < count && this.round < this.rounds.length; i++) {
      const { lives, stay } = this.rounds[this.round]!;
      const each = this.tried[this.at]!;
      for (let n = 0; n < lives; n++) {
        const life = this.life(each.lives, each.rule);
        each.lives++;
        each.waterings += life.waterings;
        if (staysInside(life)) each.inside++;
      }
      if (++this.at < this.tried.length) continue;
      this.at = 0;
      this.round++;
      if (this.round < this.rounds.length)
        this.tried = this.tried.sort((a, b) => share(b) - share(a) || easier(a, b)).slice(0, stay);
    }
    return this.round === this.rounds.length;
  }

  /** The easiest of those that are as good as the best. */
  best(): WateringRule {
    const best = Math.max(...this.tried.map(share));
    return this.tried.filter((each) => share(each) >= best - AS_GOOD - 1e-9).sort(easier)[0]!.rule;
  }
}

/**
 * The rule of watering and feeding that keeps all inside with the best odds, what the mix has from its first day left
 * aside; among those as good as the best the one that lets least run through, then feeds least, then waters least.
 * Searched with few lives, its odds stated from 500 fresh ones. Where the best does not come to three in ten, what goes
 * against the trouble that is left is tried too, each with a rule of its own. Tried piece by piece, so that a worker can
 * tell how far it is and be stopped. Model § 24.
 */
export class RuleSearch {
  private readonly rounded: Rounded;
  private found: FoundRule | null = null;
  private changes: { change: Change; rounded: Rounded; input: MixInput; keeping: Keeping; odds?: number }[] =
    [];
  private isDone = false;

  /** @throws RangeError as lifeOf */
  constructor(
    private readonly input: MixInput,
    private readonly keeping: Keeping,
    private readonly spreads: Spreads,
  ) {
    this.rounded = new Rounded(input, keeping, spreads, ROUNDS);
  }

  /** How far it is, 0–1. */
  get share(): number {
    if (!this.found) return 0.9 * this.rounded.share;
    const { length } = this.changes;
    return (
      0.9 + (length === 0 ? 0 : (0.1 * this.changes.reduce((sum, c) => sum + c.rounded.share, 0)) / length)
    );
  }

  /** So many rules more. @returns whether the rule is found @throws RangeError as lifeOf */
  try(count: number): boolean {
    if (this.isDone) return true;
    if (!this.found) {
      if (this.rounded.try(count)) this.found = this.state();
      return false;
    }
    const next = this.changes.find(({ odds }) => odds === undefined);
    if (next) {
      if (next.rounded.try(count)) {
        const keeping = { ...next.keeping, rule: next.rounded.best(), readings: undefined };
        next.odds = oddsUnder(next.input, keeping, this.spreads, TO_CHANGE).odds;
      }
      return false;
    }
    this.isDone = true;
    const best = Math.max(0, ...this.changes.map(({ odds }) => odds!));
    // Of those that do about as much the first named is the usual way.
    const change = this.changes.find(({ odds }) => odds! >= best - LEAST_GAIN);
    if (change && change.odds! >= this.found.odds + LEAST_GAIN)
      this.found.change = { change: change.change, odds: change.odds! };
    return true;
  }

  private state(): FoundRule {
    const rule = this.rounded.best();
    const keeping = { ...this.keeping, rule, readings: undefined };
    const fresh = oddsUnder(this.input, keeping, this.spreads, FRESH);
    const wrong = troubles.filter((trouble) => fresh.troubles[trouble] > WORTH_FOLLOWING);
    const worst = troubles.reduce((a, b) => (fresh.troubles[b] > fresh.troubles[a] ? b : a));
    const held = fresh.odds < WORTH_FOLLOWING;
    const left = (held && wrong.length === 0 ? [worst] : wrong).sort(
      (a, b) => fresh.troubles[b] - fresh.troubles[a],
    );
    if (held)
      this.changes = changesOf(left, this.input, this.keeping).map((change) => {
        const other = changed(change, this.input, this.keeping);
        return {
          ...other,
          change,
          rounded: new Rounded(other.input, other.keeping, this.spreads, SHORT_ROUNDS),
        };
      });
    const { days } = new Living(this.input).under(keeping);
    return {
      ...{ rule, odds: fresh.odds, left, change: null },
      ...{ perDay: rhythmOf(days), tried: this.rounded.rules },
    };
  }

  /** null until it is found. */
  result(): FoundRule | null {
    return this.isDone ? this.found : null;
  }
}

/**
 * In which share of so many lives of a seed all stays inside under a keeping, and in which each trouble comes.
 * @param seed of the lives; left out, others than those by which a rule is searched
 */
export function oddsUnder(
  ...[input, keeping, spreads, lives, seed = (keeping.seed + FRESH_SEED) % 2_147_483_647]: [
    MixInput,
    Keeping,
    Spreads,
    lives: number,
    seed?: number,
  ]
): { odds: number; troubles: Record<Trouble, number> } {
  const worlds = new Worlds(input, spreads, seed);
  const came: Record<Trouble, number> = { dry: 0, starved: 0, salty: 0, sour: 0, sweet: 0 };
  let inside = 0;
  for (let draw = 0; draw < lives; draw++) {
    const life = new Living(worlds.at(draw)).under(keeping, luckOf(seed, draw, keeping.days));
    if (staysInside(life)) inside++;
    for (const trouble of troubles)
      if (life.first[trouble] !== null && !isOfTheMix(trouble, life.first[trouble])) came[trouble]++;
  }
  for (const trouble of troubles) came[trouble] /= lives;
  return { odds: inside / lives, troubles: came };
}
