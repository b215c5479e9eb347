/** What is asked of a folder of today when it is kept, and asked again of it by every later Welcome. */
export const askedOfFolders: readonly string[] = [
  ...[
    '/nursery',
    '/library',
    '/windows',
    '/mixes',
    '/mixes?away=yes',
    '/mixes/1/versions',
    '/mixes/8/versions',
  ],
  ...['/batches', '/batches?away=yes', ...[1, 2, 3, 4, 5, 6, 7].map((id) => `/batches/${id}`)],
  ...[1, 2, 3, 4, 5, 6, 7].map((id) => `/batches/${id}/entries`),
  ...['/lots', '/lots/1/trace', '/stock', '/materials/compost/tests', '/shelf', '/measures', '/waters'],
  ...['/crops', '/plan', '/plan/tasks', '/plan/short', '/today'],
  ...['/plants', '/plants?finished=yes', '/plants?finished=away', '/plants/care', '/plants/groups'],
  ...['/plants/taught', '/plants/taken-up', '/plants/tender', '/plants/odds', '/trials', '/trials/1'],
  ...[1, 4, 8, 29, 30].map((id) => `/plants/${id}`),
  ...[1, 2, 3, 4, 5, 6].map((id) => `/plants/results?of=batch&id=${id}`),
];
