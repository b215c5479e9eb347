import { type Filling, line, place } from '#words/place';

export const batchCard = place('batches/batch-card', {
  benchCard: 'Bench card: ',
  batch: (value: Filling) => line`Batch ${value}`,
  struckLevel: ', struck level',
  scoopByThe: (name: Filling, struckLevel: Filling) => line`Scoop, by the ${name}${struckLevel}`,
  parts: 'Parts',
  through: 'through',
  staysOn: 'stays on the screen',
  scoops: 'Scoops',
  volume: 'Volume',
  weighs: 'Weighs',
  weighTheseSpoonsAreApproximate: 'Weigh these. Spoons are approximate',
  dose: 'Dose',
  rate: 'Rate',
  weigh: 'Weigh',
  orLevel: 'Or, level',
  waterToOfThePores: (saturation: Filling) => line`water, to ${saturation} % of the pores`,
  scoopedSettlesTo: 'scooped settles to',
  orderOfWork: 'Order of work',
  handleWithCare: 'Handle with care:',
  estimatesFromTypicalFiguresTest:
    'Estimates from typical figures: test pH, air and salts on a first tray. Product labels, local rules and licensed practice come before this card.',
  forIt: (name: Filling) => line`for ${name}`,
  extra: (sparePct: Filling) => line`, ${sparePct} % extra`,
  sOf: (single: Filling, noun: Filling, name: Filling, spare: Filling) =>
    line`${single} ${noun}s of ${name}${spare}`,
});
