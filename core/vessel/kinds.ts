import { type VesselKind } from '#core/vessel/tray';
import { type Vessel } from '#core/vessel/vessel';

const cell = (top: number, base: number, depth: number, headspace: number): Vessel => ({
  shape: 'rect',
  topMm: [top, top],
  baseMm: [base, base],
  depthMm: depth,
  headspaceMm: headspace,
});
const pot = (top: number, base: number, depth: number): Vessel => ({
  shape: 'round',
  topMm: top,
  baseMm: base,
  depthMm: depth,
  headspaceMm: 10,
});
/** Pins as presses come with them: a quarter of an inch; less in the smallest. Common practice, no source. */
const holeOf = (edge: number): number => (edge < 32 ? 3 : edge > 60 ? 13 : 6);
const block = (edge: number, depth = edge): Vessel => ({
  shape: 'block',
  edgeMm: [edge, edge],
  depthMm: depth,
  holeMm: holeOf(edge),
});

const tray = (count: number, vessel: Vessel): VesselKind => ({
  id: `cell-${count}`,
  name: `${count}-cell tray`,
  noun: 'cell',
  vessel,
  perTray: count,
  usualCompaction: 0,
});
const blocks = (edge: number, perTray: number): VesselKind => ({
  id: `block-${edge}`,
  name: `${edge} mm blocks`,
  noun: 'block',
  vessel: block(edge),
  perTray,
  usualCompaction: 0.25,
});
const pots = (cm: number, vessel: Vessel): VesselKind => ({
  id: `pot-${cm}`,
  name: `${cm} cm pot`,
  noun: 'pot',
  vessel,
  perTray: 1,
  usualCompaction: 0,
});

/** Usual vessels with usual inside dimensions: common practice, no source. Measure your own. */
export const vesselKinds: readonly VesselKind[] = [
  tray(288, cell(20, 13, 28, 1)),
  tray(128, cell(29, 20, 42, 2)),
  tray(72, cell(40, 28, 55, 3)),
  tray(60, cell(44, 30, 57, 3)),
  tray(24, cell(70, 52, 65, 5)),
  blocks(20, 240),
  blocks(32, 160),
  blocks(40, 84),
  blocks(50, 50),
  blocks(100, 12),
  {
    id: 'flat',
    name: 'Open flat',
    noun: 'flat',
    vessel: { shape: 'rect', topMm: [540, 280], baseMm: [520, 260], depthMm: 60, headspaceMm: 10 },
    perTray: 1,
    usualCompaction: 0,
  },
  pots(7, pot(70, 52, 65)),
  pots(9, pot(90, 66, 85)),
  pots(11, pot(110, 80, 100)),
  pots(13, pot(130, 95, 120)),
  pots(15, pot(150, 110, 150)),
];

/** What a plug is compared with where the same mix would do well: an 11 cm pot. */
export const comparisonPot: VesselKind = pots(11, pot(110, 80, 100));
