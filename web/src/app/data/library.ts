import { inject, Injectable } from '@angular/core';
import { map, type Observable, retry, tap } from 'rxjs';
import { materialFromRow, type MaterialRow } from '#core/material/material';
import { type LearnedAnswer, type NewTest } from '#contract/lots';
import { type TableName, type Taken } from '#contract/tables';
import { type Amendment } from '#core/material/amendment';
import { type VesselKind } from '#core/vessel/tray';
import { type Library, libraryOf } from '#core/recipe/library';
import { ApiClient } from './api';
import { Resource } from './resource';

/** A row without where it is from. */
const bare = <T extends { source: string; own: boolean }>({
  source,
  own,
  ...row
}: T): Omit<T, 'source' | 'own'> => row;

/** Materials, products and vessels, fetched once and shared; tried again three times before it is called failed. */
@Injectable({ providedIn: 'root' })
export class LibraryService {
  private readonly api = inject(ApiClient);
  readonly fetched = new Resource(() =>
    this.api.call('library').pipe(
      retry({ count: 3, delay: 1000 }),
      map(({ materials, amendments, vessels }): Library => ({
        ...libraryOf(
          materials.map((m) => materialFromRow(bare(m))),
          amendments.map(bare),
          vessels.map(bare),
        ),
        own: new Set(
          [...materials, ...amendments, ...vessels]
            .filter((material) => material.own)
            .map((material) => material.id),
        ),
      })),
    ),
  );
  readonly library = this.fetched.value;

  /** Adds a material of the nursery's own, or changes one. */
  keepMaterial(id: string | null, says: string, row: Omit<MaterialRow, 'id'>): Observable<{ id: string }> {
    return this.kept(
      id === null
        ? this.api.create('keepMaterial', { body: { says, row } })
        : this.api.call('changeMaterial', { params: { material: id }, body: { says, row } }),
    );
  }

  keepVessel(id: string | null, kind: Omit<VesselKind, 'id'>): Observable<{ id: string }> {
    return this.kept(
      id === null
        ? this.api.create('keepVessel', { body: { kind } })
        : this.api.call('changeVessel', { params: { vessel: id }, body: { kind } }),
    );
  }

  keepProduct(id: string | null, says: string, row: Omit<Amendment, 'id'>): Observable<{ id: string }> {
    return this.kept(
      id === null
        ? this.api.create('keepProduct', { body: { says, row } })
        : this.api.call('changeProduct', { params: { product: id }, body: { says, row } }),
    );
  }

  /** What own tests make of a material. */
  learned(material: string): Resource<LearnedAnswer> {
    return new Resource(() => this.api.call('learned', { params: { material } }));
  }

  /** A material as it is without own tests: what a change of it starts from. */
  bookOf(material: string): Observable<MaterialRow> {
    return this.api.call('learned', { params: { material } }).pipe(map(({ book }) => book));
  }

  addTest(material: string, test: Omit<NewTest, 'key'>): Observable<LearnedAnswer> {
    return this.api
      .create('addTest', { params: { material }, body: test })
      .pipe(tap(() => this.fetched.refresh()));
  }

  layTestAside(id: number, aside: boolean): Observable<LearnedAnswer> {
    return this.api
      .call('layTestAside', { params: { id }, body: { aside } })
      .pipe(tap(() => this.fetched.refresh()));
  }

  tableOut(table: TableName): Observable<{ file: string; csv: string }> {
    return this.api.call('tableOut', { params: { table } });
  }

  tableIn(table: TableName, csv: string, dry: boolean): Observable<Taken> {
    return this.api
      .call('tableIn', { params: { table }, body: { csv, dry } })
      .pipe(tap(() => !dry && this.fetched.refresh()));
  }

  private kept(made: Observable<{ id: string }>): Observable<{ id: string }> {
    return made.pipe(tap(() => this.fetched.refresh()));
  }
}
