import { computed, signal } from '@angular/core';
import { isValid, parseISO } from 'date-fns';
import { typedDay as texts } from '#words/en/places/ui/fields/typed-day';
import { common } from '#words/en/places/common';

/** A day as it is typed, YYYY-MM-DD; the nursery's today until then. */
export class TypedDay {
  private readonly typed = signal<string | null>(null);
  readonly value = computed(() => this.typed() ?? this.today());
  /** What is wrong with it, in words; empty where nothing is. */
  readonly problem = computed(() => {
    if (!isValid(parseISO(this.value()))) return common.dayMustBeADate;
    return this.past && this.value() > this.today() ? texts.theDayMustNotBe : '';
  });

  /** @param past whether it must not lie ahead */
  constructor(
    private readonly today: () => string,
    private readonly past = false,
  ) {}

  get text(): string {
    return this.value();
  }

  set text(day: string) {
    this.typed.set(day);
  }

  /** Back to today. */
  forget(): void {
    this.typed.set(null);
  }
}
