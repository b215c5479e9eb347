import fc from 'fast-check';
import { adviseOn } from '#core/advise/advise';
import { clash, type Edit } from '#core/advise/edit';
import { singlesOf } from '#core/advise/candidates';
import { findingsOf, verdictOf } from '#core/advise/findings';
import { mendOf } from '#core/advise/mend';
import { loudnessOf, Attempts } from '#core/advise/attempts';
import { judgeMix } from '#core/judge/judge';
import { subjectOf } from '#core/recipe/flag-code';
import { libraryOf } from '#core/recipe/library';
import { mixInputOf, type Recipe } from '#core/recipe/recipe';
import { sketch } from '#core/recipe/sketch';
import { vesselKinds } from '#core/vessel/kinds';
import { THIN } from '#core/units/show';
import { anyMix } from '#testing/any-mix';
import { draws } from '#testing/draws';
import { amendments, library, materials } from '#testing/library';
import { read } from '#words/read';
import { type Reader } from '#words/reader';

const RUNS = draws(250);
const reader: Reader = { language: 'en', units: 'metric' };
const shelf = new Set([
  ...['peat-fine', 'perlite-coarse', 'vermiculite-medium', 'sand-sharp', 'coir-pith', 'compost', 'bark-pine'],
  ...['lime-dolomitic', 'calcium-nitrate', 'potassium-nitrate', 'superphosphate-triple', 'trace-elements'],
]);
const judged = (recipe: Recipe) => judgeMix(mixInputOf(recipe, library), { library });
const advice = (recipe: Recipe) => adviseOn(recipe, library, { shelf });
/** "air 7.6 → 12.1 %": what the sentence of a way says comes of it. */
const comesTo = (text: string): number[] =>
  (/: [^:]*?(-?\d+(?:\.\d+)?)(?:\s(?:%|mg\/L))? → (-?\d+(?:\.\d+)?)/.exec(text.replaceAll(THIN, '')) ?? [])
    .slice(1)
    .map(Number);

const anyRecipe = anyMix({
  kinds: vesselKinds.filter((kind) => !kind.ownMix),
  materials: 4,
  parts: 6,
  doses: 2,
});

test('one finding a subject, every way proved, and no sentence that its own result contradicts', () => {
  let proved = 0;
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      const before = judged(recipe);
      const { findings, mend, verdict, care } = advice(recipe);
      expect(new Set(findings.map(({ subject }) => subject)).size).toBe(findings.length);
      const all = [...findings.flatMap(({ codes }) => codes), ...care.map(({ code }) => code)];
      expect([...all].sort()).toEqual(before.flags.map(({ code }) => code).sort());
      expect(verdict).toBe(verdictOf(before));
      for (const { codes, severity, ways } of findings) {
        expect(ways.length).toBeLessThanOrEqual(3);
        for (const { edits, attempt, says } of ways) {
          proved++;
          // Judged anew, from the recipe alone.
          const after = judged(attempt.recipe);
          const now = after.flags.map(({ code }) => code);
          expect(codes.filter((code) => now.includes(code))).toEqual([]);
          const was = new Map(before.flags.map((f) => [f.code, f.severity]));
          const loud = after.flags.filter(
            (f) =>
              subjectOf[f.code] !== 'care' &&
              loudnessOf(f.severity) >= loudnessOf(severity) &&
              loudnessOf(f.severity) > loudnessOf(was.get(f.code) ?? 'note') - (was.has(f.code) ? 0 : 1),
          );
          expect(loud.map((f) => f.code)).toEqual([]);
          expect(edits.length).toBeLessThanOrEqual(2);
          if (says.say !== 'advise.way' || !says.with.moves) continue;
          const { of, from, to } = says.with.moves;
          const read0 = before.readings.find((r) => r.id === of)!.value;
          const read1 = after.readings.find((r) => r.id === of)!.value;
          expect([from, to]).toEqual([read0, read1]);
          // What was too little becomes more, and what was too much less.
          const { verdict: was0 } = before.readings.find((r) => r.id === of)!;
          if (was0 !== 'ok') expect(Math.sign(to - from)).toBe(was0 === 'low' ? 1 : -1);
          const [said0, said1] = comesTo(read(says, reader));
          if (said0 === undefined) continue;
          expect(Math.abs(said0 - from)).toBeLessThanOrEqual(0.5 + 1e-9);
          expect(Math.abs(said1! - to)).toBeLessThanOrEqual(0.5 + 1e-9);
        }
      }
      if (!mend) return;
      expect(verdictOf(judged(mend.attempt.recipe))).toBe('ready');
      expect(mend.edits.length).toBeLessThanOrEqual(4);
    }),
    { numRuns: RUNS, seed: 20_261 },
  );
  expect(proved).toBeGreaterThan(RUNS);
});

