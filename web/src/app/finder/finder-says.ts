import { computed, inject, Injectable } from '@angular/core';
import { inSentence } from '#words/formats';
import { screenFor } from '#core/judge/flags/particles';
import { windowScore, type ScoredId } from '#core/finder/aims';
import { differences, type Lead } from '#core/finder/compare';
import { verdictOf } from '#core/advise/findings';
import { type FinderJob, type Formulated, keptOf, takenAs } from '#core/finder/formulate';
import { judgeRecipe, type Judgement } from '#core/judge/judge';
import { withKnownStill } from '#core/recipe/known';
import { type Recipe, withValidTests } from '#core/recipe/recipe';
import { type Preferences } from '#core/finder/fast-spec';
import { fixed, significant } from '#core/units/show';
import { volumeL } from '#core/vessel/vessel';
import { RecipeStore } from '../bench/recipe-store';
import { ReaderHere } from '../data/reader-here';
import { ApproachChoice } from '../data/approach-choice';
import { verdictSays } from '../ui/words/verdict';
import { oddsWords, readingWords } from '../ui/words/words';
import { FinderSearch, type Listed } from './finder-search';
import { FoundList } from './found-list';
import { finderPage as texts } from '#words/en/places/finder/finder-page';

const MOST_NEIGHBOURS = 4;

/** What the finder says of what it found: why the first is first, what explains the one looked at, what it costs. */
@Injectable()
export class FinderSays {
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  private readonly way = inject(ApproachChoice);
  private readonly search = inject(FinderSearch);
  private readonly list = inject(FoundList);
  readonly sliders: { name: keyof Preferences; label: string }[] = [
    { name: 'water', label: texts.waterThatRootsCanTake },
    { name: 'price', label: texts.aLowPrice },
    { name: 'peat', label: texts.lessPeat },
    { name: 'weight', label: texts.lightToCarry },
    { name: 'ingredients', label: texts.fewMaterials },
    { name: 'useUp', label: texts.useUpWhatShouldBe },
  ];

  readonly summary = computed(() => {
    const state = this.search.state();
    if (state.state !== 'done') return '';
    const met =
      state.feasible === 0 ? texts.noneMeetsEveryWindow : texts.meetEveryWindow(grouped(state.feasible));
    return texts.recipesLookedAtInS(grouped(state.tried), fixed(state.ms / 1000, 1), met);
  });
  readonly stuck = computed(() => {
    const state = this.search.state();
    const job = this.search.answeredJob();
    if (state.state !== 'done' || !state.conflict || !job) return null;
    const { never, pairs, nearest } = state.conflict;
    const name = (id: ScoredId): string => this.nameOf(id);
    const counts = nearest && countsOf(job, nearest.parts);
    const near = nearest && {
      // A piece that is too large wants a screen, not a wider window.
      screen: nearest.id === 'overSize' ? this.screenOf(counts!) : null,
      name: name(nearest.id),
      value: significant(nearest.value, 3),
      parts: partsText(counts!, (id) => this.materialName(id)),
    };
    return {
      never: never.map(name),
      pairs: pairs.slice(0, 3).map(([a, b]) => texts.withIt(name(a), name(b))),
      near,
    };
  });

