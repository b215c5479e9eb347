import { type Filling, line, place } from '#words/place';

export const keptLine = place('ui/kept-line', {
  keptAsUsual: (says: Filling) => line`Kept as usual: ${says}.`,
  keptOtherwise: (says: Filling) => line`Kept differently: ${says}.`,
  change: 'Change',
});
