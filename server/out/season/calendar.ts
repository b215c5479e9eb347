import ical, { ICalEventTransparency } from 'ical-generator';
import { type PlantCare } from '#contract/plants';
import { daysAfter } from '#core/units/day';
import { seasonSay } from '#core/season/season-facts';
import { papers } from '#words/en/places/papers';
import { textsIn } from '#words/place';
import { read } from '#words/read';
import { type Reader } from '#words/reader';
import { type Planner } from '#server/book/season/planner';

/**
 * The season as whole days, so that no zone moves them. Ids hang on the data folder and the task alone: a second import
 * changes nothing, and what moved is moved.
 * @param care what plants that stand want
 * @param stamp moment of the file, ISO 8601: the same one gives the same file
 */
export function calendarOf(
  planner: Planner,
  folder: string,
  stamp: string,
  care: readonly PlantCare[],
  reader: Reader,
): string {
  const texts = textsIn(papers, reader.language);
  const file = ical({
    name: texts.calendar,
    prodId: { company: 'Welcome', product: 'Season', language: reader.language.toUpperCase() },
  });
  const add = (id: string, on: string, until: string | null, summary: string, done: boolean): void => {
    file.createEvent({
      id: `${id}@${folder}.welcome`,
      stamp,
      start: on,
      end: daysAfter(until ?? on, 1),
      allDay: true,
      summary: done ? texts.done(summary) : summary,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  };
  const season = planner.season();
  for (const { sowing, task, done } of planner.tasks(season))
    add(
      `${sowing.line.id}-${sowing.sowing}-${task.id}`,
      task.on,
      task.until,
      read(task.text, reader),
      done !== null,
    );
  const { days, mixes } = planner.needs(season);
  for (const day of days) {
    const first = day.needs[0]!;
    add(
      `mix-${day.mix}-${first.line}-${first.sowing}-${first.step}`,
      day.on,
      null,
      read(
        seasonSay('calendar.mix', {
          ...{ mix: mixes.get(day.mix)!.name, litres: day.litres },
          ...{ why: day.rest.why, latest: day.latest },
        }),
        reader,
      ),
      false,
    );
  }
  for (const { planting, id, on, until, text } of care)
    add(`plant-${planting}-${id}`, on, until, read(text, reader), false);
  return file.toString();
}