  /** The starting mix of the approach, where the shelf holds all of it. */
  readonly familiar = computed(() => {
    const job = this.search.answeredJob();
    const mix = this.way.approach().mixes[this.store.recipe().stage];
    if (!job || !mix) return null;
    const ids = job.shelved.map((s) => s.material.id);
    if (mix.components.some((c) => !ids.includes(c.material) || !Number.isInteger(c.parts))) return null;
    const parts = Uint8Array.from(ids, (id) => mix.components.find((c) => c.material === id)?.parts ?? 0);
    return { parts, name: partsText(countsOf(job, parts), (id) => this.materialName(id)) };
  });
  /** One sentence on the first, and one on the familiar recipe. */
  readonly whyFirst = computed((): { first: string; familiar: string } | null => {
    const [first] = this.list.ranked();
    // Not while the odds of others may still put another first.
    if (!first || first.odds === null || (this.list.byOdds() && !this.list.oddsKnown())) return null;
    const { parts, unusual } = first.found;
    const count = Object.values(parts).filter((n) => n > 0).length;
    const odd = unusual.length > 0 ? '' : texts.nothingInItIsUnusual;
    const familiar = this.familiar();
    const answer = this.search.reasons();
    const isFirst = familiar !== null && familiar.parts.join() === first.parts.join();
    return {
      first: texts.firstAllInRangeWith(oddsWords(first.odds), count, odd),
      familiar:
        // Near to the recipe on the bench, no wish explains why the usual one is not first.
        familiar && answer && !this.search.answeredJob()?.nearTo
          ? isFirst
            ? texts.itIsYourUsualMix
            : texts.yourUsualWouldBeAs(familiar.name, this.ifWords(answer.why.overFamiliar))
          : '',
    };
  });

  /** What of a recipe goes over which screen, and the recipe with it. */
  private screenOf(counts: Readonly<Record<string, number>>): { says: string; recipe: Recipe } | null {
    const materials = this.store.library()?.materials;
    const parts = Object.entries(counts).flatMap(([id, n]) => {
      const material = n > 0 && materials?.get(id);
      return material ? [{ material, share: n }] : [];
    });
    if (parts.length === 0) return null;
    const { material, mm } = screenFor(parts, this.store.kind().vessel);
    const formats = this.reader.formats();
    const components = parts.map(({ material: { id }, share }) => ({
      ...{ material: id, parts: share },
      ...(id === material.id && { screenedMm: mm }),
    }));
    return {
      says: texts.screenItAndTake(formats.name(material), formats.length(mm)),
      recipe: { ...this.store.recipe(), components },
    };
  }

  private ifWords(edge: Lead | null): string {
    switch (edge?.by) {
      case 'window':
        return texts.ifItsWereFurtherInside(inSentence(this.nameOf(edge.id)));
      case 'unusual':
        return texts.ifItsSharesWereThe;
      case 'wish':
        return texts.ifYouCaredLessFor(inSentence(this.sliders.find((s) => s.name === edge.wish)!.label));
      case 'fewer':
        return texts.ifOneMaterialMoreCounted;
      case 'rounder':
        return texts.withRounderPartsItIs;
      default:
        return texts.tooByWhatYouAsk;
    }
  }

  readonly unusualWords = (found: Formulated): string =>
    found.unusual
      .map(({ what, share, atMost, reason }) =>
        what === null
          ? this.reader.word(`usual.why.${reason}`)
          : texts.whereIsTheMost(
              ...([Math.round(100 * share), this.reader.word(`usual.${what}`)] as const),
              ...([Math.round(100 * atMost), this.reader.word(`usual.why.${reason}`)] as const),
            ),
      )
      .join('; ');

