import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { convertEc, type EcMethod } from '#core/mix/salts';
import { type MeasuredByHand, withTests } from '#core/recipe/recipe';
import { significant } from '#core/units/show';
import { ChoiceField } from '../../ui/fields/choice-field';
import { NumberField } from '../../ui/fields/number-field';
import { ecMethodNames } from '../../ui/words/words';
import { JarTest } from './jar-test';
import { RecipeStore } from '../../bench/recipe-store';

const methods = (Object.keys(ecMethodNames) as EcMethod[]).map((id) => ({ id, name: ecMethodNames[id] }));

/** The person's own tests of this mix: each replaces an estimate and narrows its band. */
@Component({
  selector: 'app-own-tests',
  imports: [ChoiceField, JarTest, NumberField],
  template: `
    <details>
      <summary>
        Your own tests of this mix
        <span class="term">{{
          count() ? count() + ' in use' : 'none yet: each one sharpens the readings'
        }}</span>
      </summary>
      <div class="fields">
        <app-number-field
          label="Scooped in all, any unit"
          [value]="scooped()"
          within="scooped"
          (changed)="scooped.set($event); takeYield()"
        />
        <app-number-field
          label="Settled to, same unit"
          [value]="settled()"
          within="scooped"
          (changed)="settled.set($event); takeYield()"
        />
        @if (yieldProblem()) {
          <p class="wrong" role="alert">{{ yieldProblem() }}</p>
        }
        <app-number-field
          label="Air after draining, %"
          [value]="tests().airPct"
          within="measuredAirPct"
          (changed)="set({ airPct: $event })"
        />
        <app-number-field
          label="pH by pen, a week after liming"
          [value]="tests().ph"
          within="measuredPh"
          (changed)="set({ ph: $event })"
        />
        <app-number-field
          label="EC by pen, mS/cm"
          [value]="ec()"
          within="measuredEcMSPerCm"
          (changed)="setEc($event)"
        />
        <app-choice-field
          label="EC taken by"
          [choices]="methods"
          [value]="method()"
          (changed)="setMethod($event)"
        />
      </div>
      <app-jar-test (fitted)="set({ jar: $event })" />
      @if (tests().jar; as jar) {
        <p>
          In use: pH {{ number(jar.phBeforeLime) }} before lime, buffer
          {{ number(jar.bufferMeqPerLPerPh) }} meq/L per pH.
        </p>
      }
      @if (count()) {
        <button type="button" class="press" (click)="clear()">Forget these tests</button>
      }
    </details>
  `,
  styleUrl: './own-tests.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OwnTests {
  private readonly store = inject(RecipeStore);
  protected readonly methods = methods;
  protected readonly scooped = signal<number | undefined>(undefined);
  protected readonly settled = signal<number | undefined>(undefined);
  protected readonly yieldProblem = signal('');
  protected readonly method = signal<EcMethod>('saturated');

  protected readonly tests = computed((): MeasuredByHand => this.store.recipe().measured ?? {});
  protected readonly count = computed(() => Object.keys(this.tests()).length);
  /** The pen's own figure, in the method it was taken by. */
  protected readonly ec = computed(() => {
    const saturated = this.tests().ecSaturatedMSPerCm;
    return saturated === undefined ? undefined : this.convert(saturated, 'saturated', this.method());
  });

  protected set(change: { [K in keyof MeasuredByHand]?: MeasuredByHand[K] | undefined }): void {
    const merged = Object.entries({ ...this.tests(), ...change }).filter(([, value]) => value !== undefined);
    const measured = Object.fromEntries(merged) as MeasuredByHand;
    this.store.set(withTests(this.store.recipe(), measured), `test ${Object.keys(change).join()}`);
  }

  protected takeYield(): void {
    const [scooped, settled] = [this.scooped(), this.settled()];
    this.yieldProblem.set('');
    if (scooped === undefined || settled === undefined) return;
    const shrinkagePct = 100 * (1 - settled / scooped);
    if (shrinkagePct < 0 || shrinkagePct > 50) {
      this.yieldProblem.set(
        `It must settle to between half and all of what was scooped; ${settled} of ${scooped} is ${significant(100 * (settled / scooped), 3)} %`,
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
    this.scooped.set(undefined);
    this.settled.set(undefined);
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
