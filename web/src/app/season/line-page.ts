import { dayFrom } from '#words/days';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { isValid, parseISO } from 'date-fns';
import { addressOf } from '#contract/routes';
import { type Judgement } from '#core/judge/judge';
import { seedsInOne } from '#core/season/per-vessel';
import { type CropStep } from '#core/season/crop';
import { forward } from '#core/season/forward';
import { frostChance } from '#core/season/frost';
import { mixOf } from '#core/season/needs';
import { seasonOf, type SeasonSowing } from '#core/season/season';
import { seasonSays, worstFirst } from '#core/season/season-says';
import { sourSays } from '#core/season/sour-says';
import { type SeasonMessage, seasonSay, vesselsOf } from '#core/season/season-facts';
import { LibraryService } from '../data/library';
import { HalfDone } from '../data/half-done';
import { Notices } from '../data/notices';
import { type SeasonLine, SeasonService } from '../data/season';
import { Units } from '../data/units';
import { severityWord, VerdictPipe } from '../ui/words/verdict';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { SaidPipe } from '../ui/words/said';
import { stockAmount } from '../ui/words/stock-amount';
import { lineGiven, newLine } from './line-draft';
import { SeasonView } from './season-view';
import { StepsForm } from './steps-form';
import { linePage as texts } from '#words/en/places/season/line-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';
import { NurseryService } from '../data/nursery';

type Figure =
  | 'perCell'
  | ('plants' | 'count' | 'everyDays' | 'sparePct' | 'offsetDays' | 'seedYear')
  | ('germinationPct' | 'confidencePct' | 'came' | 'of');
const wanted: Asked<Figure>[] = [
  { name: 'plants', label: texts.plantsWantedEachTime, within: 'wantedPlants', whole: true },
  { name: 'sparePct', label: texts.extra, within: 'sparePct' },
  { name: 'count', label: texts.sownHowManyTimes, within: 'sowings', whole: true },
];
const perCell: Asked<Figure> = {
  name: 'perCell',
  label: texts.toEachVessel,
  within: 'seedsPerCell',
  whole: true,
};
const every: Asked<Figure> = {
  name: 'everyDays',
  label: texts.daysBetween,
  within: 'everyDays',
  whole: true,
};
const offset: Asked<Figure> = {
  name: 'offsetDays',
  label: texts.daysAfterTheLastFrost,
  within: 'plantOutDays',
  whole: true,
};
const seed: Asked<Figure>[] = [
  { name: 'germinationPct', label: texts.germinationOnThePacket, within: [1, 100] },
  { name: 'seedYear', label: texts.yearOfTheSeed, within: [1900, 2200], whole: true },
  { name: 'of', label: texts.yourTestSeedsLaidOut, within: 'seedTested', whole: true },
  { name: 'came', label: texts.yourTestCameUp, within: [0, 10_000], whole: true },
  { name: 'confidencePct', label: texts.chanceOfEnoughPlants, within: [50, 99.99] },
];

interface Tested {
  came?: number | undefined;
  of?: number | undefined;
}

