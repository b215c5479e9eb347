import { OutOfRange } from '#core/units/check';
import { usualMoisture } from '#core/mix/moisture';
import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { batchSheet, type BatchSheet } from '#core/batch/sheet';
import { type Judgement, judgeRecipe } from '#core/judge/judge';
import { approaches } from '#core/recipe/approaches';
import { type Stage } from '#core/mix/stage';
import { withKnownStill } from '#core/recipe/known';
import { type Library, lookUp } from '#core/recipe/library';
import { litresOf, mixInputOf, vesselsOf, withValidTests, type Recipe } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { vesselKinds } from '#core/vessel/kinds';
import { readKept, writeKept } from '../data/kept';
import { LibraryAsked } from '../data/library-asked';
import { Notices } from '../data/notices';
import { ApproachChoice } from '../data/approach-choice';
import { type MixVersion } from '../data/mixes';
import { filledTo, type VesselKind } from '#core/vessel/tray';
import { intoVessel } from '#core/recipe/fix';
import { afterPaint } from '../ui/after-paint';
import { recipeStore as texts } from '#words/en/places/bench/recipe-store';
import { ReaderHere } from '../data/reader-here';

const DEEPEST = 200;
/** Changes of one control within this time are one step back. */
const ONE_GESTURE_MS = 700;

interface Moment {
  recipe: Recipe;
  opened: MixVersion | null;
  /** Why it is being changed: what became of the plants. */
  why?: string;
}

export type Outcome =
  | { state: 'waiting' }
  | { state: 'computed'; judgement: Judgement; sheet: BatchSheet }
  | { state: 'impossible'; why: string };

/** Name on the device. */
const BENCH = 'bench';
const KEEP_MS = 200;

/** For this tab, and for one that is opened new. */
function keepMoment(moment: Moment): void {
  writeKept(BENCH, moment, 'tab');
  writeKept(BENCH, moment);
}

/** What was on the bench when the page was left; a working recipe where nothing usable was. */
function readMoment(): Moment {
  const kept = (readKept(BENCH, 'tab') ?? readKept(BENCH)) as Partial<Moment> | undefined;
  return kept?.recipe?.components && kept.recipe.job
    ? { recipe: kept.recipe, opened: kept.opened ?? null, ...(kept.why && { why: kept.why }) }
    : { recipe: starterMixes.germination, opened: null };
}

/** Whether all that a kept recipe names is there, and in its shape. A recipe that comes to nothing may stay. */
function fits(recipe: Recipe, library: Library): boolean {
  try {
    if (recipe.components.length > 0) mixInputOf(recipe, library);
    return Number.isFinite(litresOf(recipe.job, lookUp(library.vessels, recipe.vessel, 'vessel')));
  } catch {
    return false;
  }
}

/** Whether a changed recipe is still the mix that it came from: for the same stage, with something of it left. */
const isStill = (recipe: Recipe, opened: Recipe): boolean =>
  recipe.stage === opened.stage &&
  recipe.components.some((c) => opened.components.some((o) => o.material === c.material));

/** The recipe on the bench: what it is, what it comes to, and the way back. */
@Injectable({ providedIn: 'root' })
export class RecipeStore {
  private readonly reader = inject(ReaderHere);
  private readonly chosen = inject(ApproachChoice);
  private readonly notices = inject(Notices);
  private readonly now = signal<Moment>(readMoment());
  private readonly past = signal<readonly Moment[]>([]);
  private readonly future = signal<readonly Moment[]>([]);
  private lastGesture = { name: '', at: 0 };

