import { allow } from '#core/units/allowed';
import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { type RequestHandler } from 'express';
import { ABOUT_HEADER, type AboutKind, aboutKinds, FOLDER_HEADER } from '#contract/about';
import { type Where } from '#contract/where';
import { type Db } from '#server/base/database/db';
import { type Folder } from '#server/base/database/folder';
import { Problem } from '#server/base/http/problem';

/** Where each kind is kept, and the column of its name. */
const kept: Readonly<Record<AboutKind, { table: string; name: string }>> = {
  lot: { table: 'lots', name: 'name' },
  batch: { table: 'batches', name: 'name' },
  planting: { table: 'plantings', name: 'crop' },
  mix: { table: 'mixes', name: 'name' },
  version: { table: 'mix_versions', name: 'version' },
  line: { table: 'season_lines', name: `row_json ->> '$.crop'` },
  event: { table: 'plant_events', name: 'kind' },
};
const isKind = (kind: string): kind is AboutKind => (aboutKinds as readonly string[]).includes(kind);

/** What things are by number and by client key, in this very folder. */
export class AboutStore {
  private readonly keys;
  private readonly ids;
  private readonly ofEvent;

  constructor(db: Db) {
    const each = <T>(make: (kind: AboutKind) => T): Record<AboutKind, T> =>
      Object.fromEntries(aboutKinds.map((kind) => [kind, make(kind)])) as Record<AboutKind, T>;
    this.keys = each((kind) =>
      db.prepare<[number], string | null>(`SELECT key FROM ${kept[kind].table} WHERE id = ?`).pluck(),
    );
    this.ids = each((kind) =>
      db.prepare<[string], { id: number; name: string }>(
        `SELECT id, ${kept[kind].name} AS name FROM ${kept[kind].table} WHERE key = ?`,
      ),
    );
    this.ofEvent = db.prepare<[string], number>('SELECT planting_id FROM plant_events WHERE key = ?').pluck();
  }

  keyOf(kind: AboutKind, id: number): string | null {
    return this.keys[kind].get(id) ?? null;
  }

  /** @returns null where nothing is kept under this key */
  where(kind: AboutKind, key: string): Where | null {
    const found = this.ids[kind].get(key);
    if (!found) return null;
    const planting = kind === 'event' ? this.ofEvent.get(key) : undefined;
    return { id: found.id, name: String(found.name), ...(planting !== undefined && { planting }) };
  }
}

/**
 * Lets through what is meant for this folder and for what stands in it under that number. What says nothing of it, as a
 * script may, passes.
 */
export function onlyWhatIsMeant(folder: Folder, about: AboutStore): RequestHandler {
  return (req, _res, next) => {
    const meant = req.get(FOLDER_HEADER);
    if (meant !== undefined && meant !== folder.id)
      throw new Problem(412, problem('problem.another-nursery', none), [
        { path: FOLDER_HEADER, value: meant, allowed: allow('allowed.one-of', { ids: [folder.id] }) },
      ]);
    for (const each of (req.get(ABOUT_HEADER) ?? '').split(',').filter((text) => text.trim() !== '')) {
      const [kind = '', id = '', key = ''] = each.trim().split(/\s+/);
      if (!isKind(kind) || !/^\d{1,15}$/.test(id) || key === '')
        throw new Problem(
          400,
          problem('problem.header', { header: ABOUT_HEADER, given: JSON.stringify(each.slice(0, 100)) }),
          [
            {
              path: ABOUT_HEADER,
              value: each.slice(0, 100),
              allowed: allow('allowed.about', { kinds: aboutKinds }),
            },
          ],
        );
      if (about.keyOf(kind, Number(id)) !== key)
        throw new Problem(412, problem('problem.another-one', { thing: kind }), [
          {
            path: ABOUT_HEADER,
            value: each.trim(),
            allowed: allow('allowed.number-and-key', none),
          },
        ]);
    }
    next();
  };
}
