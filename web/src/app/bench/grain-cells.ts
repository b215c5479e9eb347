import { Delaunay } from 'd3-delaunay';
import { fillDepthMm, widthAtMm, type Vessel } from '#core/vessel/vessel';

/** One grain, pore or bubble of the drawing: which it is depends on its rank among those at its height. */
export interface GrainCell {
  /** Height of its middle above the base, mm. */
  zMm: number;
  /** Of its middle from the middle of the vessel, mm. */
  xMm: number;
  /** 0–1, evenly spread within its row: the lowest are solid, the highest air. */
  rank: number;
  path: string;
}

export interface Drawing {
  pxPerMm: number;
  /** Left edge, base line and size of the drawn part, px. */
  centreX: number;
  baseY: number;
  /** Wide vessels are drawn in part, with broken edges. */
  broken: boolean;
  outline: string;
  fillOutline: string;
  /** Filled with irregular cells; the same for the same vessel. */
  cells: () => GrainCell[];
}

const PITCH_PX = 7;
const WIDEST = 1.35;

/**
 * A vessel at scale in a box, and the irregular cells that fill it. Same vessel, same cells: when the recipe changes
 * only what they are changes, so that the eye can follow.
 */
export function drawVessel(vessel: Vessel, boxWidthPx: number, boxHeightPx: number): Drawing {
  const depth = vessel.depthMm;
  const broken = widthAtMm(vessel, depth) > WIDEST * 2 * depth;
  const widthMm = (z: number): number =>
    Math.min(widthAtMm(vessel, z), broken ? WIDEST * 2 * depth : Infinity);
  const widest = Math.max(widthMm(0), widthMm(depth));
  const pxPerMm = Math.min((boxWidthPx - 8) / widest, (boxHeightPx - 8) / depth);
  const centreX = boxWidthPx / 2;
  const baseY = boxHeightPx - 4;
  const x = (sign: 1 | -1, z: number): number => centreX + (sign * widthMm(z) * pxPerMm) / 2;
  const y = (z: number): number => baseY - z * pxPerMm;
  const side = (z: number): string =>
    `M${x(-1, z)} ${y(z)}L${x(-1, 0)} ${y(0)}L${x(1, 0)} ${y(0)}L${x(1, z)} ${y(z)}`;
  const fill = fillDepthMm(vessel);
  return {
    pxPerMm,
    centreX,
    baseY,
    broken,
    outline: side(depth) + (vessel.shape === 'block' ? 'Z' : ''),
    fillOutline: `${side(fill)}Z`,
    cells: () =>
      fillCells(
        [centreX - (widest * pxPerMm) / 2, y(fill), centreX + (widest * pxPerMm) / 2, baseY],
        (px) => (baseY - px) / pxPerMm,
        (z) => (widthMm(z) * pxPerMm) / 2,
        centreX,
        pxPerMm,
      ),
  };
}

function fillCells(
  bounds: [number, number, number, number],
  heightMm: (yPx: number) => number,
  halfWidthPx: (zMm: number) => number,
  centreX: number,
  pxPerMm: number,
): GrainCell[] {
  const [left, top, right, bottom] = bounds;
  const random = seeded(20_260);
  const rows = Math.max(3, Math.round((bottom - top) / PITCH_PX));
  const columns = Math.max(3, Math.round((right - left) / PITCH_PX));
  const stepX = (right - left) / columns;
  const stepY = (bottom - top) / rows;
  const points: [number, number][] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const shift = row % 2 ? 0.25 : -0.25;
      points.push([
        left + stepX * (column + 0.5 + shift + 0.55 * (random() - 0.5)),
        top + stepY * (row + 0.5 + 0.6 * (random() - 0.5)),
      ]);
    }
  }
  const voronoi = Delaunay.from(points).voronoi(bounds);
  const cells: GrainCell[] = [];
  for (let row = 0; row < rows; row++) {
    const inside: number[] = [];
    for (let column = 0; column < columns; column++) {
      const index = row * columns + column;
      const [px, py] = points[index]!;
      if (Math.abs(px - centreX) <= halfWidthPx(heightMm(py)) + stepX) inside.push(index);
    }
    shuffle(inside, random);
    // A different start in each row, so that shares smaller than one cell in a row still show over several.
    const offset = (row * 0.618034) % 1;
    inside.forEach((index, order) => {
      cells.push({
        zMm: Math.max(0, heightMm(points[index]![1])),
        xMm: (points[index]![0] - centreX) / pxPerMm,
        rank: (order + offset) / inside.length,
        path: round(voronoi.renderCell(index)),
      });
    });
  }
  return cells;
}

const round = (path: string): string => path.replace(/\d+\.\d+/g, (n) => Number(n).toFixed(1));

function shuffle(items: number[], random: () => number): void {
  for (let i = items.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [items[i], items[j]] = [items[j]!, items[i]!];
  }
}

/** mulberry32: small, seeded, enough for a drawing. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
