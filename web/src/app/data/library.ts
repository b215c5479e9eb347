import { inject, Injectable } from '@angular/core';
import { map, retry } from 'rxjs';
import { materialFromRow } from '#core/material/material';
import { libraryOf } from '#core/recipe/library';
import { Api } from './api';
import { Resource } from './resource';

/** Materials, products and vessels, fetched once and shared; tried again three times before it is called failed. */
@Injectable({ providedIn: 'root' })
export class LibraryService {
  private readonly api = inject(Api);
  readonly fetched = new Resource(() =>
    this.api.call('library').pipe(
      retry({ count: 3, delay: 1000 }),
      map(({ materials, amendments, vessels }) =>
        libraryOf(materials.map(materialFromRow), amendments, vessels),
      ),
    ),
  );
  readonly library = this.fetched.value;
}
