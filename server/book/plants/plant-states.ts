import { coldestNight } from '#core/season/roots-in-pots';
import { type Stores } from '#server/kept/stores';
import { type PlantCare, type PlantingLine } from '#contract/plants';
import { type Care, called, careOf, type Tender } from '#core/plants/care';
import { isCounted, type KeptEvent, type Planting, type Tally, tallyOf } from '#core/plants/planting';
import { type Crop } from '#core/season/crop';
import { daysOfRoom } from '#core/season/pot-on';
import { dayNumber } from '#core/season/days';
import { daysAfter } from '#core/units/day';
import { type VesselKind } from '#core/vessel/tray';
import { volumeL } from '#core/vessel/vessel';
import { type KeptThings } from '#core/weeks/usual-keeping';
import { Known } from '#server/base/database/known';
import { type PlantClocks } from '#server/book/plants/plant-clocks';

/** Care is looked for in what was begun so lately, told so far ahead, and forgotten so long after its day. */
const CARE_DAYS = 400;
const AHEAD = 7;
const FORGET_AFTER = 30;
/** Set apart from what was set apart, so often. */
const MOST_SPLITS = 20;

interface Around {
  crops: ReadonlyMap<string, Crop>;
  vessels: ReadonlyMap<string, VesselKind>;
  soilC: number;
  /** Waters and products that a keeping may name. */
  things: KeptThings;
}

interface State {
  care: readonly Care[];
  line: Omit<PlantingLine, 'putAway'>;
}

/** How plantings stand, and what they want. */
export class PlantStates {
  private readonly states = new Known<number, State>();
  /** Of its care what was last asked for. */
  private readonly kept = new Known<number, readonly PlantCare[]>();
  private readonly tenders = new Known<number, Tender>();

  constructor(
    private readonly stores: Stores,
    private readonly clocks: PlantClocks,
  ) {}

  lines(plantings: readonly Planting[]): PlantingLine[] {
    const events = this.stores.plantEvents.countsOf(plantings.map(({ id }) => id));
    const around = this.around();
    return plantings.map((planting) => {
      const own = events.get(planting.id) ?? [];
      return { ...this.stateOf(planting, own, around).line, putAway: this.stores.plants.isAway(planting.id) };
    });
  }

  /** What care is reckoned from, fetched once for all plantings of an answer. */
  private around(): Around {
    return {
      crops: this.stores.crops.byId(),
      vessels: this.stores.library.library().vessels,
      soilC: this.stores.season.settings(this.stores.calendar.today()).soilC,
      things: this.clocks.things(),
    };
  }

  /** How it stands and what it wants: reckoned again when its events, its crop, its vessel or the warmth change. */
  private stateOf(planting: Planting, events: readonly KeptEvent[], around: Around): State {
    const crop = around.crops.get(planting.crop);
    const kind = around.vessels.get(planting.vessel);
    return this.states.of(
      planting.id,
      [planting, events, crop, kind, around.soilC, around.things, this.clocks.usualOf(planting)],
      () => {
        const tally = tallyOf(planting, events);
        const care = this.careFor(planting, tally, events, around);
        const batchName = planting.batch === null ? null : this.stores.batches.nameOf(planting.batch);
        const key = this.stores.plants.keyOf(planting.id);
        return { care, line: { ...planting, key, tally: result(tally), batchName, care: care[0] ?? null } };
      },
    );
  }

  private careFor(
    planting: Planting,
    tally: Tally,
    events: readonly KeptEvent[],
    { crops, vessels, soilC, things }: Around,
  ): Care[] {
    const crop = crops.get(planting.crop);
    if (!crop) return [];
    const kind = vessels.get(planting.vessel);
    const since = this.vesselSince(planting);
    return careOf(planting, crop, tally, events, {
      ...{ soilC, vesselSince: since, roomDays: this.roomDays(planting, crop, vessels) },
      clock: kind && this.clocks.of(planting, events, { crop, kind, soilC, since, things }),
    });
  }

  /** Days for which its vessel has room for it; null where nothing is said. */
  roomDays(
    planting: Planting,
    crop: Crop | undefined,
    vessels: ReadonlyMap<string, VesselKind> = this.stores.library.library().vessels,
  ): number | null {
    const litresOf = (id: string): number | undefined => {
      const kind = vessels.get(id);
      return kind && volumeL(kind.vessel);
    };
    const litres = litresOf(planting.vessel);
    return litres === undefined ? null : daysOfRoom(crop, litres, litresOf, this.ageInto(planting));
  }

  /** How old it was, days, when it came into its vessel; undefined where nobody knows. */
  private ageInto(planting: Planting): number | undefined {
    const since = dayNumber(this.vesselSince(planting));
    let each = planting;
    for (let i = 0; i < MOST_SPLITS && isCounted(each.start); i++) {
      const parent = each.from[0] && this.stores.plants.one(each.from[0].planting);
      if (!parent) return undefined;
      each = parent;
    }
    return isCounted(each.start) ? undefined : since - dayNumber(each.on);
  }

  /** Set apart, they stand in their vessel since those that they came from. */
  vesselSince(planting: Planting): string {
    let each = planting;
    for (let i = 0; i < MOST_SPLITS && each.start === 'split' && each.from[0]; i++)
      each = this.stores.plants.one(each.from[0].planting) ?? each;
    return each.on;
  }

  /** All that one planting wants, in order. */
  allCare(planting: Planting, events: readonly KeptEvent[]): Care[] {
    return this.careFor(planting, tallyOf(planting, events), events, this.around());
  }

  /** @param ahead days */
  care(ahead = AHEAD): PlantCare[] {
    const today = this.stores.calendar.today();
    const [from, to] = [daysAfter(today, -FORGET_AFTER), daysAfter(today, ahead)];
    const plantings = this.stores.plants.standing(daysAfter(today, -CARE_DAYS));
    const events = this.stores.plantEvents.countsOf(plantings.map(({ id }) => id));
    const around = this.around();
    return plantings
      .flatMap((planting) => {
        const state = this.stateOf(planting, events.get(planting.id) ?? [], around);
        return this.kept.of(planting.id, [state, from, to], () =>
          state.care
            .filter(({ on, until }) => on <= to && (until ?? on) >= (until === null ? from : today))
            .map((each) => ({
              ...{ ...each, planting: planting.id, key: state.line.key },
              name: called(planting, around.crops.get(planting.crop) ?? { name: planting.crop }),
              state: each.on <= today ? ('due' as const) : ('waiting' as const),
            })),
        );
      })
      .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  }

  /** What stands, and the coldest night that its crop bears. */
  tender(): Tender[] {
    const crops = this.stores.crops.byId();
    return this.stores.plants
      .standing(daysAfter(this.stores.calendar.today(), -CARE_DAYS))
      .flatMap((planting) => {
        const crop = crops.get(planting.crop);
        if (!crop) return [];
        const { potC: coldestC, groundC } = coldestNight(crop);
        const name = called(planting, crop);
        return this.tenders.of(planting.id, [planting, crop], () => ({
          planting: planting.id,
          name,
          coldestC,
          ...(groundC < coldestC && { inGroundC: groundC }),
        }));
      });
  }
}

const result = ({ lost, lostSum: _, ...tally }: Tally): PlantingLine['tally'] => ({
  ...tally,
  lost: [...lost].map(([cause, count]) => ({ cause, count })).sort((a, b) => b.count - a.count),
});
