import { isCounted } from '#core/plants/planting';
import { type PlantingLine } from '../data/plants';

const percent = (part: number, of: number): string => `${Math.round((100 * part) / of)} %`;

/** "268 of 288 came up, 262 stand". */
export function tallySays({ tally, start }: Pick<PlantingLine, 'tally' | 'start'>): string {
  const { begun, entered, alive, out, moved } = tally;
  if (entered === null || alive === null) return `${begun} begun, nothing counted yet`;
  const up = isCounted(start)
    ? `${begun} ${startWords[start]}`
    : `${entered} of ${begun} ${start === 'sow' ? 'came up' : 'rooted'} (${percent(entered, begun)})`;
  const gone = [
    ...(moved > 0 ? [`${moved} moved on`] : []),
    ...(out > 0 ? [`${out} out`] : []),
    `${alive} ${alive === 1 ? 'stands' : 'stand'}`,
  ];
  return `${up}, ${gone.join(', ')}`;
}

export const startWords = { sow: 'sown', strike: 'struck', pot: 'potted', split: 'set apart' } as const;
