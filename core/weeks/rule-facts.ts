import { type Stage } from '#core/mix/stage';
import { messages, type MessageOf, type None } from '#core/units/message';
import { type Keeping, wantsFeedFrom } from '#core/weeks/keeping';
import { type FoundRule, WORTH_FOLLOWING } from '#core/weeks/rule';
import { type Change } from '#core/weeks/rule-change';

/** What feeding begins with, as a person sees it. */
export type FeedBegins = 'leaves' | 'roots' | 'day';

export interface RuleFacts {
  /** Waterings a day, at first and at last; the share of its water that may go. */
  'rule.water': { first: number; last: number; gonePct: number };
  'rule.feed': { nMgPerL: number; from: FeedBegins; day: number };
  'rule.no-feed': None;
  'rule.through': { pct: number };
  /** None does it: the one thing to change, and in how many of ten lives all stays inside with it. */
  'rule.change': { change: Change; inTen: number };
  'rule.none': None;
}
export type RuleMessage = MessageOf<RuleFacts>;
export const ruleSay = messages<RuleFacts>();

/** A rule as a person would follow it, and what to change where none does it. */
export function ruleSays(
  { rule, perDay, odds, left, change }: FoundRule,
  stage: Stage,
  plant: Keeping['plant'],
): RuleMessage[] {
  const begins = wantsFeedFrom(stage, plant);
  const sees = rule.feedFromDay === begins && stage !== 'potting';
  const from: FeedBegins = !sees ? 'day' : stage === 'rooting' ? 'roots' : 'leaves';
  const held =
    left.length === 0 || odds >= WORTH_FOLLOWING
      ? []
      : [
          change
            ? ruleSay('rule.change', { change: change.change, inTen: Math.round(10 * change.odds) })
            : ruleSay('rule.none', {}),
        ];
  return [
    ruleSay('rule.water', { ...perDay, gonePct: Math.round(100 * rule.waterAt) }),
    rule.feedNMgPerL === 0
      ? ruleSay('rule.no-feed', {})
      : ruleSay('rule.feed', { nMgPerL: rule.feedNMgPerL, from, day: rule.feedFromDay }),
    ruleSay('rule.through', { pct: rule.leachPct }),
    ...held,
  ];
}
