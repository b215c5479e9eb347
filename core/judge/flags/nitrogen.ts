import { feedsIn, WARM_HOUSE_C } from '#core/mix/feeding';
import { releasedMgPerL } from '#core/mix/release';
import { usual } from '#core/recipe/usual';
import { type Rule, type Severity } from '#core/judge/flag';
import { enoughGPerL } from '#core/judge/flags/enough';
import { stageWord } from '#core/judge/readings';
import { said } from '#core/units/said';

/** A reading is known to about a quarter: so near to the end of its window it is a note. Common practice, no source. */
const WARN_FROM = 1.25;
const STOP_FROM = 2;
const severityOf = (times: number): Severity =>
  times > STOP_FROM ? 'stop' : times > WARN_FROM ? 'warn' : 'note';

/** Soft, leggy, burnt: more nitrogen than young plants take. */
export const nitrogenHigh: Rule = (judged) => {
  const reading = judged.reading('n');
  if (reading?.verdict !== 'high') return null;
  const feed = judged.evaluation.doses
    .filter((d) => d.amendment.kind === 'salt' && d.amendment.nPct > 0 && d.gPerL > 0)
    .sort((a, b) => b.gPerL * b.amendment.nPct - a.gPerL * a.amendment.nPct)[0];
  const enough = feed ? enoughGPerL(judged, feed) : 0;
  return {
    code: 'nitrogen-high',
    severity: severityOf(reading.value / reading.high),
    text: said`Too much nitrogen for ${stageWord[judged.input.stage]}: ${reading.value.toFixed(0)} mg/L, ${reading.high} is the most.`,
    remedy: feed
      ? said`Cut the ${feed.amendment.name.toLowerCase()} to ${{ doseGPerL: enough }}.`
      : said`Use less compost or castings.`,
    ...(feed ? { fix: { kind: 'dose' as const, amendment: feed.amendment.id, gPerL: enough } } : {}),
  };
};

/** What slow feed sets free by then comes in time: the leaves are small. Common practice, no source. */
const SOON_WEEKS = 2;

/** Growing on with nothing to eat. Not a fault at sowing: the seed carries its own. */
export const nitrogenLow: Rule = (judged) => {
  const reading = judged.reading('n');
  if (reading?.verdict !== 'low') return null;
  const { input, evaluation } = judged;
  const freed = (weeks: number): number => releasedMgPerL(feedsIn(evaluation), 'n', weeks, WARM_HOUSE_C);
  const soon = reading.value + freed(SOON_WEEKS) - freed(0);
  const ready = said`${reading.value.toFixed(0)} mg/L of available nitrogen, ${reading.low} or more is usual`;
  if (soon >= reading.low) {
    return {
      code: 'nitrogen-slow',
      severity: 'note',
      text: [
        `Little to begin with for ${stageWord[input.stage]}: `,
        ...ready,
        '. The rest comes bit by bit.',
      ],
      remedy: said`Nothing to do now; look at the leaves.`,
    };
  }
  const short = (reading.low + reading.high) / 2 - reading.value;
  const gPerL = Math.round((short / 155) * 20) / 20;
  return {
    code: 'nitrogen-low',
    severity: 'note',
    text: [`Little nitrogen for ${stageWord[input.stage]}: `, ...ready, '.'],
    remedy: said`Add ${{ doseGPerL: gPerL }} of calcium nitrate, or give liquid feed early.`,
    fix: { kind: 'dose', amendment: usual.nitrogen, gPerL },
  };
};
