import { spoken, type Rule } from '#core/judge/flag';
import { said } from '#core/units/said';

/** Dust of peat, perlite, vermiculite, sand and lime. */
export const dust: Rule = ({ evaluation }) => {
  const names = [
    ...evaluation.composition.parts
      .filter((p) => p.material.dusty)
      .map((p) => p.material.name.split(',')[0]!),
    ...evaluation.doses
      .filter((d) => d.gPerL > 0 && d.amendment.caution === 'dust')
      .map((d) => (d.amendment.kind === 'lime' ? 'lime' : d.amendment.name)),
  ];
  if (names.length === 0) return null;
  return {
    code: 'dust',
    severity: 'note',
    text: said`Dust from ${spoken(names)}: some of it is silica.`,
    remedy: said`Damp down before pouring, wear a fitted mask, never sweep dry.`,
  };
};
