import { ThingPipe } from '../ui/words/thing';
import { OutOfRange } from '#core/units/check';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { differenceInDays, parseISO } from 'date-fns';
import { switchMap } from 'rxjs';
import { type Lot } from '#contract/lots';
import { type Material, type MaterialRow, materialToRow } from '#core/material/material';
import { oversizeOf } from '#core/material/screened';
import { fills } from '#core/package/stock';
import { libraryOf } from '#core/recipe/library';
import { materialOfRecipe } from '#core/recipe/mix-material';
import { measuredOf } from '#core/recipe/recipe';
import { volumeL } from '#core/vessel/vessel';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { ShelfService } from '../data/shelf';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { BinFill } from '../ui/pictures/bin-fill';
import { Amount } from '../ui/words/amount';
import { DayPipe } from '../ui/words/day';
import { beginWord, tubSays } from '../ui/words/tub-says';
import { RunState } from './run-state';
import { common } from '#words/en/places/common';
import { tubPanel as texts } from '#words/en/places/run/tub-panel';
import { FIRST_UNSENT } from '../data/record';
import { ReaderHere } from '../data/reader-here';

/** A tub in a shed, where nobody says. */
const SHED_C = 12;

/** What is left in the tub, what it still fills, and what becomes of it and of what stayed on the screen. */
@Component({
  selector: 'app-tub-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (run.stand(); as stand) {
      @if (stand.state.made) {
        <div class="tub">
          <app-bin-fill [share]="run.left() / made()" />
          <p>
            <b><app-amount [of]="{ volumeL: run.left() }" /></b> {{ texts.leftOf }}
            <app-amount [of]="{ volumeL: made() }" />
            <span class="term">{{ says() }}</span>
          </p>
        </div>
      }
      @for (remark of remarks(); track remark.id) {
        <p class="remark" [class]="remark.severity">{{ remark.text }}</p>
      }
      @if (!stand.state.made) {
        <button type="button" class="press next" (click)="isMixed()">{{ texts.itIsMixed }}</button>
      } @else {
        <a class="press next" routerLink="/plants/new" [queryParams]="sowing()">{{ begin() }}</a>
      }
      @for (ask of stand.tub.asks; track ask.id) {
        <div class="remark note alike" role="group" [attr.aria-label]="texts.toldTwice">
          <p>{{ texts.looksTwice(ask.count, ask.what, ask.on | day) }}</p>
          <button type="button" class="press" (click)="say(ask.id, true)">{{ texts.theSame }}</button>
          <button type="button" class="press" (click)="say(ask.id, false)">{{ texts.two }}</button>
        </div>
      }
      @if (stand.tub.uses.length > 0) {
        <ul class="rows uses" [attr.aria-label]="texts.filled">
          @for (use of stand.tub.uses; track use.id) {
            <li>
              <span
                >{{ use.count }} · {{ use.what }}
                <span class="term"
                  >{{ use.on | day }}{{ use.reckoned ? texts.reckoned : use.topped ? texts.topped : '' }}
                  @if (use.litres) {
                    · <app-amount [of]="{ volumeL: use.litres }" />
                  }
                </span>
              </span>
              @if (use.planting) {
                <a class="press quiet" [routerLink]="['/plants', use.planting]">{{ texts.thePlants }}</a>
              } @else if (use.id < unsentFrom) {
                <button type="button" class="press quiet" (click)="undo(use.id)">
                  {{ common.undo }}<span class="visually-hidden">: {{ use.what }}</span>
                </button>
              }
            </li>
          }
        </ul>
      }
    }
    <div class="fields">
      <app-choice-field [label]="texts.howManyWouldItFill" [choices]="vessels()" [(value)]="vessel" />
      <app-number-field [label]="texts.lookedThereIs" unit="L" within="stock" [(value)]="looked" />
      <button type="button" class="press" [disabled]="looked() === undefined" (click)="look()">
        {{ texts.enter }}
      </button>
    </div>
    <div class="acts">
      @if (run.left() > 0.5) {
        <button type="button" class="press" (click)="keepRest()">{{ texts.saveWhatIsLeftAs }}</button>
      }
      @for (each of oversize(); track each.name) {
        <button type="button" class="press" (click)="keepOversize(each)">
          {{ texts.saveThe(each.material | thing) }}&nbsp;<app-amount [of]="{ volumeL: each.litres }" />{{
            texts.asALot
          }}
        </button>
      }
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    .tub {
      display: flex;
      gap: 12px;
      align-items: center;
      margin: 6px 0;
    }
    p {
      margin: 0;
    }
    .tub b {
      font-size: var(--head);
    }
    .remark {
      margin: 8px 0;
    }
    .alike {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      p {
        flex-basis: 100%;
      }
    }
    .uses li {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      justify-content: space-between;
      gap: 4px 12px;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 8px 0;
    }
  `,
  imports: [Amount, BinFill, ChoiceField, DayPipe, NumberField, RouterLink, ThingPipe],
})
export class TubPanel {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly unsentFrom = FIRST_UNSENT;
  private readonly reader = inject(ReaderHere);
  protected readonly run = inject(RunState);
  private readonly library = inject(LibraryService);
  private readonly lots = inject(LotsService);
  private readonly shelf = inject(ShelfService);
  private readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  protected readonly vessel = linkedSignal<string | null>(() => this.run.snapshot()?.vessel.id ?? null);
  protected readonly looked = signal<number | undefined>(undefined);
  protected readonly problem = signal('');
  protected readonly made = computed(() => this.run.snapshot()?.sheet.litres ?? 1);
  protected readonly vessels = computed(() =>
    [...(this.library.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );
  /** The batch's own as it was filled, another as the library has it. */
  private readonly kind = computed(() => {
    const own = this.run.snapshot()?.vessel;
    return own?.id === this.vessel() ? own : this.library.library()?.vessels.get(this.vessel() ?? '');
  });
  protected readonly says = computed(() => {
    const kind = this.kind();
    if (!kind) return '';
    const count = fills(this.run.left(), volumeL(kind.vessel));
    return texts.fillsMoreOf(count, kind.noun, this.reader.formats().title(kind));
  });

  protected readonly remarks = computed(() => {
    const stand = this.run.stand();
    if (!stand) return [];
    return tubSays(
      { state: stand.state, overLitres: stand.tub.overL },
      this.reader.now(),
      this.nursery.today(),
    );
  });
  protected readonly begin = computed(() => beginWord(this.run.snapshot()?.recipe.stage));
  protected readonly sowing = computed(() => ({ batch: this.run.batch()?.id }));

  protected isMixed(): void {
    this.run.enter({ kind: 'made', on: this.nursery.today() });
  }

  protected undo(of: number): void {
    this.run.enter({ kind: 'undo', of });
  }

  protected say(of: number, same: boolean): void {
    this.run.enter({ kind: 'same', of, same });
  }

  /** What stayed on the screens, by part, as it was reckoned when the batch was made. */
  protected readonly oversize = computed(() => {
    const snapshot = this.run.snapshot();
    return (snapshot?.oversize ?? []).flatMap(({ material: id, litres }) => {
      const material = this.library.library()?.materials.get(id);
      const mm = snapshot?.recipe.components.find((part) => part.material === id)?.screenedMm;
      if (!material || mm === undefined || mm >= material.maxParticleMm) return [];
      const over = oversizeOf(material, mm);
      return [{ name: over.name, material: over, litres }];
    });
  });

  protected look(): void {
    const litres = this.looked();
    if (litres === undefined) return;
    this.run.enter({ kind: 'left', litres, on: this.nursery.today() });
    this.looked.set(undefined);
  }

  /** The rest of the batch as a material, with its age and its own tests, and a lot of it. */
  protected keepRest(): void {
    const batch = this.run.batch();
    if (!batch) return;
    const { snapshot, madeOn } = batch;
    const library = libraryOf(
      this.materialsOf(snapshot.materials, snapshot.recipe.components),
      snapshot.amendments,
      [snapshot.vessel],
    );
    const days = differenceInDays(parseISO(this.nursery.today()), parseISO(madeOn));
    const named = { id: 'own-rest', name: texts.whatIsLeftOf(batch.name).slice(0, 80) };
    try {
      const age = { weeks: Math.max(0, days) / 7, celsius: SHED_C };
      const tested = this.run.measured();
      const row = materialOfRecipe(snapshot.recipe, library, named, age, measuredOf(tested));
      this.keep(row, texts.yoursLeftOfBatch(batch.id), this.run.left(), 'left');
    } catch (error) {
      if (!(error instanceof OutOfRange)) throw error;
      this.problem.set(this.reader.problem(error));
    }
  }

  protected keepOversize({ material, litres }: { material: Material; litres: number }): void {
    this.keep(materialToRow(material), texts.yoursWhatStayedOnThe, litres, 'oversize');
  }

  /** Screened parts stand in the batch as they went in: with their own ids and no screen to go through again. */
  private materialsOf(
    materials: readonly Material[],
    components: readonly { material: string }[],
  ): Material[] {
    return components.flatMap(({ material }, i) => (materials[i] ? [{ ...materials[i], id: material }] : []));
  }

  private keep(row: MaterialRow, says: string, litres: number, what: NonNullable<Lot['from']>['what']): void {
    const { id: _, ...bare } = row;
    const name = row.name.slice(0, 80);
    const existing = [...(this.library.library()?.materials.values() ?? [])].find(
      (m) => m.name === name && this.library.library()?.own?.has(m.id),
    );
    this.problem.set('');
    this.library
      .keepMaterial(existing?.id ?? null, says, { ...bare, name })
      .pipe(
        switchMap(({ id }) =>
          this.lots.add({
            ...{ kind: 'material', item: id, name, receivedOn: this.nursery.today() },
            ...{ quantity: litres, from: { batch: this.run.batch()?.id ?? null, what } },
          }),
        ),
      )
      .subscribe({
        next: (lot) => {
          this.shelf.lines.refresh();
          if (what === 'left') this.run.enter({ kind: 'left', litres: 0, on: this.nursery.today() });
          this.notices.say(texts.isOnYourShelf(name));
          void this.router.navigate(['/shelf/lots', lot.id]);
        },
        error: (error: Error) => this.problem.set(texts.notKept(error.message)),
      });
  }
}
