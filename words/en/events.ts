import { causes } from '#words/en/causes';
import { type EventFacts, type Words } from '#words/catalog';
import { type CauseId } from '#core/plants/cause-table';
import { none } from '#core/units/message';
import { type Formats } from '#words/formats';

const cause = (id: CauseId, f: Formats): string => causes[`cause.${id}.name`](none, f);

/** What happened to plants, as it stands in their record. */
export const events: Words<EventFacts> = {
  'event.up': ({ count }, f) => `${f.count(count)} came up`,
  'event.count': ({ alive }, f) => `counted: ${f.count(alive)} alive`,
  'event.lost': ({ count, cause: by }, f) => `${f.count(count)} lost, ${by}`,
  'event.thinned': ({ count }, f) => `${f.count(count)} thinned`,
  'event.moved': ({ count }, f) => `${f.count(count)} potted on`,
  'event.out': ({ count, way, minutes }, f) =>
    `${f.count(count)} ${way}${
      minutes === undefined ? '' : ` in ${f.counted(minutes, { one: 'minute', other: 'minutes' })}`
    }`,
  'event.after': ({ went, kg, text }, f) =>
    `planted out they ${went}${kg === undefined ? '' : `, ${f.mass(1000 * kg)} in all`}${text ? `: ${text}` : ''}`,
  'event.fed': ({ text }) => `fed: ${text}`,
  'event.watered': ({ litres, minutes }, f) =>
    `watered from below${litres === undefined ? '' : ` with ${f.volume(litres)}`}${
      minutes === undefined ? '' : `, taken up in ${f.counted(minutes, { one: 'minute', other: 'minutes' })}`
    }`,
  'event.ph': ({ value }, f) => `pH ${f.ph(value)}`,
  'event.ec': ({ value }, f) => `EC ${f.ec(value)}`,
  'event.weight': ({ grams }, f) => `a tray weighs ${f.mass(grams)}`,
  'event.cold': ({ celsius }, f) => `night down to ${f.celsius(celsius)}`,
  'event.sprayed': ({ text }) => `sprayed: ${text}`,
  'event.topped': ({ litres }, f) => `topped up${litres === undefined ? '' : ` with ${f.volume(litres)}`}`,
  'event.size': ({ mm }, f) => `${f.length(mm)} tall`,
  'event.picture': ({ text }) => (text ? `a picture: ${text}` : 'a picture'),
  'event.note': ({ text }) => text,
  'event.sign': ({ sign }, f) => `seen: ${causes[`sign.${sign}`](none, f)}`,
  'event.did': ({ cause: against, text }, f) => `against “${cause(against, f)}”: ${text}`,
  'event.helped': ({ cause: against, helped }, f) =>
    helped ? `it helped: ${cause(against, f)}` : `it did not help: ${cause(against, f)}`,
  'event.undo': () => 'undone',
};
