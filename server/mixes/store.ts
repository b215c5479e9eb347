import { type Recipe } from '#core/recipe/recipe';
import { type Db } from '#server/database/open';

export interface MixVersion {
  id: number;
  mixId: number;
  version: number;
  name: string;
  note: string;
  recipe: Recipe;
  createdAt: string;
}

interface Row {
  id: number;
  mixId: number;
  version: number;
  name: string;
  note: string;
  recipe_json: string;
  createdAt: string;
}

const SELECT = `SELECT v.id, v.mix_id AS mixId, v.version, m.name, m.note, v.recipe_json, v.created_at AS createdAt
  FROM mix_versions v JOIN mixes m ON m.id = v.mix_id`;

const read = ({ recipe_json, ...row }: Row): MixVersion => ({
  ...row,
  recipe: JSON.parse(recipe_json) as Recipe,
});

/** Recipes by name, each a row of versions that never change. */
export class Mixes {
  constructor(private readonly db: Db) {}

  /** Newest version of every mix that is not put away. */
  all(): MixVersion[] {
    return this.db
      .prepare<[], Row>(
        `${SELECT} WHERE m.deleted_at IS NULL
         AND v.version = (SELECT MAX(version) FROM mix_versions WHERE mix_id = m.id)
         ORDER BY m.name COLLATE NOCASE`,
      )
      .all()
      .map(read);
  }

  versions(mixId: number): MixVersion[] {
    return this.db
      .prepare<[number], Row>(`${SELECT} WHERE v.mix_id = ? ORDER BY v.version DESC`)
      .all(mixId)
      .map(read);
  }

  hasVersion(versionId: number): boolean {
    return this.db.prepare('SELECT 1 FROM mix_versions WHERE id = ?').get(versionId) !== undefined;
  }

  create(name: string, note: string, recipe: Recipe, now: string): MixVersion {
    return this.db.transaction(() => {
      const mix = this.db
        .prepare('INSERT INTO mixes (name, note, created_at) VALUES (?, ?, ?)')
        .run(name, note, now);
      return this.addVersion(Number(mix.lastInsertRowid), recipe, now);
    })();
  }

  /** @returns the new version; the newest as it is when nothing changed */
  addVersion(mixId: number, recipe: Recipe, now: string): MixVersion {
    return this.db.transaction(() => {
      const newest = this.versions(mixId)[0];
      if (newest && JSON.stringify(newest.recipe) === JSON.stringify(recipe)) return newest;
      this.db
        .prepare('INSERT INTO mix_versions (mix_id, version, recipe_json, created_at) VALUES (?, ?, ?, ?)')
        .run(mixId, (newest?.version ?? 0) + 1, JSON.stringify(recipe), now);
      return this.versions(mixId)[0]!;
    })();
  }

  /** Puts a mix away (a date) or brings it back (null). @returns whether there is such a mix */
  putAway(mixId: number, at: string | null): boolean {
    return this.db.prepare('UPDATE mixes SET deleted_at = ? WHERE id = ?').run(at, mixId).changes > 0;
  }
}
