import { spoken, type Rule } from '#core/judge/flag';
import { isEarthy, isLiving } from '#core/material/families';
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

/** Nitrate salts feed fire. */
export const oxidiser: Rule = ({ evaluation }) => {
  const salt = evaluation.doses.find((d) => d.gPerL > 0 && d.amendment.caution === 'oxidiser');
  if (!salt) return null;
  return {
    code: 'oxidiser',
    severity: 'note',
    text: said`${salt.amendment.name} feeds fire.`,
    remedy: said`Keep it dry, away from fuel, straw and meals; its label decides.`,
  };
};

/** Compost, castings, leaf mould and loam can carry Legionella and moulds. */
export const legionella: Rule = ({ evaluation }) => {
  const living = evaluation.composition.parts.filter((p) => isLiving(p.material));
  if (living.length === 0) return null;
  return {
    code: 'legionella',
    severity: 'note',
    text: said`${living[0]!.material.name} can carry Legionella and moulds.`,
    remedy: said`Open bags away from your face, do not breathe the steam, wash your hands.`,
  };
};

/** Weeds, inhibitors and gnats where seed is to come up. */
export const livingAtGermination: Rule = ({ input, evaluation }) => {
  if (input.stage !== 'germination') return null;
  const living = evaluation.composition.parts.filter((p) => isEarthy(p.material));
  if (living.length === 0) return null;
  const names = spoken(living.map((p) => p.material.name.split(',')[0]!));
  return {
    code: 'living-at-germination',
    severity: 'warn',
    text: said`Under seed, ${names} can bring weeds, growth inhibitors and fungus gnats.`,
    remedy: said`Keep it for potting up, or heat it through to 60 °C for 30 minutes and let it cool.`,
  };
};
