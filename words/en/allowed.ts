import { type AllowedFacts, type Things } from '#core/units/allowed';
import { type Formats } from '#words/formats';
import { type Words } from '#words/catalog';

const elements = { n: 'nitrogen', p: 'phosphorus', k: 'potassium', lime: 'lime value' } as const;

/** A round number is said as it was typed: "20 g", not "20.0 g". */
const whole = (text: string): string => text.replace(/\.0+(?=\D|$)/, '');

/** A hormone is bought and thinned by its ppm, in both systems. */
const ppm = (mgPerL: number, f: Formats): string => `${f.count(mgPerL)}\u00a0ppm`;

const things: Record<Things, string> = {
  materials: 'materials',
  ingredients: 'ingredients',
  products: 'products',
  'step-kinds': 'kinds of steps',
  steps: 'steps',
  crops: 'crops',
  doses: 'doses',
  plantings: 'plantings',
  cells: 'cells',
  arms: 'arms',
  vessels: 'vessels',
  feeds: 'feeds',
  tests: 'tests',
  remarks: 'remarks',
  values: 'values',
  benches: 'benches',
  tasks: 'tasks',
};

const kinds: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  object: 'an object',
  record: 'an object',
  array: 'a list',
};

/** Between which ends, with the digits that were asked for: so they can be typed back, into a table too. */
export const between = (low: number | string, high: number | string): string => {
  if (low === -Infinity) return `at most ${high}`;
  return high === Infinity ? `at least ${low}` : `from ${low} to ${high}`;
};

const rows = { lot: 'lot', line: 'line of the season', planting: 'planting', entry: 'entry' };

