import { inject, Pipe, type PipeTransform } from '@angular/core';
import { dayFrom } from '#words/days';
import { NurseryService } from '../../data/nursery';
import { ReaderHere } from '../../data/reader-here';

/** A calendar day as it is said on the nursery's day: "tomorrow", "Friday", "9 May". */
@Pipe({ name: 'day', pure: false })
export class DayPipe implements PipeTransform {
  private readonly nursery = inject(NurseryService);
  private readonly reader = inject(ReaderHere);

  /** @param at 'first' where a line begins with it */
  transform(day: string, at?: 'first'): string {
    const said = dayFrom(day, this.nursery.today(), this.reader.now().language);
    return at === 'first' ? said.charAt(0).toUpperCase() + said.slice(1) : said;
  }
}
