import { OutOfRange } from '#core/units/check';
import { mixOfPlanting } from '#core/plants/mix-of-planting';
import { daysOfCrop } from '#core/plants/planting-clock';
import { type Library } from '#core/recipe/library';
import { dayNumber } from '#core/season/days';
import { type KeptMix, mixOf } from '#core/season/needs';
import { type SeasonSowing } from '#core/season/season';
import { clockOf } from '#core/weeks/clock';
import { Living } from '#core/weeks/life';
import { keepingOf, type KeptThings, type UsualKeeping } from '#core/weeks/usual-keeping';

/** What the first feed of a sowing hangs on, beside the sowing. */
export interface FeedAbout {
  kept: ReadonlyMap<number, KeptMix>;
  way: string | null;
  library: Library;
  soilC: number;
  usual: UsualKeeping;
  /** Saved recipes whose plants are kept otherwise, by number. */
  ofMix: Readonly<Record<number, UsualKeeping>>;
  things: KeptThings;
}

/**
 * Days from the beginning of a sowing to its first feed, by the one clock: the first step whose mix does not last until
 * the next. Reckoned once for each mix, vessel and crop.
 */
export class SowingClocks {
  private readonly livings = new Map<string, Living | null>();
  private readonly lasts = new Map<string, number | null>();

  constructor(private readonly about: FeedAbout) {}

  /** null where it is moved on or planted before it is hungry; undefined where a mix is not known. */
  daysToFeed({ crop, steps }: Pick<SeasonSowing, 'crop' | 'steps'>): number | null | undefined {
    const begun = dayNumber(steps[0]!.from);
    for (const [i, { step, kind, from, to }] of steps.entries()) {
      const feedFrom = this.lastsFor(step, kind.id, from, crop, i === 0);
      if (feedFrom === undefined) return undefined;
      if (feedFrom === null) continue;
      const on = dayNumber(from) + feedFrom - 1;
      if (on < dayNumber(to)) return on - begun;
    }
    return null;
  }

  private lastsFor(
    ...[step, vessel, from, crop, first]: [
      SeasonSowing['steps'][number]['step'],
      vessel: string,
      from: string,
      SeasonSowing['crop'],
      first: boolean,
    ]
  ): number | null | undefined {
    const { kept, way, library, soilC, things } = this.about;
    const mix = step.mix !== undefined && kept.has(step.mix) ? step.mix : -1;
    const usual = this.about.ofMix[mix] ?? this.about.usual;
    const { key, recipe } = mixOf(step, kept, way);
    const living = this.livingOf(
      `${key} ${vessel}`,
      () => new Living(mixOfPlanting({ vessel }, recipe, library)),
    );
    if (!living) return undefined;
    const plant = daysOfCrop(first ? crop.start : 'pot', crop, soilC);
    const keeping = keepingOf(usual, things, { on: from, ...(plant && { plant }) });
    const asked = `${key} ${vessel} ${JSON.stringify([keeping.plant, keeping.weather, keeping.later])}`;
    let lasts = this.lasts.get(asked);
    if (lasts === undefined) this.lasts.set(asked, (lasts = clockOf(living, keeping).feedFrom));
    return lasts;
  }

  private livingOf(key: string, make: () => Living): Living | null {
    let living = this.livings.get(key);
    if (living === undefined) {
      try {
        living = make();
      } catch (error) {
        // A material that its mix names may be gone.
        if (!(error instanceof OutOfRange)) throw error;
        living = null;
      }
      this.livings.set(key, living);
    }
    return living;
  }
}
