import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { evaluateMix, type Evaluation, type MixInput } from '#core/mix/evaluate';
import { stages } from '#core/mix/stage';
import { mixInputOf, type Recipe, vesselsOf } from '#core/recipe/recipe';
import { starterMixes } from '#core/recipe/starter-mixes';
import { OutOfRange } from '#core/units/check';
import { fixed } from '#core/units/show';
import { areaAtMm2, exposedAreaMm2, type Vessel, volumeL } from '#core/vessel/vessel';
import { type VesselKind } from '#core/vessel/tray';
import { Living } from '#core/weeks/life';
import { whichPots } from '#core/plants/which-pots';
import { repotAfterYears } from '#core/weeks/settling';
import { topDressing } from '#core/weeks/top-dressing';
import { keepingOf } from '#core/weeks/usual-keeping';
import { potUp, type PotUp, thirstMl } from '#core/weeks/pot-up';
import { CutThrough, type SetBall } from '../bench/cut-through';
import { RecipeStore } from '../bench/recipe-store';
import { KeepingService } from '../data/keeping';
import { LibraryService } from '../data/library';
import { MixesService } from '../data/mixes';
import { NurseryService } from '../data/nursery';
import { PottingService } from '../data/potting-choice';
import { SeasonService } from '../data/season';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { Segments } from '../ui/fields/segments';
import { TextField } from '../ui/fields/text-field';
import { cautionWords } from '../ui/words/cautions';
import { shortName, stageNames } from '../ui/words/words';
import { Fold } from '../ui/fold';
import { KeptLine } from '../ui/kept-line';
import { pottingPage as texts } from '#words/en/places/potting/potting-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

const USUAL_POT = 'pot-9';
/** Of the water between container capacity and wilting. Common practice, no source. */
const gone = { moist: 0.3, dry: 0.7, wilting: 1 } as const;
/** Less new mix than this beside the ball, mm, is hard to fill and soon full of roots. Common practice, no source. */
const NARROW_MM = 8;
/** Least air that roots of a potted plant stand, %: under it they stay out of the ball's foot. Common practice. */
const SHORT_OF_AIR = 8;
/** Left free above a layer, for water. Common practice, no source. */
const ABOVE_LAYER_MM = 10;
/** Where the recipe at hand counts none. */
const POTS = 100;

const joints: Record<PotUp['joint'], string> = {
  'ball-wetter': texts.fineInCoarseTheBall,
  'mix-wetter': texts.coarseInFineTheNew,
  alike: texts.bothHoldAboutTheSame,
};

interface Made {
  kind: VesselKind;
  into: Evaluation;
  input: MixInput;
  ball: SetBall;
  up: PotUp;
}

