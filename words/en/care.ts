import { type CareFacts, type PlantName } from '#core/plants/care-facts';
import { type Words } from '#words/catalog';

/** "Tomato “Long Red”". */
const plants = ({ crop, sort }: PlantName): string => `${crop.name}${sort ? ` “${sort}”` : ''}`;

export const care: Words<CareFacts> = {
  'plants.name': (name) => plants(name),
  'care.up': ({ name, sown }) => `Count what ${sown ? 'came up' : 'has rooted'} of ${plants(name)}`,
  'care.hardly-up': ({ name, celsius, low, high }, f) =>
    `Count what came up of ${plants(name)}: few or none do at ${f.celsius(celsius)}, only at ${f.celsiusRange(low, high)}`,
  'care.water': ({ name }) =>
    `Mist the leaves of ${plants(name)} morning and evening, out of sun and wind: it was moved bare-root`,
  'care.look': ({ name }) => `Count ${plants(name)} again, three weeks after it was moved`,
  'care.top-up': ({ name }) => `Top up ${plants(name)} with the same mix, to just under the first leaves`,
  'care.lift': ({ name, weighed, gonePct = 50 }) =>
    `Lift ${plants(name)}: about ${gonePct} % of its water may be gone since it was ${weighed ? 'weighed' : 'watered from below'}`,
  'care.feed': ({ name, mixFeeds }) =>
    `First feed of ${plants(name)}: weak, by its label${mixFeeds ? ', as its mix runs out' : ''}`,
  'care.pot-up': ({ name }) => `Pot up or plant ${plants(name)} before its roots go around`,
};
