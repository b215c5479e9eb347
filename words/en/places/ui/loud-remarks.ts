import { type Filling, line, place } from '#words/place';

export const loudRemarks = place('ui/loud-remarks', {
  more: (count: Filling) => line`${count} more`,
});
