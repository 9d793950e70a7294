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
// Ant Design's parts and uuid ship modules that Jest cannot load as they are.
const transformModules = { ...transform, '^.+\\.m?js$': transform['^.+\\.tsx?$'] };
const moduleNameMapper = { '^@olvet/core$': '<rootDir>/../core/src/index.ts' };

/** @type {import('jest').Config} */
module.exports = {
  projects: [
    { displayName: 'core', rootDir: 'core', testEnvironment: 'node', transform },
    { displayName: 'server', rootDir: 'server', testEnvironment: 'node', transform, moduleNameMapper },
    { displayName: 'tools', rootDir: 'tools', testEnvironment: 'node', transform, testMatch: ['**/*.spec.ts'] },
    {
      displayName: 'web',
      rootDir: 'web',
      testEnvironment: '<rootDir>/testing/environment.cjs',
      transform: transformModules,
      transformIgnorePatterns: ['node_modules/(?!(uuid|@ant-design|@rc-component|antd|@babel/runtime)/)'],
      moduleNameMapper: { ...moduleNameMapper, '[.]css$': '<rootDir>/testing/styles.cjs' },
      setupFilesAfterEnv: ['<rootDir>/testing/setup.ts'],
      testEnvironmentOptions: { customExportConditions: ['node', 'require', 'default'] },
    },
  ],
  testTimeout: 60000,
};
