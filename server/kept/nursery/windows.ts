import { ownWindowsSchema } from '#contract/windows';
import { askedByOwner, askedTogether, noOwnWindows, type OwnWindows } from '#core/recipe/windows-wanted';
import { type Library } from '#core/recipe/library';
import { type Approach, windowsOfApproach } from '#core/recipe/approaches';
import { type Folder } from '#server/base/database/folder';

/** Windows that the nursery set for itself. */
export class Windows {
  constructor(private readonly folder: Folder) {}

  get own(): OwnWindows {
    const kept = this.folder.windows;
    return kept === undefined ? noOwnWindows : ownWindowsSchema.parse(JSON.parse(kept));
  }

  set own(windows: OwnWindows) {
    this.folder.windows = JSON.stringify(windows);
  }

  /** The library as somebody of this approach judges by it. */
  wantedIn(library: Library, school: Approach | undefined): Library {
    return {
      ...library,
      windows: askedTogether(school && windowsOfApproach(school), askedByOwner(this.own)),
    };
  }
}
