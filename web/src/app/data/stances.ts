import { computed, Injectable, signal } from '@angular/core';
import { school } from '#core/recipe/schools';
import { defaultSpreads, type Spreads } from '#core/spread/spreads';

const SCHOOL_KEY = 'welcome.school';
const SPREADS_KEY = 'welcome.spreads';
export const USUAL_SCHOOL = 'limed-peat-perlite';

/** Which school the person works by, and how far they think things scatter. Choices of this device. */
@Injectable({ providedIn: 'root' })
export class Stances {
  private readonly schoolId = signal(read(SCHOOL_KEY) ?? USUAL_SCHOOL);
  private readonly chosenSpreads = signal<Spreads>(readSpreads());
  readonly school = computed(() => school(this.schoolId()) ?? school(USUAL_SCHOOL)!);
  readonly spreads = this.chosenSpreads.asReadonly();

  follow(id: string): void {
    this.schoolId.set(id);
    write(SCHOOL_KEY, id);
  }

  setSpread(name: keyof Spreads, value: number): void {
    this.chosenSpreads.update((spreads) => ({ ...spreads, [name]: value }));
    write(SPREADS_KEY, JSON.stringify(this.chosenSpreads()));
  }

  usualSpreads(): void {
    this.chosenSpreads.set(defaultSpreads);
    write(SPREADS_KEY, null);
  }
}

function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

function write(key: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch {
    // A browser that keeps nothing still follows the choice.
  }
}

/** What was kept, as far as it makes sense. */
function readSpreads(): Spreads {
  let kept: unknown;
  try {
    kept = JSON.parse(read(SPREADS_KEY) ?? '{}');
  } catch {
    kept = {};
  }
  const given = (kept ?? {}) as Record<string, unknown>;
  const usable = Object.entries(defaultSpreads).map(([name, usual]) => {
    const value = given[name];
    return [name, typeof value === 'number' && value >= 0 && value <= 1 ? value : (usual as number)];
  });
  return Object.fromEntries(usable) as Spreads;
}
