import { partsKey } from '#core/recipe/parts-key';
import { Location } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  untracked,
  signal,
} from '@angular/core';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { recipeFromLink, recipeToLink } from '#core/recipe/link';
import { type ReadingId } from '#core/judge/readings';
import { starterMixes } from '#core/recipe/starter-mixes';
import { fixed } from '#core/units/show';
import { readKept, writeKept } from '../data/kept';
import { LibraryService } from '../data/library';
import { MixesService } from '../data/mixes';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { Amount } from '../ui/words/amount';
import { readingWords, stageNames } from '../ui/words/words';
import { CutThrough } from '../bench/cut-through';
import { inTurn } from '../ui/in-turn';
import { lasting } from '../ui/lasting';
import { narrow } from '../ui/narrow';
import { BeliefList } from './belief-list';
import { DoseList } from './doses/dose-list';
import { InTheShed } from '../bench/in-the-shed';
import { ShedSays } from '../bench/shed-says';
import { FindingList } from './answer/finding-list';
import { VerdictLine } from './answer/verdict-line';
import { HowSure } from '../bench/how-sure';
import { JobPanel } from './job/job-panel';
import { OverTime } from './answer/over-time';
import { OwnTests } from './tests/own-tests';
import { PartList } from './parts/part-list';
import { ReadingRuler } from './answer/reading-ruler';
import { RecipeBar } from './recipe-bar';
import { BenchAdviser } from '../bench/adviser';
import { GrownInIt } from '../bench/grown-in-it';
import { WhatBecame } from '../bench/what-became';
import { RecipeStore } from '../bench/recipe-store';
import { mixPage as texts } from '#words/en/places/mix/mix-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { ReaderHere } from '../data/reader-here';

const LINK_DELAY_MS = 250;
/** The address that this tab wrote last. */
const OWN_LINK = 'bench-link';

const briefNames: Record<ReadingId, string> = {
  air: 'air %',
  airAfterDrydown: 'air %',
  cohesion: 'hold',
  ph: 'pH',
  ecSaturated: 'EC',
  n: 'N',
  overSize: 'large %',
};

/** Addresses that this tab wrote last, newest first. Earlier versions kept one. */
const ownLinks = (): string[] => [readKept(OWN_LINK, 'tab') ?? []].flat().map(String);

/** A page that is reloaded at once may come back under the address before. */
const reloaded = (): boolean =>
  performance
    .getEntriesByType('navigation')
    .some((entry) => (entry as PerformanceNavigationTiming).type === 'reload');

/** The heart: job on the left, parts in the middle, the vessel and its readings on the right. */
const REST_MS = 400;

