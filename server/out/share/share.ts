import { allow } from '#core/units/allowed';
import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { type SharedFile, type ShareKind, shareKinds, type ShareLine } from '#contract/share';
import { type Recipe } from '#core/recipe/recipe';
import { type Crop } from '#core/season/crop';
import { OutOfRange } from '#core/units/check';

/** One thing, whatever its kind: what it is called, and what it is without its number here. */
export interface SharedThing {
  id: string;
  name: string;
  what: unknown;
}

/** Key of one thing of a file that is taken under a key: the same file taken twice makes nothing twice. */
export function keyOf(key: string, kind: ShareKind, at: number): string {
  const hex = createHash('sha256').update(`${key}/${kind}/${at}`).digest('hex');
  const parts = [hex.slice(0, 8), hex.slice(8, 12), `4${hex.slice(13, 16)}`, `a${hex.slice(17, 20)}`];
  return [...parts, hex.slice(20, 32)].join('-');
}

/** As JSON keeps it: what is not there and what is undefined are the same. */
const plain = (it: unknown): unknown => JSON.parse(JSON.stringify(it));
const without = <T extends { id: string; name: string }>(row: T): unknown => {
  const { id: _, name: __, ...rest } = row;
  return plain(rest);
};

export const thingsOf = (share: Pick<SharedFile, ShareKind>): Record<ShareKind, SharedThing[]> => ({
  materials: share.materials.map(({ row }) => ({ id: row.id, name: row.name, what: without(row) })),
  products: share.products.map(({ row }) => ({ id: row.id, name: row.name, what: without(row) })),
  vessels: share.vessels.map((row) => ({ id: row.id, name: row.name, what: without(row) })),
  crops: share.crops.map(({ crop }) => ({ id: crop.id, name: crop.name, what: without(crop) })),
  mixes: share.mixes.map(({ name, recipe }) => ({ id: name, name, what: plain(recipe) })),
});

/** The one here that it is, or that stands in its way. */
function match(
  thing: SharedThing,
  here: readonly SharedThing[],
): { state: ShareLine['state']; id: string | null } {
  const kin = here.filter(({ id, name }) => id === thing.id || name === thing.name);
  const same = kin.find(({ name, what }) => name === thing.name && isDeepStrictEqual(what, thing.what));
  if (same) return { state: 'same', id: same.id };
  return kin.length > 0 ? { state: 'different', id: null } : { state: 'new', id: null };
}

/** Of every thing of a file whether it is new, the same, or different; what stands on a different one is different. */
function matches(
  things: Record<ShareKind, SharedThing[]>,
  here: Record<ShareKind, readonly SharedThing[]>,
): Record<ShareKind, ReturnType<typeof match>[]> {
  const plainly = (kind: ShareKind): ReturnType<typeof match>[] =>
    things[kind].map((thing) => match(thing, here[kind]));
  const [materials, products, vessels] = [plainly('materials'), plainly('products'), plainly('vessels')];
  const other = new Set(
    [
      ...things.materials.filter((_, at) => materials[at]!.state === 'different'),
      ...things.products.filter((_, at) => products[at]!.state === 'different'),
      ...things.vessels.filter((_, at) => vessels[at]!.state === 'different'),
    ].map(({ id }) => id),
  );
  const standsOn = (what: unknown): boolean =>
    other.size > 0 &&
    JSON.stringify(what, (_, it: unknown) => (other.has(String(it)) ? '\u0000' : it)).includes('\\u0000');
  const above = (kind: 'crops' | 'mixes'): ReturnType<typeof match>[] =>
    plainly(kind).map((each, at) =>
      each.state === 'same' && standsOn(things[kind][at]!.what) ? { state: 'different', id: null } : each,
    );
  return { materials, products, vessels, crops: above('crops'), mixes: above('mixes') };
}

/** What a file brings that is new, the same, or different from what is here. */
export function look(share: SharedFile, here: Record<ShareKind, readonly SharedThing[]>): ShareLine[] {
  const things = thingsOf(share);
  const found = matches(things, here);
  return shareKinds.flatMap((kind) =>
    things[kind].map(({ name }, at) => ({ ...{ kind, at, name }, state: found[kind][at]!.state })),
  );
}

