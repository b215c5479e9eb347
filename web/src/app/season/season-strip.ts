import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { format, parseISO } from 'date-fns';
import { dayNumber, dayOf, isoWeekOf, mondayOf, weekNumber } from '#core/season/days';
import { type FrostDates } from '#core/season/frost';
import { type MixingDay } from '#core/season/mixing';
import { type SeasonSowing } from '#core/season/season';
import { nameOf } from '#core/season/tasks';
import { Units } from '../data/units';
import { inWords } from '#core/units/said';

/** A sowing was moved by so many days from where it was taken up; `rests` once the hand lets go. */
export interface Moved {
  line: number;
  sowing: number;
  days: number;
  rests: boolean;
}

interface Lane {
  end: number;
  sowings: Drawn[];
}
interface Drawn {
  of: SeasonSowing;
  left: number;
  width: number;
  says: string;
  steps: { left: number; width: number; high: number; first: boolean; long: boolean }[];
}

const LOWEST_PX = 5;
const HIGHEST_PX = 24;
/** A hand that has moved less than this has pressed. */
const STILL_PX = 4;

/** A year's strip of weeks: a bar for every sowing, swelling where its trays multiply. Bars are dragged, or moved by arrow keys. */
@Component({
  selector: 'app-season-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './season-strip.html',
  styleUrl: './season-strip.scss',
})
export class SeasonStrip {
  readonly sowings = input.required<readonly SeasonSowing[]>();
  readonly mixing = input.required<readonly MixingDay[]>();
  readonly frost = input.required<FrostDates>();
  readonly today = input.required<string>();
  readonly begun = input.required<(line: number, sowing: number) => boolean>();
  readonly moved = output<Moved>();
  readonly opened = output<number>();
  private readonly units = inject(Units);

  /** Stays put while a bar is dragged, so that the ground does not slip under the hand. */
  private readonly held = signal<{ first: number; last: number } | null>(null);
  private readonly range = computed(() => {
    const held = this.held();
    if (held) return held;
    const days = this.sowings().flatMap(({ steps, plantOn }) => [
      dayNumber(steps[0]!.from),
      dayNumber(plantOn),
    ]);
    const all = [...days, dayNumber(this.today()), ...this.mixing().map((one) => dayNumber(one.on))];
    const first = all.reduce((a, b) => Math.min(a, b));
    const last = all.reduce((a, b) => Math.max(a, b));
    return { first: mondayOf(weekNumber(first)), last: mondayOf(weekNumber(last) + 2) };
  });
  private readonly at = computed(() => {
    const { first, last } = this.range();
    return (day: number): number => (100 * (day - first)) / (last - first);
  });
  /** So wide at least that a week can be told from the next. */
  protected readonly weeks = computed(() => {
    const { first, last } = this.range();
    return (last - first) / 7;
  });

  protected readonly months = computed(() => {
    const { first, last } = this.range();
    const at = this.at();
    const months: { left: number; name: string }[] = [];
    for (let day = first; day < last; day++) {
      const date = dayOf(day);
      if (day === first || date.endsWith('-01'))
        months.push({ left: at(day), name: format(parseISO(date), 'MMM') });
    }
    // Too little of the first month to write it.
    const second = months[1];
    return second && second.left - months[0]!.left < 4 ? months.slice(1) : months;
  });
  protected readonly ticks = computed(() => {
    const { first, last } = this.range();
    const at = this.at();
    return Array.from({ length: (last - first) / 7 }, (_, i) => ({
      left: at(first + 7 * i),
      week: isoWeekOf(weekNumber(first + 7 * i)).slice(6),
      told: i % 2 === 0 && at(first + 7 * i) < 96,
    }));
  });
  protected readonly now = computed(() => this.at()(dayNumber(this.today())));
  protected readonly frosty = computed(() => {
    const { early, usual, late } = this.frost();
    const at = this.at();
    const [a, b] = [at(dayNumber(early)), at(dayNumber(late))];
    return { left: a, width: b - a, usual: at(dayNumber(usual)) };
  });
  protected readonly mixed = computed(() =>
    this.mixing().map((one) => ({ left: this.at()(dayNumber(one.on)), ...one })),
  );

