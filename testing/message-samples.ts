import { allow } from '#core/units/allowed';
import { type FaultFacts, problem, type ProblemFacts } from '#words/problem-facts';
import { type TestContext, type TestValues } from '#core/batch/tests/bench-test';
import { type BenchTestId, benchTestIds, runBenchTest } from '#core/batch/tests/bench-tests';
import { type Named, none } from '#core/units/message';
import { type AllFacts } from '#words/catalog';

const peat: Named = { id: 'peat-fine', name: 'Sphagnum peat, fine (0-5 mm)' };
const perlite: Named = { id: 'perlite-coarse', name: 'Perlite, coarse (2-5 mm)' };
const lime: Named = { id: 'lime-dolomitic', name: 'Dolomitic lime, ground' };
const own: Named = { id: 'own-blue-bag', name: 'Blue Bag from the Merchant' };

const on = '2031-03-01';
const crop: Named = { id: 'tomato', name: 'Tomato' };
const tomato = { crop, sort: 'Long Red', sowing: 2, of: 3 };
const plants = { crop, sort: 'Long Red' };
const pot: Named = { id: 'pot-9', name: '9 cm pot' };
const trays = {
  ...{ vessel: { id: 'cell-72', name: '72-cell tray' }, noun: 'cell' },
  ...{ cells: 120, trays: 2, perTray: 72 },
};

