import { beside } from '#core/units/show';
import { type Rule, spoken } from '#core/judge/flag';
import { enoughGPerL } from '#core/judge/flags/enough';
import { stageWord } from '#core/judge/readings';
import { said } from '#core/units/said';

/** What brings most of the salts, as spoken, and the dose to cut if it is a dose. */
export const saltsHigh: Rule = (judged) => {
  const reading = judged.reading('ecSaturated');
  if (reading?.verdict !== 'high') return null;
  const { composition, doses } = judged.evaluation;
  const fromParts = composition.parts.map((p, i) => ({
    name: p.material.name,
    meq: composition.densification * composition.shares[i]! * p.material.saltsMeqPerL,
    dose: null,
  }));
  const fromDoses = doses.map((d) => ({
    name: d.amendment.name,
    meq: d.gPerL * d.amendment.solubleSaltsMeqPerG,
    dose: d,
  }));
  const most = [...fromParts, ...fromDoses].reduce((a, b) => (b.meq > a.meq ? b : a));
  const enough = most.dose ? enoughGPerL(judged, most.dose) : 0;
  return {
    code: 'salts-high',
    severity: reading.value > 2 * reading.high ? 'stop' : 'warn',
    text: said`Salty for ${stageWord[judged.input.stage]}: EC ${beside(reading.value, 2, reading.high)} in the saturated extract, ${reading.high.toFixed(2)} is the most. ${most.name} brings most of it. Root tips burn.`,
    remedy: most.dose
      ? said`Cut ${spoken([most.name])} to ${{ doseGPerL: enough }}.`
      : said`Use less ${spoken([most.name])}, or leach it before use.`,
    ...(most.dose
      ? {
          fix: {
            kind: 'dose' as const,
            amendment: most.dose.amendment.id,
            gPerL: enough,
          },
        }
      : {}),
  };
};
