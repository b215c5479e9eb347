/** The rooms of the house and the one direction of imports. */
const room = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

const SPEC = '\\.spec\\.ts$';
const PLACES = [
  'today',
  'season',
  'mix',
  'finder',
  'weeks',
  'potting',
  'cuttings',
  'batches',
  'run',
  'plants',
  'shelf',
  'settings',
];

/** Layers of a room, lowest first: none imports what stands above it. */
function layers(where, all) {
  return all.slice(0, -1).map((layer, i) => ({
    name: `${layer.join('-and-')}-imports-nothing-above-it`,
    severity: 'error',
    from: { path: `^${where}/(${layer.join('|')})/`, pathNot: SPEC },
    to: {
      path: `^${where}/(${all
        .slice(i + 1)
        .flat()
        .join('|')})/`,
    },
  }));
}

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^core/', pathNot: SPEC },
      to: { path: '^(contract|words|server|web|e2e|scripts)/' },
    },
    room('contract-imports-core-alone', '^contract/', '^(words|server|web|e2e|scripts)/'),
    room('words-import-contract-and-core-alone', '^words/', '^(server|web|e2e|scripts)/'),
    // Inside core, each layer knows those before it and none after: units … mix, recipe, judge, spread, finder, batch.
    ...layers('core', [
      ['units', 'stats'],
      ['material'],
      ['vessel'],
      ['mix'],
      ['recipe'],
      ['judge'],
      ['spread', 'explain'],
      ['finder'],
      ['advise'],
      ['batch'],
      ['package', 'season', 'weeks'],
      ['plants'],
    ]),
    // Five floors of the server, each sees only those under it; what starts it stands above them all.
    ...layers('server', [['base'], ['kept'], ['book'], ['out'], ['routes']]),
    {
      name: 'the-floors-of-the-server-do-not-see-what-starts-them',
      severity: 'error',
      from: { path: '^server/(base|kept|book|out|routes)/', pathNot: SPEC },
      to: { path: '^server/[a-z]+\\.ts$' },
    },
    // Inside web: the device and the server, then what is drawn, then the recipe at hand, then the places.
    ...layers('web/src/app', [['data'], ['ui'], ['bench'], PLACES]),
    ...PLACES.map((place) => ({
      name: `place-${place}-imports-no-place`,
      severity: 'error',
      from: { path: `^web/src/app/${place}/`, pathNot: SPEC },
      to: { path: `^web/src/app/(${PLACES.filter((other) => other !== place).join('|')})/` },
    })),
    room('server-not-web', '^server/', '^(web|e2e|scripts)/'),
    room('web-not-server', '^web/', '^(server|e2e|scripts)/'),
    room('e2e-imports-no-room', '^e2e/', '^(core|words|server|web)/'),
    {
      name: 'testing-only-from-tests',
      severity: 'error',
      from: { pathNot: '(\\.spec\\.ts$|^(testing|scripts|e2e)/)' },
      to: { path: '^testing/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: SPEC },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'resolvable',
      severity: 'error',
      from: {},
      // A module of types only: nothing of it is there when the program runs.
      to: { couldNotResolve: true, pathNot: '^pdfmake/interfaces$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
      extensions: ['.ts', '.js', '.mjs'],
    },
  },
};
