/** What was filled from a tub. */
export interface TubUse {
  kind: 'use';
  /** YYYY-MM-DD */
  on: string;
  what: string;
  count: number;
  /** What the vessels took; nothing where no vessel was named. */
  litres?: number | undefined;
  /** The planting that it is, where what stands in it is followed. */
  planting?: number | undefined;
  /** Event of the planting that topped it up with so much. */
  topped?: number | undefined;
  /** An entry of the same day that looks like the same filling. */
  like?: number | undefined;
  /** From a planting of before there was one book. */
  reckoned?: boolean | undefined;
}

/** What happened to a tub, with its number in the record. */
export type TubEntry = { id: number } & (
  | TubUse
  /** So much was in it, measured. */
  | { kind: 'left'; on: string; litres: number }
  /** It was mixed, whatever was ticked of it. */
  | { kind: 'made'; on: string }
  | { kind: 'undo'; of: number }
  /** Whether a filling that looks like another one is that one. */
  | { kind: 'same'; of: number; same: boolean }
);
type Stays = Extract<TubEntry, { kind: 'use' | 'left' | 'made' }>;

/** A filling as it stands. */
export interface TubFilling extends TubUse {
  id: number;
  /** It takes from the tub: one that looks like another does not, until somebody says that they are two. */
  counts: boolean;
}

export interface Tub {
  /** Never below 0. */
  leftL: number;
  /** So much more was filled than it held: it is to be counted. */
  overL: number;
  /** Fillings that stand, in the order of the record. */
  uses: TubFilling[];
  /** Fillings that look like another one: counted once until somebody says that they are two. */
  asks: TubFilling[];
  /** Something stands that shows that it was mixed. */
  isFilled: boolean;
}

/** Rounding of litres. */
const NOTHING = 1e-9;

/** Of the entries those that no later one took back; a taking back may itself be taken back. */
function inForce(entries: readonly TubEntry[]): TubEntry[] {
  const void_ = new Set<number>();
  for (const entry of [...entries].sort((a, b) => b.id - a.id))
    if (entry.kind === 'undo' && !void_.has(entry.id)) void_.add(entry.of);
  return entries.filter(({ kind, id }) => kind !== 'undo' && !void_.has(id));
}

/** The taking back of an entry that is in force; null where the entry stands. */
export function undoOf(entries: readonly TubEntry[], id: number): number | null {
  const undo = entries.find(
    (entry) => entry.kind === 'undo' && entry.of === id && undoOf(entries, entry.id) === null,
  );
  return undo?.id ?? null;
}

/** By the day; what was reckoned later comes before a look at the tub on the same day. */
function byDay(a: Stays, b: Stays): number {
  if (a.on !== b.on) return a.on < b.on ? -1 : 1;
  const first = (each: Stays): number => (each.kind === 'use' && each.reckoned ? 0 : 1);
  return first(a) - first(b) || a.id - b.id;
}

/**
 * What a tub holds by the book: what was made, or the last look at it, less what was filled since, by the day on which
 * it was filled. What happened is never refused: where more was filled than it held, that is told.
 * @param madeL finished mix that the batch is of, L
 * @example tubOf(40, [{ id: 1, kind: 'use', on: '2026-03-02', what: 'Lettuce', count: 216, litres: 6.9 }]).leftL // 33.1
 */
export function tubOf(madeL: number, entries: readonly TubEntry[]): Tub {
  const standing = inForce(entries);
  const stays = standing.filter(
    (entry): entry is Stays => entry.kind === 'use' || entry.kind === 'left' || entry.kind === 'made',
  );
  const uses = stays.filter((entry) => entry.kind === 'use');
  const present = new Set(uses.map(({ id }) => id));
  const said = new Map<number, boolean>();
  for (const entry of standing) if (entry.kind === 'same') said.set(entry.of, entry.same);
  const looksAlike = (use: TubUse): boolean => use.like !== undefined && present.has(use.like);
  const isCounted = (use: (typeof uses)[number]): boolean => !looksAlike(use) || said.get(use.id) === false;
  const fillings = uses.map((use) => ({ ...use, counts: isCounted(use) }));
  let left = madeL;
  for (const entry of [...stays].sort(byDay)) {
    if (entry.kind === 'left') left = entry.litres;
    else if (entry.kind === 'use' && isCounted(entry)) left -= entry.litres ?? 0;
  }
  return {
    leftL: left > NOTHING ? left : 0,
    overL: left < -NOTHING ? -left : 0,
    uses: fillings,
    asks: fillings.filter((use) => looksAlike(use) && !said.has(use.id)),
    isFilled: stays.length > 0,
  };
}

/**
 * A filling of the same day, as many of the same vessels, of which one is a planting and the other is not: it may be the
 * same one, told in two places.
 * @returns its number; null where there is none
 */
export function alike(
  use: Pick<TubUse, 'on' | 'count' | 'planting'> & { vessel?: string | undefined },
  uses: readonly (TubUse & { id: number; vessel?: string | undefined })[],
): number | null {
  const taken = new Set(uses.flatMap(({ like }) => (like === undefined ? [] : [like])));
  const found = uses.find(
    (each) =>
      each.on === use.on &&
      each.count === use.count &&
      (each.vessel === undefined || use.vessel === undefined || each.vessel === use.vessel) &&
      each.topped === undefined &&
      (each.planting === undefined) !== (use.planting === undefined) &&
      each.like === undefined &&
      !taken.has(each.id),
  );
  return found?.id ?? null;
}
