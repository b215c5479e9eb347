import { place } from '#words/place';

export const labelForm = place('run/label-form', {
  plantItsNameComesFirst: 'Plant (its name comes first)',
  labels: 'Labels',
  sownOn: 'Sown on',
  labelsToPrint: 'Labels to print',
  cardAsPdf: 'Card as PDF',
});
