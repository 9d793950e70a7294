/** The layers of the advice, each knowing only those before it. */
const ADVICE = ['shots', 'lookahead', 'decide', 'words'];
/** Below the advice: what others use, too. */
const BELOW_ADVICE = { contract: '^core/src/(advice|belief|learn)/', belief: '^core/src/(advice|learn)/' };

/** Dependencies point one way: web → core, server → core, standins → core; nothing imports web or server. */
module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-is-alone',
      severity: 'error',
      comment: 'The core computes; it knows no page, no server, no framework.',
      from: { path: '^core/src' },
      to: { path: '^(web|server|standins|tools)/|node_modules/(react|@nestjs|sequelize|antd|pg|express)' },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^core/src', pathNot: 'spec\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    ...Object.entries(BELOW_ADVICE).map(([layer, path]) => ({
      name: `${layer}-knows-no-advice`,
      severity: 'error',
      comment: 'What is asked and believed does not depend on what is done about it or learned from it.',
      from: { path: `^core/src/${layer}/`, pathNot: 'spec\\.ts$' },
      to: { path },
    })),
    ...ADVICE.map((layer, at) => ({
      name: `advice-${layer}-knows-no-later`,
      severity: 'error',
      comment: 'What is believed does not depend on what is done about it, nor that on how it is said.',
      from: { path: `^core/src/advice/${layer}/`, pathNot: 'spec\\.ts$' },
      to: { path: '^core/src/advice/', pathNot: `^core/src/advice/(${ADVICE.slice(0, at + 1).join('|')})/` },
    })),
    { name: 'server-knows-no-page', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    {
      name: 'page-knows-no-server',
      severity: 'error',
      comment: 'The page knows the server only through the generated client.',
      from: { path: '^web/' },
      to: { path: '^server/|node_modules/(@nestjs|sequelize|pg)/' },
    },
    {
      name: 'stand-ins-know-only-core',
      severity: 'error',
      comment: 'They speak the documented protocol, as a real adapter would.',
      from: { path: '^standins/src', pathNot: 'spec[.]ts$' },
      to: { path: '^(server|web|tools)/' },
    },
    {
      name: 'core-by-its-index',
      severity: 'error',
      comment: 'What the index does not list is private.',
      from: { path: '^(web|server|standins)/' },
      to: { path: '^core/src/', pathNot: '^core/src/index\\.ts$' },
    },
    {
      name: 'no-unlisted',
      severity: 'error',
      from: { path: '^(core|server|standins|web)/', pathNot: 'spec[.]tsx?$' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
