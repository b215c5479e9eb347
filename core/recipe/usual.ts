/** What a remedy or a default reaches for: ids of the starter library, which is always there. */
export const usual = {
  groundLime: 'lime-dolomitic',
  sourPeat: 'peat-fine',
  bindingPeat: 'peat-black',
  coir: 'coir-pith',
  fineOpener: 'perlite-fine',
  coarseOpener: 'perlite-coarse',
  weight: 'sand-sharp',
  nitrogen: 'calcium-nitrate',
  phosphorus: 'superphosphate-triple',
  potassium: 'potassium-sulphate',
  calcium: 'gypsum',
  traces: 'trace-elements',
} as const;
