import { nameIn } from '#words/names';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { stages } from '#core/mix/stage';
import { litresIn } from '#core/units/factors';
import { showLength, type UnitSystem } from '#core/units/show';
import { vesselsOf } from '#core/recipe/recipe';
import { byShape, volumeL, type Vessel } from '#core/vessel/vessel';
import { withBroken } from '#core/vessel/broken';
import { KitChoice } from '../../data/kit-choice';
import { ApproachChoice } from '../../data/approach-choice';
import { Units } from '../../data/units';
import { Amount } from '../../ui/words/amount';
import { ChoiceField } from '../../ui/fields/choice-field';
import { NumberField } from '../../ui/fields/number-field';
import { TickField } from '../../ui/fields/tick-field';
import { isSought, MenuSearch } from '../../ui/fields/menu-search';
import { Stepper } from '../../ui/fields/stepper';
import { Fold } from '../../ui/fold';
import { VesselOutline } from '../../ui/pictures/vessel-outline';
import { stageNames } from '../../ui/words/words';
import { RecipeStore } from '../../bench/recipe-store';
import { jobPanel as texts } from '#words/en/places/mix/job/job-panel';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../../ui/words/title';
import { ReaderHere } from '../../data/reader-here';

type Way = 'trays' | 'vessels' | 'litres';

/** What it is for, what it goes into, and how much of it. */
@Component({
  selector: 'app-job-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './job-panel.html',
  styleUrl: './job-panel.scss',
  imports: [
    TitlePipe,
    Fold,
    Amount,
    MenuSearch,
    ChoiceField,
    NumberField,
    NgbDropdownModule,
    RouterLink,
    Stepper,
    VesselOutline,
    TickField,
  ],
})
export class JobPanel {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly store = inject(RecipeStore);
  protected readonly way = inject(ApproachChoice);
  private readonly units = inject(Units);
  protected readonly stages = stages.map((id) => ({ id, ...stageNames[id] }));
  protected readonly kinds = this.store.vessels;
  protected readonly volumeL = volumeL;
  protected readonly sought = signal('');
  protected readonly found = computed(() => {
    const system = this.units.system();
    return this.kinds().filter(({ name, noun }) => isSought(this.sought(), nameIn(name, system), name, noun));
  });

  protected readonly size = (vessel: Vessel): string => sizeText(vessel, this.units.system());

  /** How it is counted: in trays or sets, one by one, or by volume. */
  protected readonly countedBy = computed((): Way => {
    const { job } = this.store.recipe();
    return 'trays' in job ? 'trays' : 'vessels' in job ? 'vessels' : 'litres';
  });
  protected readonly byCount = computed(() => {
    const { job } = this.store.recipe();
    if ('litres' in job) return null;
    return 'trays' in job
      ? { way: 'trays' as const, count: job.trays, sparePct: job.sparePct }
      : { way: 'vessels' as const, count: job.vessels, sparePct: job.sparePct };
  });
  protected readonly counts = computed((): { way: Way; name: string }[] => {
    const kind = this.store.kind();
    const sets = kind.vessel.shape === 'block' ? 'sets' : 'trays';
    const single = `${kind.noun}s`;
    return [
      { way: 'trays', name: kind.perTray > 1 ? sets : single },
      ...(kind.perTray > 1 ? [{ way: 'vessels' as const, name: single }] : []),
      { way: 'litres', name: texts.byVolume },
    ];
  });
  protected readonly countedName = computed(
    () => this.counts().find(({ way }) => way === this.countedBy())?.name ?? `${this.store.kind().noun}s`,
  );
  protected readonly single = computed(() => vesselsOf(this.store.recipe().job, this.store.kind()));
  protected readonly kit = inject(KitChoice);
  /** Blocks to press so that those wanted are left; null where none break. */
  protected readonly toPress = computed(() => {
    const { breakPct = 0 } = this.kit.kit();
    return breakPct > 0 ? withBroken(this.single(), breakPct) : null;
  });
  protected readonly also = computed(() => {
    const { job } = this.store.recipe();
    return 'litres' in job ? [] : (job.also ?? []);
  });
  protected readonly others = computed(() =>
    this.kinds()
      .filter(({ id }) => id !== this.store.kind().id && !this.also().some(({ vessel }) => vessel === id))
      .map(({ id, name }) => ({ id, name })),
  );
  protected readonly approach = computed(() => this.reader.word(`approach.${this.way.approach().id}.name`));
  protected readonly alsoWords = computed(() =>
    this.also()
      .map(({ vessel, count }) => texts.andOf(count, nameIn(this.nameOf(vessel), this.units.system())))
      .join(''),
  );
  /** What the stepper counts volumes in. */
  protected readonly ownLitres = computed(() => {
    const perUnit = this.units.system() === 'metric' ? 1 : litresIn.gallon;
    return { perUnit, unit: perUnit === 1 ? 'L' : 'gal' };
  });

