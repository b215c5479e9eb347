import { type Named, none } from '#core/units/message';
import { type AllFacts } from '#words/catalog';

const peat: Named = { id: 'peat-fine', name: 'Sphagnum peat, fine (0-5 mm)' };
const perlite: Named = { id: 'perlite-coarse', name: 'Perlite, coarse (2-5 mm)' };
const lime: Named = { id: 'lime-dolomitic', name: 'Dolomitic lime, ground' };
const own: Named = { id: 'own-blue-bag', name: 'Blue Bag from the Merchant' };

/** Facts for every message that has some, the plain and the odd case of each: for tests that read all there is. */
export const samples: { [Code in keyof AllFacts]?: readonly AllFacts[Code][] } = {
  'step.screen': [{ material: peat, mm: 6, onLitres: 44, throughLitres: 40 }],
  'step.screen.why': [{ overLitres: 4 }],
  'step.screen-coarse': [{ materials: [peat, own], mm: 10 }],
  'step.damp-down': [
    { materials: [peat, perlite], keepDry: true },
    { materials: [own], keepDry: false },
  ],
  'step.damp-down.why': [{ bale: true }, { bale: false }],
  'step.hydrate': [
    { litres: 12, lessLaterLitres: 3 },
    { litres: 0.7, lessLaterLitres: 0 },
  ],
  'step.pre-blend': [
    {
      doses: [
        { product: lime, grams: 120 },
        { product: own, grams: 3 },
      ],
      carrier: perlite,
      keptDry: true,
      late: false,
    },
    { doses: [{ product: lime, grams: 1500 }], carrier: peat, keptDry: false, late: true },
  ],
  'step.pre-blend.why': [{ late: true }, { late: false }],
  'step.pre-blend.caution': [{ caustic: true }, { caustic: false }],
  'step.layer': [
    { loads: 1, quarters: [{ material: peat, litres: 10 }], blend: false },
    { loads: 3, quarters: [{ material: perlite, litres: 4.2 }], blend: true },
  ],
  'step.layer.why': [
    { looseLitres: 1234, litres: 1000, filled: 'block', shrinks: true },
    { looseLitres: 44, litres: 40, filled: 'vessel', shrinks: false },
  ],
  'step.layer.caution': [{ grams: 31_000, liftGrams: 20_000 }],
  'step.strew': [{ product: lime, eachGrams: 0.8, allGrams: 32, filled: 'vessel', topPct: 20 }],
  'step.water': [{ litres: 6.6 }],
  'step.water.why': [{ pct: 45 }],
  'step.squeeze': [{ block: true }, { block: false }],
  'step.squeeze.why': [{ block: true }, { block: false }],
  'step.rest': [{ stage: 'germination' }, { stage: 'rooting' }, { stage: 'seedling' }, { stage: 'potting' }],
  'step.fill-block': [{ firmingPct: 25 }],
  'step.fill': [{ firmingPct: 0 }, { firmingPct: 6 }],
  'step.fill.why': [{ firmingPct: 0 }, { firmingPct: 6 }],
  'step.top-up': [{ fillPct: 50, litres: 20 }],
  'step.re-test': [{ day: 7 }, { day: 14 }],
  'step.heat': [
    { by: 'oven', celsius: 60 },
    { by: 'steam', celsius: 60 },
  ],
  'step.heat-boiling': [
    { litres: 5, kettles: 1, celsius: 60, wetPct: null },
    { litres: 9, kettles: 6, celsius: 60, wetPct: 71 },
  ],
  'step.heat-drowns': [{ celsius: 60 }],
  'step.heat.why': [{ celsius: 60, minutes: 30 }],
  'step.heat.caution': [
    { by: 'oven', drowns: false, ammonium: true },
    { by: 'steam', drowns: false, ammonium: false },
    { by: 'boiling', drowns: true, ammonium: false },
    { by: 'boiling', drowns: false, ammonium: true },
  ],
  'term.material': [{ material: perlite }, { material: own }],
  'term.material-share': [{ material: peat, pct: 66.7 }],
  'term.product': [{ product: lime }],
  'term.air-entry': [{ material: peat }],
  'term.water-held': [{ depthMm: 45 }],
  'term.free-lime': [{ ph: 7.9 }],
  'from.per-gram': [{ meqPerG: 18.34 }],
  'from.dose': [{ gPerL: 3 }],
  'from.dissolves': [{ dissolvedGPerL: 2.1, gPerL: 5 }],
  'from.dose-share': [{ gPerL: 0.2, pct: 15.5 }],
  'mover.part': [{ material: perlite }, { material: own }],
  'mover.dose': [{ product: lime }],
  'mover.lime': [{ ph: 0.2 }],
  'mover.firmer': [{ pct: 5 }],
  'mover.deeper': [{ mm: 10 }],
};

/** Of a code: its samples, or nothing but the code. */
export const samplesOf = (code: string): readonly unknown[] =>
  (samples as Record<string, readonly unknown[] | undefined>)[code] ?? [none];
