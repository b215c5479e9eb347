import { type UnitSystem } from '#core/units/show';

/** Languages that there is a folder of: each has the words of a whole catalog. */
export const languages = ['en'] as const;
export type Language = (typeof languages)[number];

/** Who reads: everything is said in a language and a system of units. */
export interface Reader {
  language: Language;
  units: UnitSystem;
  /** Their calendar day, YYYY-MM-DD, where days are said from it: tomorrow, Friday. On paper there is none. */
  today?: string;
  /** The measure in their hand, by which amounts are scooped; none for volumes. */
  scoop?: { name: string; litres: number };
}

/** The language of this house that goes with a tag, "en-GB" or "es_MX.UTF-8"; English where there is none. */
export const languageOf = (tag: string | undefined): Language =>
  languages.find((language) => tag?.toLowerCase().split(/[-_.]/)[0] === language) ?? languages[0];

/** What a language is called to `Intl`. */
export const localeOf = (language: Language): string => (language === 'en' ? 'en-GB' : language);
