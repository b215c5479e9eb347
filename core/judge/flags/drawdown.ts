import { capital, type Rule, spoken } from '#core/judge/flag';
import { fixed } from '#core/units/show';
import { said } from '#core/units/said';

/** Less than this is lost in how salts scatter, mg/L. */
const SAID_FROM = 10;
const WARNED_FROM = 25;

/** Wood and fresh bark rot with the nitrogen that was meant for roots. */
export const drawdown: Rule = ({ evaluation }) => {
  const { composition } = evaluation;
  const taken = composition.parts.map(
    (p, i) => composition.densification * composition.shares[i]! * p.material.drawdownMgNPerL,
  );
  const sum = evaluation.drawdownMgNPerL;
  if (sum < SAID_FROM) return null;
  const names = composition.parts.filter((_, i) => taken[i]! > sum / 5).map((p) => p.material.name);
  return {
    code: 'nitrogen-drawdown',
    severity: sum >= WARNED_FROM ? 'warn' : 'note',
    text: said`${capital(spoken(names))} take up about ${fixed(sum, 0)} mg/L of nitrogen while they rot: it is taken off what is ready.`,
    remedy: said`Feed that much more nitrogen in the first weeks, or use older material.`,
  };
};
