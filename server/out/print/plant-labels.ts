import { type PlantingPage, type Trial } from '#contract/plants';
import { type Care } from '#core/plants/care';
import { nameIn } from '#words/names';
import { type UnitSystem } from '#core/units/show';
import { type LabelText } from '#server/out/print/labels';

const begun = { sow: 'Sown', strike: 'Struck', pot: 'Potted', split: 'Set apart' } as const;
const steps: Partial<Record<Care['id'], string>> = {
  up: 'Comes up',
  feed: 'First feed',
  'top-up': 'Top up',
  'pot-up': 'Pot up by',
};

/** A label of a planting: its name first, then where it stands, and the days of its steps as they are reckoned. */
export function plantLabel(
  name: string,
  vessel: string,
  planting: PlantingPage,
  units: UnitSystem,
  url: string,
): LabelText {
  return {
    title: name,
    lines: [
      nameIn(vessel, units),
      ...(planting.batchName ? [`Mix: ${planting.batchName}`] : []),
      ...(planting.seed ? [planting.seed] : []),
    ],
    dates: [
      { name: begun[planting.start], on: planting.on },
      ...planting.allCare.flatMap(({ id, on }) => (steps[id] ? [{ name: steps[id], on }] : [])),
    ],
    url,
  };
}

/** A label for each tray, by block and place: the arm stands on it, so that nobody has to look it up. */
export const trialLabels = (trial: Trial, urlOf: (planting: number) => string): LabelText[] =>
  [...trial.trays]
    .sort((a, b) => a.block - b.block || a.place - b.place)
    .map(({ planting, block, place, arm }) => ({
      title: trial.arms[arm]!.name,
      lines: [`${trial.name}: block ${block}, place ${place}`, `Order from seed ${trial.seed}`],
      dates: [
        { name: 'Sown', on: trial.on },
        { name: 'Counted', on: null },
      ],
      url: urlOf(planting),
    }));
