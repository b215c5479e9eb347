import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { fillDepthMm, widthAtMm, type Vessel } from '#core/vessel/vessel';

/** A small outline, all at one scale, so that a plug looks like a plug beside a pot. */
@Component({
  selector: 'app-vessel-outline',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.width]="box" [attr.height]="box" aria-hidden="true">
      <path [attr.d]="fill()" fill="var(--solid)" opacity="0.28" />
      <path [attr.d]="walls()" fill="none" stroke="var(--ink)" stroke-width="2" stroke-linejoin="round" />
    </svg>
  `,
  host: { class: 'drawn' },
})
export class VesselOutline {
  readonly vessel = input.required<Vessel>();
  protected readonly box = 48;
  private readonly pxPerMm = 44 / 150;

  protected readonly fill = computed(() => `${this.side(fillDepthMm(this.vessel()))}Z`);
  protected readonly walls = computed(() => {
    const vessel = this.vessel();
    const closed = vessel.shape === 'block';
    return this.side(vessel.depthMm) + (closed ? 'Z' : '');
  });

  private side(topMm: number): string {
    const vessel = this.vessel();
    const half = (mm: number): number => Math.min(22, (widthAtMm(vessel, mm) * this.pxPerMm) / 2);
    const y = (mm: number): number => 46 - mm * this.pxPerMm;
    const at = (sign: 1 | -1, mm: number): string => `${24 + sign * half(mm)} ${y(mm)}`;
    return `M${at(-1, topMm)}L${at(-1, 0)}L${at(1, 0)}L${at(1, topMm)}`;
  }
}