  protected setCount(count: number): void {
    const { job } = this.store.recipe();
    if ('litres' in job) return;
    const whole = Math.round(count);
    this.store.patch(
      { job: 'trays' in job ? { ...job, trays: whole } : { ...job, vessels: whole } },
      'count',
    );
  }

  protected setSpare(sparePct: number): void {
    const { job } = this.store.recipe();
    if (!('litres' in job)) this.store.patch({ job: { ...job, sparePct } }, 'spare');
  }

  /** What breaks needs mix too: no less extra than that. */
  protected setBreak(breakPct: number | undefined): void {
    this.kit.set({ breakPct });
    const { job } = this.store.recipe();
    const pressed = withBroken(1000, breakPct ?? 0);
    const extra = Math.ceil(pressed / 10 - 100 - 1e-9);
    if (!('litres' in job) && job.sparePct < extra) this.setSpare(extra);
  }

  protected nameOf(vessel: string): string {
    return this.kinds().find(({ id }) => id === vessel)?.name ?? vessel;
  }

  /** So many of another vessel of the same batch; none takes it out. */
  protected setAlso(vessel: string, count: number | undefined): void {
    const { job } = this.store.recipe();
    const kind = this.kinds().find(({ id }) => id === vessel);
    if ('litres' in job || !kind) return;
    const others = (job.also ?? []).filter((alsoFilled) => alsoFilled.vessel !== vessel);
    const eachL = Number(volumeL(kind.vessel).toPrecision(6));
    const also = count === undefined ? others : [...others, { vessel, count, eachL }];
    const { also: _, ...bare } = job;
    this.store.patch({ job: also.length > 0 ? { ...bare, also } : bare }, texts.also(vessel));
  }

  protected setLitres(litres: number): void {
    this.store.patch({ job: { litres } }, 'litres');
  }

  /** Something of the closed part is set: it must be seen. */
  protected readonly special = computed(() => {
    const { fillPct, tinySeed } = this.store.recipe();
    return fillPct !== undefined || tinySeed === true;
  });
  protected readonly topUp = computed(() => {
    const full = this.kinds().find(({ id }) => id === this.store.recipe().vessel);
    const rest = full ? volumeL(full.vessel) - volumeL(this.store.kind().vessel) : 0;
    return rest > 1e-6 ? rest : null;
  });

  protected fillTo(fillPct: number): void {
    const { fillPct: _, ...recipe } = this.store.recipe();
    this.store.set(fillPct >= 100 ? recipe : { ...recipe, fillPct }, 'fill');
  }

  protected forTinySeed(yes: boolean): void {
    const { tinySeed: _, ...recipe } = this.store.recipe();
    this.store.set(yes ? { ...recipe, tinySeed: true } : recipe, 'seed');
  }

  protected forAcidLovers(yes: boolean): void {
    const { crops: _, ...recipe } = this.store.recipe();
    this.store.set(yes ? { ...recipe, crops: 'acid-lovers' } : recipe, 'crops');
  }

  protected countBy(way: Way): void {
    const kind = this.store.kind();
    const litres = this.store.litres();
    const each = volumeL(kind.vessel);
    const many = (litresOfOne: number): number => Math.max(1, Math.floor(litres / litresOfOne + 1e-9));
    this.store.patch(
      {
        job:
          way === 'trays'
            ? { trays: many(each * kind.perTray), sparePct: 0 }
            : way === 'vessels'
              ? { vessels: many(each), sparePct: 0 }
              : { litres: Math.round(litres * 10) / 10 },
      },
      texts.countBy,
    );
  }
}

function sizeText(vessel: Vessel, system: UnitSystem): string {
  const length = (mm: number): string => showLength(mm, system).text;
  const unit = system === 'metric' ? 'mm' : 'in';
  return byShape(vessel, {
    block: ({ edgeMm: [a, b], depthMm }) =>
      a === b && b === depthMm
        ? texts.cube(length(a), unit)
        : texts.deep(length(a), length(b), length(depthMm), unit),
    round: ({ topMm, depthMm }) => texts.acrossDeep(length(topMm), length(depthMm), unit),
    rect: ({ topMm: [a, b], depthMm }) => texts.deep(length(a), length(b), length(depthMm), unit),
  });
}
