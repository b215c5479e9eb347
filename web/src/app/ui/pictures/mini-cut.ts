import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Evaluation } from '#core/mix/evaluate';
import { phasesAt } from '#core/mix/water-air';
import { fillDepthMm, widthAtMm } from '#core/vessel/vessel';

const SIZE = 48;
const SLICES = 16;

/** A small cut through the vessel: solids, water and air by height, side by side. */
@Component({
  selector: 'app-mini-cut',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.width]="size" [attr.height]="size" aria-hidden="true">
      <path [attr.d]="paths().air" fill="var(--air)" />
      <path [attr.d]="paths().water" fill="var(--water)" />
      <path [attr.d]="paths().solid" fill="var(--solid)" />
      <path [attr.d]="paths().wall" fill="none" stroke="var(--ink)" stroke-width="1.5" />
    </svg>
  `,
  host: { class: 'drawn' },
})
export class MiniCut {
  readonly evaluation = input.required<Evaluation>();
  protected readonly size = SIZE;

  protected readonly paths = computed(() => {
    const { composition, column, drained } = this.evaluation();
    const { vessel } = column;
    const depth = fillDepthMm(vessel);
    const scale = (SIZE - 4) / Math.max(depth, widthAtMm(vessel, depth), widthAtMm(vessel, 0));
    const y = (mm: number): number => SIZE - 2 - mm * scale;
    const half = (mm: number): number => (widthAtMm(vessel, mm) * scale) / 2;
    const at = (mm: number, share: number): string =>
      `${(SIZE / 2 - half(mm) + 2 * half(mm) * share).toFixed(1)} ${y(mm).toFixed(1)}`;
    /** The band between two shares, from the foot up one side and down the other. */
    const band = (from: (z: number) => number, to: (z: number) => number): string => {
      const heights = Array.from({ length: SLICES + 1 }, (_, i) => (depth * i) / SLICES);
      const up = heights.map((z) => at(z, from(z)));
      const down = heights.reverse().map((z) => at(z, to(z)));
      return `M${[...up, ...down].join('L')}Z`;
    };
    const phase = (z: number): { solid: number; water: number } => phasesAt(composition, column, drained, z);
    const solid = (z: number): number => phase(z).solid;
    const wet = (z: number): number => phase(z).solid + phase(z).water;
    return {
      solid: band(() => 0, solid),
      water: band(solid, wet),
      air: band(wet, () => 1),
      wall: `M${at(depth, 0)}L${at(0, 0)}L${at(0, 1)}L${at(depth, 1)}`,
    };
  });
}
