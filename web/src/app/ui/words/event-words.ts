import { causes, signs } from '#core/plants/cause-table';
import { type PlantEvent } from '#core/plants/planting';
import { fixed } from '#core/units/show';

/** An event in words, in metric: what shows it puts the reader's units in. */
export function eventSays(event: PlantEvent): string {
  switch (event.kind) {
    case 'up':
      return `${event.count} came up`;
    case 'count':
      return `counted: ${event.alive} stand`;
    case 'lost':
      return `${event.count} lost, ${event.cause}`;
    case 'thinned':
      return `${event.count} thinned`;
    case 'moved':
      return `${event.count} potted on`;
    case 'out':
      return `${event.count} ${event.way}`;
    case 'fed':
      return `fed: ${event.text}`;
    case 'watered': {
      const { litres, minutes } = event;
      const much = litres === undefined ? '' : ` ${fixed(litres, 1)} L`;
      return `watered from below${much}${minutes === undefined ? '' : `, taken up in ${minutes} minutes`}`;
    }
    case 'ph':
      return `pH ${fixed(event.value, 1)}`;
    case 'ec':
      return `EC ${fixed(event.value, 2)} mS/cm`;
    case 'weight':
      // No mark between thousands: words are turned into other units by their numbers.
      return `a tray weighs ${event.grams < 1000 ? `${event.grams.toFixed(0)} g` : `${(event.grams / 1000).toFixed(2)} kg`}`;
    case 'cold':
      return `night down to ${fixed(event.celsius, 0)} °C`;
    case 'sprayed':
      return `sprayed: ${event.text}`;
    case 'topped': {
      const { litres } = event;
      return `topped up${litres === undefined ? '' : ` with ${fixed(litres, 1)} L`}`;
    }
    case 'size':
      return `${fixed(event.mm, 0)} mm tall`;
    case 'picture':
      return event.text ? `a picture: ${event.text}` : 'a picture';
    case 'note':
      return event.text;
    case 'sign':
      return `seen: ${signs[event.sign].name}`;
    case 'did':
      return `against “${causes[event.cause].name}”: ${event.text}`;
    case 'helped':
      return event.helped
        ? `it helped: ${causes[event.cause].name}`
        : `it did not help: ${causes[event.cause].name}`;
    case 'undo':
      return 'taken back';
  }
}
