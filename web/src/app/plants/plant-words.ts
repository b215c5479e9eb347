import { isCounted } from '#core/plants/planting';
import { type PlantingLine } from '../data/plants';
import { plantWords as texts } from '#words/en/places/plants/plant-words';

const percent = (part: number, of: number): string => `${Math.round((100 * part) / of)} %`;

/** "268 of 288 came up, 262 stand". */
export function tallySays({ tally, start }: Pick<PlantingLine, 'tally' | 'start'>): string {
  const { begun, entered, alive, out, moved } = tally;
  const went = [...(moved > 0 ? [texts.movedOn(moved)] : []), ...(out > 0 ? [texts.out(out)] : [])];
  if (entered === null || alive === null)
    return [texts.sownOrStruck(begun), ...went, texts.nothingCounted].join(', ');
  const up = isCounted(start)
    ? `${begun} ${startWords[start]}`
    : texts.ofIt(entered, begun, start === 'sow' ? texts.cameUp : 'rooted', percent(entered, begun));
  return [up, ...went, texts.stand(alive)].join(', ');
}

export const startWords = { sow: 'sown', strike: 'struck', pot: 'potted', split: texts.setApart } as const;
