import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { type CorrectionStepMessage, correctionSays } from '#core/batch/correct-facts';
import { correctBatch, type BatchState, type CorrectionPlan } from '#core/batch/correct';
import { libraryOf } from '#core/recipe/library';
import { type Finding, findingsOf } from '#core/advise/findings';
import { judgeMix } from '#core/judge/judge';
import { measuredOf, mixInputOf } from '#core/recipe/recipe';
import { squeezes } from '#core/mix/moisture';
import { fixed } from '#core/units/show';
import { LibraryService } from '../data/library';
import { ShelfService } from '../data/shelf';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Fold } from '../ui/fold';
import { SaidPipe } from '../ui/words/said';
import { severityWord } from '../ui/words/verdict';
import { correctBatch as texts } from '#words/en/places/bench/correct-batch';
import { ReaderHere } from '../data/reader-here';

/** Middle of each grade of the squeeze scale, for a hand instead of a figure. */
const grades = squeezes.map((s, i) => {
  const low = i === 0 ? 0 : squeezes[i - 1]!.upTo;
  return { id: s.name, saturation: (low + Math.min(s.upTo, 1)) / 2 };
});

type Found = Omit<BatchState, 'input' | 'litres'>;

const numbers: Asked<keyof Found>[] = [
  { name: 'airPct', label: texts.airAfterDraining, unit: '%', within: 'measuredAirPct' },
  { name: 'ph', label: texts.phByPen, unit: '', within: 'measuredPh' },
  { name: 'ecSaturatedMSPerCm', label: texts.ecSaturatedExtract, unit: 'mS/cm', within: 'measuredEcMSPerCm' },
];

/** What was measured on a batch, and the least that puts it right. */
@Component({
  selector: 'app-correct-batch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './correct-batch.html',
  styleUrl: './correct-batch.scss',
  imports: [ChoiceField, Fold, NumberList, SaidPipe],
})
export class CorrectBatch {
  protected readonly texts = texts;
  protected readonly word = severityWord;
  protected readonly reader = inject(ReaderHere);
  readonly snapshot = input.required<BatchSnapshot>();
  private readonly library = inject(LibraryService).library;
  private readonly shelf = inject(ShelfService);
  protected readonly grades = grades.map(({ id }) => ({ id, name: this.reader.word(`squeeze.${id}`) }));
  /** What the tests of the batch found; can be typed over. */
  readonly found = input<Found>({});
  /** Whether a correction can be entered in a record. */
  readonly enters = input(false);
  readonly corrected = output<CorrectionStepMessage[]>();
  protected readonly measured = linkedSignal<Found>(() => this.found());

  /** Air is not measured in a pressed block. */
  protected readonly asked = computed(() =>
    this.snapshot().vessel.vessel.shape === 'block' ? numbers.filter((n) => n.name !== 'airPct') : numbers,
  );
  /** The batch is judged by what it was made of, not by what the library says today. */
  private readonly madeOf = computed(() => {
    const { recipe, materials, amendments, vessel } = this.snapshot();
    return mixInputOf(recipe, libraryOf(materials, amendments, [vessel]));
  });
  /** What Mix says of a mix that reads so: of what was measured, each subject once. */
  protected readonly findings = computed((): readonly Finding[] => {
    const { airPct, ph, ecSaturatedMSPerCm } = this.measured();
    const about: Finding['subject'][] = [
      ...(airPct === undefined ? [] : ['air' as const]),
      ...(ph === undefined ? [] : ['ph' as const]),
      ...(ecSaturatedMSPerCm === undefined ? [] : ['salts' as const]),
    ];
    if (about.length === 0) return [];
    const measured = measuredOf({
      ...(airPct !== undefined && { airPct }),
      ...(ph !== undefined && { ph }),
      ...(ecSaturatedMSPerCm !== undefined && { ecSaturatedMSPerCm }),
    });
    return findingsOf(judgeMix({ ...this.madeOf(), measured })).findings.filter(
      ({ subject, severity }) => severity !== 'note' && about.includes(subject),
    );
  });
  protected readonly plan = computed((): CorrectionPlan | null => {
    const library = this.library();
    const measured = this.measured();
    if (!library || Object.keys(measured).length === 0) return null;
    const { recipe, materials, sheet, moisture } = this.snapshot();
    const lime = library.amendments.get(recipe.lime?.amendment ?? 'lime-dolomitic');
    if (!lime) return null;
    const own = [...library.materials.values()].filter((m) => this.shelf.line(m.id).here);
    const shelf = own.length > 0 ? own : materials;
    return correctBatch({ input: this.madeOf(), litres: sheet.litres, ...measured }, shelf, lime, moisture);
  });
  protected readonly steps = computed(() => (this.plan()?.steps ?? []).map(correctionSays));
  protected readonly after = computed(() => {
    const after = this.plan()?.after;
    if (!after) return '';
    const { airPct, ph, ecSaturatedMSPerCm, saturation } = after;
    return [
      airPct === undefined ? '' : texts.air(fixed(airPct, 1)),
      ph === undefined ? '' : `pH ${fixed(ph, 1)}`,
      ecSaturatedMSPerCm === undefined ? '' : `EC ${fixed(ecSaturatedMSPerCm, 2)} mS/cm`,
      saturation === undefined ? '' : texts.ofThePoresFull(fixed(saturation * 100, 0)),
    ]
      .filter(Boolean)
      .join(', ');
  });

  protected enter(): void {
    this.corrected.emit(this.steps());
  }

  protected set([name, value]: [keyof Found, number | undefined]): void {
    this.measured.update((all) => {
      const next = { ...all };
      if (value === undefined) delete next[name];
      else next[name] = value;
      return next;
    });
  }

  protected squeeze(name: string): void {
    this.set(['saturation', grades.find((grade) => grade.id === name)?.saturation]);
  }
}
