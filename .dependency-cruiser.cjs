/** Dependencies point one way: web → contract → core, server → contract → core; e2e may use them all. */
const only = (from, ...to) => ({
  name: `${from} reaches only ${to.join(', ') || 'itself'}`,
  severity: 'error',
  from: { path: `^${from}/(src|data)/` },
  to: { path: `^(core|contract|server|web|e2e)/`, pathNot: `^(${[from, ...to].join('|')})/` },
});

module.exports = {
  forbidden: [
    only('core'),
    only('contract', 'core'),
    only('server', 'contract', 'core'),
    only('web', 'contract', 'core'),
    {
      name: 'the core uses nothing of Node and no package',
      severity: 'error',
      from: { path: '^core/(src|data)/' },
      to: { dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-no-pkg'] },
    },
    {
      name: 'no circles',
      severity: 'error',
      from: { path: '/src/' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'dist' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js'],
    },
  },
};