/** One crop of the season: what is wanted by when, and at once what that takes and when it begins. */
@Component({
  selector: 'app-line-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './line-page.html',
  styleUrl: './line-page.scss',
  imports: [
    ChoiceField,
    FetchState,
    NumberList,
    RouterLink,
    SaidPipe,
    Segments,
    StepsForm,
    TextField,
    VerdictPipe,
  ],
})
export class LinePage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly word = severityWord;
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  /** From the address; "new" for one that is not there yet. */
  readonly id = input.required<string>();
  protected readonly service = inject(SeasonService);
  protected readonly view = inject(SeasonView);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  protected readonly problem = signal('');
  protected readonly busy = signal(false);
  protected readonly draft = signal<SeasonLine>(newLine('tomato'));
  /** Of an own test only both numbers together are one. */
  private readonly tested = signal<Tested>({});
  private readonly hangs = signal<'frost' | 'day'>('frost');

  protected readonly by = computed(() => this.hangs());
  protected readonly ways: { id: 'frost' | 'day'; name: string }[] = [
    { id: 'frost', name: texts.fromTheLastFrost },
    { id: 'day', name: texts.onADay },
  ];
  protected readonly seedFields = seed;
  protected readonly offset = [offset];
  protected readonly isNew = computed(() => this.id() === 'new');

  private readonly halfDone = new HalfDone<{ line: SeasonLine; tested: Tested; hangs: 'frost' | 'day' }>(
    'season-line',
  );
  /** Which one the form holds. */
  private taken = '';

  constructor() {
    // What is there is taken up once, and not again under the hand that changes it.
    effect(() => {
      const [id, plan] = [this.id(), this.service.plan.value()];
      if (!plan || this.taken === id) return;
      untracked(() => {
        const existing = plan.lines.find((line) => String(line.id) === id);
        const left = this.halfDone.of(id);
        if (left) {
          this.draft.set({ ...newLine('tomato'), ...left.line });
          this.tested.set(left.tested);
          this.hangs.set(left.hangs);
        } else if (existing) this.take(existing);
        if (existing || id === 'new') this.taken = id;
      });
    });
  }

  protected leave(): void {
    this.halfDone.forget(this.id());
  }

  private take(line: SeasonLine): void {
    this.draft.set(line);
    this.tested.set(line.seedTest ?? {});
    this.hangs.set(line.plantOn === null ? 'frost' : 'day');
  }

  protected readonly unknown = computed(() => {
    const plan = this.service.plan.value();
    return plan !== undefined && !this.isNew() && !plan.lines.some((line) => String(line.id) === this.id());
  });
  protected readonly crop = computed(() => this.view.crops().get(this.draft().crop));
  protected readonly choices = computed(() =>
    [...this.view.crops().values()].map(({ id, name }) => ({ id, name })),
  );
  protected readonly wanted = computed(() => [
    ...wanted,
    ...(this.crop()?.start === 'divide' ? [] : [perCell]),
    ...(this.draft().count > 1 ? [every] : []),
  ]);
  protected readonly steps = computed(
    (): readonly CropStep[] => this.draft().steps ?? this.crop()?.steps ?? [],
  );
  protected readonly figures = computed((): Partial<Record<Figure, number | undefined>> => {
    const { plants, count, everyDays, sparePct, offsetDays, seedYear, germination, confidence } =
      this.draft();
    const crop = this.crop();
    return {
      ...{ plants, count, everyDays, sparePct, ...this.tested() },
      perCell: this.perCell(),
      offsetDays: offsetDays ?? crop?.plantOutDays,
      seedYear: seedYear ?? undefined,
      germinationPct: round(100 * (germination ?? crop?.germination ?? 0.8)),
      confidencePct: round(100 * confidence),
    };
  });

  /** Seeds to each: as typed, or as its crop and first vessel have them. */
  private readonly perCell = computed(() => {
    const [crop, first] = [this.crop(), this.steps()[0]];
    const kind = this.library()?.vessels.get(first?.vessel ?? '');
    return crop && kind ? seedsInOne(this.draft(), crop, kind) : undefined;
  });
  /** One more where too many stay empty. */
  protected readonly oneMore = computed(() => (this.perCell() ?? 0) + 1);

  protected readonly dayProblem = computed(() => {
    const { plantOn } = this.draft();
    return plantOn !== null && !isValid(parseISO(plantOn)) ? common.dayMustBeADate : '';
  });
  protected readonly testProblem = computed(() => {
    const { came, of } = this.tested();
    if (came === undefined && of === undefined) return '';
    if (came === undefined || of === undefined) return texts.aTestNeedsBothHow;
    return came > of ? texts.noMoreCanComeUp(of, came) : '';
  });

  /** What it comes to, as it is typed. */
  protected readonly answer = computed(
    (): { sowings: SeasonSowing[]; why: null } | { sowings: null; why: string } | null => {
      const [library, plan] = [this.library(), this.service.plan.value()];
      if (!library || !plan || this.view.crops().size === 0) return null;
      if (this.dayProblem() || this.testProblem())
        return { sowings: null, why: this.dayProblem() || this.testProblem() };
      const { sowings, missing } = seasonOf(
        plan.settings,
        [this.draft()],
        this.view.crops(),
        library.vessels,
      );
      return missing[0] ? { sowings: null, why: missing[0].why } : { sowings, why: null };
    },
  );
  protected readonly says = computed(() => {
    const [answer, plan] = [this.answer(), this.service.plan.value()];
    if (!answer?.sowings || !plan) return [];
    const sour = sourSays(answer.sowings, this.view.kept(), plan.settings.school);
    return worstFirst([
      ...sour,
      ...seasonSays(answer.sowings, plan.settings, this.view.today(), this.view.begun(), this.view.warmOn()),
    ]);
  });
  protected readonly first = computed(() => this.answer()?.sowings?.[0] ?? null);
  /** Where it stands in the season, once it is kept. */
  protected readonly tasks = computed(() => {
    const first = this.first();
    return first ? this.view.tasksOf(first) : [];
  });
  protected readonly chance = computed(() => {
    const [first, plan] = [this.first(), this.service.plan.value()];
    if (!first || !plan) return '';
    const chance = frostChance(plan.settings.frost, first.plantOn);
    if (chance < 0.005) return texts.hardlyAnyFrostAfterIt;
    const [n, of] = chance < 0.095 ? [Math.round(100 * chance), 100] : [Math.round(10 * chance), 10];
    return texts.frostAfterItInOf(n, of);
  });
  /** Begun today it is ready then. */
  protected readonly begunToday = computed(() => {
    const weeks = this.steps().map((step) => step.weeks);
    return weeks.length > 0 ? forward(this.view.today(), weeks).readyOn : null;
  });

  protected words(
    sowing: SeasonSowing,
  ): { from: string; says: SeasonMessage; mix: string; fault: Judgement | undefined }[] {
    const way = this.service.plan.value()?.settings.school ?? null;
    const faults = this.view.mixFaults()?.of(sowing) ?? [];
    return sowing.steps.map((step, i) => ({
      fault: faults.find((fault) => fault.step === i)?.judgement,
      from: this.day(step.from),
      says: seasonSay('season.vessels', vesselsOf(step)),
      mix:
        step.mixL > 0
          ? texts.ofIt(
              stockAmount('material', step.mixL, this.units.system()),
              mixOf(step.step, this.view.kept(), way).name,
            )
          : texts.noMixItIsIts,
    }));
  }

  protected seedSays(sowing: SeasonSowing): string {
    const { crop, steps, perCell, seed: share } = sowing;
    if (crop.start === 'divide') return '';
    const what = crop.start === 'sow' ? 'seeds' : 'cuttings';
    const range = share.from === 'test' ? texts.yourTestTo(pct(share.low!), pct(share.high!)) : '';
    return texts.countingOn(steps[0]!.cells * perCell, what, pct(share.share), range);
  }

  protected day(date: string): string {
    return dayFrom(date, this.nursery.today(), this.reader.now().language, 'short');
  }

  protected labels(sowing: number): string {
    return addressOf(
      'runLabels',
      { id: this.draft().id },
      { sowing: String(sowing), units: this.units.system() },
    );
  }

  /** What the plants are told of a sowing that is begun. */
  protected begin({ line, crop, sowing, steps, perCell }: SeasonSowing): Record<string, string | number> {
    const [first] = steps;
    return {
      start: crop.start === 'sow' ? 'sow' : crop.start === 'stick' ? 'strike' : 'pot',
      ...{ crop: crop.id, name: line.name, vessel: first!.kind.id, cells: first!.cells },
      ...{ perCell: crop.start === 'divide' ? 1 : perCell, line: line.id, sowing, step: 0 },
      ...this.batchFor(line.id, sowing),
    };
  }

  private batchFor(line: number, sowing: number): { batch?: number } {
    const made = (this.service.plan.value()?.made ?? []).find(
      (each) => each.line === line && each.sowing === sowing && each.step === 0,
    );
    return made ? { batch: made.batch } : {};
  }

  protected patch(change: Partial<SeasonLine>): void {
    this.draft.update((line) => ({ ...line, ...change }));
    // At once: a reload may come before the next frame.
    this.halfDone.keep(this.id(), { line: this.draft(), tested: this.tested(), hangs: this.hangs() });
  }

  protected toCrop(id: string | null): void {
    // Another plant goes another way: its own path, seed and days.
    if (id) this.patch({ crop: id, steps: null, germination: null, offsetDays: null, shifts: [] });
  }

  protected toSteps(steps: readonly CropStep[]): void {
    this.patch({ steps: [...steps] });
  }

  protected hang(by: 'frost' | 'day'): void {
    this.hangs.set(by);
    this.patch({ plantOn: by === 'frost' ? null : (this.first()?.plantOn ?? this.view.today()) });
  }

  protected typed([name, value]: [Figure, number | undefined]): void {
    switch (name) {
      case 'came':
      case 'of': {
        this.tested.update((test) => ({ ...test, [name]: value }));
        const { came, of } = this.tested();
        this.patch({ seedTest: came !== undefined && of !== undefined && came <= of ? { came, of } : null });
        return;
      }
      case 'germinationPct':
        this.patch({ germination: value === undefined ? null : value / 100 });
        return;
      case 'confidencePct':
        if (value !== undefined) this.patch({ confidence: value / 100 });
        return;
      case 'perCell':
      case 'seedYear':
      case 'offsetDays':
        this.patch({ [name]: value ?? null });
        return;
      default:
        if (value !== undefined) this.patch({ [name]: value });
    }
  }

  protected keep(): void {
    const line = this.draft();
    this.busy.set(true);
    this.problem.set('');
    const name = this.crop()?.name ?? texts.it;
    const sent = this.isNew()
      ? this.service.add(lineGiven(line))
      : this.service.change(line.id, lineGiven(line));
    sent.subscribe({
      next: () => {
        this.leave();
        this.notices.say(texts.isInTheSeason(name));
        void this.router.navigate(['/season/plan']);
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.problem.set(texts.notKept(error.message));
      },
    });
  }

  protected putAway(): void {
    const { id } = this.draft();
    this.service.putAway(id).subscribe({
      next: () => {
        this.leave();
        this.notices.undoable(texts.itIsOutOfThe, () => this.service.bringBack(id));
        void this.router.navigate(['/season/plan']);
      },
      error: (error: Error) => this.problem.set(texts.stillThere(error.message)),
    });
  }
}

const round = (value: number): number => Math.round(10 * value) / 10;
const pct = (share: number): string => `${Math.round(100 * share)} %`;
