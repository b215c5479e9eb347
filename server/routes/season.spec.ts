import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { type Plan, type SeasonDue } from '#contract/plan';
import { type SeasonLine } from '#core/season/line';
import { starterMixes } from '#core/recipe/starter-mixes';
import { newBatch, testApp } from '#testing/server';
import { someSettings } from '#testing/season';

/** Today is 4 March 2031. */
const settings = { ...someSettings, frost: { early: '2031-04-20', usual: '2031-05-05', late: '2031-05-20' } };
function nursery() {
  const { app } = testApp();
  const line = async (body: object): Promise<SeasonLine> =>
    (
      await request(app)
        .post('/api/plan/lines')
        .send({ key: randomUUID(), crop: 'tomato', plants: 100, ...body })
        .expect(201)
    ).body as SeasonLine;
  const plan = async (): Promise<Plan> => (await request(app).get('/api/plan')).body as Plan;
  const due = async (): Promise<SeasonDue[]> =>
    (await request(app).get('/api/plan/tasks')).body as SeasonDue[];
  const mark = (id: number, task: string, on: string | null, sowing = 1) =>
    request(app).put(`/api/plan/lines/${id}/tasks`).send({ sowing, task, on });
  return { app, line, plan, due, mark };
}

test('a line is kept once, changed, put away and brought back; settings stay', async () => {
  const { app, line, plan } = nursery();
  expect((await plan()).settings.frost.usual).toBe('2031-05-05');
  await request(app).put('/api/plan/settings').send(settings).expect(200);
  const key = randomUUID();
  const made = await line({ key, name: 'Long Red' });
  await request(app).post('/api/plan/lines').send({ key, crop: 'tomato', plants: 7 }).expect(200);
  const { id, ...rest } = made;
  await request(app)
    .put(`/api/plan/lines/${id}`)
    .send({ ...rest, plants: 120, shifts: [7] })
    .expect(200);
  expect((await plan()).lines).toEqual([{ ...made, plants: 120, shifts: [7] }]);
  await request(app).delete(`/api/plan/lines/${id}`).expect(204);
  expect((await plan()).lines).toEqual([]);
  await request(app).post(`/api/plan/lines/${id}/restore`).send({}).expect(204);
  expect((await plan()).lines).toHaveLength(1);
});

test.each<[string, object, string, RegExp]>([
  ['no such crop', { crop: 'moonflower' }, 'crop', /one of tomato/],
  ['a day that does not exist', { plantOn: '2031-02-30' }, 'plantOn', /a day/],
  ['far off', { offsetDays: 4000 }, 'offsetDays', /from -366 to 366/],
  ['no plants', { plants: 0 }, 'plants', /from 1 to 100000/],
  [
    'all of it lost',
    { steps: [{ vessel: 'cell-72', stage: 'germination', weeks: 4, lossPct: 100 }] },
    'steps.0.lossPct',
    /from 0 to 99/,
  ],
  [
    'no time',
    { steps: [{ vessel: 'cell-72', stage: 'germination', weeks: 0, lossPct: 5 }] },
    'steps.0.weeks',
    /from 0.1 to 520/,
  ],
  [
    'no such vessel',
    { steps: [{ vessel: 'thimble', stage: 'germination', weeks: 4, lossPct: 5 }] },
    'steps.0.vessel',
    /one of/,
  ],
  ['more up than laid out', { seedTest: { came: 30, of: 20 } }, 'seedTest', /no more came up than/],
])('%s is named with its range, and nothing is kept', async (_, change, path, says) => {
  const { app, plan } = nursery();
  const answer = await request(app)
    .post('/api/plan/lines')
    .send({ key: randomUUID(), crop: 'tomato', plants: 10, ...change });
  expect(answer.status).toBe(400);
  expect(answer.body.issues[0].path).toBe(path);
  expect(JSON.stringify(answer.body)).toMatch(says);
  expect((await plan()).lines).toEqual([]);
});

