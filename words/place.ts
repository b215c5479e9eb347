/** What may stand in a gap of a text: said as it comes, nothing where there is nothing. */
export type Filling = string | number | null | undefined;

/** The texts of one screen or piece: plain, or with gaps. */
export type PlaceTexts = Readonly<Record<string, string | ((...fillings: never[]) => string)>>;

/** What another language says in the same place; what it leaves out is said in English. */
export type Translated<T extends PlaceTexts> = {
  readonly [Key in keyof T]?: T[Key] extends string ? string : T[Key];
};

interface Open {
  id: string;
  texts: PlaceTexts;
  english: PlaceTexts;
}
const open: Open[] = [];
/** What the folders of other languages say, by language and place. */
const folders = new Map<string, Readonly<Record<string, PlaceTexts>>>();
let chosen = 'en';

const inLanguage = ({ id, english }: Pick<Open, 'id' | 'english'>, language: string): PlaceTexts => ({
  ...english,
  ...folders.get(language)?.[id],
});

/** A text with gaps. @example line`${3} of ${5} left` // '3 of 5 left' */
export const line = (strings: TemplateStringsArray, ...fillings: Filling[]): string =>
  strings.reduce((text, part, i) => `${text}${fillings[i - 1] ?? ''}${part}`);

/** The word that goes with a count, in English. @example many(1, 'day', 'days') // 'day' */
export const many = (count: number, single: string, other: string): string => (count === 1 ? single : other);

/**
 * The texts of a place, in the language that this device has chosen. Pieces of the page keep the object and read it
 * whenever they draw. A server has many readers: see `textsIn`.
 */
export function place<T extends PlaceTexts>(id: string, english: T): T {
  const texts = { ...english, ...inLanguage({ id, english }, chosen) };
  open.push({ id, texts, english });
  return texts;
}

const said = new WeakMap<PlaceTexts, Map<string, PlaceTexts>>();
/** The texts of a place for one reader of many. @param texts as `place` made them */
export function textsIn<T extends PlaceTexts>(texts: T, language: string): T {
  const all = said.get(texts) ?? new Map<string, PlaceTexts>();
  const before = all.get(language);
  if (before) return before as T;
  const found = open.find((each) => each.texts === texts);
  const made = found ? inLanguage(found, language) : texts;
  said.set(texts, all.set(language, made));
  return made as T;
}

/** Brings the folder of a language: by the ids of places, what each says. */
export const addLanguage = (language: string, texts: Readonly<Record<string, PlaceTexts>>): void =>
  void folders.set(language, texts);

/** Chooses the language of this device: of all places, those that are open and those to come. */
export function chooseLanguage(language: string): void {
  chosen = language;
  for (const each of open) Object.assign(each.texts, inLanguage(each, language));
}

/** The language of this device. */
export const languageHere = (): string => chosen;
