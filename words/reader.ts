import { type UnitSystem } from '#core/units/show';

/** Languages that there is a folder of: each has the words of a whole catalog. */
export const languages = ['en'] as const;
export type Language = (typeof languages)[number];

/** Who reads: everything is said in a language and a system of units. */
export interface Reader {
  language: Language;
  units: UnitSystem;
}
