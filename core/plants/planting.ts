import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type CauseId, type SignId } from '#core/plants/cause-table';
import { dayNumber } from '#core/season/days';
import { OutOfRange } from '#core/units/check';

export const starts = ['sow', 'strike', 'pot', 'split'] as const;

/** Whether as many stand as were begun with: of seed and cuttings that shows later. */
export const isCounted = (start: Planting['start']): boolean => start === 'pot' || start === 'split';

/** What begins in a mix of a stage. */
export const startOf = (stage: string | undefined): 'sow' | 'strike' | 'pot' =>
  stage === 'rooting' ? 'strike' : stage === 'potting' ? 'pot' : 'sow';

/** Plants begun together: seed sown, cuttings struck, plants potted from other vessels, or some set apart as they are. */
export interface Planting {
  id: number;
  start: (typeof starts)[number];
  /** Id of a crop. */
  crop: string;
  /** Sort, or what it is for. */
  name: string;
  /** Whose seed, or which mother plants. */
  seed: string;
  /** Id of a vessel kind. */
  vessel: string;
  /** Cells, blocks or pots filled. */
  cells: number;
  /** Seeds, cuttings or plants to each. */
  perCell: number;
  /** Batch whose mix it stands in. */
  batch: number | null;
  /** YYYY-MM-DD. */
  on: string;
  /** Taken out of its old mix: roots bare. */
  bareRoot: boolean;
  /** Filled half for now: topped up as the stem grows. */
  halfFilled: boolean;
  /** Sowing of the season that it is. */
  season: { line: number; sowing: number; step: number } | null;
  /** Packet of seed that it came of. */
  seedLot: number | null;
  /** Plants that came from other plantings. */
  from: { planting: number; plants: number }[];
  /** Its trial, arm and block. */
  trial: { id: number; arm: number; block: number } | null;
}

/** Causes of loss to be pressed; own words do as well. */
export const lossCauses = [
  ...['damped off', 'stem rot', 'dried out', 'drowned', 'cold', 'slugs', 'gnats', 'mice or birds'],
  ...['burnt', 'broken', 'weak'],
] as const;

/** How they went on once they were planted out. */
export const afterWays = ['grew on', 'stalled', 'failed'] as const;

/** Where plants go from here. */
export const outWays = ['planted', 'sold', 'given away', 'thrown away'] as const;

export type PlantEvent = { on: string } & (
  | { kind: 'up'; count: number; empty?: number[] | undefined }
  | { kind: 'count'; alive: number; empty?: number[] | undefined }
  | { kind: 'lost'; count: number; cause: string }
  | { kind: 'thinned'; count: number }
  | { kind: 'moved'; count: number; to: number }
  | { kind: 'out'; count: number; way: (typeof outWays)[number]; minutes?: number | undefined }
  | { kind: 'after'; went: (typeof afterWays)[number]; kg?: number | undefined; text?: string | undefined }
  | { kind: 'fed'; text: string }
  | { kind: 'watered'; litres?: number | undefined; minutes?: number | undefined }
  | { kind: 'ph'; value: number }
  | { kind: 'ec'; value: number }
  | { kind: 'weight'; grams: number }
  | { kind: 'cold'; celsius: number }
  | { kind: 'sprayed'; text: string }
  | { kind: 'topped'; litres?: number | undefined }
  | { kind: 'size'; mm: number }
  | { kind: 'picture'; picture: number; text: string }
  | { kind: 'note'; text: string }
  | { kind: 'sign'; sign: SignId }
  | { kind: 'did'; cause: CauseId; text: string }
  | { kind: 'helped'; cause: CauseId; helped: boolean }
  | { kind: 'undo'; of: number }
);
export type PlantEventKind = PlantEvent['kind'];
/** `at` is when it was entered, ISO 8601: of a day's events the later made one comes after, in whatever order they came in. */
export type KeptEvent = PlantEvent & { id: number; at?: string | undefined };

/** Events that stand: those that a later one took back are left out, and a taking back may itself be taken back. By day, then as they were made. */
export function standing(events: readonly KeptEvent[]): KeptEvent[] {
  const void_ = new Set<number>();
  for (const event of [...events].sort((a, b) => b.id - a.id))
    if (event.kind === 'undo' && !void_.has(event.id)) void_.add(event.of);
  return events.filter((event) => event.kind !== 'undo' && !void_.has(event.id)).sort(inOrder);
}

function inOrder(a: KeptEvent, b: KeptEvent): number {
  if (a.on !== b.on) return a.on < b.on ? -1 : 1;
  if (a.at !== undefined && b.at !== undefined && a.at !== b.at) return a.at < b.at ? -1 : 1;
  return a.id - b.id;
}

/**
 * Counts of one day that were made apart, on devices that did not know of each other: the later made one holds.
 * @returns each earlier count that came in after a later one, with the one that holds
 */
export function countsApart(events: readonly KeptEvent[]): { holds: CountOf; earlier: CountOf }[] {
  const counts = standing(events).filter((event): event is CountOf => event.kind === 'count');
  return counts.flatMap((earlier) => {
    const holds = counts.filter((count) => count.on === earlier.on).at(-1)!;
    return holds.id < earlier.id && holds.alive !== earlier.alive ? [{ holds, earlier }] : [];
  });
}
export type CountOf = Extract<KeptEvent, { kind: 'count' }>;

