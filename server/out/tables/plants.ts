import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { readCsv, writeCsv, RowProblem } from '#contract/csv';
import { allowedBy, int, taking, yesNoOrBit } from '#contract/fields';
import { keptPlantingSchema, newPlantingSchema, plantEventSchema } from '#contract/plants';
import { type Taken } from '#contract/tables';
import { type Planting } from '#core/plants/planting';
import { type PlantEntries } from '#server/book/plants/plant-entries';
import { type PlantEventStore } from '#server/kept/plants/plant-events';
import { type PlantStore } from '#server/kept/plants/plants';
import { atLine } from '#server/out/tables/at-line';

/** Columns of the plantings: what one came from as "12:40 14:30" (planting:plants), its place in the season as "3/1/0". */
const plantingFields = [
  ...['id', 'start', 'crop', 'name', 'seed', 'vessel', 'cells', 'perCell', 'batch', 'on', 'bareRoot'],
  'halfFilled',
  ...['season', 'from', 'trial'],
];
const words = z.coerce.string().pipe(keptPlantingSchema.shape.name.removeDefault()).default('');
const { start, crop, vessel, cells, perCell, batch, on } = keptPlantingSchema.shape;
const id = int([1, 1e9]);
const plantingCsv = z.strictObject({
  id: id.optional(),
  ...{ start, crop, vessel, cells, perCell, batch, on, name: words, seed: words },
  bareRoot: yesNoOrBit.default(false),
  halfFilled: yesNoOrBit.default(false),
  season: z
    .string()
    .regex(/^\d+\/\d+\/\d+$/, taking(allow('allowed.place-in-season', none)).error)
    .optional(),
  from: z
    .string()
    .regex(/^\d+:\d+( \d+:\d+)*$/, taking(allow('allowed.from-plantings', none)).error)
    .optional(),
  trial: z.unknown().optional(),
});
type PlantingCsv = z.output<typeof plantingCsv>;

const rowOf = ({ season, from, trial, ...planting }: Planting): Record<string, unknown> => ({
  ...planting,
  season: season ? `${season.line}/${season.sowing}/${season.step}` : undefined,
  from: from.map((each) => `${each.planting}:${each.plants}`).join(' '),
  trial: trial ? `${trial.id}/${trial.arm}/${trial.block}` : undefined,
});

/** @throws ZodError for what a planting cannot be */
function plantingOf({ id: _, trial: __, season, from, ...row }: PlantingCsv) {
  const [line, sowing, step] = (season ?? '').split('/').map(Number);
  return newPlantingSchema.parse({
    ...row,
    key: randomUUID(),
    season: season ? { line, sowing, step } : null,
    from: (from?.split(' ') ?? []).map((each) => {
      const [planting, plants] = each.split(':').map(Number);
      return { planting, plants };
    }),
  });
}

/** Columns of the events: every figure that any kind of event has, in a column of its own. */
const figures = [
  'count',
  'alive',
  'value',
  'litres',
  'minutes',
  'grams',
  'celsius',
  'mm',
  'to',
  'of',
  'picture',
] as const;
const said = ['cause', 'way', 'sign', 'text'] as const;
const eventFields = ['id', 'planting', 'on', 'kind', ...figures, ...said, 'helped', 'empty'];
const cell = z.union([z.string(), z.number()]).optional();
const eventCsv = z.strictObject({
  id: id.optional(),
  planting: id,
  on,
  kind: z.string(),
  ...(Object.fromEntries(figures.map((name) => [name, z.number().optional()])) as Record<
    (typeof figures)[number],
    z.ZodOptional<z.ZodNumber>
  >),
  ...(Object.fromEntries(said.map((name) => [name, cell])) as Record<(typeof said)[number], typeof cell>),
  helped: yesNoOrBit.optional(),
  /** Cells that stand empty, from 0: "3 17". */
  empty: cell,
});

/** An event from its row. @throws RowProblem naming what is wrong */
function eventOf({ id: _, planting: __, empty, ...row }: z.output<typeof eventCsv>) {
  const cells = empty === undefined ? undefined : String(empty).split(' ').map(Number);
  const given = Object.fromEntries(
    Object.entries({ ...row, empty: cells })
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => [name, said.some((each) => each === name) ? String(value) : value]),
  );
  const read = plantEventSchema.safeParse(given);
  if (read.success) return read.data;
  const first = read.error.issues[0]!;
  throw new RowProblem({ line: null, column: first.path.join('.') || 'kind', allowed: allowedBy(first) });
}

const missing = (thing: 'planting' | 'entry') => ({
  line: null,
  column: 'id',
  allowed: allow('allowed.number-or-new', { thing }),
});

/** Plantings and what happened to them, out as tables and in again. What is there stays as it is: both only grow. */
export const plantTables = {
  plantings: {
    out: (store: PlantStore): string => writeCsv(plantingFields, store.all().map(rowOf)),
    take(csv: string, store: PlantStore, entries: PlantEntries, now: string): Taken {
      const read = readCsv(csv, plantingCsv);
      const taken: Taken = { rows: read.length, added: [], changed: [], same: 0 };
      for (const { line, row } of read)
        atLine(line, () => {
          if (row.id !== undefined) {
            if (!store.one(row.id)) throw new RowProblem({ ...missing('planting'), was: row.id });
            taken.same++;
          } else {
            entries.add(plantingOf(row), now);
            taken.added.push(row.name || row.crop);
          }
        });
      return taken;
    },
  },
  'plant-events': {
    out: (events: PlantEventStore): string =>
      writeCsv(
        eventFields,
        events.all().map(({ id: number, planting, event }) => ({
          ...{ ...event, id: number, planting },
          empty: 'empty' in event ? event.empty?.join(' ') : undefined,
        })),
      ),
    take(csv: string, events: PlantEventStore, entries: PlantEntries, now: string): Taken {
      const read = readCsv(csv, eventCsv);
      const taken: Taken = { rows: read.length, added: [], changed: [], same: 0 };
      for (const { line, row } of read)
        atLine(line, () => {
          if (row.id !== undefined) {
            if (!events.of(row.planting).some((each) => each.id === row.id))
              throw new RowProblem({ ...missing('entry'), was: row.id });
            taken.same++;
          } else {
            const event = eventOf(row);
            entries.addEvent(row.planting, randomUUID(), event, now);
            taken.added.push(`${event.kind} of ${row.planting}`);
          }
        });
      return taken;
    },
  },
};
