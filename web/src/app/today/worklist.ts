import { type PlantCareHere } from '../data/plants';
import { type SeasonDue } from '../data/season';
import { type DueStep } from '../data/today';
import { daysAfter } from '#core/units/day';

/** Kinds of work, in the order in which a day goes: what is alive and waits first. */
export const workKinds = [
  ...(['begin', 'pot', 'mix', 'open', 'count', 'test', 'water', 'lift', 'feed', 'thin', 'top-up'] as const),
  ...(['rest', 'harden', 'plant', 'own'] as const),
];
export type WorkKind = (typeof workKinds)[number];

/** A step of a batch, a task of the season, or what plants want. */
export interface WorkLine {
  /** By which it is put off. */
  item: string;
  kind: WorkKind;
  state: DueStep['state'];
  /** YYYY-MM-DD; empty for what is begun and has no day. */
  on: string;
  step?: DueStep;
  task?: SeasonDue;
  care?: PlantCareHere;
}
/** Lines of one kind that stand together. */
export interface WorkGroup {
  kind: WorkKind;
  lines: WorkLine[];
}
export interface Worklist {
  today: WorkGroup[];
  late: WorkGroup[];
  /** Late by more than two weeks. */
  old: WorkLine[];
  week: WorkGroup[];
}

const OLD_DAYS = 14;
const WEEK_DAYS = 7;
/** What each wants a form of its own stands by itself while there are few of it. */
const FEW: Partial<Record<WorkKind, number>> = { begin: 3, pot: 2, mix: 2, own: Infinity };

const ofCare: Record<PlantCareHere['id'], WorkKind> = {
  ...({ up: 'count', look: 'count', feed: 'feed', water: 'water', lift: 'lift' } as const),
  ...({ 'top-up': 'top-up', 'pot-up': 'pot' } as const),
};
const ofTask: Record<string, WorkKind> = {
  ...({ start: 'begin', up: 'count', spares: 'thin', feed: 'feed', move: 'pot' } as const),
  ...({ harden: 'harden', plant: 'plant', own: 'own', mix: 'mix' } as const),
};

export const lineOfStep = (step: DueStep): WorkLine => ({
  ...{ item: `step/${step.key}/${step.step}`, step, state: step.state, on: step.on ?? '' },
  kind: step.state === 'open' ? 'open' : step.test !== null ? 'test' : 'rest',
});
export const lineOfTask = (task: SeasonDue): WorkLine => ({
  ...{ item: `task/${task.line}/${task.sowing}/${task.task}`, task, state: task.state, on: task.on },
  kind: task.mix ? 'mix' : (ofTask[task.task.split('-')[0]!] ?? 'own'),
});
export const lineOfCare = (care: PlantCareHere): WorkLine => ({
  ...{ item: `care/${care.planting}/${care.id}/${care.on}`, care, state: care.state, on: care.on },
  kind: ofCare[care.id],
});

/** By their kind, in the order of the day; few of what wants a form of its own stand each by itself. */
export function groupsOf(lines: readonly WorkLine[]): WorkGroup[] {
  return workKinds.flatMap((kind) => {
    const own = lines
      .filter((line) => line.kind === kind)
      .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
    if (own.length === 0) return [];
    return own.length <= (FEW[kind] ?? 1)
      ? own.map((line) => ({ kind, lines: [line] }))
      : [{ kind, lines: own }];
  });
}

/**
 * What is worked off today: today, late, this week; what is late by more than two weeks apart.
 * @param off items that somebody put off
 * @param today YYYY-MM-DD
 */
export function worklistOf(all: readonly WorkLine[], off: ReadonlySet<string>, today: string): Worklist {
  const lines = all.filter(({ item }) => !off.has(item));
  const due = lines.filter(({ state }) => state === 'due');
  const since = daysAfter(today, -OLD_DAYS);
  const late = due.filter(({ on }) => on < today);
  return {
    today: groupsOf([
      ...due.filter(({ on }) => on >= today),
      ...lines.filter(({ state }) => state === 'open'),
    ]),
    late: groupsOf(late.filter(({ on }) => on >= since)),
    old: late.filter(({ on }) => on < since),
    week: groupsOf(lines.filter(({ state, on }) => state === 'waiting' && on <= daysAfter(today, WEEK_DAYS))),
  };
}