test('what is due, by the day; a press and it is done, and back again', async () => {
  const { app, line, due, mark } = nursery();
  await request(app).put('/api/plan/settings').send(settings).expect(200);
  // Tomatoes begin seven weeks before 19 May less 77 days: on 3 March.
  const { id } = await line({ plantOn: '2031-04-21' });
  const mixed = (await due()).filter((d) => d.mix !== null);
  // Its bark is aged: only its lime wants to rest.
  expect(mixed.map((d) => [d.mix!.name, d.state])).toEqual([['Potting mix', 'waiting']]);
  const tasks = async () => (await due()).filter((d) => d.mix === null);
  expect((await tasks()).map((d) => [d.task, d.on, d.state])).toEqual([
    // What was never begun wants nothing but that.
    ['start', '2031-03-03', 'due'],
  ]);
  await mark(id, 'start', '2031-03-04').expect(204);
  expect((await tasks()).map((d) => [d.task, d.on, d.state])).toEqual([
    ['own-0', '2031-03-10', 'waiting'],
    ['up', '2031-03-11', 'waiting'],
  ]);
  await mark(id, 'start', null).expect(204);
  expect((await due()).map((d) => d.task)).toContain('start');
  expect((await mark(id, 'start', '2031-03-05')).status).toBe(400);
  expect((await mark(99, 'start', '2031-03-04')).status).toBe(404);
});

test('a batch made for a step is no more to be mixed, and its materials are no more to be bought', async () => {
  const { app, line, plan } = nursery();
  const { id } = await line({ plantOn: '2031-05-19' });
  const short = async (): Promise<{ kind: string; item: string; needed: number; by: string }[]> =>
    (await request(app).get('/api/plan/short')).body;
  const before = await short();
  const perlite = starterMixes.potting.components.find((c) => c.material !== 'peat-medium')!.material;
  expect(before.map((each) => each.item)).toEqual(
    expect.arrayContaining(['Tomato', 'cell-72', 'pot-9', perlite]),
  );
  const made = (
    await request(app)
      .post('/api/batches')
      .send({ ...newBatch(), madeFor: [0, 1].map((step) => ({ line: id, sowing: 1, step })) })
      .expect(201)
  ).body as { id: number };
  expect((await plan()).made).toEqual([0, 1].map((step) => ({ batch: made.id, line: id, sowing: 1, step })));
  const after = (await short()).map((each) => each.item);
  expect(after).toEqual(expect.arrayContaining(['Tomato', 'cell-72', 'pot-9']));
  expect(after).not.toContain(perlite);
});

interface Told {
  uid: string;
  on: string;
  whole: boolean;
  days: number;
  says: string;
}
const READER = `
  import ICAL from 'ical.js';
  import { readFileSync } from 'node:fs';
  const file = new ICAL.Component(ICAL.parse(readFileSync(0, 'utf8')));
  const told = file.getAllSubcomponents('vevent').map((one) => {
    const { uid, startDate, duration, summary } = new ICAL.Event(one);
    const days = duration.toSeconds() / 86_400;
    const local = startDate.toJSDate();
    const on = [local.getFullYear(), local.getMonth() + 1, local.getDate()]
      .map((n) => String(n).padStart(2, '0')).join('-');
    return { uid, on, whole: startDate.isDate, days, says: summary };
  });
  console.log(JSON.stringify(told));`;
/** As a calendar that stands in a zone reads it: in a process of its own, whose zone it is. */
const readIn = (zone: string, text: string): Told[] =>
  JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', READER], {
      input: text,
      env: { ...process.env, TZ: zone },
      encoding: 'utf8',
    }),
  ) as Told[];

test('the calendar: whole days in any zone, stable ids, and a second import changes nothing', async () => {
  const { app, line, mark } = nursery();
  await request(app).put('/api/plan/settings').send(settings).expect(200);
  const { id } = await line({ plantOn: '2031-04-21', count: 2, everyDays: 14 });
  const read = async (zone = 'Australia/Adelaide') => {
    const answer = await request(app).get('/api/plan/calendar.ics').expect(200);
    expect(answer.headers['content-type']).toContain('text/calendar');
    return readIn(zone, answer.text);
  };
  const first = await read();
  expect(await read('America/Los_Angeles')).toEqual(first);
  expect(new Set(first.map((e) => e.uid)).size).toBe(first.length);
  expect(first.every((e) => e.whole && e.days >= 1)).toBe(true);
  const sown = first.find((e) => e.says.startsWith('Sow Tomato, sowing 1'))!;
  expect([sown.on, sown.days]).toEqual(['2031-03-03', 1]);
  expect(first.find((e) => e.says.startsWith('Harden off Tomato, sowing 2'))!.days).toBe(8);
  expect(first.some((e) => e.says.startsWith('Mix '))).toBe(true);
  await mark(id, 'start', '2031-03-04');
  const third = await read();
  expect(third.map((e) => e.uid).sort()).toEqual(first.map((e) => e.uid).sort());
  expect(third.find((e) => e.uid === sown.uid)!.says).toMatch(/^Done: Sow Tomato/);
});

