import { type Stage } from '#core/mix/stage';
import { type AskedWindows, type WindowId, windowIds } from '#core/mix/windows-asked';

/** Crops that want other windows than the stage gives, whatever the stage. */
export const cropGroups = ['acid-lovers'] as const;
export type CropGroup = (typeof cropGroups)[number];

/** What is wanted otherwise, by stage and by crop group; a group outranks the stage. */
export interface WindowsAsked {
  stages: Partial<Record<Stage, AskedWindows>>;
  crops: Partial<Record<CropGroup, AskedWindows>>;
}

/** The ends of windows that a nursery set for itself. */
export type OwnEnds = Partial<Record<WindowId, { low: number; high: number } | undefined>>;

/** As the nursery keeps them; what is not named is the usual one. */
export interface OwnWindows {
  stages: Partial<Record<Stage, OwnEnds>>;
  crops: Partial<Record<CropGroup, OwnEnds>>;
}

export const noOwnWindows: OwnWindows = { stages: {}, crops: {} };

/** The same with who says so. */
export function askedByOwner({ stages: byStage, crops }: OwnWindows): WindowsAsked {
  const signed = <K extends string>(all: Partial<Record<K, OwnEnds>>): Partial<Record<K, AskedWindows>> => {
    const sum: Partial<Record<K, AskedWindows>> = {};
    for (const [key, ends] of Object.entries(all) as [K, OwnEnds][]) {
      const asked: AskedWindows = {};
      for (const id of windowIds) {
        const window = ends[id];
        if (window) asked[id] = { ...window, source: 'your own window' };
      }
      sum[key] = asked;
    }
    return sum;
  };
  return { stages: signed(byStage), crops: signed(crops) };
}

/** Ericaceous plants, and others that yellow in limed mixes. */
export const cropDefaults: Record<CropGroup, AskedWindows> = {
  'acid-lovers': {
    ph: { low: 4.5, high: 5.5, source: 'Bunt 1988 (from memory): heathers, rhododendrons, camellias' },
  },
};

/** The later ones outrank the earlier: an approach, then what the user typed. */
export function askedTogether(...all: readonly (WindowsAsked | undefined)[]): WindowsAsked {
  const given = all.filter((windowsAsked) => windowsAsked !== undefined);
  const merged = <K extends string>(
    of: (windowsAsked: WindowsAsked) => Partial<Record<K, AskedWindows>>,
  ): Partial<Record<K, AskedWindows>> => {
    const sum: Partial<Record<K, AskedWindows>> = {};
    for (const windowsAsked of given)
      for (const [key, asked] of Object.entries(of(windowsAsked)) as [K, AskedWindows][])
        sum[key] = { ...sum[key], ...asked };
    return sum;
  };
  return {
    stages: merged((windowsAsked) => windowsAsked.stages),
    crops: merged((windowsAsked) => windowsAsked.crops),
  };
}

/** What is wanted of a recipe; undefined where that is what its stage wants. */
export function windowsWanted(
  stage: Stage,
  crops: CropGroup | undefined,
  asked: WindowsAsked | undefined,
): AskedWindows | undefined {
  const wanted: AskedWindows = {
    ...asked?.stages[stage],
    ...(crops && { ...cropDefaults[crops], ...asked?.crops[crops] }),
  };
  return windowIds.some((id: WindowId) => wanted[id]) ? wanted : undefined;
}
