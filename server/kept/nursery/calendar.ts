import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { OutOfRange } from '#core/units/check';
import { dayIn } from '#core/units/day';
import { type Folder } from '#server/base/database/folder';

/** Days as the nursery counts them: in its own time zone, wherever the server or the phone stands. */
export class Calendar {
  constructor(
    private readonly folder: Folder,
    private readonly now: () => Date,
  ) {}

  /** YYYY-MM-DD */
  today(): string {
    return dayIn(this.now(), this.folder.timeZone);
  }

  /** @throws OutOfRange naming the argument, when a day is still to come */
  notLaterThanToday(argument: string, day: string): void {
    if (day > this.today()) throw new OutOfRange(argument, day, allow('allowed.not-later', none));
  }
}