  /** All that explains the one looked at. */
  readonly why = computed(() => {
    const listed = this.list.chosen();
    if (!listed) return null;
    const answer = this.search.reasons();
    const reasons = answer?.parts === listed.parts.join() ? answer.why : null;
    const steps = [...(reasons?.neighbours ?? [])]
      .sort((a, b) => a.scoreChange - b.scoreChange)
      .map((n) => ({
        text: `${n.by > 0 ? texts.oneMore : texts.oneLess} ${this.materialName(n.material)}`,
        moved: signed(n.moves.by, readingWords(n.moves.id, '').places),
        effect: inSentence(this.nameOf(n.moves.id)),
        better: n.scoreChange < 0,
      }))
      // What nobody could read off is no reason.
      .filter(({ moved }) => /[1-9]/.test(moved))
      .slice(0, MOST_NEIGHBOURS);
    const { binding, missing } = reasons ?? { binding: null, missing: null };
    const outcome = this.store.outcome();
    const now = outcome.state === 'computed' ? outcome.judgement : null;
    return {
      binding: binding && this.nameOf(binding.id),
      steps,
      against:
        now &&
        differences(now.readings, listed.found.judgement.readings)
          .map((d) => ({
            name: this.nameOf(d.id),
            from: fixed(d.from.value, readingWords(d.id, '').places),
            to: fixed(d.to.value, readingWords(d.id, '').places),
            better: d.from.verdict !== 'ok' && d.to.verdict === 'ok',
            worse: d.from.verdict === 'ok' && d.to.verdict !== 'ok',
          }))
          .filter((row) => row.from !== row.to)
          .slice(0, 4),
      beats: now ? windowScore(now.readings) - windowScore(listed.found.judgement.readings) : 0,
      missing:
        missing &&
        texts.ofNotOnTheShelf(
          missing.parts,
          this.reader.formats().name(missing.material),
          missing.instead ? texts.inPlaceOfThe(this.reader.formats().name(missing.instead)) : '',
        ),
    };
  });

  /** Judged as each would be on the bench; thrown away with what it stands on. */
  private readonly judgements = computed(() => {
    const [recipe, library, { loudness }] = [this.store.recipe(), this.store.library(), this.way.approach()];
    const made = new WeakMap<Formulated, Judgement>();
    return (found: Formulated): Judgement | null => {
      if (!library) return null;
      let judgement = made.get(found);
      if (!judgement) {
        const taken = withKnownStill(recipe, withValidTests(recipe, takenAs(found, recipe)));
        made.set(found, (judgement = judgeRecipe(taken, library, loudness)));
      }
      return judgement;
    };
  });
  /** The one looked at, as the Mix will judge it. */
  readonly judged = computed(() => {
    const listed = this.list.chosen();
    return listed && this.judgements()(listed.found);
  });

  /** What is wrong with one, where something is. */
  mind(found: Formulated): string {
    const judgement = this.judgements()(found);
    return judgement && verdictOf(judgement) !== 'ready' ? verdictSays(judgement, this.reader) : '';
  }

  /** How much of the open recipe one keeps, where that was asked. */
  kept(found: Formulated): string {
    const nearTo = this.search.answeredJob()?.nearTo;
    return nearTo ? texts.keeps(fixed(100 * keptOf(nearTo, found.parts), 0)) : '';
  }

  parts(found: Formulated): string {
    return partsText(found.parts, (id) => this.materialName(id));
  }

  odds(listed: Listed): string {
    return listed.odds === null ? '…' : oddsWords(listed.odds);
  }

  /** Price of one tray, or of one vessel where they are counted singly. */
  price(found: Formulated): string {
    if (found.costPerL === null) return '–';
    const kind = this.store.kind();
    return fixed(found.costPerL * volumeL(kind.vessel) * kind.perTray, 2);
  }

  readonly counted = computed(() => (this.store.kind().perTray > 1 ? 'tray' : this.store.kind().noun));

  nameOf(id: ScoredId): string {
    return readingWords(id, this.store.kind().noun).name;
  }

  private materialName(id: string): string {
    return this.reader.formats().name({ id, name: this.store.library()?.materials.get(id)?.name ?? id });
  }
}

const countsOf = (job: FinderJob, parts: ArrayLike<number>): Record<string, number> =>
  Object.fromEntries(job.shelved.map((s, i) => [s.material.id, parts[i] ?? 0]));

function partsText(parts: Readonly<Record<string, number>>, name: (id: string) => string): string {
  return Object.entries(parts)
    .filter(([, n]) => n > 0)
    .sort(([, a], [, b]) => b - a)
    .map(([id, n]) => `${n} ${name(id)}`)
    .join(' · ');
}

const grouped = (n: number): string => fixed(n, 0);
const signed = (n: number, places: number): string => `${n > 0 ? '+' : '−'}${fixed(Math.abs(n), places)}`;
