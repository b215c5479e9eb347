import { allow } from '#core/units/allowed';
import { textsIn } from '#words/place';
import { papers } from '#words/en/places/papers';
import { type TDocumentDefinitions } from 'pdfmake/interfaces';
import { labelSize, labelSizes } from '#core/batch/label-sizes';
import { dayOf, mondayOf, weekOfName } from '#core/season/days';
import { nameOf, seasonSay, vesselsOf } from '#core/season/season-facts';
import { read } from '#words/read';
import { dateIn } from '#words/days';
import { type Reader } from '#words/reader';
import { OutOfRange } from '#core/units/check';
import { showQuantity, withUnit } from '#core/units/said';
import { labelSheet } from '#server/out/print/labels';
import { type Planner } from '#server/book/season/planner';

/** A week of the season on one page, for the wall of the potting shed. @throws OutOfRange where there is no such week */
export function weekSheet(planner: Planner, week: string, reader: Reader): TDocumentDefinitions {
  const { units, language } = reader;
  const texts = textsIn(papers, language);
  const monday = mondayOf(weekOfName(week));
  const season = planner.season();
  const tasks = planner.tasks(season);
  const { days, mixes } = planner.needs(season);
  const content = Array.from({ length: 7 }, (_, i) => {
    const day = dayOf(monday + i);
    const lines = [
      ...days
        .filter((mixingDay) => mixingDay.on === day)
        .map((mixingDay) =>
          texts.mixOf(
            withUnit(showQuantity({ volumeL: mixingDay.litres }, units)),
            mixes.get(mixingDay.mix)!.name,
          ),
        ),
      ...tasks
        .filter(({ task, done }) => task.on === day && done === null)
        .map(({ task }) => read(task.text, reader)),
    ];
    return [
      { text: dateIn(day, 'weekdayLong', language), bold: true, fontSize: 12, margin: [0, 8, 0, 2] },
      ...(lines.length > 0
        ? lines.map((text) => ({ text: `☐ ${text}`.replace('☐', '[  ]'), margin: [6, 1, 0, 1] }))
        : [{ text: texts.nothingPlanned, color: '#555555', margin: [6, 1, 0, 1] }]),
    ];
  }).flat();
  const bench = season.weeks.find((weekPlan) => weekPlan.week === week);
  return {
    pageSize: units === 'us' ? 'LETTER' : 'A4',
    pageMargins: [40, 34, 40, 30],
    info: { title: texts.week(week) },
    defaultStyle: { font: 'Roboto', fontSize: 10.5, color: '#000000' },
    content: [
      { text: texts.weekOf(week.slice(6), week.slice(0, 4)), fontSize: 20, bold: true },
      ...(bench?.over ? [{ text: texts.benchTooSmall, bold: true, margin: [0, 4, 0, 0] }] : []),
      ...content,
      {
        text: texts.plantsDecide,
        fontSize: 8,
        margin: [0, 12, 0, 0],
      },
    ] as TDocumentDefinitions['content'],
  };
}

/**
 * One label for a sowing, to stand where its run begins: name, every date so far, and the mix.
 * @throws OutOfRange for a sowing or a size that there is not
 */
export async function runLabel(
  planner: Planner,
  line: number,
  { sowing, size }: { sowing: number; size?: string | undefined },
  reader: Reader,
  url: string,
): Promise<TDocumentDefinitions> {
  const texts = textsIn(papers, reader.language);
  const season = planner.season();
  const all = season.sowings.filter((seasonSowing) => seasonSowing.line.id === line);
  const seasonSowing = all.find((each) => each.sowing === sowing);
  if (!seasonSowing)
    throw new OutOfRange('sowing', sowing, allow('allowed.whole', { low: 1, high: all.length }));
  const tasks = planner.tasks(season).filter((t) => t.sowing === seasonSowing);
  const on = (id: string): string | null => tasks.find(({ task }) => task.id === id)?.done ?? null;
  const begun = { sow: texts.sown, stick: texts.struck, divide: texts.divided }[seasonSowing.crop.start];
  const first = seasonSowing.steps[0]!;
  return labelSheet(reader.language, labelSize(size ?? labelSizes[0]!.id), [
    {
      title: read(seasonSay('season.name', nameOf(seasonSowing)), reader),
      lines: [
        read(seasonSay('season.vessels', vesselsOf(first)), reader),
        texts.mix(
          [...new Set(seasonSowing.steps.map((step) => planner.mixName(step.step)))].join(texts.then),
        ),
      ],
      dates: [
        { name: begun, on: on('start') ?? first.from },
        ...seasonSowing.steps.slice(1).map((_, i) => ({ name: texts.potted, on: on(`move-${i + 2}`) })),
        { name: texts.out, on: on('plant') },
      ],
      url,
    },
  ]);
}
