import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { demandMgPerPlant, feedingOf } from '#core/mix/feeding';
import { labelMgPerL, releasedMgPerL } from '#core/mix/release';
import { said } from '#core/units/said';

const WARM_HOUSE_C = 20;

const organicOf = (judged: Parameters<Rule>[0]) =>
  judged.evaluation.doses.filter(
    (d) => d.gPerL > 0 && d.amendment.kind === 'organic' && d.amendment.nPct > 0,
  );

/** Organic feed mixed today does nothing for one to three weeks. */
export const feedNotReady: Rule = (judged) => {
  const feeds = organicOf(judged);
  if (feeds.length === 0 || judged.input.stage === 'germination' || judged.input.stage === 'rooting')
    return null;
  const inTwoWeeks = releasedMgPerL(feeds, 'n', 2, WARM_HOUSE_C);
  const window = judged.reading('n');
  const ready = judged.evaluation.elementsMgPerL.n;
  if (!window || ready >= window.low || inTwoWeeks < 5) return null;
  return {
    code: 'feed-not-ready',
    severity: 'warn',
    text: said`The organic feed is not ready: ${ready.toFixed(0)} mg/L of nitrogen today, about ${inTwoWeeks.toFixed(0)} more in two weeks at 20 °C.`,
    remedy: said`Mix it two weeks ahead, keep it moist and airy, or bridge with a little calcium nitrate.`,
    fix: {
      kind: 'dose',
      amendment: usual.nitrogen,
      gPerL: Math.ceil(((window.low - ready) / 155) * 20) / 20 + 0.05,
    },
  };
};

/** Feed under seed or cuttings: nobody eats it yet, and warm and wet it turns to ammonium. */
export const feedIdle: Rule = (judged) => {
  const { stage } = judged.input;
  if (stage !== 'germination' && stage !== 'rooting') return null;
  const feed = judged.evaluation.doses.find(
    (d) => d.gPerL > 0 && (d.amendment.kind === 'organic' || d.amendment.kind === 'coated'),
  );
  if (!feed) return null;
  return {
    code: 'feed-idle',
    severity: 'warn',
    text: said`${feed.amendment.name} lies idle ${stage === 'germination' ? 'under seed' : 'under cuttings'}: they have no use for it, and warm and wet it turns to ammonium and salt.`,
    remedy: said`Leave it out here; feed at the first true leaves.`,
    fix: { kind: 'dropAmendment', amendment: feed.amendment.id },
  };
};

/** The week in which the plant wants more than there is. */
export const feedRunsOut: Rule = (judged) => {
  const { input, evaluation } = judged;
  const { shortFromWeek } = feedingOf(evaluation, input.vessel, WARM_HOUSE_C, demandMgPerPlant[input.stage]);
  if (shortFromWeek === null) return null;
  return {
    code: 'feed-runs-out',
    severity: 'note',
    text: said`Nitrogen runs out in week ${shortFromWeek} in this vessel: yellow leaves follow.`,
    remedy: said`Start liquid feed in week ${Math.max(1, shortFromWeek - 1)}, or pot up by then.`,
  };
};

/** Leaf and no fruit: nitrogen far ahead of the rest. */
export const nitrogenAhead: Rule = (judged) => {
  const { stage } = judged.input;
  if (stage !== 'seedling' && stage !== 'potting') return null;
  const { evaluation } = judged;
  const whole = (e: 'n' | 'p' | 'k'): number =>
    Math.max(
      evaluation.elementsMgPerL[e],
      evaluation.elementsMgPerL[e] +
        labelMgPerL(
          evaluation.doses.filter((d) => d.amendment.kind === 'organic' || d.amendment.kind === 'coated'),
          e,
        ),
    );
  const [n, p, k] = [whole('n'), whole('p'), whole('k')];
  if (n < 60 || (n <= 12 * p && n <= 3.5 * k)) return null;
  const short =
    n > 12 * p && n > 3.5 * k ? 'phosphorus and potassium' : n > 12 * p ? 'phosphorus' : 'potassium';
  return {
    code: 'nitrogen-ahead',
    severity: 'warn',
    text: said`Nitrogen runs far ahead: ${n.toFixed(0)} mg/L against ${p.toFixed(0)} P and ${k.toFixed(0)} K. Leaf and no fruit; ${short} is short.`,
    remedy:
      short === 'phosphorus'
        ? said`Add a little triple superphosphate.`
        : said`Add a little potassium nitrate or sulphate in place of some nitrogen.`,
    fix:
      short === 'phosphorus'
        ? { kind: 'dose', amendment: usual.phosphorus, gPerL: 0.3 }
        : { kind: 'dose', amendment: usual.potassium, gPerL: 0.25 },
  };
};
