import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { readKept, writeKept } from '../data/kept';
import { stepTimer as texts } from '#words/en/places/run/step-timer';

/** A clock for a step where time matters. It keeps its start on the device, so a reload does not stop it. */
@Component({
  selector: 'app-step-timer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (left() === null) {
      @if (!onlyRunning()) {
        <button type="button" class="press" (click)="start()">{{ texts.startMin(minutes()) }}</button>
      }
    } @else {
      <span role="timer" class="left" [class.over]="left() === 0">{{ text() }}</span>
      <button type="button" class="press quiet" (click)="clear()">{{ texts.stopTheClock }}</button>
    }
  `,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      gap: 10px;
    }
    .left {
      font-size: var(--head);
      font-weight: 750;
    }
    .over {
      color: var(--window-edge);
    }
  `,
})
export class StepTimer {
  protected readonly texts = texts;
  readonly minutes = input.required<number>();
  /** Where its start is kept. */
  readonly name = input.required<string>();
  /** Nothing until it runs: on the line of a step that is not at hand. */
  readonly onlyRunning = input(false);
  private readonly now = signal(Date.now());
  private readonly started = linkedSignal(() => readStart(this.name()));
  protected readonly left = computed(() => {
    const started = this.started();
    return started === null
      ? null
      : Math.max(0, Math.ceil((started - this.now()) / 1000 + this.minutes() * 60));
  });
  protected readonly text = computed(() => {
    const left = this.left() ?? 0;
    if (left === 0) return texts.timeIsUp;
    return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  });

  constructor() {
    const beat = setInterval(() => this.now.set(Date.now()), 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(beat));
  }

  protected start(): void {
    this.now.set(Date.now());
    this.started.set(Date.now());
    writeKept(startOf(this.name()), Date.now());
  }

  protected clear(): void {
    writeKept(startOf(this.name()), undefined);
    this.started.set(null);
  }
}

const startOf = (name: string): string => `timer.${name}`;

function readStart(name: string): number | null {
  const start = readKept(startOf(name));
  return typeof start === 'number' ? start : null;
}
