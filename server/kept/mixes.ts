import { figuresSchema, type MixVersion } from '#contract/mixes';
import { type Figures } from '#core/judge/figures';
import { type ListQuery } from '#contract/lists';
import { PAGE } from '#contract/routes';
import { recipeSchema } from '#contract/recipe';
import { type Recipe } from '#core/recipe/recipe';
import { type Db } from '#server/base/database/db';

type Row = Omit<MixVersion, 'recipe' | 'figures'> & { recipe_json: string; figures_json: string | null };

const SELECT = `SELECT v.id, v.mix_id AS mixId, v.key, m.key AS mixKey, v.version, m.name, m.note, v.recipe_json, v.figures_json, v.why, v.created_at AS createdAt
  FROM mix_versions v JOIN mixes m ON m.id = v.mix_id`;

const read = ({ recipe_json, figures_json, ...row }: Row): MixVersion => ({
  ...row,
  recipe: recipeSchema.parse(JSON.parse(recipe_json)),
  figures: figures_json === null ? null : figuresSchema.parse(JSON.parse(figures_json)),
});

/** Recipes by name, each a row of versions that never change. */
export class MixStore {
  private readonly newest;
  private readonly ofMix;
  private readonly one;
  private readonly keyed;
  private readonly insertMix;
  private readonly insertVersion;
  private readonly named;
  private readonly setAway;

  constructor(private readonly db: Db) {
    this.newest = db.prepare<[string, number, number], Row>(
      `${SELECT} WHERE (m.deleted_at IS NOT NULL) = (? = 'yes')
       AND v.id = (SELECT id FROM mix_versions WHERE mix_id = m.id ORDER BY version DESC LIMIT 1)
       ORDER BY m.name COLLATE NOCASE, m.id LIMIT ? OFFSET ?`,
    );
    this.ofMix = db.prepare<[number], Row>(`${SELECT} WHERE v.mix_id = ? ORDER BY v.version DESC`);
    this.one = db.prepare<[number], Row>(`${SELECT} WHERE v.id = ?`);
    this.keyed = db.prepare<[string], Row>(`${SELECT} WHERE v.key = ?`);
    this.insertMix = db.prepare('INSERT INTO mixes (key, name, note, created_at) VALUES (?, ?, ?, ?)');
    this.insertVersion = db.prepare(
      'INSERT INTO mix_versions (key, mix_id, version, recipe_json, figures_json, created_at, why) VALUES (?, ?, ?, ?, ?, ?, ?)',
    );
    this.named = db.prepare('UPDATE mixes SET name = ?, note = ? WHERE id = ?');
    this.setAway = db.prepare('UPDATE mixes SET deleted_at = ? WHERE id = ?');
  }

  /** Newest version of every mix: of those that are there, or of those put away. */
  all({ away, from }: ListQuery): MixVersion[] {
    return this.newest.all(away, PAGE, from).map(read);
  }

  versions(mixId: number): MixVersion[] {
    return this.ofMix.all(mixId).map(read);
  }

  hasVersion(versionId: number): boolean {
    return this.one.get(versionId) !== undefined;
  }

  /** The mix that a version is of. */
  nameOfVersion(versionId: number): { mixId: number; name: string } | null {
    const row = this.one.get(versionId);
    return row ? { mixId: row.mixId, name: row.name } : null;
  }

  /** The version that a create with this key made: the first of a mix, or a later one. */
  byKey(key: string): MixVersion | null {
    const row = this.keyed.get(key);
    return row ? read(row) : null;
  }

  /** @param key of the client; the first version carries it as well */
  create(key: string, name: string, note: string, recipe: Recipe, figures: Figures, now: string): MixVersion {
    return this.db
      .transaction(() => {
        const mix = this.insertMix.run(key, name, note, now);
        return this.addVersion(key, Number(mix.lastInsertRowid), recipe, figures, now);
      })
      .immediate();
  }

  /**
   * @param why in words: what became of the plants that made it be changed
   * @returns the new version; the newest as it is when nothing changed
   */
  addVersion(
    key: string,
    mixId: number,
    recipe: Recipe,
    figures: Figures,
    now: string,
    why = '',
  ): MixVersion {
    return this.db
      .transaction(() => {
        const newest = this.versions(mixId)[0];
        if (newest && JSON.stringify(newest.recipe) === JSON.stringify(recipe)) return newest;
        const { lastInsertRowid } = this.insertVersion.run(
          key,
          mixId,
          (newest?.version ?? 0) + 1,
          JSON.stringify(recipe),
          JSON.stringify(figures),
          now,
          why,
        );
        return read(this.one.get(Number(lastInsertRowid))!);
      })
      .immediate();
  }

  /** @returns the mix under its new name; null where there is none */
  rename(id: number, name: string, note: string): MixVersion | null {
    this.named.run(name, note, id);
    return this.versions(id)[0] ?? null;
  }

  putAway(id: number, at: string | null): boolean {
    return this.setAway.run(at, id).changes > 0;
  }
}
