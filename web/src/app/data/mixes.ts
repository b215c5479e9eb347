import { inject, Injectable } from '@angular/core';
import { map, type Observable, of, switchMap, tap } from 'rxjs';
import { type Recipe } from '#core/recipe/recipe';
import { PAGE } from '#contract/routes';
import { type MixVersion } from '#contract/mixes';
import { type Answer } from '#contract/endpoints';
import { ApiClient } from './api';
import { Making } from './making';
import { Resource } from './resource';
import { mixes as texts } from '#words/en/places/data/mixes';

export type MixInSeason = Answer<'mixInSeason'>;

/** Recipes kept by name. */
@Injectable({ providedIn: 'root' })
export class MixesService {
  private readonly api = inject(ApiClient);
  private readonly making = inject(Making);

  /** Newest version of each. */
  readonly all = new Resource<readonly MixVersion[]>(() => this.pages('no'));

  /** Newest version of each that was put away; asked when somebody looks. */
  away(): Observable<MixVersion[]> {
    return this.pages('yes');
  }

  /** One page after the other, until one is not full. */
  private pages(away: 'no' | 'yes', from = 0): Observable<MixVersion[]> {
    return this.api
      .call('mixes', { query: { away, from: String(from) } })
      .pipe(
        switchMap((page) =>
          page.length < PAGE
            ? of(page)
            : this.pages(away, from + PAGE).pipe(map((rest) => [...page, ...rest])),
        ),
      );
  }

  versions(mixId: number): Observable<MixVersion[]> {
    return this.api.call('mixVersions', { params: { id: mixId } });
  }

  /** How much of it the season still mixes. */
  inSeason(mixId: number): Observable<MixInSeason> {
    return this.api.call('mixInSeason', { params: { id: mixId } });
  }

  rename({ mixId, note }: MixVersion, name: string): Observable<MixVersion> {
    return this.api
      .call('renameMix', { params: { id: mixId }, body: { name, note } })
      .pipe(tap(() => this.all.refresh()));
  }

  putAway(mixId: number): Observable<void> {
    return this.api.call('putAwayMix', { params: { id: mixId } }).pipe(tap(() => this.all.refresh()));
  }

  bringBack(mixId: number): Observable<void> {
    return this.api.call('restoreMix', { params: { id: mixId } }).pipe(tap(() => this.all.refresh()));
  }

  /** @returns null where it waits on this device until the nursery is in reach */
  keepNew(name: string, recipe: Recipe): Observable<MixVersion | null> {
    return this.making
      .make('keepMix', { body: { name, recipe } }, texts.theRecipe(name))
      .pipe(tap(() => this.all.refresh()));
  }

  /** @returns null where it waits on this device until the nursery is in reach */
  keepVersion(
    { mixId, mixKey, name }: { mixId: number; mixKey: string | null; name: string },
    recipe: Recipe,
    why = '',
  ): Observable<MixVersion | null> {
    return this.making
      .make(
        'keepMixVersion',
        {
          ...{ params: { id: mixId }, body: { recipe, why } },
          about: mixKey === null ? [] : [{ kind: 'mix', id: mixId, key: mixKey }],
        },
        texts.theRecipe(name),
      )
      .pipe(tap(() => this.all.refresh()));
  }

  /** Recipes that had waited on this device and are kept now. */
  keptLater(): Observable<{ body: object; made: MixVersion }> {
    return this.making.madeLater('keepMix', 'keepMixVersion');
  }
}

export type { MixVersion };
