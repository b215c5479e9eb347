import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { windowScore, type ScoredId } from '#core/finder/aims';
import { differences, type Lead, rankedByOdds } from '#core/finder/compare';
import { type FinderJob, type Formulated } from '#core/finder/formulate';
import { type Preferences } from '#core/finder/fast-spec';
import { fixed, significant } from '#core/units/show';
import { volumeL } from '#core/vessel/vessel';
import { SchoolChoice } from '../data/school-choice';
import { Notices } from '../data/notices';
import { RecipeStore } from '../bench/recipe-store';
import { Amount } from '../ui/words/amount';
import { MiniCut } from '../ui/pictures/mini-cut';
import { ChoiceField } from '../ui/fields/choice-field';
import { Stepper } from '../ui/fields/stepper';
import { TickField } from '../ui/fields/tick-field';
import { oddsWords, readingWords, shortName, stageNames } from '../ui/words/words';
import { CompareTable } from './compare-table';
import { FinderChart } from './finder-chart';
import { FinderSearch, keyOf, type Listed } from './finder-search';
import { ShelfPanel } from './shelf-panel';
import { Wishes } from './wishes';
import { finderPage as texts } from '#words/en/places/finder/finder-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

const PAUSE_MS = 350;
const MOST_COMPARED = 3;
const MOST_NEIGHBOURS = 4;
/** Lines before "more" is pressed. */
const SHOWN = 10;

