import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SaidPipe } from '../../ui/words/said';
import { RouterLink } from '@angular/router';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { stages } from '#core/mix/stage';
import { litresIn } from '#core/units/factors';
import { showLength, type UnitSystem } from '#core/units/show';
import { vesselsOf } from '#core/recipe/recipe';
import { volumeL, type Vessel } from '#core/vessel/vessel';
import { SchoolChoice } from '../../data/school-choice';
import { Units } from '../../data/units';
import { Amount } from '../../ui/words/amount';
import { TickField } from '../../ui/fields/tick-field';
import { Stepper } from '../../ui/fields/stepper';
import { VesselOutline } from '../../ui/pictures/vessel-outline';
import { stageNames } from '../../ui/words/words';
import { RecipeStore } from '../../bench/recipe-store';

/** What it is for, what it goes into, and how much of it. */
@Component({
  selector: 'app-job-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-panel.html',
  styleUrl: './job-panel.scss',
  imports: [Amount, NgbDropdownModule, RouterLink, SaidPipe, Stepper, VesselOutline, TickField],
})
export class JobPanel {
  protected readonly store = inject(RecipeStore);
  protected readonly way = inject(SchoolChoice);
  private readonly units = inject(Units);
  protected readonly stages = stages.map((id) => ({ id, ...stageNames[id] }));
  protected readonly kinds = this.store.vessels;
  protected readonly volumeL = volumeL;

  protected readonly size = (vessel: Vessel): string => sizeText(vessel, this.units.system());

  protected readonly byTrays = computed(() => {
    const { job } = this.store.recipe();
    return 'trays' in job ? job : null;
  });
  protected readonly counted = computed(() => {
    const kind = this.store.kind();
    return kind.perTray > 1 ? (kind.vessel.shape === 'block' ? 'sets' : 'trays') : `${kind.noun}s`;
  });
  protected readonly single = computed(() => vesselsOf(this.store.recipe().job, this.store.kind()));
  /** What the stepper counts volumes in. */
  protected readonly ownLitres = computed(() => {
    const perUnit = this.units.system() === 'metric' ? 1 : litresIn.gallon;
    return { perUnit, unit: perUnit === 1 ? 'L' : 'gal' };
  });

  protected setTrays(trays: number): void {
    const job = this.byTrays();
    if (job) this.store.patch({ job: { ...job, trays: Math.round(trays) } }, 'trays');
  }

  protected setSpare(sparePct: number): void {
    const job = this.byTrays();
    if (job) this.store.patch({ job: { ...job, sparePct } }, 'spare');
  }

  protected setLitres(litres: number): void {
    this.store.patch({ job: { litres } }, 'litres');
  }

  protected forAcidLovers(yes: boolean): void {
    const { crops: _, ...recipe } = this.store.recipe();
    this.store.set(yes ? { ...recipe, crops: 'acid-lovers' } : recipe, 'crops');
  }

  protected countBy(way: 'trays' | 'litres'): void {
    const kind = this.store.kind();
    const litres = this.store.litres();
    const perTray = volumeL(kind.vessel) * kind.perTray;
    this.store.patch(
      {
        job:
          way === 'trays'
            ? { trays: Math.max(1, Math.floor(litres / perTray + 1e-9)), sparePct: 0 }
            : { litres: Math.round(litres * 10) / 10 },
      },
      'count by',
    );
  }
}

function sizeText(vessel: Vessel, system: UnitSystem): string {
  const length = (mm: number): string => showLength(mm, system).text;
  const unit = system === 'metric' ? 'mm' : 'in';
  if (vessel.shape === 'block') return `${length(vessel.edgeMm[0])} ${unit} cube`;
  if (vessel.shape === 'round')
    return `${length(vessel.topMm)} across, ${length(vessel.depthMm)} ${unit} deep`;
  const [a, b] = vessel.topMm;
  return `${length(a)} × ${length(b)}, ${length(vessel.depthMm)} ${unit} deep`;
}