/** What would have been taken, as it follows "must be". */
export const allowed: Words<AllowedFacts> = {
  'allowed.number': ({ low, high }) => `a number ${between(low, high)}`,
  'allowed.whole': ({ low, high }) => `a whole number ${between(low, high)}`,
  'allowed.two-numbers': ({ low, high }) => `two numbers ${between(low, high)}`,
  'allowed.one-of': ({ ids }) => `one of ${ids.join(', ')}`,
  'allowed.called': ({ name }) => `nothing here is called “${name}”`,
  'allowed.entry-kind': ({ kinds }) => `an entry of kind ${kinds.join(', ')}`,
  'allowed.things': ({ low, high, what }) => {
    if (low === high) return `a list of ${low} ${things[what]}`;
    return `a list of ${low > 0 ? between(low, high).replace('from ', '') : `at most ${high}`} ${things[what]}`;
  },
  'allowed.text': ({ low, high }) => `text of ${low > 0 ? `${low} to` : 'at most'} ${high} characters`,
  'allowed.of-kind': ({ kind }) => kinds[kind] ?? kind,
  'allowed.of-schema': () => 'as the description of the API has it',
  'allowed.yes-no': () => 'true or false',
  'allowed.day': () => 'a day, YYYY-MM-DD',
  'allowed.week': () => 'a week in ISO form, as 2027-W09',
  'allowed.moment': () => 'a moment in UTC, as 2031-03-03T20:00:00Z',
  'allowed.client-key': () => 'a UUID made by the client: the same key twice is one',
  'allowed.id': () => 'a short id of a–z, 0–9 and -',
  'allowed.something': () => 'given',
  'allowed.parts-in-all': ({ most }) => `at most ${most} parts in all`,
  'allowed.as-many-as-have-minimum': ({ low }) => `at least ${low}: that many have a minimum`,
  'allowed.above-nothing-of-one': () => 'above 0 for at least one material',
  'allowed.named-once': () => 'named only once',
  'allowed.of-the-shelf': ({ ids }) => `for a material on the shelf: ${ids.join(', ')}`,
  'allowed.falling-water': () => 'each at least the next, and none below 0',
  'allowed.drawn-through': () => 'figures that a curve can be drawn through',
  'allowed.one-temperature': () => 'a table with at least one temperature',
  'allowed.share-file': () => 'welcome-share: a file that Welcome gave out',
  'allowed.of-this-version': ({ version }) => `${version}: the file is of another Welcome`,
  'allowed.an-approach': () => 'one of the approaches',
  'allowed.most-laid-out': () => 'one where no more came up than were laid out',
  'allowed.task-id': () => 'a task of a sowing, like “start” or “move-2”',
  'allowed.number-of-sowing': () => 'the number of a sowing',
  'allowed.three-days': () => 'three days, one after the other',
  'allowed.material-or-properties': () => 'one with a material or with properties, not both',
  'allowed.litres-or-vessels': () => 'given, or the vessels instead: one of the two',
  'allowed.with-vessels-only': () => 'left out where no vessels are given',
  'allowed.acid-with-ph': () => 'given where an acid is, and only there',
  'allowed.low-below-high': () => 'a window with its low end below its high end',
  'allowed.at-least-struck': () => 'at least the level volume',
  'allowed.smaller-picture': ({ most }) => `at most ${most} characters: a smaller picture`,
  'allowed.parts-by-id': ({ most }) => `whole parts from 0 to ${most}, by material id`,
  'allowed.id-with-properties': () => 'an id, or an id with properties or costPerL',
  'allowed.trays-vessels-litres': ({ trays, vessels, sparePct, litres }) =>
    `trays ${trays.join('–')}, or vessels ${vessels.join('–')} with sparePct ${sparePct.join('–')}, or litres ${litres.join('–')}`,
  'allowed.most-there-were': () => 'at most as many as there were',
  'allowed.vessel-shape': () => 'a vessel with a shape of round, rect or block',
  'allowed.whole-zip': () => 'a zip file that is whole',
  'allowed.members-only': ({ head }) => `${head}, schema.json, or in tables/ or pictures/`,
  'allowed.name-once': () => 'a name that is there once',
  'allowed.room-on-disk': ({ bytes }) => `at most ${bytes} bytes when unpacked: the disk has no more room`,
  'allowed.file-there': () => 'a file in the archive',
  'allowed.as-packed': () => 'as it was when it was packed',
  'allowed.most-bytes': ({ most }) => `at most ${most} bytes long`,
  'allowed.nested': ({ most }) => `nested at most ${most} deep`,
  'allowed.json-object': () => 'an object of JSON',
  'allowed.archive-with': ({ head }) => `an archive of Welcome: it has ${head}`,
  'allowed.of-formats': ({ newest }) => `1 or ${newest}: it is of another Welcome`,
  'allowed.list-by-name': () => 'a list by name',
  'allowed.sum-in': ({ head }) => `listed with its SHA-256 in ${head}`,
  'allowed.place-in-season': () => 'line/sowing/step, as 3/1/0',
  'allowed.from-plantings': () => 'planting:plants, as 12:40 14:30',
  'allowed.schema-here': ({ newest }) => `from 1 to ${newest}: a later one is of a newer Welcome`,
  'allowed.row-taken': () => 'a row that the table takes',
  'allowed.table-of-welcome': () => 'a table of Welcome',
  'allowed.lines-of-head': ({ lines }) => `${lines} lines, as its head has it`,
  'allowed.points-there': () => 'rows that point to what is there',
  'allowed.as-beside': ({ is }) => `${is}, as what it holds has it`,
  'allowed.about': ({ kinds }) => `“kind number key”, with a kind of ${kinds.join(', ')}`,
  'allowed.hex': () => '32 hex digits',
  'allowed.column': () => 'a column of this table',
  'allowed.header': () => 'a header with column names',
  'allowed.most-rows': ({ most }) => `at most row ${most}: split the file`,
  'allowed.whole-row': () => 'a row with as many cells as the header, quotes closed',
  'allowed.own-or-new': ({ id }) => `left out for one of your own: ${id} is of the starter library`,
  'allowed.number-or-new': ({ thing }) => `the number of a ${rows[thing]}, or left out for a new one`,
  'allowed.known-item': ({ kind }) => `the id of a ${kind}`,
  'allowed.unit-of': ({ unit, kind }) => `${unit} for a ${kind}`,
  'allowed.both-or-neither': ({ columns }) => `given with ${columns.join(' and ')}: both, or neither`,
  'allowed.known-key': () => 'left out: nothing here has this name',
  'allowed.look-again': () => 'look at it, then enter yours again',
  'allowed.number-and-key': () => 'the number and the client key of a thing that exists',
  'allowed.below-water': ({ celsius }, f) => `below the water’s ${f.celsius(celsius)}`,
  'allowed.hot-water-holds': ({ celsius }, f) =>
    `at most ${f.celsius(celsius)}: more water than that would stand in the mix`,
  'allowed.between-readings': ({ ambientC, startC }, f) =>
    `between the surroundings (${f.celsius(ambientC)}) and the first reading (${f.celsius(startC)})`,
  'allowed.nine-tenths-of-pot': ({ litres }, f) =>
    `at most nine tenths of the pot, ${whole(f.volume(litres))}`,
  'allowed.since-it-stood': ({ seconds }, f) =>
    `at least the ${f.counted(seconds, { one: 'second', other: 'seconds' })} that water stood`,
  'allowed.more-than-empty': ({ grams }, f) => `more than the empty vessel, ${whole(f.mass(grams))}`,
  'allowed.more-than-dish': ({ grams }, f) => `more than the dish, ${whole(f.mass(grams))}`,
  'allowed.at-least-dry': ({ grams }, f) => `at least the dry weight, ${whole(f.mass(grams))}`,
  'allowed.most-sample': ({ grams }, f) => `at most the sample, ${whole(f.mass(grams))}`,
  'allowed.half-of-scooped': ({ low, high }, f) =>
    `from ${whole(f.volume(low))} to ${whole(f.volume(high))}: half to all of what was scooped`,
  'allowed.under-largest': ({ fromMm, underMm }, f) =>
    `${f.length(fromMm)} to under ${f.length(underMm)}, its largest piece`,
  'allowed.leaves-pores': ({ pct }, f) =>
    `at most ${f.digits(pct, 3)}\u00a0% for this mix: more leaves no pores`,
  'allowed.product-with': ({ basis }) => `a product with ${elements[basis]}`,
  'allowed.another-material': () => 'another material',
  'allowed.material-with-pores': () => 'a material that leaves pores at this firming',
  'allowed.neutralises-acid': () => 'a product that neutralises acid',
  'allowed.does-not-lime': () => 'a product that does not lime',
  'allowed.no-stronger': ({ mgPerL }, f) => `at most ${ppm(mgPerL, f)}, as strong as what there is`,
  'allowed.burns-the-base': ({ mgPerL, wood }, f) =>
    `at most ${ppm(mgPerL, f)} for ${wood}: stronger burns the base`,
  'allowed.since-it-began': ({ day }, f) => `on or after ${f.day(day)}, when it began`,
  'allowed.cells-there': ({ cells }, f) => `cells of the ${f.count(cells)} that there are`,
  'allowed.can-be-undone': () => 'an entry of this record that can be undone',
  'allowed.later-counts-agree': () =>
    'a day that later counts agree with: they tell of more plants than that leaves',
  'allowed.another-part': () => 'another part of the recipe',
  'allowed.above-nothing-to': ({ most }, f) => `above 0 and at most ${f.count(most)}`,
  'allowed.above-nothing': () => 'above 0',
  'allowed.number-in-it': ({ low, high, given }) => `with a number from ${low} to ${high}, not ${given}`,
  'allowed.most-vessels': ({ most }, f) => `at most ${f.counted(most, { one: 'vessel', other: 'vessels' })}`,
  'allowed.path-of-vessels': () => 'vessel, weeks and loss, as in “cell-72 6w 10% > pot-9 3w 5%”',
  'allowed.emergence-pairs': () => '°C from -5 to 45 and days from 1 to 400, as in “20:8”',
  'allowed.cold-to-warm': () => 'from cold to warm',
  'allowed.feed-line': () =>
    'a name, its N-P-K, and the weight of a level cup: “Chicken pellets 4-3-3, 5 oz”',
  'allowed.task-form': () => 'a name, “@ start” or “@ plant”, and days: “dome off @ start +10”',
  'allowed.one-after-other': () => 'one after the other',
  'allowed.dry-of-wet': ({ grams }, f) =>
    `above 0 and at most the ${whole(f.mass(grams))} that it weighed wet`,
  'allowed.nine-tenths-of-vessel': ({ litres }, f) =>
    `at most nine tenths of the vessel, ${whole(f.volume(litres))}`,
  'allowed.above-before-lime': ({ ph }, f) => `above the ${f.ph(ph)} that it was before lime`,
  'allowed.at-least-screen': ({ mm }, f) => `at least the screen, ${f.length(mm)}`,
  'allowed.time-zone': () => 'a time zone like Australia/Adelaide',
  'allowed.sack-weighed': () => 'another way: the sack has no weight yet',
  'allowed.not-for-blocks': () => 'left out for a block',
  'allowed.water-of-mouth': ({ low, high }, f) =>
    `${whole(f.mass(low))} to ${whole(f.mass(high))} for this mouth and depth`,
  'allowed.blocks-of-mix': ({ fewest, most, mm }, f) =>
    `${f.count(fewest)} to ${f.count(most)} from so much mix, ${f.length(mm)} high`,
  'allowed.counted-in-nitrogen': () => 'above 0: the strength is counted in nitrogen',
  'allowed.deeper-in-pot': ({ mm }, f) => `at most ${f.length(mm)} in this pot`,
  'allowed.pot-filled-deeper': ({ ballMm, potMm }, f) =>
    `a pot filled at least ${f.length(ballMm)} deep: this one is ${f.length(potMm)}`,
  'allowed.wider-than-ball': () => 'a pot wider than the ball',
  'allowed.larger-than-ball': () => 'a pot larger than the ball',
  'allowed.no-fault': () => 'an instrument without a fault',
  'allowed.values-differ': () => 'values that differ',
  'allowed.gain-within': ({ pct }, f) => `within ${f.pct(pct)} of 1: clean it, or the reference is wrong`,
  'allowed.in-no-other': () => 'a planting whose plants are in no other: archive those first',
  'allowed.one-to-split': () => 'one planting that they are set apart from',
  'allowed.same-vessel': ({ vessel }) => `${vessel}, in which they stand: into another they are potted`,
  'allowed.counted-first': () => 'a planting that is counted: count what came up first',
  'allowed.picture-by-itself': () => 'entered by sending the picture: it comes by itself',
  'allowed.moved-by-itself': () => 'entered by potting them: it comes by itself',
  'allowed.not-archived': () => 'a planting that is not archived: restore it first',
  'allowed.batch-there': () => 'a batch that there is',
  'allowed.counted-before': () => 'counted, as nobody has said yet how much of it there is',
  'allowed.most-left': ({ left }, f) => `at most what is left, ${f.count(left)}`,
  'allowed.not-later': () => 'not later than today',
  'allowed.jpeg': () => 'a picture, as JPEG',
  'allowed.dots': ({ low, high }, f) => `from ${f.count(low)} to ${f.count(high)} dots a side`,
  'allowed.folder-there': () => 'a folder that is there, by its whole path, or empty',
  'allowed.a-file': () => 'a file',
  'allowed.key-of-one': () => 'a key that nothing else has an entry under',
  'allowed.lot-of-vessels': () => 'a lot of empty vessels',
  'allowed.lot-of-seed': () => 'a lot of seed',
  'allowed.line-of-today': () => 'a line of Today, as care/12/feed/2031-03-04',
  'allowed.year': () => 'a year, as in 2031',
  'allowed.month': () => 'a year and a month, as in 2031-03',
  'allowed.undo-at-planting': () => 'archived under Plants: this filling is a sowing or potting there',
  'allowed.lot-of': ({ item }) => `a lot of ${item}`,
  'allowed.another-lot': () => 'another lot than the first',
  'allowed.under-planned': ({ planned }, f) => `under the ${f.count(planned)} that it takes in all`,
  'allowed.here-or-taken': ({ of }) => `here, or taken with ${of}, which needs it`,
  'allowed.most-begun': ({ most }, f) => `at most ${f.count(most)}, as many as were begun with`,
  'allowed.most-there': ({ most }, f) =>
    `at most ${f.count(most)}, as many as can still be there of what was begun with`,
  'allowed.most-alive': ({ most }, f) => `at most ${f.count(most)}, as many as there are`,
};
