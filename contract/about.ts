/**
 * What an entry can be about. Its number means another one in a folder that was put back: entries carry its client key
 * as well, and the identity of the folder that they were written for. Apart from the schemas, so that the page does not
 * carry them.
 */
export const aboutKinds = ['lot', 'batch', 'planting', 'mix', 'version', 'line', 'event'] as const;
export type AboutKind = (typeof aboutKinds)[number];

export interface About {
  kind: AboutKind;
  id: number;
  /** Its client key. */
  key: string;
}

/** Request headers: identity of the data folder that is meant, and what in it. */
export const FOLDER_HEADER = 'welcome-folder';
export const ABOUT_HEADER = 'welcome-about';
/** In which units texts of an answer are said: metric, us. */
export const UNITS_HEADER = 'welcome-units';

/** @example aboutText([{ kind: 'planting', id: 29, key: '…' }]) // 'planting 29 …' */
export const aboutText = (about: readonly About[]): string =>
  about.map(({ kind, id, key }) => `${kind} ${id} ${key}`).join(', ');
