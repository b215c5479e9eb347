import { figuresSchema, type MixVersion } from '#contract/mixes';
import { type Figures } from '#core/judge/figures';
import { type ListQuery } from '#contract/lists';
import { PAGE } from '#contract/routes';
import { recipeSchema } from '#contract/recipe';
import { partsKey } from '#core/recipe/parts-key';
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

/** A version, and what it is made of. */
interface VersionParts {
  id: number;
  mixId: number;
  parts: string;
}

/** Recipes by name, each a row of versions that never change. */
export class MixStore {
  private readonly newest;
  private readonly ofMix;
  private readonly one;
  private readonly keyed;
  private readonly insertMix;
  private readonly insertVersion;
  private readonly later;
  private readonly archived;
  /** Versions by what they are made of, the newest first: none ever changes. */
  private readonly byParts = new Map<string, readonly VersionParts[]>();
  private lastRead = 0;
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
    this.later = db.prepare<[number], Omit<VersionParts, 'parts'> & { recipe_json: string }>(
      'SELECT id, mix_id AS mixId, recipe_json FROM mix_versions WHERE id > ? ORDER BY id',
    );
    this.archived = db.prepare<[], number>('SELECT id FROM mixes WHERE deleted_at IS NOT NULL').pluck();
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

  /**
   * The newest version, of mixes that are not archived, with these parts and doses, whatever was asked of it.
   * @param made the version that it says it was made from: of two alike it is that
   */
  versionLike(recipe: Recipe, made: number | null): number | null {
    const key = partsKey(recipe);
    const row = made === null ? undefined : this.one.get(made);
    return row && partsKey(read(row).recipe) === key ? made : this.versionOfKey(key);
  }

  /** @param key as `partsKey` makes it */
  versionOfKey(key: string): number | null {
    const fresh = this.later.all(this.lastRead).map(({ recipe_json, ...version }): VersionParts => ({
      ...version,
      parts: partsKey(recipeSchema.parse(JSON.parse(recipe_json))),
    }));
    // While a transaction runs, what is not yet sure to stay may be gone.
    if (!this.db.inTransaction)
      for (const version of fresh) {
        this.byParts.set(version.parts, [version, ...(this.byParts.get(version.parts) ?? [])]);
        this.lastRead = version.id;
      }
    const away = new Set(this.archived.all());
    const alike = [
      ...(this.db.inTransaction ? fresh.filter(({ parts }) => parts === key).reverse() : []),
      ...(this.byParts.get(key) ?? []),
    ];
    return alike.find(({ mixId }) => !away.has(mixId))?.id ?? null;
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
