import { type Edit } from '#core/advise/edit';
import { type Attempt, type Attempts } from '#core/advise/attempts';
import { type Finding, tells } from '#core/advise/findings';
import { type Judgement } from '#core/judge/judge';
import { type ReadingId } from '#core/judge/readings';
import { messages, type MessageOf, named, type Named, type None } from '#core/units/message';

/** An edit as it is said. */
export type EditSays =
  | { does: 'add'; what: Named; parts: number }
  | { does: 'more' | 'less'; what: Named; by: number; parts: number }
  | { does: 'leave-out' | 'no-dose'; what: Named }
  | { does: 'exchange'; what: Named; from: Named; parts: number }
  | { does: 'screen'; what: Named; mm: number }
  /** null where it is new. */
  | { does: 'dose'; what: Named; gPerL: number; wasGPerL: number | null }
  | { does: 'lime'; what: Named; ph: number }
  | { does: 'no-lime' }
  | { does: 'firm'; pct: number; wasPct: number };

export interface AdviseFacts {
  /** What is changed, and what the reading that it is about comes to; null where no reading tells of it. */
  'advise.way': {
    edits: readonly EditSays[];
    moves: { of: ReadingId; from: number; to: number } | null;
  };
  /** Nothing within reach puts it right: what would. */
  'advise.would-vessel': { vessel: Named };
  'advise.would-finder': None;
}
export type AdviseMessage = MessageOf<AdviseFacts>;
export const adviseSay = messages<AdviseFacts>();

/** Every subject, in the order in which its reading is looked at for a change that is about several. */
const ALL: readonly ReadingId[] = [
  'air',
  'airAfterDrydown',
  'ph',
  'ecSaturated',
  'n',
  'overSize',
  'cohesion',
];

const reading = ({ readings }: Judgement, id: ReadingId): number | undefined =>
  readings.find((r) => r.id === id)?.value;

/** What a way does and comes to. @param subject of its finding; left out for a mend */
export function waySays(attempts: Attempts, attempt: Attempt, subject?: Finding['subject']): AdviseMessage {
  const before = attempts.first.judgement;
  const told = subject ? (tells[subject] ?? []) : ALL;
  // A nutrient may be out of step with others and in its own window: its number says nothing of that.
  const onlyOff = subject === undefined || subject === 'nitrogen';
  const ids = onlyOff ? told.filter((id) => isOff(before, id)) : told;
  const of = ids.find((id) => reading(before, id) !== undefined);
  const [from, to] = of ? [reading(before, of), reading(attempt.judgement, of)] : [];
  const moves =
    of !== undefined && from !== undefined && to !== undefined && Math.abs(to - from) > 1e-9
      ? { of, from, to }
      : null;
  return adviseSay('advise.way', { edits: attempt.edits.map((edit) => says(edit, attempts)), moves });
}

const isOff = ({ readings }: Judgement, id: ReadingId): boolean =>
  readings.some((r) => r.id === id && r.verdict !== 'ok');

function says(edit: Edit, { recipe, library }: Attempts): EditSays {
  const material = (id: string): Named => named(library.materials.get(id) ?? { id, name: id });
  const product = (id: string): Named => named(library.amendments.get(id) ?? { id, name: id });
  const partsOf = (id: string): number => recipe.components.find((c) => c.material === id)?.parts ?? 0;
  switch (edit.kind) {
    case 'parts': {
      const [what, was] = [material(edit.material), partsOf(edit.material)];
      const by = edit.parts - was;
      if (was === 0) return { does: 'add', what, parts: edit.parts };
      return { does: by > 0 ? 'more' : 'less', what, by: Math.abs(by), parts: edit.parts };
    }
    case 'dropMaterial':
      return { does: 'leave-out', what: material(edit.material) };
    case 'swapMaterial':
      return {
        ...{ does: 'exchange', what: material(edit.to), from: material(edit.from) },
        parts: partsOf(edit.from),
      };
    case 'screen':
      return { does: 'screen', what: material(edit.material), mm: edit.mm };
    case 'dose': {
      const was = recipe.amendments.find((d) => d.amendment === edit.amendment)?.gPerL ?? null;
      return { does: 'dose', what: product(edit.amendment), gPerL: edit.gPerL, wasGPerL: was };
    }
    case 'dropAmendment':
      return { does: 'no-dose', what: product(edit.amendment) };
    case 'limeToPh':
      return { does: 'lime', what: product(edit.amendment), ph: edit.ph };
    case 'noLime':
      return { does: 'no-lime' };
    case 'firm':
      return { does: 'firm', pct: edit.pct, wasPct: recipe.compactionPct };
  }
}
