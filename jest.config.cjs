const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
        target: 'es2022',
        // sequelize models declare their columns; fields defined by the class would shadow them.
        assumptions: { setPublicClassFields: true },
      },
      module: { type: 'commonjs' },
    },
  ],
};
const moduleNameMapper = { '^@olvet/core$': '<rootDir>/../core/src/index.ts' };

/** @type {import('jest').Config} */
module.exports = {
  projects: [
    { displayName: 'core', rootDir: 'core', testEnvironment: 'node', transform },
    { displayName: 'server', rootDir: 'server', testEnvironment: 'node', transform, moduleNameMapper },
  ],
  testTimeout: 20000,
};
