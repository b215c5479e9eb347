/** The rooms of the house and the one direction of imports. */
const room = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^(contract|server|web|e2e|scripts)/' },
    },
    room('contract-imports-core-alone', '^contract/', '^(server|web|e2e|scripts)/'),
    {
      name: 'physics-imports-nothing-above-it',
      severity: 'error',
      from: { path: '^core/(units|stats|material|vessel|mix)/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^core/(recipe|judge|finder|batch|season|spread|explain)/' },
    },
    room('server-not-web', '^server/', '^(web|e2e|scripts)/'),
    room('web-not-server', '^web/', '^(server|e2e|scripts)/'),
    room('e2e-imports-no-room', '^e2e/', '^(core|server|web)/'),
    {
      name: 'testing-only-from-tests',
      severity: 'error',
      from: { pathNot: '(\\.spec\\.ts$|^testing/|^scripts/)' },
      to: { path: '^testing/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.spec\\.ts$' },
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