test('crops go out and in as a table, and so does the season; what is wrong is named by line and column', async () => {
  const { app, line, plan } = nursery();
  await line({ name: 'Long Red', seedTest: { came: 40, of: 50 }, shifts: [0, 7], count: 2 });
  const out = async (table: string): Promise<string> =>
    ((await request(app).get(`/api/tables/${table}`)).body as { csv: string }).csv;
  const take = (table: string, csv: string) => request(app).post(`/api/tables/${table}`).send({ csv });
  for (const table of ['crops', 'season']) {
    const csv = await out(table);
    const again = await take(table, csv).expect(200);
    expect(again.body).toMatchObject({ added: [], changed: [], same: csv.trim().split('\n').length - 1 });
  }
  const head =
    'name,kind,start,path,light,cover,cover_mm,per_cell,spares,at_leaves,germination,plant_out_days,earlier_days,later_days,coldest_c,harden_days,depth,first_feed_days';
  const tomatillo =
    'Tomatillo,vegetable,sow,cell-72 5w 5%,either,vermiculite,6,1,thin,2,0.8,14,7,21,8,7,level,14';
  await take('crops', `${head}\n${tomatillo}\n`).expect(200);
  expect((await request(app).get('/api/crops')).body[0]).toMatchObject({ id: 'own-tomatillo', own: true });
  const wrong = await take(
    'crops',
    `${head}\n${tomatillo.replace('5w 5%', '5w 105%').replace('Tomatillo', 'Other')}\n`,
  );
  expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([
    400,
    expect.stringMatching(/line 2.*from 0 to 99/),
  ]);
  const unknown = await take('season', 'crop,plants\nown-tomatillo,50\nmoonflower,3\n');
  expect([unknown.status, JSON.stringify(unknown.body)]).toEqual([
    400,
    expect.stringMatching(/line 3, crop/),
  ]);
  expect((await plan()).lines).toHaveLength(1);
  await take('season', 'crop,plants\nown-tomatillo,50\n').expect(200);
  expect((await plan()).lines.map((l) => l.crop)).toEqual(['tomato', 'own-tomatillo']);
});

test('a week for the wall and a label for a run are papers; a week that there is not is named', async () => {
  const { app, line } = nursery();
  const { id } = await line({ plantOn: '2031-04-21' });
  for (const path of [
    `/api/plan/weeks/2031-W10/sheet.pdf?units=us`,
    `/api/plan/lines/${id}/labels.pdf?sowing=1`,
  ]) {
    const answer = await request(app).get(path).buffer(true).expect(200);
    expect(answer.headers['content-type']).toBe('application/pdf');
  }
  expect((await request(app).get('/api/plan/weeks/2031-W60/sheet.pdf')).status).toBe(400);
  const none = await request(app).get(`/api/plan/lines/${id}/labels.pdf?sowing=3`);
  expect([none.status, none.body.issues[0].path]).toEqual([400, 'sowing']);
});

test('how much of a saved mix the season still mixes, and from when', async () => {
  const { app, line } = nursery();
  await request(app).put('/api/plan/settings').send(settings).expect(200);
  const mix = (
    await request(app)
      .post('/api/mixes')
      .send({ key: randomUUID(), name: 'House', recipe: starterMixes.germination })
      .expect(201)
  ).body as { mixId: number };
  const still = async (): Promise<{ litres: number; on: string | null }> =>
    (await request(app).get(`/api/mixes/${mix.mixId}/season`).expect(200)).body;
  expect(await still()).toEqual({ litres: 0, on: null });
  const steps = [{ vessel: 'cell-72', stage: 'germination', weeks: 4, lossPct: 5, mix: mix.mixId }];
  await line({ steps });
  const one = await still();
  expect(one.litres).toBeGreaterThan(1);
  await line({ steps });
  expect((await still()).litres).toBeCloseTo(2 * one.litres, 6);
  expect((await still()).on).toBe(one.on);
});