@Component({
  selector: 'app-mix-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mix-page.html',
  styleUrl: './mix-page.scss',
  host: { '(document:keydown)': 'onKey($event)' },
  imports: [
    TitlePipe,
    ShedSays,
    Amount,
    CutThrough,
    BeliefList,
    DoseList,
    FetchState,
    FindingList,
    VerdictLine,
    JobPanel,
    OverTime,
    OwnTests,
    PartList,
    ReadingRuler,
    RecipeBar,
    RouterLink,
    GrownInIt,
    WhatBecame,
  ],
})
export class MixPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly store = inject(RecipeStore);
  protected readonly adviser = inject(BenchAdviser);
  protected readonly sure = inject(HowSure);
  protected readonly library = inject(LibraryService).fetched;
  private readonly location = inject(Location);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  /** Query of the address that was opened; read once, as soon as the library is there. */
  private unread: URLSearchParams | null = new URLSearchParams(inject(ActivatedRoute).snapshot.queryParams);

  /** The last recipe that could be computed stays in sight while the present one cannot. */
  protected readonly computedOutcome = lasting(() => {
    const outcome = this.store.outcome();
    return outcome.state === 'computed' ? outcome : null;
  });
  /** What follows the readings: the picture, what is to be minded, the weeks. */
  protected readonly behind = lasting(this.store.behind);
  /** The saved recipe that this is, whatever the job: it has a record. */
  protected readonly grown = computed(() => {
    const opened = this.store.opened();
    return opened && partsKey(this.store.recipe()) === partsKey(opened.recipe) ? opened.mixId : null;
  });
  /** For the phone, where the readings are out of sight while the parts are changed. */
  protected readonly brief = computed(() =>
    (this.computedOutcome()?.judgement.readings ?? []).slice(0, 4).map((r) => ({
      name: briefNames[r.id],
      text: `${fixed(r.value, readingWords(r.id, '').places)}${{ low: ' ▾', ok: '', high: ' ▴' }[r.verdict]}`,
      off: r.verdict !== 'ok',
    })),
  );
  /** On the phone the job is one line until it is to be changed: the answer comes first. */
  protected readonly jobOpen = signal(false);
  /** The answer first, then from top to bottom; what is asked of the nursery before what shows it. */
  protected readonly stands = inTurn(
    [
      () => this.store.outcome(),
      ...(['bench', 'picture', 'readings', 'grains'] as const),
      () => inject(MixesService),
      ...(['name', 'parts', 'more parts'] as const),
      () => inject(InTheShed),
      ...(['doses', 'flags', 'tests', 'shed', 'job', 'weeks'] as const),
    ],
    () => this.store.library() !== null,
  );
  private readonly narrow = narrow();
  /** The job panel is made when it is first in sight, and then stays with what was typed. */
  protected readonly jobMade = linkedSignal<boolean, boolean>({
    source: () => !this.narrow() || this.jobOpen(),
    computation: (inSight, previous) => inSight || (previous?.value ?? false),
  });
  protected readonly stageNames = stageNames;
  protected readonly impossible = computed(() => {
    const outcome = this.store.outcome();
    return outcome.state === 'impossible' ? outcome.why : '';
  });

  constructor() {
    effect(() => {
      const library = this.store.library();
      if (!library || !this.unread) return;
      const link = this.unread;
      this.unread = null;
      // The bench was kept after its own address was written: it may know more.
      const own = (reloaded() ? ownLinks() : ownLinks().slice(0, 1)).map((query) =>
        new URLSearchParams(query).toString(),
      );
      if (link.toString() === '' || own.includes(link.toString())) return;
      const { recipe, problems } = recipeFromLink(
        (name) => link.get(name),
        library,
        starterMixes.germination,
      );
      untracked(() => {
        if (JSON.stringify(recipe) !== JSON.stringify(this.store.recipe())) this.store.start(recipe);
        if (problems.length > 0)
          this.notices.say(
            texts.partOfTheLinkCould(problems.map((problem) => this.reader.read(problem)).join(' ')),
          );
      });
    });
    effect((onCleanup) => {
      const params = recipeToLink(this.store.recipe());
      if (!this.store.library()) return;
      const timer = setTimeout(() => this.showInAddress(params), LINK_DELAY_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  private showInAddress(params: ReturnType<typeof recipeToLink>): void {
    if (!this.router.url.startsWith('/mix')) return;
    const pairs = Object.entries(params).filter((pair): pair is [string, string] => pair[1] !== null);
    // Ids, numbers, colons and commas: safe in a query as they are, and readable.
    const query =
      this.store.recipe().components.length === 0
        ? ''
        : pairs.map(([key, value]) => `${key}=${value}`).join('&');
    this.location.replaceState('/mix', query);
    writeKept(OWN_LINK, [query, ...ownLinks()].slice(0, 2), 'tab');
  }

  protected onKey(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
    const key = event.key.toLowerCase();
    const typing =
      event.target instanceof HTMLInputElement &&
      event.target.type === 'text' &&
      event.target.inputMode === '';
    if (typing || (key !== 'z' && key !== 'y')) return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) this.store.redo();
    else this.store.undo();
  }

  /** While a slider moves the eye follows the hand: needles go along at once and glide only afterwards. */
  protected readonly sliding = signal(false);
  private rest: ReturnType<typeof setTimeout> | undefined;

  protected slides({ target }: Event): void {
    if (!(target instanceof HTMLInputElement) || target.type !== 'range') return;
    this.sliding.set(true);
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.sliding.set(false), REST_MS);
  }

  protected make(): void {
    void this.router.navigateByUrl('/batches/new');
  }
}
