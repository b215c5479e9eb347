import { ReaderHere } from '../data/reader-here';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { dateIn } from '#words/days';
import { dayNumber, dayOf, isoWeekOf, mondayOf, weekNumber } from '#core/season/days';
import { type FrostDates } from '#core/season/frost';
import { type MixingDay } from '#core/season/mixing';
import { type SeasonSowing } from '#core/season/season';
import { nameOf, seasonSay } from '#core/season/season-facts';
import { named } from '#core/units/message';
import { type BarMoved, SeasonRow, type StripBar, type StripLane, type StripRow } from './season-row';
import { Units } from '../data/units';
import { seasonStrip as texts } from '#words/en/places/season/season-strip';
import { common } from '#words/en/places/common';

const LOWEST_PX = 5;
const HIGHEST_PX = 24;

/** A year's strip of weeks: a bar for every sowing, swelling where its trays multiply. Bars are dragged, or moved by arrow keys. */
@Component({
  selector: 'app-season-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './season-strip.html',
  styleUrl: './season-strip.scss',
  imports: [SeasonRow],
})
export class SeasonStrip {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly sowings = input.required<readonly SeasonSowing[]>();
  readonly mixing = input.required<readonly MixingDay[]>();
  readonly frost = input.required<FrostDates>();
  readonly today = input.required<string>();
  readonly begun = input.required<(line: number, sowing: number) => boolean>();
  readonly moved = output<BarMoved>();
  readonly opened = output<number>();
  private readonly reader = inject(ReaderHere);
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
    const all = [
      ...days,
      dayNumber(this.today()),
      ...this.mixing().map((mixingDay) => dayNumber(mixingDay.on)),
    ];
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
        months.push({ left: at(day), name: dateIn(date, 'month', this.reader.now().language) });
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
      labelled: i % 2 === 0 && at(first + 7 * i) < 96,
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
    this.mixing().map((mixingDay) => ({ left: this.at()(dayNumber(mixingDay.on)), ...mixingDay })),
  );

  private readonly most = computed(() =>
    this.sowings().reduce(
      (most, { steps }) => steps.reduce((m, step) => Math.max(m, step.benchM2), most),
      1e-9,
    ),
  );
  /** A row that looks as it did is the same object: only what moved is drawn anew. */
  private drawnBefore = new Map<number, { sign: readonly unknown[]; row: StripRow }>();
  protected readonly rows = computed(() => {
    const { first, last } = this.range();
    const byLine = new Map<number, SeasonSowing[]>();
    for (const of of this.sowings()) {
      const existing = byLine.get(of.line.id);
      if (existing) existing.push(of);
      else byLine.set(of.line.id, [of]);
    }
    const same = [first, last, this.most(), this.frost(), this.units.system()];
    const drawn = new Map<number, { sign: readonly unknown[]; row: StripRow }>();
    for (const [id, sowings] of byLine) {
      const begun = sowings.map((of) => this.begun()(id, of.sowing));
      const sign = [...same, sowings[0]!.line, sowings[0]!.crop, begun.join()];
      const before = this.drawnBefore.get(id);
      const still = before !== undefined && sign.every((each, i) => each === before.sign[i]);
      drawn.set(id, still ? before : { sign, row: this.rowOf(sowings, begun) });
    }
    this.drawnBefore = drawn;
    return [...drawn.values()].map(({ row }) => row);
  });

  private rowOf(sowings: readonly SeasonSowing[], begun: readonly boolean[]): StripRow {
    const { line, crop } = sowings[0]!;
    const lanes: (StripLane & { end: number })[] = [];
    sowings.forEach((of, i) => {
      const from = dayNumber(of.steps[0]!.from);
      let lane = lanes.find((each) => each.end <= from);
      if (!lane) lanes.push((lane = { end: 0, bars: [] }));
      lane.end = dayNumber(of.plantOn);
      lane.bars.push(this.barOf(of, begun[i]!));
    });
    return { line: line.id, name: crop.name, sort: line.name, lanes };
  }

  private barOf(of: SeasonSowing, begun: boolean): StripBar {
    const at = this.at();
    const [from, to] = [dayNumber(of.steps[0]!.from), dayNumber(of.plantOn)];
    const whole = Math.max(1, to - from);
    return {
      ...{ sowing: of.sowing, begun, left: at(from), width: at(to) - at(from) },
      says: this.reader.read(
        seasonSay('strip.bar', {
          ...{ name: nameOf(of), vessel: named(of.steps[0]!.kind), from: of.steps[0]!.from, out: of.plantOn },
          moves: of.steps.slice(1).map(({ kind, from: on }) => ({ vessel: named(kind), on })),
        }),
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

  protected hold(range: boolean): void {
    if (!range) this.held.set(null);
    else if (!this.held()) this.held.set(this.range());
  }
}
