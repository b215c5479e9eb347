import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Recipe } from '#core/recipe/recipe';
import { type MixVersion } from '#contract/mixes';
import { Api } from './api';
import { Resource } from './resource';

/** Recipes kept by name. */
@Injectable({ providedIn: 'root' })
export class MixesService {
  private readonly api = inject(Api);

  /** Newest version of each. */
  readonly all = new Resource<readonly MixVersion[]>(() => this.api.call('mixes'));

  keepNew(name: string, recipe: Recipe): Observable<MixVersion> {
    return this.api.create('keepMix', { body: { name, recipe } }).pipe(tap(() => this.all.refresh()));
  }

  keepVersion(mixId: number, recipe: Recipe): Observable<MixVersion> {
    return this.api
      .create('keepMixVersion', { params: { id: mixId }, body: { recipe } })
      .pipe(tap(() => this.all.refresh()));
  }
}

export type { MixVersion };
