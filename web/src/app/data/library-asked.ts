import { computed, inject, Injectable } from '@angular/core';
import { windowsOfApproach } from '#core/recipe/approaches';
import { type Library } from '#core/recipe/library';
import { askedByOwner, askedTogether } from '#core/recipe/windows-wanted';
import { ApproachChoice } from './approach-choice';
import { LibraryService } from './library';
import { WindowsService } from './windows';

/** What there is, with the windows that the nursery and the approach want: what mixes are judged by everywhere. */
@Injectable({ providedIn: 'root' })
export class LibraryAsked {
  private readonly chosen = inject(ApproachChoice);
  private readonly windows = inject(WindowsService).own;
  private readonly fetched = inject(LibraryService).library;

  readonly library = computed((): Library | null => {
    const library = this.fetched();
    if (!library) return null;
    const own = this.windows.value();
    return {
      ...library,
      windows: askedTogether(windowsOfApproach(this.chosen.approach()), own && askedByOwner(own)),
    };
  });
}
