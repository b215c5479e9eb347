import { type ExplainedId } from '#core/explain/explain';
import { type Message, none, type Text } from '#core/units/message';
import { type PlantEvent } from '#core/plants/planting';
import { readOut } from '#core/units/said';
import { type AnyMessage, type BareCode, type Catalog, type SumPart } from '#words/catalog';
import { en } from '#words/en/index';
import { type Formats, formatsFor } from '#words/formats';
import { type Language, type Reader } from '#words/reader';

const catalogs: Record<Language, Catalog> = { en };

const made = new Map<string, Formats>();
/** Forms of every quantity for a reader, made once for each. */
export function formatsOf(reader: Reader): Formats {
  const key = `${reader.language} ${reader.units} ${reader.today ?? ''} ${reader.scoop?.litres ?? ''} ${reader.scoop?.name ?? ''}`;
  const existing = made.get(key) ?? formatsFor(reader);
  made.set(key, existing);
  return existing;
}

/** What a message that is nothing but its code says. */
export const word = (code: BareCode, reader: Reader): string =>
  catalogs[reader.language][code](none, formatsOf(reader));

/** How a number is computed, who says so, or what it does not know. */
export const aboutSum = (id: ExplainedId, part: SumPart, reader: Reader): string =>
  word(`sum.${id}.${part}`, reader);

/** Its first sentence: of a step, what to do. */
export function readShort(text: Text<AnyMessage>, reader: Reader): string {
  const whole = read(text, reader);
  return whole.split(/[.:;](?:\s|$)/)[0] ?? whole;
}

const isMessage = (text: Text): text is Message => 'say' in text;

/** What a message says to a reader, or a sentence from before there were messages. */
export function read(text: Text<AnyMessage>, reader: Reader): string {
  if (!isMessage(text)) return readOut(text, reader.units);
  const words = catalogs[reader.language][text.say] as (facts: unknown, formats: Formats) => string;
  return words(text.with, formatsOf(reader));
}

/** The message of an event of plants. */
export const eventSays = (event: PlantEvent): AnyMessage =>
  ({ say: `event.${event.kind}`, with: event }) as AnyMessage;
