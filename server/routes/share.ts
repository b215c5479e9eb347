import { type Stores } from '#server/kept/stores';
import { type SharedFile } from '#contract/share';
import { figuresOf } from '#core/judge/figures';
import { mixInputOf } from '#core/recipe/recipe';
import { withoutKnown } from '#core/recipe/known';
import { type Api } from '#server/base/http/serve';
import { type MixStore } from '#server/kept/mixes';
import { type Into, keyOf, look, take, thingsOf } from '#server/out/share/share';

/** Own things as a small file for another grower, and theirs taken in after a look. */
export function shareRoutes(api: Api, { db, library, own, crops, mixes, now }: Stores): void {
  /** @param onlyOwn leaves out what every Welcome has */
  const asShare = (onlyOwn: boolean): SharedFile => {
    const book = library.book();
    const wanted = <T extends { own: boolean; source: string }>(rows: readonly T[]) =>
      rows.filter((row) => row.own || !onlyOwn).map(({ own: _, source: says, ...row }) => ({ says, row }));
    return {
      ...{ format: 'welcome-share', version: 1 },
      materials: wanted(book.materials),
      products: wanted(book.amendments),
      vessels: wanted(book.vessels).map(({ row }) => row),
      crops: wanted(crops.all()).map(({ says, row }) => ({ says, crop: row })),
      mixes: everyMix(mixes),
    };
  };
  const here = (): Into['here'] => thingsOf(asShare(false));
  api.serve('share', () => asShare(true));
  api.serve('lookAtShare', ({ body: { share } }) => look(share, here()));
  api.serve('takeShare', ({ body: { key, share, take: chosen } }) => {
    const fresh = chosen.filter(({ kind, at }) => !existing(keyOf(key, kind, at), kind));
    const add: Into['add'] = {
      materials: (id, { says, row: { id: _, ...row } }) => {
        const made = own.addMaterial({ key: id, says, row }, now().toISOString());
        library.changed();
        return made.id;
      },
      products: (id, { says, row: { id: _, ...row } }) => {
        const made = own.addProduct({ key: id, says, row });
        library.changed();
        return made.id;
      },
      vessels: (id, { id: _, ...kind }) => {
        const made = own.addVessel({ key: id, kind });
        library.changed();
        return made.id;
      },
      crops: (id, { says, crop: { id: _, ...crop } }) => crops.add({ key: id, says, crop }).id,
      mixes: (id, { name, note, recipe }) => {
        const figures = figuresOf(mixInputOf(recipe, library.library(), 'recipe.'));
        return String(mixes.create(id, name, note, recipe, figures, now().toISOString()).id);
      },
    };
    try {
      // All that was chosen, or nothing of it.
      return db.transaction(() => ({ taken: take(share, fresh, key, { here: here(), add }) })).immediate();
    } finally {
      library.changed();
      crops.changed();
    }
  });
  const existing = (key: string, kind: keyof Into['here']): boolean =>
    kind === 'mixes'
      ? mixes.byKey(key) !== null
      : kind === 'crops'
        ? crops.byKey(key) !== null
        : own.byKey(kind === 'vessels' ? 'vessels' : 'items', key) !== null;
}

function everyMix(mixes: MixStore): SharedFile['mixes'] {
  const all: SharedFile['mixes'] = [];
  for (;;) {
    const page = mixes.all({ away: 'no', from: all.length });
    if (page.length === 0) return all;
    all.push(...page.map(({ name, note, recipe }) => ({ name, note, recipe: withoutKnown(recipe) })));
  }
}