/** The best whole-part recipes of what stands on the shelf. */
@Component({
  selector: 'app-finder-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [FinderSearch],
  templateUrl: './finder-page.html',
  styleUrl: './finder-page.scss',
  imports: [
    TitlePipe,
    Amount,
    ChoiceField,
    CompareTable,
    FinderChart,
    MiniCut,
    RouterLink,
    ShelfPanel,
    Stepper,
    TickField,
  ],
})
export class FinderPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly store = inject(RecipeStore);
  private readonly way = inject(SchoolChoice);
  protected readonly wishes = inject(Wishes);
  protected readonly search = inject(FinderSearch);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  protected readonly stageNames = stageNames;
  /** Own materials first: bags and mixes are what people want to be like. */
  protected readonly targets = computed(() => {
    const library = this.store.library();
    return [...(library?.materials.values() ?? [])]
      .sort((a, b) => Number(library?.own?.has(b.id)) - Number(library?.own?.has(a.id)))
      .map(({ id, name }) => ({ id, name: shortName(name) }));
  });
  protected readonly sliders: { name: keyof Preferences; label: string }[] = [
    { name: 'water', label: texts.waterThatRootsCanTake },
    { name: 'price', label: texts.aLowPrice },
    { name: 'peat', label: texts.lessPeat },
    { name: 'weight', label: texts.lightToCarry },
    { name: 'ingredients', label: texts.fewMaterials },
    { name: 'useUp', label: texts.useUpWhatShouldBe },
  ];

  protected readonly byOdds = signal(true);
  protected readonly length = signal(SHOWN);
  protected readonly oddsKnown = computed(() => this.search.list().every((one) => one.odds !== null));
  protected readonly ranked = computed((): readonly Listed[] => {
    const list = this.search.list();
    // One move when all odds are there, not one with each that comes in.
    return this.byOdds() && this.oddsKnown() ? rankedByOdds(list) : list;
  });
  /** The one looked at: the first, until another is pressed. */
  protected readonly looked = linkedSignal<readonly Listed[], string | null>({
    source: this.ranked,
    computation: (list, before) => {
      // Odds that come in may bring another to the top: who has not chosen looks at the first.
      const chosen = before?.value;
      const still = chosen !== undefined && list.some((one) => keyOf(one.found) === chosen);
      const wasFirst = before?.source[0] !== undefined && keyOf(before.source[0].found) === chosen;
      return still && !wasFirst ? chosen : list[0] ? keyOf(list[0].found) : null;
    },
  });
  protected readonly chosen = computed(
    () => this.search.list().find((one) => keyOf(one.found) === this.looked()) ?? null,
  );
  /** Odds that come in later do not make it another recipe. */
  private readonly chosenParts = computed(() => {
    const one = this.chosen();
    return one && this.search.answeredJob() ? one.parts.join() + JSON.stringify(one.found.doses) : null;
  });
  private readonly picked = linkedSignal<readonly Listed[], readonly string[]>({
    source: this.search.list,
    computation: (list, before) => {
      const there = new Set(list.map((one) => keyOf(one.found)));
      return (before?.value ?? []).filter((key) => there.has(key));
    },
  });
  protected readonly compared = computed(() =>
    this.picked().flatMap((key) => this.search.list().filter((one) => keyOf(one.found) === key)),
  );
  protected readonly fullCompare = computed(() => this.compared().length >= MOST_COMPARED);

  protected readonly progress = computed(() => {
    const state = this.search.state();
    return state.state === 'searching'
      ? { pct: Math.round(state.share * 100), tried: significant(state.tried, 3) }
      : null;
  });
  protected readonly summary = computed(() => {
    const state = this.search.state();
    if (state.state !== 'done') return '';
    const met =
      state.feasible === 0 ? texts.noneMeetsEveryWindow : texts.meetEveryWindow(grouped(state.feasible));
    return texts.recipesLookedAtInS(grouped(state.tried), fixed(state.ms / 1000, 1), met);
  });
  protected readonly stuck = computed(() => {
    const state = this.search.state();
    const job = this.search.answeredJob();
    if (state.state !== 'done' || !state.conflict || !job) return null;
    const { never, pairs, nearest } = state.conflict;
    const name = (id: ScoredId): string => this.nameOf(id);
    const near = nearest && {
      name: name(nearest.id),
      value: significant(nearest.value, 3),
      parts: partsText(countsOf(job, nearest.parts), (id) => this.materialName(id)),
    };
    return {
      never: never.map(name),
      pairs: pairs.slice(0, 3).map(([a, b]) => texts.withIt(name(a), name(b))),
      near,
    };
  });

  /** The starting mix of the way of working, where the shelf holds all of it. */
  private readonly familiar = computed(() => {
    const job = this.search.answeredJob();
    const mix = this.way.school().mixes[this.store.recipe().stage];
    if (!job || !mix) return null;
    const ids = job.shelved.map((s) => s.material.id);
    if (mix.components.some((c) => !ids.includes(c.material) || !Number.isInteger(c.parts))) return null;
    const parts = Uint8Array.from(ids, (id) => mix.components.find((c) => c.material === id)?.parts ?? 0);
    return { parts, name: partsText(countsOf(job, parts), (id) => this.materialName(id)) };
  });
  /** One sentence on the first, and one on the familiar recipe. */
  protected readonly whyFirst = computed((): { first: string; familiar: string } | null => {
    const [first] = this.ranked();
    // Not while the odds of others may still put another first.
    if (!first || first.odds === null || (this.byOdds() && !this.oddsKnown())) return null;
    const { parts, unusual } = first.found;
    const count = Object.values(parts).filter((n) => n > 0).length;
    const odd = unusual.length > 0 ? '' : texts.nothingInItIsUnusual;
    const familiar = this.familiar();
    const answer = this.search.reasons();
    const isFirst = familiar !== null && familiar.parts.join() === first.parts.join();
    return {
      first: texts.firstAllInRangeWith(
        oddsWords(first.odds),
        count,
        count === 1 ? 'material' : 'materials',
        odd,
      ),
      familiar:
        familiar && answer
          ? isFirst
            ? texts.itIsYourUsualMix
            : texts.yourUsualWouldBeAs(familiar.name, this.ifWords(answer.why.overFamiliar))
          : '',
    };
  });

  private ifWords(edge: Lead | null): string {
    switch (edge?.by) {
      case 'window':
        return texts.ifItsWereFurtherInside(this.nameOf(edge.id).toLowerCase());
      case 'unusual':
        return texts.ifItsSharesWereThe;
      case 'wish':
        return texts.ifYouCaredLessFor(this.sliders.find((s) => s.name === edge.wish)!.label.toLowerCase());
      case 'fewer':
        return texts.ifOneMaterialMoreCounted;
      case 'rounder':
        return texts.withRounderPartsItIs;
      default:
        return texts.tooByWhatYouAsk;
    }
  }

  protected readonly unusualWords = (found: Formulated): string =>
    found.unusual
      .map(({ what, share, atMost, reason }) =>
        what === null
          ? reason
          : texts.whereIsTheMost(Math.round(100 * share), what, Math.round(100 * atMost), reason),
      )
      .join('; ');

  /** All that explains the one looked at. */
  protected readonly why = computed(() => {
    const one = this.chosen();
    if (!one) return null;
    const answer = this.search.reasons();
    const reasons = answer?.parts === one.parts.join() ? answer.why : null;
    const steps = [...(reasons?.neighbours ?? [])]
      .sort((a, b) => a.scoreChange - b.scoreChange)
      .slice(0, MOST_NEIGHBOURS)
      .map((n) => ({
        text: `${n.by > 0 ? texts.oneMore : texts.oneLess} ${this.materialName(n.material).toLowerCase()}`,
        effect: `${this.nameOf(n.moves.id).toLowerCase()} ${signed(n.moves.by)}`,
        better: n.scoreChange < 0,
      }));
    const { binding, missing } = reasons ?? { binding: null, missing: null };
    const outcome = this.store.outcome();
    const now = outcome.state === 'computed' ? outcome.judgement : null;
    return {
      binding: binding && this.nameOf(binding.id),
      steps,
      against:
        now &&
        differences(now.readings, one.found.judgement.readings)
          .map((d) => ({
            name: this.nameOf(d.id),
            from: fixed(d.from.value, readingWords(d.id, '').places),
            to: fixed(d.to.value, readingWords(d.id, '').places),
            better: d.from.verdict !== 'ok' && d.to.verdict === 'ok',
            worse: d.from.verdict === 'ok' && d.to.verdict !== 'ok',
          }))
          .filter((row) => row.from !== row.to)
          .slice(0, 4),
      beats: now ? windowScore(now.readings) - windowScore(one.found.judgement.readings) : 0,
      missing:
        missing &&
        texts.ofNotOnTheShelf(
          missing.parts,
          shortName(missing.material.name).toLowerCase(),
          missing.instead ? texts.inPlaceOfThe(shortName(missing.instead.name).toLowerCase()) : '',
        ),
    };
  });

  constructor() {
    effect((onCleanup) => {
      const job = this.wishes.job();
      if (!job) return;
      const timer = setTimeout(() => untracked(() => this.search.start(job)), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
    effect(() => {
      const parts = this.chosenParts();
      const one = untracked(this.chosen);
      const library = untracked(this.store.library);
      const [first] = untracked(this.ranked);
      if (parts && one && first && library)
        this.search.explain(one, first, this.familiar()?.parts ?? null, [...library.materials.values()]);
    });
  }

  protected readonly key = (one: Listed): string => keyOf(one.found);

  protected parts(found: Formulated): string {
    return partsText(found.parts, (id) => this.materialName(id));
  }

  protected odds(one: Listed): string {
    return one.odds === null ? '…' : oddsWords(one.odds);
  }

  /** Price of one tray, or of one vessel where they are counted singly. */
  protected price(found: Formulated): string {
    if (found.costPerL === null) return '–';
    const kind = this.store.kind();
    return fixed(found.costPerL * volumeL(kind.vessel) * kind.perTray, 2);
  }

  protected readonly counted = computed(() =>
    this.store.kind().perTray > 1 ? 'tray' : this.store.kind().noun,
  );

  protected isPicked(one: Listed): boolean {
    return this.picked().includes(keyOf(one.found));
  }

  protected pick(one: Listed, yes: boolean): void {
    const key = keyOf(one.found);
    this.picked.update((all) => (yes ? [...all, key].slice(-MOST_COMPARED) : all.filter((k) => k !== key)));
  }

  protected lookAt(index: number): void {
    const one = this.search.list()[index];
    if (one) this.looked.set(keyOf(one.found));
  }

  protected take(one: Listed): void {
    const { found } = one;
    const lime = found.lime;
    this.store.patch(
      {
        components: Object.entries(found.parts).map(([material, parts]) => ({ material, parts })),
        lime: lime && {
          amendment: lime.amendment.id,
          ph: Math.round(found.judgement.evaluation.ph * 100) / 100,
        },
        amendments: found.doses
          .filter((d) => d !== lime)
          .map((d) => ({ amendment: d.amendment.id, gPerL: Math.round(d.gPerL * 1000) / 1000 })),
      },
      `finder ${keyOf(found)}`,
    );
    this.notices.say(texts.itIsOpen, () => this.store.undo());
    void this.router.navigateByUrl('/mix');
  }

  protected nameOf(id: ScoredId): string {
    return readingWords(id, this.store.kind().noun).name;
  }

  private materialName(id: string): string {
    return shortName(this.store.library()?.materials.get(id)?.name ?? id);
  }
}

const countsOf = (job: FinderJob, parts: ArrayLike<number>): Record<string, number> =>
  Object.fromEntries(job.shelved.map((s, i) => [s.material.id, parts[i] ?? 0]));

function partsText(parts: Readonly<Record<string, number>>, name: (id: string) => string): string {
  return Object.entries(parts)
    .filter(([, n]) => n > 0)
    .sort(([, a], [, b]) => b - a)
    .map(([id, n]) => `${n} ${name(id).toLowerCase()}`)
    .join(' · ');
}

const grouped = (n: number): string => fixed(n, 0);
const signed = (n: number): string => `${n > 0 ? '+' : '−'}${significant(Math.abs(n), 2)}`;
