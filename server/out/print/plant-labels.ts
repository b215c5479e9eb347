import { papers } from '#words/en/places/papers';
import { textsIn } from '#words/place';
import { type Language, type Reader } from '#words/reader';
import { type PlantingPage, type Trial } from '#contract/plants';
import { type Planting } from '#core/plants/planting';
import { type Care } from '#core/plants/care';
import { nameIn } from '#words/names';
import { type LabelText } from '#server/out/print/labels';

const begun = { sow: 'sown', strike: 'struck', pot: 'potted', split: 'setApart' } as const;
const steps = { up: 'comesUp', feed: 'firstFeed', 'top-up': 'topUp', 'pot-up': 'potUpBy' } as const;
const isStep = (id: Care['id']): id is keyof typeof steps => id in steps;

/**
 * A label of a planting: its name first, then where it stands, and the whole chain of its days, from the sowing on.
 * @param before what it comes from, the oldest first
 */
export function plantLabel(
  name: string,
  vessel: string,
  planting: PlantingPage,
  before: readonly Pick<Planting, 'start' | 'on'>[],
  { units, language }: Reader,
  url: string,
): LabelText {
  const texts = textsIn(papers, language);
  return {
    title: name,
    lines: [
      nameIn(vessel, units),
      ...(planting.batchName ? [texts.mix(planting.batchName)] : []),
      ...(planting.seed ? [planting.seed] : []),
    ],
    dates: [
      ...[...before, planting].map(({ start, on }) => ({ name: texts[begun[start]], on })),
      ...planting.allCare.flatMap(({ id, on }) => (isStep(id) ? [{ name: texts[steps[id]], on }] : [])),
    ],
    url,
  };
}

/** A label for each tray, by block and place: the arm stands on it, so that nobody has to look it up. */
export function trialLabels(
  trial: Trial,
  language: Language,
  urlOf: (planting: number) => string,
): LabelText[] {
  const texts = textsIn(papers, language);
  return [...trial.trays]
    .sort((a, b) => a.block - b.block || a.place - b.place)
    .map(({ planting, block, place, arm }) => ({
      title: trial.arms[arm]!.name,
      lines: [texts.inGroup(trial.name, block, place), texts.startingNumber(trial.seed)],
      dates: [
        { name: texts.sown, on: trial.on },
        { name: texts.counted, on: null },
      ],
      url: urlOf(planting),
    }));
}
