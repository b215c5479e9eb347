import { computed, inject, Injectable, signal } from '@angular/core';
import { acidify, acidLimits, remarksOnAcid } from '#core/weeks/alkalinity';
import { blendOf, blendTo, loudnessOfWater, remarksOn, type Water } from '#core/weeks/own-water';
import { type UsualKeeping } from '#core/weeks/usual-keeping';
import { fixed } from '#core/units/show';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';
import { KeepingHere } from './keeping-here';
import { ReaderHere } from '../data/reader-here';
import { Units } from '../data/units';
import { WatersService } from '../data/waters';
import { shownIn } from '../ui/words/shown-in';
import { waterRemarkSays } from '../ui/words/water-words';

const unknownWater = { ph: null, caMgPerL: null, mgMgPerL: null, naMgPerL: null, clMgPerL: null };

const acidWords = {
  nitrogen: (mg: string) => texts.acidBringsMuchNitrogen(acidLimits.nMgPerL, mg),
  phosphorus: (mg: string) => texts.acidBringsMuchPhosphorus(acidLimits.pMgPerL, mg),
  'no-buffer': (mg: string) => texts.acidLeavesNoBuffer(acidLimits.leastAlkalinityMgPerL, mg),
};

/** The water that is poured: by its figures, or of the nursery's own, blended and acidified. */
@Injectable()
export class PouredWater {
  private readonly keeping = inject(KeepingHere);
  private readonly reader = inject(ReaderHere);
  private readonly units = inject(Units);
  private readonly waters = inject(WatersService);

  /** The one poured, of the nursery's own; undefined where it is given by its figures. */
  readonly own = computed(() => {
    const { waterId, blendId, blendPct } = this.keeping.now();
    const of = (id: number | null) => this.waters.all.value()?.find((each) => each.id === id);
    const [poured, other] = [of(waterId), of(blendId)];
    return poured && { poured, other, water: other ? blendOf(poured, other, blendPct / 100) : poured };
  });
  /** Alkalinity that was asked of the blend, mg/L; null where its share was given. */
  private readonly blendAsked = signal<number | null>(null);
  readonly noBlend = computed(() => {
    const [asked, own] = [this.blendAsked(), this.own()];
    if (asked === null || !own?.other || blendTo(own.poured, own.other, asked) !== null) return '';
    const ends = [own.poured, own.other].map((each) => each.alkalinityMgPerL).sort((a, b) => a - b);
    const { unit } = shownIn('mg/L', this.units.system());
    return texts.theseTwoTogetherHaveFrom(fixed(ends[0]!, 0), fixed(ends[1]!, 0), unit, fixed(asked, 0));
  });
  readonly water = computed(() => this.own()?.water ?? this.keeping.now().water);
  readonly ownWaters = computed(() =>
    (this.waters.all.value() ?? []).map(({ id, name }) => ({ id: String(id), name })),
  );
  readonly otherWaters = computed(() =>
    this.ownWaters().filter(({ id }) => id !== String(this.keeping.now().waterId)),
  );
  readonly waterSays = computed(() => {
    const own = this.own();
    const { unit } = shownIn('mg/L', this.units.system());
    const said = (water: Water) =>
      remarksOn(water).map((remark) => ({
        says: waterRemarkSays(remark, unit),
        loudness: loudnessOfWater(remark),
      }));
    // Given by two figures there is nothing to repeat, but what they mean is said.
    if (!own) return { figures: '', remarks: said({ ...unknownWater, ...this.keeping.now().water }) };
    const { alkalinityMgPerL, ecMSPerCm, caMgPerL, mgMgPerL } = own.water;
    const brings =
      caMgPerL === null || mgMgPerL === null
        ? ''
        : texts.withEachWateringItBrings(fixed(caMgPerL, 0), unit, fixed(mgMgPerL, 0));
    return {
      figures: texts.alkalinityEc(fixed(alkalinityMgPerL, 0), unit, fixed(ecMSPerCm, 2), brings),
      remarks: said(own.water),
    };
  });

  /** What acid does to the water; null where none goes in. */
  readonly acidified = computed(() => {
    const { acid, acidPh } = this.keeping.now();
    return acid ? acidify(this.water().alkalinityMgPerL, acidPh, acid) : null;
  });
  /** What the acid brings too much of, and what it leaves too little of. */
  readonly acidRemarks = computed(() => {
    const it = this.acidified();
    const { unit } = shownIn('mg/L', this.units.system());
    return it ? remarksOnAcid(it).map((remark) => acidWords[remark](unit)) : [];
  });
  readonly acidSays = computed(() => {
    const it = this.acidified();
    const [water, { acidPh }] = [this.water(), this.keeping.now()];
    if (!it) return null;
    const { mass, volume } = this.reader.formats();
    const left = water.alkalinityMgPerL * (1 - it.neutralisedShare);
    const mg = this.units.system() === 'us' ? 'ppm' : 'mg/L';
    const brings = it.adds.n > 0.5 ? texts.andBringsOfNitrogen(fixed(it.adds.n, 0), mg) : '';
    const more = it.adds.p > 0.5 ? texts.andBringsOfPhosphorus(fixed(it.adds.p, 0), mg) : '';
    const dose = it.acidMlPerL === undefined ? mass(100 * it.acidGPerL!) : volume(it.acidMlPerL / 10);
    return `${texts.acidTo(dose, volume(100))}${texts.takesItToPhOf(fixed(acidPh, 1), fixed(left, 0), mg, brings, more)}`;
  });

  blend(blendPct: number): void {
    this.blendAsked.set(null);
    this.keeping.patch({ blendPct });
  }

  /** As much of each as gives an alkalinity; where no share does, that is said and the blend stays. */
  blendFor(alkalinityMgPerL: number): void {
    const own = this.own();
    if (!own?.other) return;
    this.blendAsked.set(alkalinityMgPerL);
    const share = blendTo(own.poured, own.other, alkalinityMgPerL);
    if (share !== null) this.keeping.patch({ blendPct: 100 * share });
  }

  pour(id: string | null): void {
    const { blendId } = this.keeping.now();
    const waterId = id ? Number(id) : null;
    this.keeping.patch({ waterId, blendId: blendId === waterId ? null : blendId });
  }

  setWater(change: Partial<UsualKeeping['water']>): void {
    this.keeping.patch({ water: { ...this.keeping.now().water, ...change } });
  }
}
