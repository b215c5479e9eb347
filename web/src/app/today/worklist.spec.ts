import { groupsOf, type WorkKind, type WorkLine, worklistOf } from './worklist';

let made = 0;
const line = (
  kind: WorkKind,
  on: string,
  state: WorkLine['state'] = 'due',
  item = `care/${++made}`,
): WorkLine => ({
  ...{ item, kind, on, state },
});
const kinds = (groups: { kind: WorkKind; lines: WorkLine[] }[]) =>
  groups.map(({ kind, lines }) => `${kind} ${lines.length}`);
const today = '2031-03-20';

test('the day’s sowing comes first; of one kind is one line; few sowings stand each by itself', () => {
  const { today: now } = worklistOf(
    [
      line('feed', today),
      line('feed', today),
      line('begin', today),
      line('begin', today),
      line('count', today),
    ],
    new Set(),
    today,
  );
  expect(kinds(now)).toEqual(['begin 1', 'begin 1', 'count 1', 'feed 2']);
  expect(kinds(groupsOf(Array.from({ length: 4 }, () => line('begin', today))))).toEqual(['begin 4']);
});

test('late is up to two weeks, older is apart, this week ends in seven days, what is put off is nowhere', () => {
  const off = line('feed', '2031-03-19');
  const all = [
    ...[line('feed', '2031-03-06'), line('feed', '2031-03-05'), off, line('open', '', 'open')],
    ...[line('test', '2031-03-27', 'waiting'), line('test', '2031-03-28', 'waiting')],
  ];
  const list = worklistOf(all, new Set([off.item]), today);
  expect(kinds(list.late)).toEqual(['feed 1']);
  expect(list.old.map(({ on }) => on)).toEqual(['2031-03-05']);
  expect(kinds(list.today)).toEqual(['open 1']);
  expect(list.week.flatMap(({ lines }) => lines.map(({ on }) => on))).toEqual(['2031-03-27']);
});
