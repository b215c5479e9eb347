import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { stageWindows } from '#core/mix/windows';
import { type Stage, stages } from '#core/mix/stage';
import { type WindowId, windowLimits } from '#core/mix/windows-asked';
import { windowsOfApproach } from '#core/recipe/approaches';
import {
  askedTogether,
  type CropGroup,
  cropDefaults,
  cropGroups,
  type OwnEnds,
  type OwnWindows,
} from '#core/recipe/windows-wanted';
import { limits } from '#core/units/limits';
import { Notices } from '../data/notices';
import { ApproachChoice } from '../data/approach-choice';
import { Units } from '../data/units';
import { WindowsService } from '../data/windows';
import { FetchState } from '../ui/fetch-state';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { stageNames } from '../ui/words/words';
import { ownWindows as texts } from '#words/en/places/settings/own-windows';
import { common } from '#words/en/places/common';

type Of = Stage | CropGroup;

const windowWords: Record<WindowId, [name: string, unit: string]> = {
  airPct: [texts.airInTheVessel, '%'],
  blockAirPct: [texts.airInABlockOnce, '%'],
  cohesion: [texts.holdsTogether0To1, ''],
  ph: ['pH', ''],
  ecSaturatedMSPerCm: [texts.saltsSaturatedExtract, 'mS/cm'],
  nMgPerL: [common.availableNitrogen, 'mg/L'],
  easilyAvailableWaterPct: [texts.easyWaterForTheFinder, '%'],
  wetDensityKgPerL: [texts.weightWhenWetForThe, texts.waterIs1],
};

const isCrop = (of: Of): of is CropGroup => (cropGroups as readonly string[]).includes(of);

/** Where each reading should lie: the usual windows with their source, and the nursery's own in their place. */
@Component({
  selector: 'app-own-windows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-windows.html',
  styles: `
    :host {
      display: block;
    }
    .row {
      display: grid;
      grid-template-columns: minmax(150px, 220px) 90px 90px minmax(0, 1fr);
      gap: 4px 16px;
      align-items: end;
      padding: 8px 0;
      border-bottom: 1px solid var(--hairline);
    }
    p {
      margin: 0 0 8px;
    }
    .wrong {
      grid-column: 1 / -1;
    }
    @media (max-width: 600px) {
      .row {
        grid-template-columns: 1fr 1fr;
        .name,
        .term {
          grid-column: 1 / -1;
        }
        .name .term {
          grid-column: auto;
        }
      }
    }
  `,
  imports: [FetchState, NumberField, Segments],
})
export class OwnWindowsForm {
  protected readonly texts = texts;
  private readonly service = inject(WindowsService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  private readonly way = inject(ApproachChoice);
  protected readonly fetched = this.service.own;
  protected readonly groups: { id: Of; name: string }[] = [
    ...stages.map((id) => ({ id, name: stageNames[id].name })),
    { id: 'acid-lovers', name: texts.acidLovers },
  ];
  protected readonly of = signal<Of>('germination');
  /** Low ends typed that are not below their high end: nothing is kept until they are. */
  protected readonly wrong = signal<{ id: WindowId; says: string } | null>(null);

  protected readonly rows = computed(() => {
    const of = this.of();
    const own = this.fetched.value();
    const asked = askedTogether(windowsOfApproach(this.way.approach()));
    const usual = isCrop(of)
      ? { ...cropDefaults[of], ...asked.crops[of] }
      : { ...stageWindows[of], ...asked.stages[of] };
    const ends = own && endsOf(own, of);
    return (Object.keys(windowWords) as WindowId[]).flatMap((id) => {
      const window = usual[id];
      if (!window) return [];
      const [name, metric] = windowWords[id];
      const unit = metric === 'mg/L' && this.units.system() === 'us' ? 'ppm' : metric;
      const changed = ends?.[id];
      return [
        {
          ...{ id, name, unit, changed: changed !== undefined, within: limits[windowLimits[id]] },
          ...{ low: changed?.low ?? window.low, high: changed?.high ?? window.high },
          usual: texts.to(window.low, window.high, unit && ` ${unit}`),
          source: window.source,
        },
      ];
    });
  });

  protected set(
    row: ReturnType<typeof this.rows>[number],
    end: 'low' | 'high',
    value: number | undefined,
  ): void {
    if (value === undefined) return;
    const next = { low: row.low, high: row.high, [end]: value };
    if (!(next.low < next.high)) {
      this.wrong.set({
        id: row.id,
        says: texts.toIsNotARange(row.name, next.low, next.high),
      });
      return;
    }
    this.wrong.set(null);
    this.keep(row.id, next);
  }

  protected back(id: WindowId): void {
    this.wrong.set(null);
    this.keep(id, undefined);
  }

  private keep(id: WindowId, ends: { low: number; high: number } | undefined): void {
    const own = this.fetched.value();
    if (!own) return;
    const of = this.of();
    const { [id]: _, ...others } = endsOf(own, of);
    const changed = { ...others, ...(ends && { [id]: ends }) };
    this.service.change(
      isCrop(of)
        ? { ...own, crops: { ...own.crops, [of]: changed } }
        : { ...own, stages: { ...own.stages, [of]: changed } },
      (why) => this.notices.say(texts.notKept(why)),
    );
  }
}

const endsOf = (own: OwnWindows, of: Of): OwnEnds => (isCrop(of) ? own.crops[of] : own.stages[of]) ?? {};