test('the mend has as few edits as any that puts it right: against trying everything, on small shelves', () => {
  const few = libraryOf(
    materials.filter(({ id }) => ['peat-fine', 'perlite-coarse', 'compost'].includes(id)),
    amendments.filter(({ id }) => ['lime-dolomitic', 'calcium-nitrate'].includes(id)),
  );
  const small = fc
    .record({
      vessel: fc.constantFrom('cell-288', 'cell-72', 'pot-9'),
      stage: fc.constantFrom('germination', 'seedling'),
      parts: fc.tuple(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 3 }),
      ),
      nitrate: fc.constantFrom(0, 0.2, 3),
      ph: fc.constantFrom(5, 5.8, 6.8),
    })
    .map(({ vessel, stage, parts: [peat, perlite, compost], nitrate, ph }) =>
      sketch(
        stage as 'germination',
        vessel,
        {
          'peat-fine': peat,
          ...(perlite > 0 && { 'perlite-coarse': perlite }),
          ...(compost > 0 && { compost }),
        },
        { ph, doses: nitrate > 0 ? { 'calcium-nitrate': nitrate } : {} },
      ),
    );
  let compared = 0;
  fc.assert(
    fc.property(small, (recipe) => {
      const attempts = new Attempts(recipe, few);
      if (verdictOf(attempts.first.judgement) === 'ready') return;
      const edits = singlesOf(attempts, 'shelf');
      const right = (set: readonly Edit[]): boolean => {
        const attempt = attempts.with(set);
        return attempt !== null && verdictOf(attempt.judgement) === 'ready' && attempts.isUsual(attempt);
      };
      const fewest = edits.some((edit) => right([edit]))
        ? 1
        : edits.some((a, i) => edits.slice(i + 1).some((b) => !clash(a, b) && right([a, b])))
          ? 2
          : 3;
      const mend = mendOf(attempts);
      compared++;
      if (fewest < 3) expect(mend?.edits.length).toBe(fewest);
      else if (mend) expect(mend.edits.length).toBeGreaterThan(2);
    }),
    { numRuns: 12, seed: 11 },
  );
  expect(compared).toBeGreaterThan(5);
});

