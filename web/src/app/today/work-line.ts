import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { limits } from '#core/units/limits';
import { type PlantEvent } from '#core/plants/planting';
import { daysAfter } from '#core/units/day';
import { dayFrom } from '#words/days';
import { read, readShort } from '#words/read';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { Outbox } from '../data/outbox';
import { PlantRecordService } from '../data/plant-record';
import { ReaderHere } from '../data/reader-here';
import { SeasonService } from '../data/season';
import { TodayService } from '../data/today';
import { Units } from '../data/units';
import { NumberField } from '../ui/fields/number-field';
import { stockAmount } from '../ui/words/stock-amount';
import { of } from 'rxjs';
import { type WorkLine as Line } from './worklist';
import { workLine as texts } from '#words/en/places/today/work-line';

/** Far enough: not at all. */
const NEVER = '9999-12-31';

/** What is asked with its Done: a count, or a reading. */
interface Asked {
  label: string;
  within: readonly [number, number];
  whole: boolean;
}

/** One line of the day: where it leads, its Done in place, with the number where it needs one, and two ways to put it off. */
@Component({
  selector: 'app-work-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="what">
      <a [routerLink]="to().path" [queryParams]="to().query" [fragment]="to().fragment">{{ says() }}</a>
      <span class="term">{{ when() }}</span>
    </span>
    @if (asked(); as ask) {
      <app-number-field [label]="ask.label" [within]="ask.within" [whole]="ask.whole" [(value)]="number" />
    }
    @if (act(); as it) {
      <a
        class="press"
        [class.next]="first()"
        [routerLink]="to().path"
        [queryParams]="to().query"
        [fragment]="to().fragment"
        [attr.aria-label]="texts.of(it, says())"
        >{{ it }}</a
      >
    } @else {
      <button
        type="button"
        class="press"
        [disabled]="asked() && number() === undefined"
        [attr.aria-label]="texts.of(texts.done, says())"
        (click)="done()"
      >
        {{ texts.done }}
      </button>
    }
    <button
      type="button"
      class="press quiet square"
      [attr.aria-expanded]="open()"
      [attr.aria-label]="texts.notNow(says())"
      (click)="open.set(!open())"
    >
      <i class="bi bi-three-dots" aria-hidden="true"></i>
    </button>
    @if (open()) {
      <span class="off">
        @if (act() && line().task && !line().task?.mix) {
          <button type="button" class="press" (click)="done()">{{ texts.done }}</button>
        }
        <button type="button" class="press" (click)="putOff(tomorrow())">{{ texts.notToday }}</button>
        <button type="button" class="press" (click)="putOff(never)">{{ texts.notAtAll }}</button>
      </span>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto auto;
      gap: 4px 8px;
      align-items: center;
      min-height: 52px;
    }
    .what .term {
      display: block;
    }
    .what {
      grid-column: 1;
    }
    app-number-field {
      grid-column: 2;
      width: 110px;
    }
    .press:not(.square):not(.off .press) {
      grid-column: 3;
    }
    .square {
      grid-column: 4;
    }
    @media (max-width: 600px) {
      :host:has(app-number-field) .what {
        grid-column: 1 / 4;
      }
      :host:has(app-number-field) app-number-field {
        display: flex;
        gap: 8px;
        align-items: center;
        grid-row: 2;
        grid-column: 1 / 3;
        justify-self: end;
        width: 200px;
      }
      :host:has(app-number-field) .press:not(.square) {
        grid-row: 2;
        align-self: end;
      }
      :host:has(app-number-field) .off {
        grid-row: 3;
      }
    }
    .off {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      grid-column: 1 / -1;
      justify-content: end;
      padding-bottom: 8px;
    }
  `,
  imports: [NumberField, RouterLink],
})
export class WorkRow {
  protected readonly texts = texts;
  protected readonly never = NEVER;
  readonly line = input.required<Line>();
  /** The next step of the day. */
  readonly first = input(false);
  /** It is done, or that was taken back. */
  readonly settled = output<boolean>();
  private readonly nursery = inject(NurseryService);
  private readonly reader = inject(ReaderHere);
  private readonly outbox = inject(Outbox);
  private readonly record = inject(PlantRecordService);
  private readonly season = inject(SeasonService);
  private readonly today = inject(TodayService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly number = signal<number | undefined>(undefined);
  protected readonly open = signal(false);

  protected readonly tomorrow = computed(() => daysAfter(this.nursery.today(), 1));
  protected readonly says = computed(() => {
    const { step, task, care } = this.line();
    const reader = this.reader.now();
    if (step) return `${step.batch}: ${readShort(step.text, reader)}`;
    if (care) return readShort(care.text, reader);
    if (!task) return '';
    if (task.mix)
      return texts.mixOf(stockAmount('material', task.mix.litres, this.units.system()), task.mix.name);
    // With how many, but without how deep.
    return read(task.text, reader).split(';')[0]!;
  });
  protected readonly when = computed(() => {
    const { on, state, task, care, step } = this.line();
    const [today, language] = [this.nursery.today(), this.reader.now().language];
    const said: string[] = [];
    if (task?.fills && task.fills.filled > 0)
      said.push(
        texts.partly(
          task.fills.filled,
          task.fills.cells,
          this.isPotting(),
          task.fills.cells - task.fills.filled,
        ),
      );
    if (state === 'open' && step) said.push(texts.begun);
    if (on !== '' && (state === 'waiting' || on < today)) said.push(dayFrom(on, today, language));
    if (care?.until) said.push(texts.until(dayFrom(care.until, today, language)));
    return said.join(' · ');
  });
  private readonly isPotting = computed(() => this.line().task?.fills?.start === 'pot');
  private readonly fills = computed(() => this.line().task?.fills ?? null);

  /** What begins elsewhere, already filled in. */
  protected readonly act = computed(() => {
    const { kind, task } = this.line();
    if (kind === 'open') return texts.goOn;
    if (task?.mix) return texts.makeIt;
    if (kind === 'pot') return texts.pot;
    const fills = this.fills();
    if (fills) return { sow: texts.sow, strike: texts.strike, pot: texts.pot, split: texts.pot }[fills.start];
    // A test with more than a number is done at its batch.
    if (kind === 'test' && this.line().step?.test !== 'ph') return texts.testIt;
    return null;
  });
  protected readonly asked = computed((): Asked | null => {
    const { kind, care, step } = this.line();
    if (step?.test === 'ph' && kind === 'test')
      return { label: texts.ph, within: limits.measuredPh, whole: false };
    if (kind === 'count' && care) return { label: texts.counted, within: limits.plantCount, whole: true };
    return null;
  });
  protected readonly to = computed(
    (): { path: unknown[]; query: Record<string, string | number> | null; fragment?: string } => {
      const { step, task, care, kind } = this.line();
      if (step) return { path: ['/batches', step.batchId, 'run'], query: null };
      if (care)
        return kind === 'pot'
          ? { path: ['/plants/new'], query: { start: 'pot', from: care.planting } }
          : { path: ['/plants', care.planting], query: null };
      if (!task) return { path: ['/today'], query: null };
      if (task.mix) return { path: ['/season/plan'], query: null, fragment: 'mixing' };
      const { fills } = task;
      if (!fills) return { path: ['/season/line', task.line], query: null };
      const { start, crop, name, vessel, cells, filled, perCell, step: at, batch } = fills;
      return {
        path: ['/plants/new'],
        query: {
          ...{ start, crop, name, vessel, cells: Math.max(1, cells - filled), perCell },
          ...{ line: task.line, sowing: task.sowing, step: at, ...(batch !== null && { batch }) },
        },
      };
    },
  );

  protected done(): void {
    const { step, task, care } = this.line();
    if (task) this.tick();
    else if (care) this.enterCare();
    else if (step) this.enterStep();
  }

  private tick(): void {
    const { task } = this.line();
    if (!task) return;
    this.season.mark(task.line, task.sowing, task.task, this.nursery.today()).subscribe({
      next: () => {
        this.settled.emit(true);
        this.notices.undoable(
          texts.isDone(readShort(task.text, this.reader.now())),
          () => this.season.mark(task.line, task.sowing, task.task, null),
          () => this.settled.emit(false),
        );
      },
      error: (error: Error) => this.notices.say(texts.notNoted(error.message)),
    });
  }

  private enterCare(): void {
    const { care, item } = this.line();
    if (!care) return;
    const on = this.nursery.today();
    const planting = { id: care.planting, key: care.key, name: care.name };
    const key = this.record.enter(planting, this.eventOf(on));
    // Watered for a week, day by day: told again tomorrow.
    if (care.id === 'water') this.today.putOff(item, this.tomorrow()).subscribe({ error: () => undefined });
    this.settled.emit(true);
    this.notices.undoable(
      texts.isDone(this.says()),
      () => {
        this.record.takeBack(planting, key, on);
        return of(undefined);
      },
      () => this.settled.emit(false),
    );
  }

  private eventOf(on: string): PlantEvent {
    const number = this.number() ?? 0;
    switch (this.line().care!.id) {
      case 'up':
        return { kind: 'up', on, count: number };
      case 'look':
        return { kind: 'count', on, alive: number };
      case 'feed':
        return { kind: 'fed', on, text: texts.fedAsDue };
      case 'top-up':
        return { kind: 'topped', on };
      default:
        return { kind: 'watered', on };
    }
  }

  private enterStep(): void {
    const { step } = this.line();
    if (!step) return;
    const batch = { id: step.batchId, key: step.key, name: step.batch };
    const ph = this.number();
    if (step.test === 'ph' && ph !== undefined)
      this.outbox.enter(batch, { kind: 'test', test: 'ph', values: { ph } }, step.seen);
    const tick = (load: number, isDone: boolean): void =>
      this.outbox.enter(batch, { kind: 'tick', step: step.step, load, done: isDone }, step.seen);
    for (const load of step.loads) tick(load, true);
    this.settled.emit(true);
    this.notices.undoable(
      texts.isDone(this.says()),
      () => {
        for (const load of step.loads) tick(load, false);
        return of(undefined);
      },
      () => this.settled.emit(false),
    );
  }

  protected putOff(until: string): void {
    const { item } = this.line();
    this.today.putOff(item, until).subscribe({
      next: () =>
        this.notices.undoable(
          until === NEVER ? texts.isOff(this.says()) : texts.isTomorrow(this.says()),
          () => this.today.putOff(item, null),
        ),
      error: (error: Error) => this.notices.say(texts.notNoted(error.message)),
    });
  }
}