/** Facts for every message that has some, the plain and the odd case of each: for tests that read all there is. */
export const samples: {
  [Code in keyof (AllFacts & ProblemFacts & FaultFacts)]?: readonly (AllFacts &
    ProblemFacts &
    FaultFacts)[Code][];
} = {
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
    { litres: 12, lessLaterLitres: 0, sure: true, restLitres: 4.2 },
    { litres: 12, lessLaterLitres: 0, sure: true, restLitres: 0 },
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
  'step.water': [
    { litres: 6.6 },
    { litres: 6.6, beforeLitres: 3 },
    { litres: 9, loads: 3 },
    { litres: 9, loads: 3, beforeLitres: 3 },
  ],
  'step.water.why': [{ pct: 45 }],
  'step.squeeze': [{ block: true }, { block: false }],
  'step.squeeze.why': [{ block: true }, { block: false }],
  'step.rest': [{ stage: 'germination' }, { stage: 'rooting' }, { stage: 'seedling' }, { stage: 'potting' }],
  'step.fill-block': [{ firmingPct: 25 }, { firmingPct: 25, breakPct: 5 }],
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
    { litres: 9, kettles: 2, celsius: 60, wetPct: null, loads: 3, mixKJPerK: 30 },
  ],
  'step.heat-drowns': [{ celsius: 60 }],
  'step.heat.why': [
    { celsius: 60, minutes: 30 },
    { celsius: 60, minutes: 30, lossPct: 15 },
  ],
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
  'from.over-size': [{ mostMm: 7.5, usualMm: 2, largestMm: 10 }],
  'from.dose-share': [{ gPerL: 0.2, pct: 15.5 }],
  'mover.part': [{ material: perlite }, { material: own }],
  'mover.dose': [{ product: lime }],
  'mover.lime': [{ ph: 0.2 }],
  'mover.firmer': [{ pct: 5 }],
  'mover.deeper': [{ mm: 10 }],
  'cause.hungry.remedy': [{ litres: 1.2, leachLitres: 6.5 }],
  'cause.sour.remedy': [{ litres: 1.2, leachLitres: 6.5 }],
  'cause.sweet.remedy': [{ litres: 120, leachLitres: 650 }],
  'cause.salty.remedy': [{ litres: 1.2, leachLitres: 6.5 }],
  'event.up': [{ kind: 'up', on, count: 1200 }],
  'event.count': [{ kind: 'count', on, alive: 33 }],
  'event.lost': [{ kind: 'lost', on, count: 3, cause: 'slugs' }],
  'event.thinned': [{ kind: 'thinned', on, count: 3 }],
  'event.moved': [{ kind: 'moved', on, count: 3, to: 4 }],
  'event.out': [
    { kind: 'out', on, count: 3, way: 'sold' },
    { kind: 'out', on, count: 30, way: 'planted', minutes: 12 },
  ],
  'event.after': [
    { kind: 'after', on, went: 'grew on' },
    { kind: 'after', on, went: 'stalled', kg: 31.5, text: 'dry wind' },
  ],
  'event.fed': [{ kind: 'fed', on, text: 'weak' }],
  'event.watered': [
    { kind: 'watered', on },
    { kind: 'watered', on, litres: 2.5, minutes: 1 },
  ],
  'event.ph': [{ kind: 'ph', on, value: 6 }],
  'event.ec': [{ kind: 'ec', on, value: 1.25 }],
  'event.weight': [{ kind: 'weight', on, grams: 3118 }],
  'event.cold': [{ kind: 'cold', on, celsius: -4 }],
  'event.sprayed': [{ kind: 'sprayed', on, text: 'soap' }],
  'event.topped': [
    { kind: 'topped', on },
    { kind: 'topped', on, litres: 0.5 },
  ],
  'event.size': [{ kind: 'size', on, mm: 90 }],
  'event.picture': [
    { kind: 'picture', on, picture: 1, text: '' },
    { kind: 'picture', on, picture: 1, text: 'from above' },
  ],
  'event.note': [{ kind: 'note', on, text: 'Looks well' }],
  'event.sign': [{ kind: 'sign', on, sign: 'purple' }],
  'event.did': [{ kind: 'did', on, cause: 'cold', text: 'moved in' }],
  'event.helped': [
    { kind: 'helped', on, cause: 'cold', helped: true },
    { kind: 'helped', on, cause: 'cold', helped: false },
  ],
  'season.name': [tomato, { ...tomato, sort: '', of: 1 }],
  'season.vessels': [trays, { ...trays, cells: 1, trays: 1 }, { ...trays, perTray: 1 }],
  'fit.blocks': [{ name: tomato, vessel: pot }],
  'fit.move': [
    { name: tomato, weeks: -1 },
    { name: tomato, weeks: 2 },
  ],
  'strip.bar': [{ name: tomato, vessel: pot, from: on, moves: [{ vessel: pot, on }], out: on }],
  'calendar.mix': [{ mix: 'Seed mix', litres: 40, why: 'lime', latest: on }],
  'task.start': [
    {
      ...{ name: tomato, start: 'sow', vessels: trays, perCell: 3 },
      ...{ cover: { mm: 6, with: 'vermiculite' }, dark: true },
    },
    { name: tomato, start: 'sow', vessels: trays, perCell: 1, cover: null, dark: false },
    { name: tomato, start: 'stick', vessels: trays, perCell: 1, cover: null, dark: false },
  ],
  'task.up': [
    { name: tomato, rooted: true },
    { name: tomato, rooted: false },
  ],
  'task.spares': [{ name: tomato, noun: 'cell' }],
  'task.feed': [{ name: tomato }],
  'task.move': [
    { name: tomato, prick: true, vessels: trays, deep: true },
    { name: tomato, prick: false, vessels: trays, deep: false },
  ],
  'task.harden': [{ name: tomato }],
  'task.plant': [{ name: tomato, plants: 1200 }],
  'task.own': [{ name: tomato, what: 'stakes in' }],
  'task.mix': [
    { why: 'bark', latest: on },
    { why: 'coir', latest: null },
    { why: 'organic', latest: null },
    { why: 'none', latest: on },
  ],
  'season.late': [{ name: tomato, on, days: 1, ready: on }],
  'season.too-long': [
    { name: tomato, vessel: pot, weeks: 1, beginOn: on },
    { name: tomato, vessel: pot, weeks: 2.4, beginOn: on },
  ],
  'season.frost': [{ name: tomato, after: on, chance: 0.4, safe: on }],
  'season.cold-nights': [{ name: tomato, celsius: 10, mild: on }],
  'season.tested-seed': [{ name: tomato, low: 0.46, high: 0.73, share: 0.46 }],
  'season.old-seed': [
    { name: tomato, years: 1, share: 0.6 },
    { name: tomato, years: 4, share: 0.4 },
  ],
  'season.per-cell': [{ name: tomato, perCell: 1, empty: 0.3, oneMore: 0.09, share: 0.7 }],
  'season.seed-to-spare': [{ name: tomato, perCell: 1, empty: 0.01 }],
  'season.wants-acid': [{ crop: tomato.crop, low: 4.5, high: 5.2, mix: 'Potting mix', limedTo: 5.8 }],
  'weather.frost': [{ celsius: -2 }],
  'weather.cold': [{ celsius: 4 }],
  'weather.dry': [{ days: 5 }],
  'weather.wet': [{ mm: 17 }],
  'plants.name': [plants, { ...plants, sort: '' }],
  'care.hardly-up': [{ name: plants, celsius: 8, low: 15, high: 30 }],
  'season.hardly-up': [
    { name: tomato, celsius: 8, low: 15, high: 30 },
    { name: tomato, celsius: 8, low: 15, high: 30, from: '2031-04-01' },
    { name: tomato, celsius: 33, low: 5, high: 25 },
  ],
  'care.up': [
    { name: plants, sown: true },
    { name: plants, sown: false },
  ],
  'care.water': [{ name: plants }],
  'care.look': [{ name: plants }],
  'care.top-up': [{ name: plants }],
  'care.lift': [
    { name: plants, weighed: true, gonePct: 40 },
    { name: plants, weighed: false },
  ],
  'care.feed': [
    { name: plants, mixFeeds: true },
    { name: plants, mixFeeds: false },
  ],
  'care.pot-up': [{ name: plants }],
  'correct.over-limed': [{ ph: 7.1, times: 2.4 }],
  'correct.add-material': [{ material: peat, looseLitres: 12 }],
  'advise.way': [
    { edits: [{ does: 'add', what: perlite, parts: 2 }], moves: { of: 'air', from: 7.6, to: 12.1 } },
    {
      edits: [
        { does: 'more', what: peat, by: 1, parts: 4 },
        { does: 'less', what: own, by: 0.5, parts: 1 },
        { does: 'no-lime' },
      ],
      moves: { of: 'ph', from: 7.1, to: 6 },
    },
    {
      edits: [
        { does: 'leave-out', what: own },
        { does: 'no-dose', what: lime },
      ],
      moves: null,
    },
    {
      edits: [{ does: 'exchange', what: perlite, from: own, parts: 2 }],
      moves: { of: 'overSize', from: 22, to: 3 },
    },
    {
      edits: [
        { does: 'screen', what: peat, mm: 6 },
        { does: 'firm', pct: 5, wasPct: 10 },
      ],
      moves: { of: 'cohesion', from: 0.4, to: 0.6 },
    },
    {
      edits: [{ does: 'dose', what: own, gPerL: 0.4, wasGPerL: 1.2 }],
      moves: { of: 'ecSaturated', from: 2.4, to: 1.2 },
    },
    {
      edits: [
        { does: 'dose', what: own, gPerL: 0.4, wasGPerL: null },
        { does: 'lime', what: lime, ph: 5.8 },
        { does: 'firm', pct: 0, wasPct: 10 },
        { does: 'firm', pct: 10, wasPct: 0 },
      ],
      moves: { of: 'n', from: 18, to: 80 },
    },
  ],
  'advise.would-vessel': [{ vessel: pot }],
  'rule.water': [
    { first: 0.5, last: 2, gonePct: 50 },
    { first: 0, last: 0, gonePct: 40 },
    { first: 0.07, last: 4.6, gonePct: 60 },
  ],
  'rule.feed': [
    { nMgPerL: 100, from: 'leaves', day: 14 },
    { nMgPerL: 75, from: 'roots', day: 21 },
    { nMgPerL: 50, from: 'day', day: 28 },
  ],
  'rule.through': [{ pct: 0 }, { pct: 10 }, { pct: 20 }, { pct: 30 }],
  'rule.change': [
    { change: 'acid', inTen: 7 },
    { change: 'any-hour', inTen: 9 },
  ],
  'jar.no-lime': [{ product: lime }],
  'jar.dose': [{ gPerL: 60, most: 50 }],
  'jar.ph': [{ ph: 19, from: 2.5, to: 11 }],
  'jar.too-few': [{ ph: 7.5 }],
  'trays.still-hold': [{ perMille: 1 }, { perMille: 30 }],
  'trays.more-blocks': [{ blocks: 3, least: 6 }],
  'trays.too-few': [{ perMille: 120 }],
  'labels.sheet': [{ paper: 'a4', count: 24, acrossMm: 70, downMm: 37 }],
  'labels.single': [{ acrossMm: 62, downMm: 29 }],
  'allowed.number': [
    { low: 0, high: 10 },
    { low: 1, high: Infinity },
    { low: -Infinity, high: 100 },
  ],
  'allowed.whole': [{ low: 1, high: 20 }],
  'allowed.two-numbers': [{ low: 5, high: 2000 }],
  'allowed.one-of': [{ ids: ['sow', 'stick'] }],
  'allowed.called': [{ name: 'moondust' }],
  'allowed.entry-kind': [{ kinds: ['tick', 'test'] }],
  'allowed.things': [
    { low: 1, high: 20, what: 'materials' },
    { low: 3, high: 3, what: 'ingredients' },
    { low: 1, high: Infinity, what: 'materials' },
    { low: 0, high: 24, what: 'step-kinds' },
  ],
  'allowed.text': [
    { low: 1, high: 60 },
    { low: 0, high: 2000 },
  ],
  'allowed.of-kind': [{ kind: 'string' }, { kind: 'array' }],
  'allowed.parts-in-all': [{ most: 6 }],
  'allowed.as-many-as-have-minimum': [{ low: 2 }],
  'allowed.of-the-shelf': [{ ids: ['peat-fine', 'loam'] }],
  'allowed.of-this-version': [{ version: 1 }],
  'allowed.smaller-picture': [{ most: 240_000 }],
  'allowed.parts-by-id': [{ most: 20 }],
  'allowed.trays-vessels-litres': [
    { trays: [1, 10], vessels: [1, 100], sparePct: [0, 50], litres: [0.1, 1000] },
  ],
  'allowed.members-only': [{ head: 'welcome.json' }],
  'allowed.room-on-disk': [{ bytes: 3e9 }],
  'allowed.most-bytes': [{ most: 10_000 }],
  'allowed.nested': [{ most: 30 }],
  'allowed.archive-with': [{ head: 'welcome.json' }],
  'allowed.of-formats': [{ newest: 2 }],
  'allowed.schema-here': [{ newest: 18 }],
  'allowed.sum-in': [{ head: 'welcome.json' }],
  'allowed.lines-of-head': [{ lines: 12 }],
  'allowed.as-beside': [{ is: 'sow' }],
  'allowed.about': [{ kinds: ['lot', 'batch'] }],
  'allowed.most-rows': [{ most: 700 }],
  'allowed.own-or-new': [{ id: 'peat-fine' }],
  'allowed.number-or-new': [{ thing: 'lot' }],
  'allowed.known-item': [{ kind: 'material' }],
  'allowed.unit-of': [{ unit: 'L', kind: 'material' }],
  'allowed.both-or-neither': [{ columns: ['seed_of'] }],
  'allowed.below-water': [{ celsius: 80 }],
  'allowed.hot-water-holds': [{ celsius: 61.4 }],
  'allowed.between-readings': [{ ambientC: 12, startC: 70 }],
  'allowed.nine-tenths-of-pot': [{ litres: 0.45 }],
  'allowed.since-it-stood': [{ seconds: 20 }],
  'allowed.more-than-empty': [{ grams: 40 }],
  'allowed.more-than-dish': [{ grams: 40 }],
  'allowed.at-least-dry': [{ grams: 40 }],
  'allowed.most-sample': [{ grams: 400 }],
  'allowed.half-of-scooped': [{ low: 40, high: 80 }],
  'allowed.under-largest': [{ fromMm: 1, underMm: 12 }],
  'allowed.leaves-pores': [{ pct: 41.3 }],
  'allowed.product-with': [{ basis: 'n' }],
  'allowed.no-stronger': [{ mgPerL: 3000 }],
  'allowed.burns-the-base': [{ mgPerL: 1000, wood: 'soft' }],
  'allowed.since-it-began': [{ day: '2031-02-01' }],
  'allowed.cells-there': [{ cells: 72 }],
  'allowed.above-nothing-to': [{ most: 20 }],
  'allowed.number-in-it': [{ low: 1, high: 52, given: 90 }],
  'allowed.most-vessels': [{ most: 10 }],
  'allowed.dry-of-wet': [{ grams: 120 }],
  'allowed.nine-tenths-of-vessel': [{ litres: 0.45 }],
  'allowed.above-before-lime': [{ ph: 4.4 }],
  'allowed.at-least-screen': [{ mm: 6 }],
  'allowed.water-of-mouth': [{ low: 30, high: 90 }],
  'allowed.blocks-of-mix': [{ fewest: 20, most: 90, mm: 50 }],
  'allowed.deeper-in-pot': [{ mm: 30 }],
  'allowed.pot-filled-deeper': [{ ballMm: 60, potMm: 50 }],
  'allowed.gain-within': [{ pct: 20 }],
  'allowed.same-vessel': [{ vessel: 'cell-72' }],
  'allowed.most-left': [{ left: 12 }],
  'allowed.dots': [{ low: 16, high: 4000 }],
  'allowed.lot-of': [{ item: 'peat-fine' }],
  'allowed.under-planned': [{ planned: 40 }],
  'allowed.here-or-taken': [{ of: 'mixes 0' }],
  'allowed.most-begun': [{ most: 24 }],
  'allowed.most-there': [{ most: 24 }],
  'allowed.most-alive': [{ most: 24 }],
  'fault.altered': [{ is: 'ab12', noted: 'cd34' }],
  'fault.damaged': [{ says: 'page 3' }, { says: null }],
  'fault.loose': [{ table: 'batches' }],
  'fault.newer': [{ schema: 99 }],
  'fault.unreadable': [{ says: 'not a database' }],
  'fault.other-rows': [{ table: 'batches', rows: 4 }],
  'fault.system': [{ says: 'no room' }],
  'problem.row': [
    { line: 3, column: 'top_mm', allowed: allow('allowed.number', { low: 5, high: 2000 }), was: 9000 },
    { line: 1, column: null, allowed: allow('allowed.header', none) },
  ],
  'problem.at-line': [{ line: 4, says: problem('problem.not-found', { thing: 'planting', id: '9' }) }],
  'problem.none-of-welcome': [{ why: { say: 'fault.empty', with: none } }],
  'problem.busy': [{ under: 2, waiting: 16 }],
  'problem.host': [{ host: 'elsewhere' }],
  'problem.content-type': [{ kind: 'json', given: 'none' }],
  'problem.too-large': [{ kB: 256 }],
  'problem.header': [{ header: 'About', given: 'x' }],
  'problem.another-one': [{ thing: 'batch' }],
  'problem.no-backup': [{ why: { say: 'fault.system', with: { says: 'no room' } } }],
  'problem.not-whole': [{ why: { say: 'fault.empty', with: none } }],
  'problem.real-device': [{ name: 'pH pen' }],
  'problem.cannot-open': [{ why: { say: 'fault.empty', with: none } }],
  'problem.not-found': [{ thing: 'batch', id: '7' }],
  'problem.too-often': [{ what: 'codes' }],
  'problem.not-accepted': [{ why: null }],
  'problem.not-understood': [
    { refusal: { argument: 'name', value: 7, allowed: allow('allowed.of-kind', { kind: 'string' }) } },
  ],
  'problem.out-of-range': [
    { refusal: { argument: 'depthMm', value: 7, allowed: allow('allowed.number', { low: 10, high: 20 }) } },
  ],
  'cost.batch': [
    { money: 14.2, litres: 120, unpriced: 0, sign: '€' },
    { money: 14.2, litres: 120, unpriced: 2, sign: '€' },
  ],
  'correct.add-lime': [{ product: lime, grams: 40 }],
  'correct.leach': [{ litres: 80 }],
  'correct.add-water': [{ litres: 3.2 }],
  'correct.add-dry-mix': [{ litres: 9 }],
  'correct.plateau': [{ ph: 7.9 }],
  'correct.out-of-reach': [{ faults: ['little-air'] }, { faults: ['alkaline', 'salty'] }],
  ...(() => {
    const two = {
      what: 'came up',
      best: { name: '9 cm pot', pct: 90.3, of: 144 },
      last: { name: 'Bought', pct: 62.5, of: 144 },
    };
    return {
      'verdict.better': [
        { ...two, byChancePerMille: 0.2 },
        { ...two, byChancePerMille: 1.3 },
        { ...two, byChancePerMille: 31 },
      ],
      'verdict.ahead': [
        { ...two, moreEach: null },
        { ...two, moreEach: 81 },
      ],
      'verdict.alike': [two],
    };
  })(),
  'link.unknown': [{ part: 'into', given: 'bathtub' }],
  'link.number': [
    { part: 'firm', of: null, given: 'much', low: 0, high: 45 },
    { part: 'dose', of: 'eggshell', given: '1e9', low: 0.01, high: 100 },
  ],
  'result.batch': [
    { up: { alive: 0, of: 0 }, plantings: 1, lost: [], suspects: [] },
    {
      up: { alive: 446, of: 480 },
      plantings: 3,
      lost: [{ cause: 'damped off', count: 9 }],
      suspects: [{ cause: 'sweet', plantings: 2 }],
    },
  ],
};

