import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { convertEc, type EcMethod } from '#core/mix/salts';
import { type MeasuredByHand, withTests } from '#core/recipe/recipe';
import { significant } from '#core/units/show';
import { ChoiceField } from '../../ui/fields/choice-field';
import { type Asked, NumberList } from '../../ui/fields/number-list';
import { Fold } from '../../ui/fold';
import { ecMethodNames } from '../../ui/words/words';
import { JarTest } from './jar-test';
import { RecipeStore } from '../../bench/recipe-store';
import { ownTests as texts } from '#words/en/places/mix/tests/own-tests';

const methods = (Object.keys(ecMethodNames) as EcMethod[]).map((id) => ({ id, name: ecMethodNames[id] }));

const yieldAsked: Asked<'scooped' | 'settled'>[] = [
  { name: 'scooped', label: texts.scoopedInAllAnyUnit, within: 'scooped' },
  { name: 'settled', label: texts.settledToSameUnit, within: 'scooped' },
];
type Test = 'airPct' | 'ph' | 'ecByPen';
const asked: Asked<Test>[] = [
  { name: 'airPct', label: texts.airAfterDraining, unit: '%', within: 'measuredAirPct' },
  { name: 'ph', label: texts.phByPenAWeek, within: 'measuredPh' },
  { name: 'ecByPen', label: texts.ecByPen, unit: 'mS/cm', within: 'measuredEcMSPerCm' },
];

/** The person's own tests of this mix: each replaces an estimate and narrows its band. */
@Component({
  selector: 'app-own-tests',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details appFold #fold="appFold">
      <summary>
        {{ texts.yourOwnTestsOfThis }}
        <span class="term">{{ count() ? count() + texts.inUse : texts.noneYetEachOneSharpens }}</span>
      </summary>
      @if (fold.opened()) {
        <div class="fields">
          <app-number-list [asked]="yieldAsked" [values]="yielded()" (typed)="takeYield($event)" />
          @if (yieldProblem()) {
            <p class="wrong" role="alert">{{ yieldProblem() }}</p>
          }
          <app-number-list [asked]="asked" [values]="shown()" (typed)="take($event)" />
          <app-choice-field
            [label]="texts.ecTakenBy"
            [choices]="methods"
            [value]="method()"
            (valueChange)="setMethod($event!)"
          />
        </div>
        <app-jar-test (fitted)="set({ jar: $event })" />
        @if (tests().jar; as jar) {
          <p>
            {{ texts.inUsePhBeforeLime(number(jar.phBeforeLime), number(jar.bufferMeqPerLPerPh)) }}
          </p>
        }
        @if (count()) {
          <button type="button" class="press" (click)="clear()">{{ texts.deleteTheseTests }}</button>
        }
      }
    </details>
  `,
  styleUrl: './own-tests.scss',
  imports: [ChoiceField, Fold, JarTest, NumberList],
})
export class OwnTests {
  protected readonly texts = texts;
  private readonly store = inject(RecipeStore);
  protected readonly methods = methods;
  protected readonly yielded = signal<{ scooped?: number; settled?: number }>({});
  protected readonly yieldAsked = yieldAsked;
  protected readonly asked = asked;
  protected readonly yieldProblem = signal('');
  protected readonly method = signal<EcMethod>('saturated');

  protected readonly tests = computed((): MeasuredByHand => this.store.recipe().measured ?? {});
  protected readonly count = computed(() => Object.keys(this.tests()).length);
  /** The pen's own figure, in the method it was taken by. */
  protected readonly ec = computed(() => {
    const saturated = this.tests().ecSaturatedMSPerCm;
    return saturated === undefined ? undefined : this.convert(saturated, 'saturated', this.method());
  });

  protected readonly shown = computed(() => ({ ...this.tests(), ecByPen: this.ec() }));

  protected take([name, value]: [Test, number | undefined]): void {
    if (name === 'ecByPen') this.setEc(value);
    else this.set({ [name]: value });
  }

  protected set(change: { [K in keyof MeasuredByHand]?: MeasuredByHand[K] | undefined }): void {
    const merged = Object.entries({ ...this.tests(), ...change }).filter(([, value]) => value !== undefined);
    const measured = Object.fromEntries(merged) as MeasuredByHand;
    this.store.set(withTests(this.store.recipe(), measured), `test ${Object.keys(change).join()}`);
  }

  protected takeYield([name, value]: ['scooped' | 'settled', number | undefined]): void {
    this.yielded.update((all) => ({ ...all, [name]: value }));
    const { scooped, settled } = this.yielded();
    this.yieldProblem.set('');
    if (scooped === undefined || settled === undefined) return;
    const shrinkagePct = 100 * (1 - settled / scooped);
    if (shrinkagePct < 0 || shrinkagePct > 50) {
      this.yieldProblem.set(
        texts.itMustSettleToBetween(settled, scooped, significant(100 * (settled / scooped), 3)),
      );
      return;
    }
    this.set({ shrinkagePct });
  }

  protected setEc(pen: number | undefined): void {
    this.set({
      ecSaturatedMSPerCm: pen === undefined ? undefined : this.convert(pen, this.method(), 'saturated'),
    });
  }

  /** Another method: the pen's figure stays, what it means changes. */
  protected setMethod(chosen: string): void {
    const method = chosen as EcMethod;
    const pen = this.ec();
    this.method.set(method);
    if (pen !== undefined) this.setEc(pen);
  }

  protected clear(): void {
    this.yielded.set({});
    this.yieldProblem.set('');
    this.store.set(withTests(this.store.recipe(), {}), 'forget tests');
  }

  protected number(value: number): string {
    return significant(value, 3);
  }

  private convert(ec: number, from: EcMethod, to: EcMethod): number {
    const outcome = this.store.outcome();
    if (outcome.state !== 'computed') return ec;
    const { composition, drained } = outcome.judgement.evaluation;
    return convertEc(ec, from, to, { totalPorosity: composition.totalPorosity, water: drained.water });
  }
}
