import { messages, type MessageOf, type Named, named } from '#core/units/message';
import { type Crop } from '#core/season/crop';
import { type SeasonSowing, type SeasonStep } from '#core/season/season';

/** A crop, its sort where it has a name, and which of several sowings. */
export interface SowingName {
  crop: Named;
  sort: string;
  sowing: number;
  of: number;
}

/** What a step fills. */
export interface Vessels {
  vessel: Named;
  noun: string;
  cells: number;
  trays: number;
  perTray: number;
}

export interface SeasonFacts {
  'season.name': SowingName;
  'season.vessels': Vessels;
  'task.start': {
    name: SowingName;
    start: Crop['start'];
    vessels: Vessels;
    perCell: number;
    /** null where nothing covers it; left out of cuttings and divisions. */
    cover: { mm: number; with: Exclude<Crop['cover'], 'none'> } | null;
    dark: boolean;
  };
  'task.up': { name: SowingName; rooted: boolean };
  'task.spares': { name: SowingName; noun: string };
  'task.feed': { name: SowingName };
  'task.move': { name: SowingName; prick: boolean; vessels: Vessels; deep: boolean };
  'task.harden': { name: SowingName };
  'task.plant': { name: SowingName; plants: number };
  'task.own': { name: SowingName; what: string };
  'fit.blocks': { name: SowingName; vessel: Named };
  /** Later; earlier below 0. */
  'fit.move': { name: SowingName; weeks: number };
  'strip.bar': {
    name: SowingName;
    vessel: Named;
    from: string;
    moves: readonly { vessel: Named; on: string }[];
    out: string;
  };
  'calendar.mix': { mix: string; litres: number; why: RestWhy; latest: string };
  'task.mix': { why: RestWhy; latest: string | null };
  'season.late': { name: SowingName; on: string; days: number; ready: string };
  'season.too-long': { name: SowingName; vessel: Named; weeks: number; beginOn: string };
  'season.frost': { name: SowingName; after: string; chance: number; safe: string };
  'season.cold-nights': { name: SowingName; celsius: number; mild: string };
  /** `from` is the first day on which the house is warm enough; null where it does not come. */
  'season.hardly-up': { name: SowingName; celsius: number; low: number; high: number; from?: string | null };
  'season.tested-seed': { name: SowingName; low: number; high: number; share: number };
  'season.old-seed': { name: SowingName; years: number; share: number };
  'season.per-cell': { name: SowingName; perCell: number; empty: number; oneMore: number; share: number };
  'season.seed-to-spare': { name: SowingName; perCell: number; empty: number };
  'season.wants-acid': { crop: Named; low: number; high: number; mix: string; limedTo: number };
  'weather.frost': { celsius: number };
  'weather.cold': { celsius: number };
  'weather.dry': { days: number };
  'weather.wet': { mm: number };
}

/** Why a mix must lie before it is used. */
export type RestWhy = 'bark' | 'organic' | 'lime' | 'coir' | 'none';

export type SeasonMessage = MessageOf<SeasonFacts>;
export const seasonSay = messages<SeasonFacts>();

export const nameOf = ({
  crop,
  line,
  sowing,
}: Pick<SeasonSowing, 'crop' | 'line' | 'sowing'>): SowingName => ({
  crop: named(crop),
  sort: line.name,
  sowing,
  of: line.count,
});

export const vesselsOf = ({ cells, trays, kind }: SeasonStep): Vessels => ({
  vessel: named(kind),
  noun: kind.noun,
  cells,
  trays,
  perTray: kind.perTray,
});
