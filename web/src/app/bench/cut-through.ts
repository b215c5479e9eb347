import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Evaluation } from '#core/mix/evaluate';
import { type Drained, phasesAt } from '#core/mix/water-air';
import { millimetresIn } from '#core/units/factors';
import { fixed, showLength, showMass } from '#core/units/show';
import { withUnit } from '#core/units/said';
import { type VesselKind } from '#core/vessel/tray';
import { byShape, fillDepthMm, widthAtMm } from '#core/vessel/vessel';
import { Units } from '../data/units';
import { drawVessel } from './grain-cells';
import { cutThrough as texts } from '#words/en/places/bench/cut-through';

const WIDTH = 300;
const HEIGHT = 224;

/** What stands in a larger pot: its mix and vessel, where it stands, and its water there. */
export interface SetBall {
  of: Evaluation;
  baseMm: number;
  drained: Drained;
  /** Height of its own soaked foot on its own base, mm. */
  footMm: number;
}

/** The vessel to scale, cut open after draining: grains, water and air by height. */
@Component({
  selector: 'app-cut-through',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-through.html',
  styleUrl: './cut-through.scss',
})
export class CutThrough {
  protected readonly texts = texts;
  readonly kind = input.required<VesselKind>();
  readonly evaluation = input.required<Evaluation>();
  /** A root-ball that was set into it. */
  readonly ball = input<SetBall | null>(null);
  /** False while the page comes: the vessel stands first, what fills it follows. */
  readonly filled = input(true);
  private readonly units = inject(Units);
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  private readonly vessel = computed(() => this.kind().vessel);
  protected readonly drawing = computed(() => drawVessel(this.vessel(), WIDTH, HEIGHT));

  private readonly cells = computed(() => (this.filled() ? this.drawing().cells() : []));

  protected readonly phases = computed(() => {
    const { composition, column, drained } = this.evaluation();
    const paths = { solid: '', air: '' };
    const ball = this.ball();
    for (const cell of this.cells()) {
      const here =
        ball && isIn(ball, cell.xMm, cell.zMm)
          ? phasesAt(ball.of.composition, ball.of.column, ball.drained, cell.zMm - ball.baseMm)
          : phasesAt(composition, column, drained, cell.zMm);
      if (cell.rank < here.solid) paths.solid += cell.path;
      else if (cell.rank > 1 - here.air) paths.air += cell.path;
    }
    return paths;
  });

  protected readonly shares = computed(() => {
    const { drained, composition } = this.evaluation();
    return {
      air: fixed(drained.air * 100, 1),
      water: fixed(drained.water * 100, 0),
      solid: fixed((1 - composition.totalPorosity) * 100, 0),
    };
  });

  /** Outline of the ball, and the line to which it would stand soaked on its own base. */
  protected readonly ballPaths = computed(() => {
    const ball = this.ball();
    if (!ball) return null;
    const { pxPerMm, centreX, baseY } = this.drawing();
    const vessel = ball.of.column.vessel;
    const depth = fillDepthMm(vessel);
    const half = (z: number): number => (widthAtMm(vessel, z) * pxPerMm) / 2;
    const y = (z: number): number => baseY - (ball.baseMm + z) * pxPerMm;
    return {
      outline: `M${centreX - half(depth)} ${y(depth)}L${centreX - half(0)} ${y(0)}L${centreX + half(0)} ${y(0)}L${centreX + half(depth)} ${y(depth)}Z`,
      foot: `M${centreX - half(ball.footMm)} ${y(ball.footMm)}H${centreX + half(ball.footMm)}`,
    };
  });

  /** A mark each 10 mm (or quarter inch on small, half or whole inch on tall), with the number where there is room. */
  protected readonly ticks = computed(() => {
    const { pxPerMm, baseY } = this.drawing();
    const depth = this.vessel().depthMm;
    const metric = this.units.system() === 'metric';
    const unit = metric ? 1 : millimetresIn.inch;
    const steps = metric ? [5, 10, 20, 50] : [0.25, 0.5, 1, 2];
    const step = steps.find((s) => s * unit * pxPerMm >= 22) ?? steps.at(-1)!;
    const marks: { y: number; label: string }[] = [];
    for (let at = 0; at * unit <= depth + 1e-6; at += step) {
      marks.push({ y: baseY - at * unit * pxPerMm, label: String(at) });
    }
    return marks;
  });
  protected readonly rulerX = computed(() => {
    const { pxPerMm, centreX, broken } = this.drawing();
    const top = byShape(this.vessel(), {
      block: ({ edgeMm }) => edgeMm[0],
      round: ({ topMm }) => topMm,
      rect: ({ topMm }) => topMm[0],
    });
    const half = broken ? WIDTH / 2 : (top * pxPerMm) / 2;
    return Math.min(WIDTH + 6, centreX + half + 10);
  });
  protected readonly rulerUnit = computed(() => (this.units.system() === 'metric' ? 'mm' : 'in'));

  protected readonly fillY = computed(
    () => this.drawing().baseY - fillDepthMm(this.vessel()) * this.drawing().pxPerMm,
  );
  protected readonly soakedY = computed(
    () => this.drawing().baseY - this.evaluation().soakedFootMm * this.drawing().pxPerMm,
  );

  protected readonly foot = computed(() => {
    const foot = this.evaluation().soakedFootMm;
    const depth = fillDepthMm(this.vessel());
    const length = (mm: number): string => withUnit(showLength(mm, this.units.system()));
    if (foot < 2) return texts.drainsRightDownToThe;
    if (foot > depth - 2) return texts.saturatedFromBottomToTop;
    return texts.theBottomStaysSaturatedOnly(length(depth - foot));
  });
  protected readonly weight = computed(() =>
    withUnit(showMass(this.evaluation().wetWeightG, this.units.system())),
  );
  protected readonly label = computed(() => {
    const { air, water, solid } = this.shares();
    return texts.oneAfterWateringAndDraining2(this.kind().noun, air, water, solid, this.foot());
  });
}

function isIn({ of, baseMm }: SetBall, xMm: number, zMm: number): boolean {
  const { vessel } = of.column;
  const own = zMm - baseMm;
  return own >= 0 && own <= fillDepthMm(vessel) && Math.abs(xMm) <= widthAtMm(vessel, own) / 2;
}
