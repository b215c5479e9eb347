import { OutOfRange, type Refusal } from '#core/units/check';
import { lotTestSchema, type LearnedAnswer, type LotTestGiven, type NewTest } from '#contract/lots';
import { type Material } from '#core/material/material';
import { lookUp, type Library } from '#core/recipe/library';
import { learnMaterial } from '#core/spread/learn-material';
import { type LotTest } from '#core/spread/lot-test';
import { type Db } from '#server/base/database/db';

interface Row {
  id: number;
  item: string;
  lot: number | null;
  on: string;
  values_json: string;
  aside: number;
}
const SELECT = 'SELECT id, item, lot_id AS lot, day AS "on", values_json, aside FROM lot_tests';

type Named = Pick<Library, 'vessels' | 'amendments'>;

/** A test with the vessel and the lime that it names. @throws OutOfRange when they are not there */
export function resolved(given: LotTestGiven, { vessels, amendments }: Named): LotTest {
  if (given.test === 'drain')
    return { ...given, vessel: lookUp(vessels, given.vessel, 'values.vessel').vessel };
  if (given.test === 'jar') return { ...given, lime: lookUp(amendments, given.lime, 'values.lime') };
  return given;
}

/** Tests of materials: each moves its figures until it is laid aside. */
export class LearnedStore {
  private readonly ofItem;
  private readonly byId;
  private readonly keyed;
  private readonly insert;
  private readonly setAside;
  private readonly tested;
  private readonly lot;

  constructor(db: Db) {
    this.ofItem = db.prepare<[string], Row>(`${SELECT} WHERE item = ? ORDER BY id`);
    this.byId = db.prepare<[number], Row>(`${SELECT} WHERE id = ?`);
    this.keyed = db.prepare<[string], string>('SELECT item FROM lot_tests WHERE key = ?').pluck();
    this.insert = db.prepare(
      `INSERT INTO lot_tests (key, item, lot_id, test, values_json, day, at)
       VALUES (@key, @item, @lot, @test, @json, @on, @now)`,
    );
    this.setAside = db.prepare('UPDATE lot_tests SET aside = ? WHERE id = ?');
    this.lot = db.prepare<[number]>('SELECT 1 FROM lots WHERE id = ?');
    this.tested = db.prepare<[], string>('SELECT DISTINCT item FROM lot_tests WHERE aside = 0').pluck();
  }

  /** The material that a test of this key was of. */
  materialOf(key: string): string | null {
    return this.keyed.get(key) ?? null;
  }

  hasLot(id: number): boolean {
    return this.lot.get(id) !== undefined;
  }

  itemOf(id: number): string | null {
    return this.byId.get(id)?.item ?? null;
  }

  add(item: string, { key, lot, on, values }: NewTest, now: string): void {
    this.insert.run({ key, item, lot, on, now, test: values.test, json: JSON.stringify(values) });
  }

  lay(id: number, aside: boolean): void {
    this.setAside.run(Number(aside), id);
  }

  /** Materials that some test moves. */
  items(): string[] {
    return this.tested.all();
  }

  testsOf(item: string): LearnedAnswer['tests'] {
    return this.ofItem.all(item).map(({ id, lot, on, values_json, aside }) => ({
      ...{ id, lot, on, aside: aside === 1 },
      values: lotTestSchema.parse(JSON.parse(values_json)),
    }));
  }

  /**
   * A material of the book as its tests make it. Tests that fit it no more, since it or a vessel was changed, move
   * nothing and say so: one wrong test must not take the library along.
   */
  learn(book: Material, named: Named): ReturnType<typeof learnMaterial> & { misfit: Refusal | null } {
    const tests = this.testsOf(book.id).filter((each) => !each.aside);
    try {
      const resolvedTests = tests.map(({ values }) => resolved(values, named));
      return { ...learnMaterial(book, resolvedTests), misfit: null };
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
      return { material: book, figures: [], misfit: error };
    }
  }
}
