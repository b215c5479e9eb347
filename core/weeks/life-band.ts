import { allow } from '#core/units/allowed';
import { type MixInput } from '#core/mix/evaluate';
import { Worlds } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';
import { OutOfRange } from '#core/units/check';
import { normalAt, streamOf } from '#core/stats/normal';
import { limits } from '#core/units/limits';
import { type DayReading, type Keeping } from '#core/weeks/keeping';
import { isOfTheMix, type Life, Living, type Trouble, troubles } from '#core/weeks/life';
import { luckOf } from '#core/weeks/weather';

/** Nine in ten lie between low and high. */
export interface Between {
  low: number;
  middle: number;
  high: number;
}
export const lines = ['waterMl', 'airPct', 'ph', 'ecSaturatedMSPerCm', 'nMgPerL'] as const;
export type Line = (typeof lines)[number];

export interface LifeBand {
  draws: number;
  /** One for each day, from day 1. */
  days: Record<Line, Between>[];
  /** Share of the draws that come to it after their first day, and of their first days the middle one, and between which nine in ten lie. */
  troubles: Record<
    Trouble,
    { share: number; first: number | null; early: number | null; late: number | null }
  >;
  /** Share of the draws in which nothing comes amiss but what the mix has from its first day. */
  allRight: number;
}

const at = (sorted: Float64Array, share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

/** Whether all stays inside, what the mix has from its first day left aside: that is the mix's. */
export const staysInside = ({ first }: Pick<Life, 'first'>): boolean =>
  troubles.every((trouble) => first[trouble] === null || isOfTheMix(trouble, first[trouble]));

/**
 * Many lives of one mix: each with other sacks, scoops, weather, appetite and hand. Gathered in pieces, so that a worker
 * can tell how far it is and be stopped.
 */
export class LifeSampler {
  private readonly worlds: Worlds;
  private readonly values: Record<Line, number[]>[] = [];
  private readonly firsts: Record<Trouble, number[]> = {
    dry: [],
    starved: [],
    salty: [],
    sour: [],
    sweet: [],
  };
  private right = 0;
  private done = 0;

  /** @throws RangeError as lifeOf */
  constructor(
    input: MixInput,
    private readonly keeping: Keeping,
    spreads: Spreads,
  ) {
    this.worlds = new Worlds(input, spreads, keeping.seed);
  }

  draw(count: number): void {
    for (let i = 0; i < count; i++) {
      const draw = this.done + i;
      const { seed, readings } = this.keeping;
      const { days, first } = new Living(this.worlds.at(draw)).under(
        {
          ...this.keeping,
          ...(readings && { readings: readings.map((reading, n) => misread(reading, seed + draw, n)) }),
        },
        luckOf(seed, draw, this.keeping.days),
      );
      days.forEach((day, n) => {
        const present = (this.values[n] ??= {
          waterMl: [],
          airPct: [],
          ph: [],
          ecSaturatedMSPerCm: [],
          nMgPerL: [],
        });
        for (const line of lines) present[line].push(day[line]);
      });
      // What a mix has from its first day is the mix's own: its odds are told there.
      for (const trouble of troubles) {
        const on = first[trouble];
        if (on !== null && !isOfTheMix(trouble, on)) this.firsts[trouble].push(on);
      }
      if (staysInside({ first })) this.right++;
    }
    this.done += count;
  }

  /** @throws OutOfRange before anything was drawn */
  result(): LifeBand {
    if (this.done === 0)
      throw new OutOfRange('draws', 0, allow('allowed.number', { low: 1, high: Infinity }));
    const between = (values: readonly number[]): Between => {
      const sorted = Float64Array.from(values).sort();
      return { low: at(sorted, 0.05), middle: at(sorted, 0.5), high: at(sorted, 0.95) };
    };
    return {
      draws: this.done,
      days: this.values.map(
        (day) => Object.fromEntries(lines.map((line) => [line, between(day[line])])) as Record<Line, Between>,
      ),
      troubles: Object.fromEntries(
        troubles.map((trouble) => {
          const days = Float64Array.from(this.firsts[trouble]).sort();
          const on = (share: number): number | null => (days.length > 0 ? at(days, share) : null);
          return [
            trouble,
            { share: days.length / this.done, first: on(0.5), early: on(0.05), late: on(0.95) },
          ];
        }),
      ) as LifeBand['troubles'],
      allRight: this.right / this.done,
    };
  }
}

/** What a reading differs by from what is there: pH by so much, EC by this share. Common practice, no source. */
export const READ_SD = { ph: 0.1, ecDisplacedMSPerCm: 0.1 } as const;
const readStream = streamOf('reading');

function misread(reading: DayReading, seed: number, n: number): DayReading {
  const off = READ_SD[reading.of] * normalAt(seed, readStream, n);
  const [low, high] = reading.of === 'ph' ? limits.measuredPh : limits.plantEcMSPerCm;
  const value = reading.of === 'ph' ? reading.value + off : reading.value * (1 + off);
  return { ...reading, value: Math.min(high, Math.max(low, value)) };
}
