import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { type OwnWater } from '#contract/water';
import {
  alkalinityOfKit,
  type Ion,
  ions,
  loudnessOfWater,
  remarksOn,
  waterKinds,
  type WaterKind,
} from '#core/weeks/own-water';
import { fixed } from '#core/units/show';
import { Notices } from '../data/notices';
import { Units } from '../data/units';
import { WatersService } from '../data/waters';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { shownIn } from '../ui/words/shown-in';
import { waterKindNames, waterRemarkSays } from '../ui/words/water-words';
import { waterList as texts } from '#words/en/places/shelf/water-list';
import { common } from '#words/en/places/common';

const ionNames: Record<Ion, string> = {
  caMgPerL: texts.calcium,
  mgMgPerL: texts.magnesium,
  naMgPerL: texts.sodium,
  clMgPerL: texts.chloride,
};

/** The nursery's waters, by report or kit. */
@Component({
  selector: 'app-water-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">{{ texts.whatTheMainsTheWell }}</p>
    <app-fetch-state [of]="waters.all" [what]="texts.yourWaters" />
    <ul class="rows ended">
      @for (each of remarks(); track each.water.id) {
        <li>
          <b>{{ each.water.name }}</b>
          <span>{{ each.says }}</span>
          <button type="button" class="press" (click)="putAway(each.water)">
            {{ common.archive }}<span class="visually-hidden"> {{ each.water.name }}</span>
          </button>
          @for (remark of each.remarks; track remark.says) {
            <p class="remark" [class]="remark.loudness">{{ remark.says }}</p>
          }
        </li>
      } @empty {
        @if (waters.all.value()) {
          <li class="term">
            {{ texts.noneYetEnterYoursFrom }}
          </li>
        }
      }
    </ul>
    <h2>{{ texts.anotherWater }}</h2>
    <div class="fields">
      <app-text-field [label]="texts.whatYouCallIt" [(value)]="name" />
      <app-choice-field [label]="texts.comesFrom" [choices]="kinds" [(value)]="kind" />
      <app-number-field
        [label]="texts.alkalinityAsCalciumCarbonate"
        unit="mg/L"
        within="alkalinityMgPerL"
        [(value)]="alkalinity"
      />
      <app-number-field label="EC, mS/cm" within="waterEcMSPerCm" [(value)]="ec" />
      <app-number-field [label]="texts.phIfGiven" within="waterPh" [(value)]="ph" />
    </div>
    <details class="own">
      <summary>{{ texts.byADropKitInstead }}</summary>
      <div class="fields">
        <app-number-field
          [label]="texts.dropsUntilTheColourTurns"
          within="kitDrops"
          [whole]="true"
          [(value)]="drops"
        />
        <app-number-field
          [label]="texts.eachDropCounts"
          unit="mg/L"
          within="kitDropMgPerL"
          [(value)]="each"
        />
        <button type="button" class="press" [disabled]="byKit() === null" (click)="alkalinity.set(byKit()!)">
          {{ texts.take(byKit() === null ? texts.it : kitSays()) }}
        </button>
      </div>
    </details>
    <div class="fields">
      @for (ion of ions; track ion) {
        <app-number-field
          [label]="ionNames[ion] + texts.ifGiven"
          unit="mg/L"
          within="waterIonMgPerL"
          [value]="found()[ion]"
          (valueChange)="setIon(ion, $event)"
        />
      }
      <button
        type="button"
        class="press next"
        [disabled]="name().trim() === '' || alkalinity() === undefined || ec() === undefined"
        (click)="add()"
      >
        {{ common.save }}
      </button>
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    li p {
      flex: 1 0 100%;
      margin: 0;
    }
    .fields {
      margin-top: 12px;
    }
  `,
  imports: [ChoiceField, FetchState, NumberField, TextField],
})
export class WaterList {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly waters = inject(WatersService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly ions = ions;
  protected readonly ionNames = ionNames;
  protected readonly kinds = waterKinds.map((id) => ({ id, name: waterKindNames[id] }));
  protected readonly name = signal('');
  protected readonly kind = signal<string | null>('mains');
  protected readonly alkalinity = signal<number | undefined>(undefined);
  protected readonly ec = signal<number | undefined>(undefined);
  protected readonly ph = signal<number | undefined>(undefined);
  protected readonly found = signal<Partial<Record<Ion, number | undefined>>>({});
  protected readonly drops = signal<number | undefined>(undefined);
  protected readonly each = signal<number | undefined>(undefined);
  protected readonly problem = signal('');

  private readonly mg = computed(() => shownIn('mg/L', this.units.system()).unit);
  protected readonly remarks = computed(() =>
    (this.waters.all.value() ?? []).map((water) => {
      const mg = this.mg();
      const more = ions
        .flatMap((ion) =>
          water[ion] === null ? [] : [`${ionNames[ion].toLowerCase()} ${fixed(water[ion], 0)}`],
        )
        .join(', ');
      return {
        water,
        says: texts.alkalinityEc(
          waterKindNames[water.kind],
          fixed(water.alkalinityMgPerL, 0),
          mg,
          fixed(water.ecMSPerCm, 2),
          water.ph === null ? '' : `, pH ${fixed(water.ph, 1)}`,
          more && `; ${more} ${mg}`,
        ),
        remarks: remarksOn(water).map((remark) => ({
          says: waterRemarkSays(remark, mg),
          loudness: loudnessOfWater(remark),
        })),
      };
    }),
  );
  protected readonly byKit = computed(() => {
    const [drops, each] = [this.drops(), this.each()];
    return drops === undefined || each === undefined ? null : alkalinityOfKit(drops, each);
  });
  protected readonly kitSays = computed(() => `${fixed(this.byKit() ?? 0, 0)} ${this.mg()}`);

  protected setIon(ion: Ion, value: number | undefined): void {
    this.found.update((found) => ({ ...found, [ion]: value }));
  }

  protected add(): void {
    const [alkalinityMgPerL, ecMSPerCm] = [this.alkalinity(), this.ec()];
    if (alkalinityMgPerL === undefined || ecMSPerCm === undefined) return;
    this.problem.set('');
    const { caMgPerL = null, mgMgPerL = null, naMgPerL = null, clMgPerL = null } = this.found();
    const kind = (this.kind() ?? 'mains') as WaterKind;
    this.waters
      .add({
        ...{ name: this.name().trim(), kind, on: null, alkalinityMgPerL, ecMSPerCm },
        ...{ ph: this.ph() ?? null, caMgPerL, mgMgPerL, naMgPerL, clMgPerL },
      })
      .subscribe({
        next: () => {
          this.name.set('');
          for (const box of [this.alkalinity, this.ec, this.ph, this.drops]) box.set(undefined);
          this.found.set({});
        },
        error: (error: Error) => this.problem.set(texts.notKept(error.message)),
      });
  }

  protected putAway({ id, name }: OwnWater): void {
    this.waters.putAway(id).subscribe({
      next: () => this.notices.undoable(texts.isArchived(name), () => this.waters.restore(id)),
      error: (error: Error) => this.notices.say(error.message),
    });
  }
}