export interface Into {
  here: Record<ShareKind, readonly SharedThing[]>;
  /** Keeps one under a key. @returns its id here */
  add: {
    materials: (key: string, it: SharedFile['materials'][number]) => string;
    products: (key: string, it: SharedFile['products'][number]) => string;
    vessels: (key: string, it: SharedFile['vessels'][number]) => string;
    crops: (key: string, it: SharedFile['crops'][number]) => string;
    mixes: (key: string, it: SharedFile['mixes'][number]) => string;
  };
}

/**
 * Takes what was chosen of a file. What is different comes beside what is here, under "…, theirs"; mixes that are taken
 * stand on what came with them, and on what is here where that was left.
 * @throws OutOfRange where one is named that is not in the file, or a mix would stand on what is nowhere
 * @returns what was taken, by name
 */
export function take(
  share: SharedFile,
  chosen: readonly { kind: ShareKind; at: number }[],
  key: string,
  { here, add }: Into,
): string[] {
  const things = thingsOf(share);
  chosen.forEach(({ kind, at }, i) => {
    if (at >= things[kind].length)
      throw new OutOfRange(
        `take.${i}.at`,
        at,
        allow('allowed.whole', { low: 0, high: things[kind].length - 1 }),
      );
  });
  const isChosen = (kind: ShareKind, at: number): boolean =>
    chosen.some((each) => each.kind === kind && each.at === at);
  /** Ids of the file, and what they are here. */
  const ids: Record<ShareKind, Map<string, string>> = {
    ...{ materials: new Map(), products: new Map(), vessels: new Map() },
    ...{ crops: new Map(), mixes: new Map() },
  };
  const found = matches(things, here);
  const taken: string[] = [];
  const idOf = (kind: ShareKind, id: string, of: string): string => {
    const existing = ids[kind].get(id) ?? here[kind].find((sharedThing) => sharedThing.id === id)?.id;
    if (existing === undefined) throw new OutOfRange(kind, id, allow('allowed.here-or-taken', { of }));
    return existing;
  };
  for (const kind of shareKinds)
    things[kind].forEach((thing, at) => {
      const { state, id } = found[kind][at]!;
      if (state === 'same') ids[kind].set(thing.id, id!);
      if (state === 'same' || !isChosen(kind, at)) return;
      const name = state === 'different' ? `${thing.name.slice(0, 52)}, theirs` : thing.name;
      const made = ((): string => {
        const own = keyOf(key, kind, at);
        switch (kind) {
          case 'materials': {
            const it = share.materials[at]!;
            return add.materials(own, { ...it, row: { ...it.row, name } });
          }
          case 'products': {
            const it = share.products[at]!;
            return add.products(own, { ...it, row: { ...it.row, name } });
          }
          case 'vessels':
            return add.vessels(own, { ...share.vessels[at]!, name });
          case 'crops': {
            const { says, crop } = share.crops[at]!;
            const steps = crop.steps.map((step) => ({ ...step, vessel: idOf('vessels', step.vessel, name) }));
            return add.crops(own, { says, crop: { ...withoutMixes({ ...crop, steps }), name } });
          }
          case 'mixes': {
            const { note, recipe } = share.mixes[at]!;
            return add.mixes(own, { name, note, recipe: repointed(recipe, name, idOf) });
          }
        }
      })();
      ids[kind].set(thing.id, made);
      taken.push(name);
    });
  return taken;
}

/** Numbers of mixes are those of the other's folder. */
const withoutMixes = (crop: Crop): Crop => ({
  ...crop,
  steps: crop.steps.map(({ mix: _, ...step }) => step),
});

function repointed(
  recipe: Recipe,
  name: string,
  idOf: (kind: ShareKind, id: string, of: string) => string,
): Recipe {
  const product = <T extends { amendment: string }>(dose: T): T => ({
    ...dose,
    amendment: idOf('products', dose.amendment, name),
  });
  const { job } = recipe;
  return {
    ...recipe,
    vessel: idOf('vessels', recipe.vessel, name),
    components: recipe.components.map((component) => ({
      ...component,
      material: idOf('materials', component.material, name),
    })),
    lime: recipe.lime && product(recipe.lime),
    amendments: recipe.amendments.map(product),
    job:
      'also' in job && job.also
        ? {
            ...job,
            also: job.also.map((alsoFilled) => ({
              ...alsoFilled,
              vessel: idOf('vessels', alsoFilled.vessel, name),
            })),
          }
        : job,
  };
}
