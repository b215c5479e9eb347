/** The rooms of the house and the one direction of imports. */
const room = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    room('core-imports-nothing-of-ours', '^core/', '^(server|web|e2e|scripts)/'),
    room('server-not-web', '^server/', '^(web|e2e|scripts)/'),
    room('web-not-server', '^web/', '^(server|e2e|scripts)/'),
    room('e2e-imports-no-room', '^e2e/', '^(core|server|web)/'),
    {
      name: 'testing-only-from-tests',
      severity: 'error',
      from: { pathNot: '(\\.spec\\.ts$|^core/testing/|^web/src/testing/|^scripts/)' },
      to: { path: '^core/testing/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.spec\\.ts$|^core/testing/)' },
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
