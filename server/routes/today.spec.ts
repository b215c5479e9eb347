import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { BatchStore } from '#server/kept/batches';
import { RecordStore } from '#server/kept/record';
import { DueSteps } from '#server/book/today/due-steps';
import { newBatch, testApp } from '#testing/server';

/** Today is 4 March 2031. */
const { app } = testApp();
async function make(
  name: string,
  madeOn: string,
  recipe: Recipe = starterMixes.germination,
): Promise<number> {
  const batch = newBatch({ name, recipe, madeOn });
  return (await request(app).post('/api/batches').send(batch)).body.id as number;
}
const tick = (id: number, step: string, done = true) =>
  request(app)
    .post(`/api/batches/${id}/entries`)
    .send({ key: randomUUID(), seen: 9999, data: { kind: 'tick', step, load: 0, done } });
const due = async (): Promise<{ batch: string; step: string; state: string; on: string | null }[]> =>
  (await request(app).get('/api/today')).body;

test('re-tests by their day, rests, and the next step of what is begun; what is ticked or long past is gone', async () => {
  const week = await make('A week old', '2031-02-25');
  await make('Fresh', '2031-03-03');
  await make('Forgotten', '2030-11-01');
  const fed = { ...starterMixes.potting, amendments: [{ amendment: 'blood-meal', gPerL: 1 }] };
  await make('Fed', '2031-03-01', fed);
  const result = (await due()).map((d) => [d.batch, d.step, d.state, d.on]);
  expect(result).toEqual([
    ['A week old', 're-test', 'due', '2031-03-04'],
    ['Fed', 're-test', 'waiting', '2031-03-08'],
    ['Fresh', 're-test', 'waiting', '2031-03-10'],
    ['A week old', 're-test-14', 'waiting', '2031-03-11'],
    ['Fed', 'rest', 'waiting', '2031-03-15'],
    ['Fed', 're-test-14', 'waiting', '2031-03-15'],
    ['Fresh', 're-test-14', 'waiting', '2031-03-17'],
  ]);
  await tick(week, 're-test');
  const after = (await due()).filter((d) => d.batch === 'A week old');
  // Begun by that very tick: its first step is still to be done.
  expect(after.map((d) => [d.step, d.state])).toEqual([
    ['damp-down', 'open'],
    ['re-test-14', 'waiting'],
  ]);
  await tick(week, 're-test', false);
  expect((await due()).filter((d) => d.batch === 'A week old').map((d) => d.state)).toEqual([
    'due',
    'waiting',
  ]);
});

test('the cards of many batches are read in slices: others have their turn between', async () => {
  const { app: fresh, db } = testApp();
  for (let i = 0; i < 40; i++)
    await request(fresh)
      .post('/api/batches')
      .send(newBatch({ name: `Run ${i}`, madeOn: '2031-03-01' }))
      .expect(201);
  let [turns, busy] = [0, true];
  const count = (): void => {
    turns++;
    if (busy) setImmediate(count);
  };
  setImmediate(count);
  const steps = await new DueSteps(new BatchStore(db), new RecordStore(db)).on('2031-03-04');
  busy = false;
  expect(steps.length).toBeGreaterThanOrEqual(80);
  expect(turns).toBeGreaterThanOrEqual(4);
});
