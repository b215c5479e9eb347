/// <reference lib="webworker" />
import { expose } from 'comlink';
import { Adviser, type Advised, type WayOut } from '#core/advise/advise';
import { type Judgement } from '#core/judge/judge';
import { type Library, libraryOf } from '#core/recipe/library';
import './calls';
import { type AdviseApi, type WaysTold, type WayTold } from './advise.protocol';
import { Turns } from './turns';

const turns = new Turns();
let library: Library | null = null;
let last: { adviser: Adviser; before: Judgement; wanted: () => Promise<boolean> } | null = null;

const movesOf = (before: Judgement, after: Judgement): WayTold['moves'] =>
  before.readings.flatMap(({ id, value }) => {
    const now = after.readings.find((r) => r.id === id);
    return now && Math.abs(now.value - value) > 1e-9
      ? [{ of: id, from: value, to: now.value, fits: now.verdict === 'ok' }]
      : [];
  });
const told = (before: Judgement, { says, edits, attempt }: WayOut): WayTold => ({
  ...{ says, edits: edits.length, recipe: attempt.recipe },
  moves: movesOf(before, attempt.judgement),
});
const allTold = (before: Judgement, findings: readonly Advised[]): WaysTold[] =>
  findings.map(({ subject, ways, would }) => ({
    ...{ subject, would, ways: ways.map((way) => told(before, way)) },
  }));

const api: AdviseApi = {
  stock({ materials, amendments, vessels, windows }) {
    library = { ...libraryOf(materials, amendments, vessels), ...(windows && { windows }) };
  },

  async advise(recipe, by) {
    const wanted = turns.next();
    last = null;
    if (!library || !(await wanted())) return null;
    const adviser = new Adviser(recipe, library, by);
    last = { adviser, before: adviser.judgement, wanted };
    return allTold(last.before, adviser.findings(1));
  },

  async more() {
    const asked = last;
    if (!asked || !(await asked.wanted())) return null;
    return allTold(asked.before, asked.adviser.findings());
  },

  async mend() {
    const asked = last;
    if (!asked || !(await asked.wanted())) return null;
    const mend = asked.adviser.mend();
    return { mend: mend && told(asked.before, mend) };
  },
};
expose(api);
