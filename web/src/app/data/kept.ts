import { type Signal, signal } from '@angular/core';

/** For the whole device, or for one tab of it. */
export type KeptWhere = 'device' | 'tab';
const storage = (where: KeptWhere): Storage => (where === 'device' ? localStorage : sessionStorage);

/** What is kept under a name; undefined for nothing, for nonsense, and in a browser that keeps nothing. */
export function readKept(name: string, where: KeptWhere = 'device'): unknown {
  try {
    const text = storage(where).getItem(`welcome.${name}`);
    return text === null ? undefined : parsed(text);
  } catch {
    return undefined;
  }
}

/** Earlier versions kept words bare: what is not JSON is such a word. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}

/** Keeps something; undefined forgets it. @returns whether the browser keeps it */
export function writeKept(name: string, value: unknown, where: KeptWhere = 'device'): boolean {
  try {
    if (value === undefined) storage(where).removeItem(`welcome.${name}`);
    else storage(where).setItem(`welcome.${name}`, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** The names under which this device keeps something, by how they read. */
export function keptNames(like: RegExp): string[] {
  try {
    return Object.keys(localStorage)
      .filter((name) => name.startsWith('welcome.'))
      .map((name) => name.slice('welcome.'.length))
      .filter((name) => like.test(name));
  } catch {
    return [];
  }
}

export interface Kept<T> {
  readonly value: Signal<T>;
  set(value: T): void;
  /** Back to the usual; nothing stays on the device. */
  forget(): void;
}

/**
 * A choice of this device that survives a reload. A browser that keeps nothing still follows it.
 * @param make what the stored thing means; undefined where it makes no sense, so that the usual stands
 */
export function kept<T>(name: string, usual: T, make: (stored: unknown) => T | undefined): Kept<T> {
  const value = signal(make(readKept(name)) ?? usual);
  return {
    value: value.asReadonly(),
    set: (next) => {
      value.set(next);
      writeKept(name, next);
    },
    forget: () => {
      value.set(usual);
      writeKept(name, undefined);
    },
  };
}
