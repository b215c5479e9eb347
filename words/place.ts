/** What may stand in a gap of a text: said as it comes, nothing where there is nothing. */
export type Filling = string | number | null | undefined;

/** The texts of one screen or piece: plain, or with gaps. */
export type PlaceTexts = Readonly<Record<string, string | ((...fillings: never[]) => string)>>;

/** What another language says in the same place; what it leaves out is said in English. */
export type Translated<T extends PlaceTexts> = {
  readonly [Key in keyof T]?: T[Key] extends string ? string : T[Key];
};

const places = new Map<string, { texts: PlaceTexts; english: PlaceTexts }>();
let language: Readonly<Record<string, PlaceTexts>> = {};

/** A text with gaps. @example line`${3} of ${5} left` // '3 of 5 left' */
export const line = (strings: TemplateStringsArray, ...fillings: Filling[]): string =>
  strings.reduce((text, part, i) => `${text}${fillings[i - 1] ?? ''}${part}`);

/** The word that goes with a count, in English. @example many(1, 'day', 'days') // 'day' */
export const many = (count: number, one: string, other: string): string => (count === 1 ? one : other);

/**
 * The texts of a place, in the language that was chosen. Pieces of the page keep the object and read it whenever
 * they draw.
 */
export function place<T extends PlaceTexts>(id: string, english: T): T {
  const texts = { ...english, ...language[id] };
  places.set(id, { texts, english });
  return texts;
}

/** Chooses the language of all places, those that are open and those to come: by their ids, what each says. */
export function chooseLanguage(chosen: Readonly<Record<string, PlaceTexts>>): void {
  language = chosen;
  for (const [id, { texts, english }] of places) Object.assign(texts, english, chosen[id]);
}
