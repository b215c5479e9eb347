import { WrittenPipe } from '../ui/words/written';
import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { isCare } from '#core/judge/flag';
import { inSpoons, scoops } from '#core/batch/scoops';
import { cardParts } from '#core/batch/card-parts';
import { scoopText } from '#core/units/scooped';
import { targetSaturation } from '#core/mix/moisture';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { vesselsOf } from '#core/recipe/recipe';
import { costSays } from '#core/units/money';
import { fixed } from '#core/units/show';
import { LibraryService } from '../data/library';
import { ReaderHere } from '../data/reader-here';
import { Money } from '../data/money';
import { ScoopChoice } from '../data/scoop-choice';
import { Units } from '../data/units';
import { Fold } from '../ui/fold';
import { BatchRemarks } from '../ui/batch-remarks';
import { Amount } from '../ui/words/amount';
import { SaidPipe } from '../ui/words/said';
import { Swatch } from '../ui/pictures/swatch';
import { inReadersUnits, readingWords, shortName, stageNames } from '../ui/words/words';
import { batchCard as texts } from '#words/en/places/batches/batch-card';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

/** The bench card: what to scoop, weigh and pour, and in what order. One page of A4 or Letter. */
@Component({
  selector: 'app-batch-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './batch-card.html',
  styleUrl: './batch-card.scss',
  imports: [Amount, BatchRemarks, Fold, NgTemplateOutlet, SaidPipe, Swatch, TitlePipe, WrittenPipe],
})
export class BatchCard {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly name = input.required<string>();
  readonly madeOn = input.required<string>();
  readonly number = input<number | null>(null);
  readonly snapshot = input.required<BatchSnapshot>();
  /** Before it is saved: amounts first, the work behind a line, what was found beside it. */
  readonly brief = input(false);
  /** Id of the scoop to count in. */
  readonly scoop = input.required<string>();
  private readonly units = inject(Units);
  private readonly reader = inject(ReaderHere);
  private readonly money = inject(Money);
  private readonly choice = inject(ScoopChoice);

  private readonly library = inject(LibraryService).library;
  protected readonly stage = computed(() => stageNames[this.snapshot().recipe.stage].name);
  protected readonly scoopOf = computed(
    () => this.choice.measure(this.scoop(), this.snapshot()) ?? scoops[0]!,
  );
  protected readonly forWhat = computed(() => {
    const { recipe, vessel } = this.snapshot();
    const { job } = recipe;
    if ('litres' in job) return texts.forIt(vessel.name);
    const also = (job.also ?? [])
      .map((alsoFilled) => `, ${alsoFilled.count} × ${this.nameOf(alsoFilled.vessel)}`)
      .join('');
    const spare = `${also}${job.sparePct > 0 ? texts.extra(job.sparePct) : ''}`;
    const single = vesselsOf(job, vessel);
    if ('vessels' in job) return texts.sOf(single, vessel.noun, vessel.name, spare);
    if (vessel.perTray === 1) return `${job.trays} × ${vessel.name}${spare}`;
    return `${job.trays} × ${vessel.name} (${single} ${vessel.noun}s)${spare}`;
  });
  private nameOf(vessel: string): string {
    return this.library()?.vessels.get(vessel)?.name ?? vessel;
  }

  protected readonly saturation = computed(() =>
    Math.round(targetSaturation[this.snapshot().moisture] * 100),
  );

  protected readonly parts = computed(() => {
    return cardParts(this.snapshot(), this.scoopOf().litres).map((part) => ({
      ...part,
      name: shortName(part.name),
      scoops: scoopText(part.scoops),
      // What is too little to count is measured by its volume.
      errorPct: part.scoops.error === -1 ? 0 : Math.round(part.scoops.error * 100),
    }));
  });
  protected readonly doses = computed(() => {
    const { sheet, amendments, doses } = this.snapshot();
    return sheet.amendments.map((a, i) => ({
      ...a,
      name: shortName(amendments[i]!.name),
      gPerL: doses[i]!.gPerL,
      spoons: inSpoons(a.grams, amendments[i]!.bulkDensityGPerMl, this.units.system()),
    }));
  });
  /** A kept card has the prices of its day; a new one is told beside it. */
  protected readonly cost = computed(() => {
    const { cost, sheet } = this.snapshot();
    return cost
      ? this.reader.read(costSays('cost.batch', { ...cost, litres: sheet.litres, sign: this.money.sign() }))
      : '';
  });
  protected readonly looseLitres = computed(() =>
    this.snapshot().sheet.components.reduce((sum, c) => sum + c.looseLitres, 0),
  );
  protected readonly readings = computed(() =>
    this.snapshot().readings.map((r) => {
      const words = readingWords(r.id, this.snapshot().vessel.noun);
      const read = inReadersUnits(r, this.units.system());
      const text = `${fixed(read.value, read.places ?? words.places)} ${read.unit}`.trim();
      return { id: r.id, name: words.name, text, verdict: r.verdict };
    }),
  );
  /** Reminders of care at work: quiet, but never lost from the card. */
  protected readonly care = computed(() => this.snapshot().flags.filter(isCare));
}