/** What became of a planting. Of what was entered all is accounted for: it stands, was lost, thinned, moved, or went out. */
export interface Tally {
  /** Seeds, cuttings or plants begun with. */
  begun: number;
  /** Came up, rooted, or was potted; null for seed of which nothing is counted yet. */
  entered: number | null;
  /** null while nothing is counted. */
  alive: number | null;
  lost: ReadonlyMap<string, number>;
  /** Lost by all causes together. */
  lostSum: number;
  thinned: number;
  moved: number;
  out: number;
}

/** Gone at a later count, nobody saw how. */
export const UNSEEN = 'not seen';

/** Adds the record up. */
export function tallyOf({ start, cells, perCell, from }: Planting, events: readonly KeptEvent[]): Tally {
  const begun = from.length > 0 ? from.reduce((sum, each) => sum + each.plants, 0) : cells * perCell;
  let entered: number | null = isCounted(start) ? begun : null;
  const lost = new Map<string, number>();
  let [lostSum, thinned, moved, out] = [0, 0, 0, 0];
  const gone = (): number => lostSum + thinned + moved + out;
  const lose = (cause: string, count: number): void => {
    if (count === 0) return;
    const sum = (lost.get(cause) ?? 0) + count;
    if (sum === 0) lost.delete(cause);
    else lost.set(cause, sum);
    lostSum += count;
  };
  for (const event of standing(events))
    switch (event.kind) {
      case 'up':
        entered = Math.max(event.count, gone());
        break;
      case 'count': {
        const expected = entered === null ? event.alive : entered - gone();
        lose(UNSEEN, Math.max(0, expected - event.alive));
        // What was missed at a count and is there at the next was there.
        const found = Math.min(lost.get(UNSEEN) ?? 0, Math.max(0, event.alive - expected));
        lose(UNSEEN, -found);
        entered = Math.max(entered ?? 0, event.alive + gone());
        break;
      }
      case 'lost':
        lose(event.cause, event.count);
        break;
      case 'thinned':
        thinned += event.count;
        break;
      case 'moved':
        moved += event.count;
        break;
      case 'out':
        out += event.count;
        break;
      default:
    }
  // What went without ever having been counted had come up; how many more there are nobody knows until all went.
  if (entered === null && gone() >= begun) entered = gone();
  else if (entered !== null) entered = Math.max(entered, gone());
  return {
    ...{ begun, entered, lost, lostSum, thinned, moved, out },
    alive: entered === null ? null : entered - gone(),
  };
}

/**
 * Whether an event can be: not before the planting, and not more plants than there are.
 * @param at when it was made
 * @throws OutOfRange naming the figure and what is allowed
 */
export function checkEvent(
  planting: Planting,
  events: readonly KeptEvent[],
  event: PlantEvent,
  at?: string,
): void {
  dayNumber(event.on, 'on');
  if (event.on < planting.on)
    throw new OutOfRange('on', event.on, allow('allowed.since-it-began', { day: planting.on }));
  const { begun, entered, alive, thinned, moved, out, lostSum, lost } = tallyOf(planting, events);
  const left = alive ?? begun - thinned - moved - out - lostSum;
  const seenLost = lostSum - (lost.get(UNSEEN) ?? 0);
  const most = (name: string, value: number, of: number, code: 'begun' | 'there' | 'alive'): void => {
    if (value > of) throw new OutOfRange(name, value, allow(`allowed.most-${code}`, { most: of }));
  };
  if ('empty' in event && event.empty?.some((cell) => cell >= planting.cells))
    throw new OutOfRange(
      'empty',
      Math.max(...event.empty) + 1,
      allow('allowed.cells-there', { cells: planting.cells }),
    );
  switch (event.kind) {
    case 'up':
      most('count', event.count, begun, 'begun');
      break;
    case 'count':
      most('alive', event.alive, begun - thinned - moved - out - seenLost, 'there');
      break;
    case 'lost':
    case 'thinned':
    case 'moved':
    case 'out':
      most('count', event.count, left, 'alive');
      break;
    case 'undo':
      if (!events.some(({ id, kind }) => id === event.of && kind !== 'moved'))
        throw new OutOfRange('of', event.of, allow('allowed.can-be-undone', none));
      break;
    default:
  }
  // Counts of later days may say that more were there than that leaves.
  const after = tallyOf(planting, [...events, { ...event, id: Number.MAX_SAFE_INTEGER, at }]);
  if (event.kind !== 'undo' && (after.entered ?? 0) > Math.max(begun, entered ?? 0))
    throw new OutOfRange('on', event.on, allow('allowed.later-counts-agree', none));
}

/** Plants that may still be there: those that stand, or what is left of what was begun where nobody counted. */
export const perhapsThere = ({
  begun,
  alive,
  lost,
  thinned,
  moved,
  out,
}: Pick<Tally, 'begun' | 'alive' | 'thinned' | 'moved' | 'out'> & {
  lost: readonly { count: number }[];
}): number => alive ?? begun - thinned - moved - out - lost.reduce((sum, { count }) => sum + count, 0);

/** Of all begun: came up, and made it (stands, was moved on, planted or sold; what was thinned was meant to go). */
export function sharesOf(tally: Tally): { up: number | null; made: number | null; of: number } {
  const { begun, entered, alive, moved, out } = tally;
  return { up: entered, made: alive === null ? null : alive + moved + out, of: begun };
}