  readonly recipe = computed(() => this.now().recipe);
  /** The kept mix that this recipe came from. */
  readonly opened = computed(() => this.now().opened);
  /** Goes with the next version that is kept. */
  readonly why = computed(() => this.now().why ?? '');
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.future().length > 0);
  readonly library = inject(LibraryAsked).library;
  /** What it goes into; the starter kinds until the library is there. */
  readonly vessels = computed((): readonly VesselKind[] => [
    ...(this.library()?.vessels.values() ?? vesselKinds),
  ]);
  readonly kind = computed(() => {
    const { vessel, fillPct } = this.recipe();
    const kind = this.kindOf(vessel);
    return fillPct === undefined ? kind : filledTo(kind, fillPct);
  });
  readonly litres = computed(() => litresOf(this.recipe().job, this.kind()));
  readonly changed = computed(() => {
    const { recipe, opened } = this.now();
    return opened === null || JSON.stringify(recipe) !== JSON.stringify(opened.recipe);
  });

  readonly outcome = computed((): Outcome => {
    const library = this.library();
    if (!library) return { state: 'waiting' };
    if (this.recipe().components.length === 0) return { state: 'impossible', why: texts.nothingIsInItYet };
    if (this.kind().ownMix) return { state: 'impossible', why: texts.itIsItsOwnMix };
    try {
      const judgement = judgeRecipe(this.recipe(), library, this.chosen.approach().loudness);
      const moisture = usualMoisture(this.kind().vessel);
      return {
        state: 'computed',
        judgement,
        sheet: batchSheet(judgement.evaluation, this.litres(), moisture),
      };
    } catch (error) {
      if (error instanceof OutOfRange) return { state: 'impossible', why: this.reader.problem(error) };
      throw error;
    }
  });

  /**
   * The same with its vessel, a frame later: for all that stands beside the readings, which follow the hand at once.
   * Null while it cannot be made.
   */
  readonly behind = afterPaint(
    computed(() => {
      const outcome = this.outcome();
      return outcome.state === 'computed' ? { kind: this.kind(), outcome } : null;
    }),
  );

  constructor() {
    // What was on the bench is there again after a reload, on every page that asks for it.
    effect((onCleanup) => {
      const keep = (): void => keepMoment(this.now());
      this.now();
      const timer = setTimeout(keep, KEEP_MS);
      onCleanup(() => clearTimeout(timer));
    });
    // A page that is left at once has no time to wait.
    addEventListener('pagehide', () => keepMoment(this.now()));
    // A recipe of this device that the library does not know any more would be a dead end.
    effect(() => {
      const library = this.library();
      if (library && !fits(untracked(this.recipe), library))
        untracked(() => this.start(starterMixes.germination));
    });
  }

  /**
   * Puts a changed recipe on the bench.
   * @param gesture names the control; changes by the same one in quick succession are one step to undo
   */
  set(recipe: Recipe, gesture: string, opened: MixVersion | null = this.opened()): void {
    const at = Date.now();
    const goesOn = gesture === this.lastGesture.name && at - this.lastGesture.at < ONE_GESTURE_MS;
    this.lastGesture = { name: gesture, at };
    if (!goesOn) this.past.update((past) => [...past, this.now()].slice(-DEEPEST));
    this.future.set([]);
    const tested = withValidTests(this.recipe(), recipe);
    const valid = withKnownStill(this.recipe(), tested);
    if (tested !== recipe && JSON.stringify(tested) !== JSON.stringify(recipe)) {
      this.notices.say(texts.yourTestsWereOfThe, () => this.undo());
    }
    const still = opened && isStill(valid, opened.recipe) ? opened : null;
    const { why } = this.now();
    // The reason goes with the mix that it is about.
    const same = still !== null && still.mixId === this.opened()?.mixId;
    this.now.set({ recipe: valid, opened: still, ...(why && same && { why }) });
  }

  /** Puts on the bench what is to become the next version of a kept mix, or of none, with the reason. */
  changeFor(recipe: Recipe, opened: MixVersion | null, why: string): void {
    this.set(recipe, `next ${Date.now()}`, opened);
    this.now.update((moment) => ({ ...moment, why }));
  }

  patch(change: Partial<Recipe>, gesture: string): void {
    this.set({ ...this.recipe(), ...change }, gesture);
  }

  /** Takes over a recipe with no way back, as from a link at the start. */
  start(recipe: Recipe): void {
    this.now.set({ recipe, opened: null });
    this.past.set([]);
    this.future.set([]);
  }

  /** Nothing in it yet, for the stage and the vessel that are on the bench, and as many of them, none to spare. */
  empty(): void {
    const { measured, known, job: was, ...recipe } = this.recipe();
    void [measured, known];
    const job = 'litres' in was ? was : { ...was, sparePct: 0 };
    this.set({ ...recipe, job, components: [], amendments: [], lime: null }, `empty ${Date.now()}`, null);
  }

  /** The mix that it came from was put away: the recipe stays, without its name. */
  forgetName(): void {
    this.now.update((moment) => ({ ...moment, opened: null }));
  }

  open(mix: MixVersion): void {
    this.set(mix.recipe, `open ${mix.id}`, mix);
  }

  /** The recipe as it stands is now kept under this version. */
  keptAs(mix: MixVersion): void {
    this.now.update(({ recipe }) => ({ recipe, opened: mix }));
  }

  /** Another stage: the starting mix of the approach, if the present recipe is still one; else only the stage changes. */
  toStage(stage: Stage): void {
    const own = this.chosen.approach().mixes;
    const asText = JSON.stringify(this.recipe());
    const starts = [...approaches.flatMap((s) => Object.values(s.mixes)), ...Object.values(starterMixes)];
    const untouched = starts.some((r) => JSON.stringify(r) === asText);
    if (untouched) this.set(own[stage] ?? starterMixes[stage], 'stage', null);
    else this.patch({ stage }, 'stage');
  }

  /** The starting mix of an approach for a stage. */
  startWith(recipe: Recipe): void {
    this.set(recipe, `school ${Date.now()}`, null);
  }

  toVessel(id: string): void {
    const library = this.library();
    if (!library) return;
    this.set(intoVessel(this.recipe(), id, library), 'vessel');
    const { job } = this.recipe();
    if (!('litres' in job))
      this.notices.say(
        texts.stillSoMany(vesselsOf(job, this.kind()), this.reader.formats().volume(this.litres())),
      );
  }

  undo(): void {
    this.step(this.past, this.future);
  }

  redo(): void {
    this.step(this.future, this.past);
  }

  private kindOf(id: string): VesselKind {
    const all = this.vessels();
    return all.find((kind) => kind.id === id) ?? all[0]!;
  }

  private step(from: typeof this.past, to: typeof this.past): void {
    const moment = from().at(-1);
    if (!moment) return;
    from.update((all) => all.slice(0, -1));
    to.update((all) => [...all, this.now()]);
    this.lastGesture = { name: '', at: 0 };
    this.now.set(moment);
  }
}