describe('what was seen, case by case', () => {
  const wayTexts = (recipe: Recipe, subject: string): string[] =>
    (advice(recipe).findings.find((f) => f.subject === subject)?.ways ?? []).map(({ says }) =>
      read(says, reader),
    );

  test('too little air: what is offered lifts it into the window, and says to where', () => {
    const wet = sketch('germination', 'cell-288', { 'peat-fine': 3, 'sand-fine': 2 }, { ph: 5.8 });
    const { findings } = advice(wet);
    const air = findings.find(({ subject }) => subject === 'air')!;
    expect(air.severity).toBe('stop');
    for (const { attempt } of air.ways) {
      const { value, low } = judged(attempt.recipe).readings.find(({ id }) => id === 'air')!;
      expect(value).toBeGreaterThanOrEqual(low);
    }
    expect(wayTexts(wet, 'air')[0]!.replaceAll('\u00a0', ' ')).toBe(
      'Add 1 part of coarse perlite: air 0.2 % → 3.6 %.',
    );
  });

  test('of edits as large, the cheaper comes first; prices that nobody knows change nothing', () => {
    const wet = sketch('seedling', 'cell-72', { 'peat-fine': 3, 'sand-fine': 1 }, { ph: 5.8 });
    const here = new Set([
      'peat-fine',
      'sand-fine',
      'perlite-coarse',
      'perlite-fine',
      'pumice',
      'rice-hulls',
    ]);
    const ways = (cheap?: string) => {
      const prices =
        cheap && new Map([...library.materials.keys()].map((id) => [id, id === cheap ? 0.01 : 0.2]));
      const by = { shelf: here, ...(prices && { prices }) };
      return adviseOn(wet, library, by).findings.find(({ subject }) => subject === 'air')!.ways;
    };
    const added = (of: ReturnType<typeof ways>): string[] =>
      of.flatMap(({ edits: [edit] }) => (edit?.kind === 'parts' ? [`${edit.material} ${edit.parts}`] : []));
    const plain = added(ways());
    // All by one part: as large as each other.
    expect(plain.length).toBeGreaterThan(1);
    const same = plain.filter((each) => each.endsWith(' 1')).map((each) => each.split(' ')[0]!);
    expect(same.length).toBeGreaterThan(1);
    for (const cheap of same) expect(added(ways(cheap))[0]).toBe(`${cheap} 1`);
  });

  test('sand that does not let air in is not offered, however much of it', () => {
    const heavy = sketch('seedling', 'cell-72', { 'peat-fine': 3, loam: 2 }, { ph: 6 });
    const low = judged(heavy).readings.find(({ id }) => id === 'air')!;
    expect(low.verdict).toBe('low');
    for (let parts = 1; parts <= 6; parts++) {
      const sandy = {
        ...heavy,
        components: [...heavy.components, { material: 'sand-sharp', parts }],
      };
      expect(judged(sandy).readings.find(({ id }) => id === 'air')!.value).toBeLessThan(low.low);
    }
    expect(wayTexts(heavy, 'air').length).toBeGreaterThan(0);
    expect(wayTexts(heavy, 'air').join(' ')).not.toMatch(/sand/);
  });

  test('much eggshell in compost that is sweet already: one finding of pH, and no lime as its way out', () => {
    const sweet = sketch(
      'seedling',
      'cell-72',
      { compost: 3, 'perlite-coarse': 1 },
      { doses: { 'eggshell-crushed': 7.8 } },
    );
    const { findings, mend } = advice(sweet);
    const ph = findings.filter(({ subject }) => subject === 'ph');
    expect(ph).toHaveLength(1);
    expect(ph[0]!.ways.length).toBeGreaterThan(0);
    const edits = [...ph[0]!.ways, ...(mend ? [mend] : [])].flatMap((way) => way.edits);
    expect(edits.filter(({ kind }) => kind === 'limeToPh')).toEqual([]);
  });

  test('compost 55 and peat 45 under seed: no part more of peat is offered that changes nothing', () => {
    const salty = sketch('germination', 'cell-72', { compost: 55, 'peat-fine': 45 });
    const { findings, mend } = advice(salty);
    expect(findings[0]!.severity).toBe('stop');
    for (const { says } of findings.flatMap(({ ways }) => ways)) {
      if (says.say !== 'advise.way' || !says.with.moves) continue;
      const { from, to } = says.with.moves;
      expect(Math.abs(to - from)).toBeGreaterThan(0.02 * Math.abs(from));
    }
    expect(verdictOf(judged(mend!.attempt.recipe))).toBe('ready');
  });

  test('what else adds to it stands below the loudest, and is counted with it', () => {
    const both = judged(sketch('germination', 'cell-288', { 'peat-fine': 1 }, { ph: 5.8 }));
    const air = findingsOf(both).findings.find(({ subject }) => subject === 'air')!;
    expect([air.cause.code, ...air.adds.map(({ code }) => code)]).toEqual([...air.codes]);
    expect(air.adds.map(({ code }) => code)).toContain('drowns-here');
  });

  test('loam with hydrated lime: one finding of pH, and one number to lime to', () => {
    const limed = sketch(
      'potting',
      'pot-11',
      { loam: 5, 'peat-medium': 3, 'sand-sharp': 2 },
      { doses: { 'lime-hydrated': 7 } },
    );
    const { findings, mend } = advice(limed);
    expect(findings.filter(({ subject }) => subject === 'ph')).toHaveLength(1);
    const asked = [...findings.flatMap(({ ways }) => ways), mend!].flatMap(({ edits }) =>
      edits.flatMap((edit) => (edit.kind === 'limeToPh' ? [edit.ph] : [])),
    );
    expect(new Set(asked).size).toBe(1);
  });

  test('calcium nitrate in a block: one number wherever the dose is named', () => {
    const salty = sketch(
      'seedling',
      'block-50',
      { 'peat-black': 3, 'peat-fine': 1 },
      { firmPct: 25, ph: 5.8, doses: { 'calcium-nitrate': 5 } },
    );
    const { findings, mend } = advice(salty);
    const named = [...findings.flatMap(({ ways }) => ways), mend!].flatMap(({ edits }) =>
      edits.flatMap((edit) =>
        edit.kind === 'dose' && edit.amendment === 'calcium-nitrate' ? [edit.gPerL] : [],
      ),
    );
    expect(named.length).toBeGreaterThan(0);
    expect(new Set(named).size).toBe(1);
    // Salty stops have a way too, and their words and every rule name that number.
    const salts = findings.find(({ subject }) => subject === 'salts')!;
    expect(salts.ways.length).toBeGreaterThan(0);
    expect(read(salts.cause.text, reader).replaceAll('\u00a0', ' ')).toContain(
      `${named[0]!.toFixed(2)} g/L.`,
    );
    const fixes = judged(salty).flags.flatMap(({ fix }) =>
      fix?.kind === 'dose' && fix.amendment === 'calcium-nitrate' ? [fix.gPerL] : [],
    );
    expect(fixes).toHaveLength(3);
    expect(new Set([...fixes, ...named]).size).toBe(1);
  });

  test('a pH that is asked for and needs no lime is no fault of the lime', () => {
    const sweet = sketch('seedling', 'pot-9', { compost: 3, 'perlite-coarse': 1 }, { ph: 5.8 });
    const codes = judged(sweet).flags.map(({ code }) => code);
    expect(codes).not.toContain('lime-wrong-direction');
    expect(codes).toContain('ph-high');
  });

  test('inside the approach: what is never used is not offered', () => {
    const wet = sketch('potting', 'pot-11', { compost: 4, 'sand-fine': 2 });
    const { findings, mend } = adviseOn(wet, library, { shelf, never: ['peat', 'black-peat', 'perlite'] });
    const ids = [...findings.flatMap(({ ways }) => ways), ...(mend ? [mend] : [])].flatMap(({ attempt }) =>
      attempt.recipe.components.map(({ material }) => material),
    );
    expect(ids.filter((id) => /^(peat|perlite)/.test(id))).toEqual([]);
  });

  test('a sound mix is ready, and nothing is mended', () => {
    const { verdict, mend } = advice(
      sketch(
        'germination',
        'cell-72',
        { 'peat-fine': 4, 'perlite-coarse': 2, 'vermiculite-medium': 1 },
        {
          ph: 5.8,
          doses: { 'calcium-nitrate': 0.2 },
        },
      ),
    );
    expect([verdict, mend]).toEqual(['ready', null]);
  });

  test('nothing within reach: it is said, and what would do it', () => {
    const loam = sketch('germination', 'cell-288', { loam: 1 });
    const bare = adviseOn(
      loam,
      libraryOf(
        materials.filter(({ id }) => id === 'loam'),
        [],
      ),
      {},
    );
    const stop = bare.findings.find(({ severity, ways }) => severity !== 'note' && ways.length === 0)!;
    expect(read(stop.would!, reader)).toMatch(/No small change puts it right here\./);
    expect(bare.mend).toBeNull();
  });

  test('findings of equal loudness keep the order in which rules are told; care stands apart', () => {
    const { flags } = judged(
      sketch('germination', 'cell-72', { 'peat-fine': 3 }, { doses: { 'lime-dolomitic': 60 } }),
    );
    const { findings, care } = findingsOf({ flags });
    expect(findings[0]!.cause.code).toBe('lime-overdose');
    expect(care.every(({ code }) => subjectOf[code] === 'care')).toBe(true);
  });
});