/** A root-ball in a larger pot. */
@Component({
  selector: 'app-potting-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './potting-page.html',
  styleUrl: './potting-page.scss',
  imports: [ChoiceField, CutThrough, Fold, KeptLine, NumberField, RouterLink, Segments, TextField],
})
export class PottingPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly choice = inject(PottingService);
  private readonly store = inject(RecipeStore);
  private readonly library = inject(LibraryService).library;
  private readonly kept = inject(MixesService).all;
  private readonly season = inject(SeasonService);
  private readonly units = inject(Units);
  private readonly keeping = inject(KeepingService);
  private readonly nursery = inject(NurseryService);
  protected readonly dryness = [
    { id: 'moist', name: texts.moist },
    { id: 'dry', name: texts.dry },
    { id: 'wilting', name: texts.wilting },
  ] as const;

  private readonly kinds = computed(() => [...(this.library()?.vessels.values() ?? [])]);
  protected readonly vessels = computed(() =>
    this.kinds()
      .filter(({ ownMix }) => !ownMix)
      .map(({ id, name }) => ({ id, name })),
  );
  protected readonly pots = computed(() =>
    this.kinds()
      .filter(({ vessel, ownMix }) => vessel.shape !== 'block' && !ownMix)
      .map(({ id, name }) => ({ id, name })),
  );
  protected readonly mixes = computed(() => [
    { id: 'bench', name: `open: ${stageNames[this.store.recipe().stage].name}` },
    ...(this.kept.value() ?? []).map(({ mixId, name }) => ({ id: `mix-${mixId}`, name })),
    ...stages.map((stage) => ({ id: `starter-${stage}`, name: texts.theUsualOne(stageNames[stage].name) })),
  ]);
  protected readonly crops = computed(() =>
    (this.season.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );
  protected readonly pot = computed(() => {
    const { pot } = this.choice.now();
    if (pot !== null) return pot;
    const { stage, vessel } = this.store.recipe();
    return stage === 'potting' ? vessel : USUAL_POT;
  });
  protected readonly potMix = computed(
    () => this.choice.now().potMix ?? (this.store.recipe().stage === 'potting' ? 'bench' : 'starter-potting'),
  );

  private recipeOf(id: string): Recipe {
    const [what = '', rest = ''] = [id.slice(0, id.indexOf('-')), id.slice(id.indexOf('-') + 1)];
    const stage = stages.find((each) => each === rest);
    if (what === 'starter' && stage) return starterMixes[stage];
    const mix = what === 'mix' && this.kept.value()?.find(({ mixId }) => String(mixId) === rest);
    return mix ? mix.recipe : this.store.recipe();
  }

  /** The mix in the vessel, as it is usually firmed there. */
  private evaluate(
    mix: string,
    vessel: string,
  ): { kind: VesselKind; input: MixInput; it: Evaluation } | null {
    const library = this.library();
    const kind = library?.vessels.get(vessel);
    if (!library || !kind) return null;
    const { measured: _, ...recipe } = this.recipeOf(mix);
    const input = { ...mixInputOf({ ...recipe, vessel }, library), compaction: kind.usualCompaction };
    return { kind, input, it: evaluateMix(input) };
  }

  private readonly outcome = computed((): Made | { why: string } | null => {
    const { ball, ballMix, deeperMm } = this.choice.now();
    try {
      const from = this.evaluate(ballMix, ball);
      const into = this.evaluate(this.potMix(), this.pot());
      if (!from || !into) return null;
      const up = potUp(from.it, into.it, deeperMm);
      return {
        ...{ kind: into.kind, into: into.it, input: into.input, up },
        ball: { of: from.it, baseMm: up.baseMm, drained: up.drained, footMm: from.it.soakedFootMm },
      };
    } catch (error) {
      if (error instanceof OutOfRange) return { why: this.reader.problem(error) };
      throw error;
    }
  });
  protected readonly why = computed(() => {
    const it = this.outcome();
    return it && 'why' in it ? it.why : '';
  });
  protected readonly made = computed(() => {
    const it = this.outcome();
    return it && 'up' in it ? it : null;
  });

  protected readonly headline = computed(() => {
    const { up } = this.made()!;
    const [before, after] = [fixed(up.before.airPct, 0), fixed(up.after.airPct, 0)];
    return texts.inTheNewPotThe(after, before, up.after.airPct < SHORT_OF_AIR ? texts.stillShort : '');
  });
  protected readonly rows = computed(() => {
    const { up } = this.made()!;
    const row = (name: string, { airPct, waterPct }: PotUp['before']) => ({
      ...{ name, air: fixed(airPct, 1), water: fixed(waterPct, 0) },
    });
    return [
      row(texts.theBallInItsOld, up.before),
      row(texts.theBallInTheNew, up.after),
      row(texts.theWholePotOfNew, up.around),
    ];
  });
  protected readonly joint = computed(() => joints[this.made()!.up.joint]);

  /** So many pots: of the job at hand where it is of that pot, until another number is typed. */
  protected readonly typedCount = signal<number | undefined>(undefined);
  protected readonly count = computed(() => {
    const { job, vessel } = this.store.recipe();
    const jobs = vessel === this.pot() ? vesselsOf(job, this.store.kind()) : 0;
    return this.typedCount() ?? (jobs > 0 ? jobs : POTS);
  });
  /** Too few of one size: which plants get which. */
  protected readonly potsThere = signal<number | undefined>(undefined);
  protected readonly otherPot = signal<string | null>(null);
  protected readonly othersThere = signal<number | undefined>(undefined);
  protected readonly otherPots = computed(() => this.pots().filter(({ id }) => id !== this.pot()));
  protected readonly whichSays = computed((): string[] => {
    const [here, others, other] = [this.potsThere(), this.othersThere(), this.otherPot()];
    const kinds = [this.pot(), other].map((id) => this.kinds().find((kind) => kind.id === id));
    if (here === undefined || others === undefined || !kinds[0] || !kinds[1]) return [];
    const formats = this.reader.formats();
    const pots = [kinds[0], kinds[1]].map((kind, i) => ({
      ...{ litres: volumeL(kind.vessel), count: i === 0 ? here : others },
      name: formats.name(kind),
    }));
    const it = this.reader.attempt(() => whichPots(this.count(), pots));
    if ('why' in it) return [it.why];
    const says = it.taken
      .filter(({ plants }) => plants > 0)
      .map(({ name, plants }, i) =>
        i === 0 ? texts.largestInto(plants, name) : texts.restInto(plants, name),
      );
    return [...says, ...(it.without > 0 ? [texts.withoutPot(it.without)] : [])];
  });
  /** Compost, mulch or grit laid on top: it needs that much free under the rim. */
  protected readonly topOf = signal('');
  protected readonly topMm = signal<number | undefined>(undefined);
  private roomFor(vessel: Exclude<Vessel, { shape: 'block' }>): { free: number; spared: number } {
    const { depthMm, headspaceMm } = vessel;
    const mm = this.topMm() ?? 0;
    const free = mm > 0 ? Math.max(headspaceMm, mm + ABOVE_LAYER_MM) : headspaceMm;
    const spared = (areaAtMm2(vessel, depthMm - free) * (free - headspaceMm)) / 1e6;
    return { free, spared };
  }

  private topLayer(): string[] {
    const vessel = this.made()?.kind.vessel;
    const mm = this.topMm();
    if (!vessel || vessel.shape === 'block' || !mm) return [];
    const { volume, length } = this.reader.formats();
    const each = (areaAtMm2(vessel, vessel.depthMm - this.roomFor(vessel).free) * mm) / 1e6;
    const what = this.topOf().trim() || texts.mulch;
    return [texts.layTop(length(mm), what, volume(each), volume(this.count() * each), this.count())];
  }

  protected readonly stops = computed(() => {
    const vessel = this.made()?.kind.vessel;
    return vessel && vessel.shape !== 'block' && vessel.holes === false ? [texts.stopThisPotHasNo] : [];
  });
  protected readonly depthSays = computed(() => {
    const crop = this.season.crops.value()?.find(({ id }) => id === this.choice.now().crop);
    if (!crop) return '';
    return crop.depth === 'deep' ? texts.deepUpToTheFirst(crop.name) : texts.atItsOldLevelNo(crop.name);
  });

  protected readonly steps = computed((): readonly string[] => {
    const { up, ball, kind } = this.made()!;
    const vessel = kind.vessel as Exclude<Vessel, { shape: 'block' }>;
    const { volume, length } = this.reader.formats();
    // A layer on top takes the place of mix under the rim.
    const { free, spared } = this.roomFor(vessel);
    const thirst = volume(thirstMl(ball.of, gone[this.choice.now().dry]) / 1000);
    const first =
      this.choice.now().dry === 'moist' ? texts.waterTheOldBalls(thirst) : texts.soakTheOldBalls(thirst);
    const below =
      up.baseMm < 1 ? texts.ballOnTheBottom : texts.fillBelow(volume(up.belowL), length(up.baseMm));
    return [
      first,
      below,
      texts.setThePlant(
        volume(up.mixL - up.belowL - spared),
        volume(this.count() * (up.mixL - spared)),
        this.count(),
      ),
      texts.pressLightly(length(free)),
      texts.settleIt,
      ...this.topLayer(),
    ];
  });
  protected readonly dressings = computed(() =>
    [...(this.library()?.amendments.values() ?? [])]
      .filter(({ kind, nPct }) => (kind === 'coated' || kind === 'organic') && nPct > 0)
      .map(({ id, name }) => ({ id, name: shortName(name) })),
  );
  /** What is laid on top, from when on. */
  protected readonly dressing = computed(() => {
    const made = this.made();
    const product = this.library()?.amendments.get(this.choice.now().dressing ?? '');
    const things = this.keeping.things();
    if (!made || !product || !things) return null;
    const usual = this.keeping.usual();
    const keeping = keepingOf(usual, things, { on: this.nursery.today() });
    const it = topDressing(new Living(made.input, made.into), keeping, product);
    const name = shortName(product.name);
    if (!it) return { says: texts.noTopDressing(name, usual.weeks), caution: '' };
    const when = it.fromDay <= 7 ? texts.atPotting : texts.aboutDayAfterPottingWhen(it.fromDay);
    const most = it.capped ? texts.theyWouldUseMoreBut : '';
    return {
      says: texts.layOnTop(name, this.reader.formats().mass(it.grams), when, most),
      caution: cautionWords[product.caution],
    };
  });
  private repotSays(): string {
    const { input, into } = this.made()!;
    const { early, late } = repotAfterYears(input, into.composition);
    if (early === null) return texts.noRepotting;
    if (early === late) return texts.repotAbout(texts.months(12 * early));
    return late === null ? texts.repotFrom(texts.months(12 * early)) : texts.repot(12 * early, 12 * late);
  }

  protected readonly notes = computed((): readonly string[] => {
    const { up, kind, ball } = this.made()!;
    const vessel = kind.vessel;
    const notes: string[] = [this.repotSays()];
    if (up.besideMm < NARROW_MM) notes.push(texts.narrow(this.reader.formats().length(up.besideMm)));
    if (volumeL(vessel) > 12 * ball.of.column.volumeL)
      notes.push(texts.wide(fixed(volumeL(vessel) / ball.of.column.volumeL, 0)));
    if (vessel.shape !== 'block' && vessel.walls !== undefined) {
      const times = exposedAreaMm2(vessel) / exposedAreaMm2({ ...vessel, walls: undefined });
      notes.push(texts.wallsBreathe(fixed(times, 1)));
    }
    if (vessel.shape !== 'block' && vessel.walls === 'fibre') notes.push(texts.wetFibrePots);
    notes.push(texts.usedPots);
    return notes;
  });

  protected takeCrop(crop: string | null): void {
    const it = this.season.crops.value()?.find(({ id }) => id === crop);
    this.choice.patch({ crop, ...(it?.depth === 'level' && { deeperMm: 0 }) });
  }
}