const context: TestContext = {
  ...{ stage: 'germination', ph: { low: 5.5, high: 6 }, totalPorosity: 0.92, drainedWater: 0.8 },
  ...{ dryBulkDensityGPerL: 110, targetSaturation: 0.45, looseLitres: 100 },
} as const;
/** What is read in tests of a batch: low, right and high, and the odd. */
const read: Record<BenchTestId, readonly TestValues[]> = {
  squeeze: [{ grade: 'dusty' }, { grade: 'clump' }, { grade: 'slurry' }],
  drain: [
    { pondS: 1, throughS: 6 },
    { pondS: 25, throughS: 60 },
  ],
  cooling: [20, 32].flatMap((ambientC) =>
    [50, 31].map((laterC) => ({
      ...{ startC: 60, laterC: ambientC > laterC ? 50 : laterC },
      minutes: 60,
      ambientC,
    })),
  ),
  air: [5, 60, 300].map((drainedMl) => ({ volumeMl: 500, drainedMl })),
  fill: [100, 282, 900].map((filledG) => ({ volumeMl: 500, emptyG: 20, filledG })),
  moisture: [{ dishG: 50, wetG: 150, dryG: 75 }],
  ph: [4, 5.8, 7.4].map((ph) => ({ ph })),
  ec: [0.02, 0.4, 3].map((ec) => ({ ec, method: 'oneToTwo' })),
  screen: [2, 90].map((overG) => ({ sampleG: 200, overG })),
  yield: [{ finishedL: 86 }],
};
for (const id of benchTestIds) {
  const results = read[id].map((values) => runBenchTest(id, values, context));
  Object.assign(samples, { [`test.${id}.value`]: results, [`test.${id}.says`]: results });
}

/** Of a code: its samples, or nothing but the code. */
export const samplesOf = (code: string): readonly unknown[] =>
  (samples as Record<string, readonly unknown[] | undefined>)[code] ?? [none];
