import { type AboutKind } from '#contract/about';
import { type NewPlanting } from '#contract/plants';
import { type NewBatch } from '#contract/batches';
import {
  type ForMaking,
  isForMaking,
  isForPlanting,
  isForRecord,
  isForUndo,
  type Waiting,
} from './outbox-store';

type IdHere = (kind: AboutKind, id: number) => number | undefined;
class NotHere extends Error {}

/**
 * An entry with the numbers that things have in another state of the nursery.
 * @param idHere number there of what has a number here
 * @returns null where it names something that is not there, or of which it does not say what it is
 */
export function readdressed<T extends Waiting>(item: T, idHere: IdHere): T | null {
  const present = (kind: AboutKind, id: number): number => {
    const found = idHere(kind, id);
    if (found === undefined) throw new NotHere();
    return found;
  };
  try {
    const about = item.about?.map((each) => ({ ...each, id: present(each.kind, each.id) }));
    return { ...item, ...(about && { about }), ...numbersOf(item, present) };
  } catch (error) {
    if (error instanceof NotHere) return null;
    throw error;
  }
}

function numbersOf(item: Waiting, present: (kind: AboutKind, id: number) => number): Partial<Waiting> {
  // It finds what it takes back by its key.
  if (isForUndo(item)) return {};
  if (isForPlanting(item)) {
    const { planting, event } = item;
    const of = event.kind === 'undo' ? { event: { ...event, of: present('event', event.of) } } : {};
    return { planting: present('planting', planting), ...of };
  }
  if (isForRecord(item)) {
    const { batch, data } = item;
    const lots =
      data.kind === 'lot' || data.kind === 'use'
        ? {
            ...(data.lot !== undefined && { lot: present('lot', data.lot) }),
            ...('rest' in data && data.rest !== undefined && { rest: present('lot', data.rest) }),
          }
        : {};
    // What it had seen of the record has other numbers too.
    return { batch: present('batch', batch), seen: 0, data: { ...data, ...lots } as typeof data };
  }
  return isForMaking(item) ? making(item, present) : {};
}

function making(
  { make, params, body }: ForMaking,
  present: (kind: AboutKind, id: number) => number,
): Partial<ForMaking> {
  if (make === 'addPicture') return { params: { id: present('planting', Number(params!['id'])) } };
  if (make === 'keepMixVersion') return { params: { id: present('mix', Number(params!['id'])) } };
  if (make === 'keepBatch') {
    const { mixVersionId, madeFor = [] } = body as NewBatch;
    return {
      body: {
        ...body,
        ...(mixVersionId != null && { mixVersionId: present('version', mixVersionId) }),
        madeFor: madeFor.map((each) => ({ ...each, line: present('line', each.line) })),
      },
    };
  }
  if (make === 'keepMix') return {};
  const { batch, season, from = [] } = body as Partial<NewPlanting>;
  return {
    body: {
      ...body,
      ...(batch != null && { batch: present('batch', batch) }),
      ...(season && { season: { ...season, line: present('line', season.line) } }),
      from: from.map((each) => ({ ...each, planting: present('planting', each.planting) })),
    },
  };
}
