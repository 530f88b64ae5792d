/** Who may import whom. The drawing in docs/ARCHITECTURE.md shows the same. Tests and build scripts may reach further. */
const tests = '(\\.test\\.tsx?$|/test/|/scripts/|/testing/)'
const own = (names) => `^(${names})/`
const forbid = (name, from, to, comment) => ({ name, severity: 'error', comment, from: { path: from, pathNot: tests }, to })

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    forbid(
      'core-is-pure',
      own('core'),
      { pathNot: '^core/', dependencyTypesNot: ['type-only'] },
      'core imports nothing but types of contract',
    ),
    forbid('core-types-only-from-contract', own('core'), { path: own('catalogue|server|web|cli|e2e') }, 'and those from contract alone'),
    forbid('contract-stands-alone', own('contract'), { path: own('core|catalogue|server|web|cli|e2e') }),
    forbid('catalogue-knows-contract-only', own('catalogue'), { path: own('server|web|cli|e2e') }),
    forbid(
      'web-has-no-book-of-its-own',
      own('web'),
      { path: own('catalogue|server|cli|e2e') },
      'the browser gets its offers from the server',
    ),
    forbid(
      'parts-know-no-view',
      '^web/src/(parts|drawings|shell|api|engine|state|documents|reader|kitchen|notices|typed)/',
      { path: '^web/src/features/' },
      'views are made of parts, and not the other way round',
    ),
    forbid(
      'views-meet-at-their-index',
      '^web/src/features/([^/]+)/',
      { path: '^web/src/features/', pathNot: '^web/src/features/($1/|[^/]+/index\\.ts$)' },
      'what a view lends to others stands in its index',
    ),
    forbid('csv-stands-alone', own('csv'), { path: own('contract|core|catalogue|names|server|web|cli|e2e|simulator') }),
    forbid(
      'words-know-contract-and-core',
      own('words'),
      { path: own('catalogue|names|csv|server|web|cli|e2e|simulator') },
      'words stand above the engine and below its faces',
    ),
    forbid('engine-has-no-words', own('contract|core|catalogue|names|csv'), { path: own('words') }, 'facts apart from words'),
    forbid('names-know-contract-only', own('names'), { path: own('core|catalogue|server|web|cli|e2e|simulator') }),
    forbid(
      'simulator-stands-alone',
      own('simulator'),
      { path: own('contract|core|catalogue|names|server|web|cli|e2e') },
      'an outside service',
    ),
    forbid('nobody-knows-the-simulator', own('contract|core|catalogue|names|server|web|cli'), { path: own('simulator') }),
    forbid('server-knows-no-face', own('server'), { path: own('web|cli|e2e') }),
    forbid('cli-needs-no-server', own('cli'), { path: own('server|web|e2e') }),
    forbid(
      'browser-compiles-no-schema',
      '^web/src/',
      { path: '^contract/src/validators/index' },
      'the content policy forbids it; use contract/browser',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
}
