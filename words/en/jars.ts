import { type JarFacts } from '#core/mix/lime-reaction';
import { type Words } from '#words/catalog';

export const jars: Words<JarFacts> = {
  'jar.no-lime': ({ product }, f) => `${f.title(product)} does not neutralise acid`,
  'jar.dose': ({ gPerL, most }, f) => `a dose must be 0 to ${f.dose(most)}, was ${f.dose(gPerL)}`,
  'jar.ph': ({ ph, from, to }, f) => `a pH must be ${f.ph(from)} to ${f.ph(to)}, was ${f.ph(ph)}`,
  'jar.too-few': ({ ph }, f) => `at least two different doses below pH ${f.ph(ph)} are needed`,
  'jar.no-rise': () => 'pH does not rise with the dose: were the jars kept moist?',
};