  private readonly most = computed(() =>
    this.sowings().reduce(
      (most, { steps }) => steps.reduce((m, step) => Math.max(m, step.benchM2), most),
      1e-9,
    ),
  );
  protected readonly rows = computed(() => {
    const rows = new Map<number, { line: number; name: string; sort: string; lanes: Lane[] }>();
    for (const of of this.sowings()) {
      const { line, crop, steps, plantOn } = of;
      let row = rows.get(line.id);
      if (!row) rows.set(line.id, (row = { line: line.id, name: crop.name, sort: line.name, lanes: [] }));
      const from = dayNumber(steps[0]!.from);
      let lane = row.lanes.find((one) => one.end <= from);
      if (!lane) row.lanes.push((lane = { end: 0, sowings: [] }));
      lane.end = dayNumber(plantOn);
      lane.sowings.push(this.drawn(of));
    }
    return [...rows.values()];
  });

  private drawn(of: SeasonSowing): Drawn {
    const at = this.at();
    const [from, to] = [dayNumber(of.steps[0]!.from), dayNumber(of.plantOn)];
    const whole = Math.max(1, to - from);
    const day = (date: string): string => format(parseISO(date), 'd MMM');
    const moves = of.steps.slice(1).map((step) => `, ${step.kind.name} ${day(step.from)}`);
    return {
      of,
      left: at(from),
      width: at(to) - at(from),
      says: inWords(
        `${nameOf(of)}: ${of.steps[0]!.kind.name} ${day(of.steps[0]!.from)}${moves.join('')}, out ${day(of.plantOn)}. Arrow keys move it by a week.`,
        this.units.system(),
      ),
      steps: of.steps.map((step, i) => ({
        left: (100 * (dayNumber(step.from) - from)) / whole,
        width: (100 * (dayNumber(step.to) - dayNumber(step.from))) / whole,
        high: LOWEST_PX + (HIGHEST_PX - LOWEST_PX) * Math.sqrt(step.benchM2 / this.most()),
        first: i === 0,
        long: step.tooLongWeeks !== null,
      })),
    };
  }

  protected key(event: KeyboardEvent, { line, sowing }: SeasonSowing): void {
    const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (way === 0) return;
    event.preventDefault();
    this.moved.emit({ line: line.id, sowing, days: way * (event.shiftKey ? 1 : 7), rests: true });
  }

  private drag: { x: number; px: number; line: number; sowing: number; days: number; moved: boolean } | null =
    null;

  protected down(event: PointerEvent, { line, sowing }: SeasonSowing): void {
    if (event.button !== 0) return;
    const bar = event.currentTarget as HTMLElement;
    const track = bar.parentElement!.getBoundingClientRect().width;
    const { first, last } = this.range();
    bar.setPointerCapture(event.pointerId);
    this.drag = {
      x: event.clientX,
      px: track / (last - first),
      line: line.id,
      sowing,
      days: 0,
      moved: false,
    };
  }

  protected drags(event: PointerEvent): void {
    const drag = this.drag;
    if (!drag) return;
    const px = event.clientX - drag.x;
    if (!drag.moved && Math.abs(px) < STILL_PX) return;
    drag.moved = true;
    if (!this.held()) this.held.set(this.range());
    const days = Math.round(px / drag.px);
    if (days === drag.days) return;
    drag.days = days;
    this.moved.emit({ line: drag.line, sowing: drag.sowing, days, rests: false });
  }

  protected up(): void {
    const drag = this.drag;
    this.drag = null;
    this.held.set(null);
    if (!drag) return;
    if (!drag.moved) this.opened.emit(drag.line);
    else this.moved.emit({ line: drag.line, sowing: drag.sowing, days: drag.days, rests: true });
  }
}
