import { linkedSignal, type Signal, type WritableSignal } from '@angular/core';
import { fittingScoop, scoops } from '#core/batch/scoops';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { type UnitSystem } from '#core/units/show';

/** The scoop to count in: the one the card was made with where it fits the units, else the one that fits the amounts. */
export function scoopChoice(
  snapshot: Signal<BatchSnapshot | null>,
  system: Signal<UnitSystem>,
): WritableSignal<string> {
  return linkedSignal(() => {
    const snap = snapshot();
    if (!snap) return '';
    if (snap.choice.measure?.id === snap.choice.scoop && snap.choice.scoop.startsWith('own-'))
      return snap.choice.scoop;
    if (scoops.find((s) => s.id === snap.choice.scoop)?.system === system()) return snap.choice.scoop;
    return fittingScoop(Math.max(...snap.sheet.components.map((c) => c.looseLitres)) / 3, system()).id;
  });
}
