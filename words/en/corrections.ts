import { type CorrectionFacts } from '#core/batch/correct-facts';
import { type Words } from '#words/catalog';

const faults = {
  'little-air': 'too little air',
  'much-air': 'too much air',
  alkaline: 'too alkaline',
  salty: 'too salty',
} as const;

export const corrections: Words<CorrectionFacts> = {
  'correct.add-material': ({ material, looseLitres }, f) =>
    `Add ${f.volume(looseLitres)} of ${f.name(material)}, loose.`,
  'correct.add-lime': ({ product, grams }, f) =>
    `Blend in ${f.mass(grams)} of ${f.name(product)}, damp, and test again after a week.`,
  'correct.leach': ({ litres }, f) => `Run ${f.volume(litres)} of clean water through it and let it drain.`,
  'correct.add-water': ({ litres }, f) => `Water it with ${f.volume(litres)} in portions, turning between.`,
  'correct.add-dry-mix': ({ litres }, f) =>
    `Work in ${f.volume(litres)} of the same mix as it comes, unwatered.`,
  'correct.spread-out': () => 'Spread it out and let it dry until it squeezes right.',
  'correct.plateau': ({ ph }, f) =>
    `pH ${f.ph(ph)} is where undissolved lime holds it. How much is left in it is unknown, and it will not come down.`,
  'correct.over-limed': ({ ph, times }, f) =>
    `pH ${f.ph(ph)} means ${f.digits(times, 2)} times the lime it takes.`,
  'correct.out-of-reach': ({ faults: those }, f) =>
    `It is ${f.list(those.map((fault) => faults[fault]))}. What is on the shelf cannot put that right with less than the batch’s own volume.`,
};
