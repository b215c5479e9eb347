import { type Found } from '#core/plants/cause-table';
import { type KeptEvent, type Planting, standing } from '#core/plants/planting';
import { dayNumber } from '#core/season/days';

interface Ends {
  low: number;
  high: number;
}

/** What is known of where a planting stands, beside its own record; what is not known is left out. */
export interface Surroundings {
  today: string;
  ph?: Ends | undefined;
  ec?: Ends | undefined;
  /** Air of the mix in its vessel, %, and where it should be. */
  airPct?: number | undefined;
  air?: Ends | undefined;
  /** Coldest night that the crop bears, °C. */
  coldestC: number;
  /** Days for which the vessel has room for it; null where nobody knows. */
  roomDays: number | null;
  /** Days from the beginning to the first feed; null where its mix lasts. */
  firstFeedDays: number | null;
  /** Day on which its batch was made, and whether it holds living parts or organic feed. */
  madeOn?: string | undefined;
  living?: boolean | undefined;
}

/** Feed is due again after so long; a cold night counts for so long; a mix works for so long: common practice, no source. */
const FEED_AGAIN_DAYS = 10;
const COLD_COUNTS_DAYS = 10;
const WORKS_DAYS = 21;

const where = (value: number, { low, high }: Ends): 'low' | 'right' | 'high' =>
  value < low ? 'low' : value > high ? 'high' : 'right';

/** What the record holds of the questions of the cause table. */
export function foundOf(planting: Planting, events: readonly KeptEvent[], about: Surroundings): Found {
  const all = standing(events);
  const today = dayNumber(about.today);
  const last = <K extends KeptEvent['kind']>(kind: K): Extract<KeptEvent, { kind: K }> | undefined =>
    all.filter((event): event is Extract<KeptEvent, { kind: K }> => event.kind === kind).at(-1);
  const [ph, ec, fed, cold] = [last('ph'), last('ec'), last('fed'), last('cold')];
  const age = today - dayNumber(planting.on);
  const sinceFed = fed ? today - dayNumber(fed.on) : age - (about.firstFeedDays ?? Infinity);
  const feedDue = fed ? sinceFed > FEED_AGAIN_DAYS : sinceFed >= 0;
  return {
    ...(ph && about.ph && { ph: where(ph.value, about.ph) }),
    ...(ec && about.ec && { ec: where(ec.value, about.ec) }),
    ...(about.airPct !== undefined && about.air && { air: about.airPct < about.air.low ? 'short' : 'right' }),
    ...(cold &&
      today - dayNumber(cold.on) <= COLD_COUNTS_DAYS && {
        nights: cold.celsius < about.coldestC ? ('cold' as const) : ('mild' as const),
      }),
    age: about.roomDays !== null && age > about.roomDays ? 'long' : 'right',
    feed: feedDue ? 'due' : 'given',
    ...(about.madeOn !== undefined &&
      about.living !== undefined && {
        fresh:
          about.living && dayNumber(planting.on) - dayNumber(about.madeOn) < WORKS_DAYS
            ? ('yes' as const)
            : ('no' as const),
      }),
  };
}
