import { WARM_HOUSE_C } from '#core/mix/feeding';
import { usual } from '#core/recipe/usual';
import { type Rule } from '#core/judge/flag';
import { releasedMgPerL } from '#core/mix/release';
import { partsWhere } from '#core/judge/flags/parts-where';
import { said } from '#core/units/said';

/** Share of loam from which a mix has a soil's life: common practice, no source. */
const SOIL_FROM = 0.25;

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
  const ready = judged.evaluation.readyNMgPerL;
  if (!window || ready >= window.low || inTwoWeeks < 5) return null;
  const loam = partsWhere(judged, ({ family }) => family === 'loam').reduce((sum, p) => sum + p.share, 0);
  return {
    code: 'feed-not-ready',
    // The life of loam sets it free as the first roots come: John Innes composts are used at once.
    severity: loam >= SOIL_FROM ? 'note' : 'warn',
    text: said`The organic feed is not ready: ${ready.toFixed(0)} mg/L of nitrogen today, about ${inTwoWeeks.toFixed(0)} more in two weeks at 20 °C.`,
    remedy: said`Mix it two weeks ahead, keep it moist and airy, or bridge with a little calcium nitrate.`,
    fix: {
      kind: 'dose',
      amendment: usual.nitrogen,
      gPerL: Math.ceil(((window.low - ready) / 155) * 20) / 20 + 0.05,
    },
  };
};
