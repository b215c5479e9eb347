import { type LinkFacts, type LinkPart } from '#core/recipe/link-pieces';
import { fixed } from '#core/units/show';
import { type Words } from '#words/catalog';

const parts: Record<LinkPart, string> = {
  stage: 'Stage',
  for: 'Plants',
  into: 'Vessel',
  parts: 'Parts',
  screen: 'Screen',
  lime: 'Lime',
  dose: 'Dose',
  layer: 'Layer',
  fill: 'Filled now',
  seed: 'Seed',
  firm: 'Firming',
  make: 'Amount',
  spare: 'Extra',
  also: 'Other vessels',
  litres: 'Volume',
  tests: 'Tests',
};
const plain = (value: number): string => fixed(value, Number.isInteger(value) ? 0 : 2);

/** What in a link makes no sense. */
export const links: Words<LinkFacts> = {
  'link.unknown': ({ part, given }) => `${parts[part]}: nothing here is called “${given}”.`,
  'link.number': ({ part, of, given, low, high }) =>
    `${parts[part]}${of === null ? '' : ` of ${of}`} must be from ${plain(low)} to ${plain(high)}, the link has “${given}”.`,
};
